import type { BodyPart, Draft, DroppingsKind, DutyKind, ResidentDay, SheetGroup, Task } from '@kobrin/core'
import { terms } from '../words/terms.ts'
import type { Ask, Exception } from './ask.ts'
import { choice, nothing } from './ask.ts'
import { t } from './words.ts'

const DROPPINGS = Object.keys(terms.droppings) as DroppingsKind[]

const PARTS: Readonly<Record<'backboned' | 'legged' | 'shelled', readonly BodyPart[]>> = {
  backboned: ['length', 'girth', 'headWidth', 'eyeGap'],
  legged: ['length', 'legSpan', 'carapaceLength', 'abdomenLength', 'abdomenWidth'],
  shelled: ['shellDiameter', 'length'],
}

/** What of an animal is measured, that which is measured first in front. */
export function partsOf(group: SheetGroup): readonly BodyPart[] {
  if (group === 'whipSpider') return ['whipLength', ...PARTS.legged]
  if (group === 'snail' || group === 'tortoise') return PARTS.shelled
  return ['snake', 'lizard', 'frog', 'salamander'].includes(group) ? PARTS.backboned : PARTS.legged
}

function taskFor(day: ResidentDay, does: DutyKind): Task | undefined {
  return day.tasks.find(({ duty }) => duty.does === does)
}

function weighing(residentId: string, day: ResidentDay): Ask {
  const duty = taskFor(day, 'weigh')?.duty.id
  return {
    type: 'number',
    label: t('weight'),
    unit: 'g',
    draft: (grams) => ({ subject: residentId, kind: 'weighed', payload: { ...(duty && { duty }), grams } }),
  }
}

function measuring(residentId: string, group: SheetGroup, day: ResidentDay): Ask {
  const duty = taskFor(day, 'measure')?.duty.id
  return choice(
    partsOf(group).map((part) => ({
      label: terms.part[part],
      then: {
        type: 'number',
        label: terms.part[part],
        unit: 'mm',
        draft: (mm) => ({
          subject: residentId,
          kind: 'measured',
          payload: { ...(duty && { duty }), part, mm },
        }),
      },
    })),
  )
}

function cleaning(residentId: string): Ask {
  const clean = (label: string, scope: 'spot' | 'full') => ({
    label,
    then: nothing({
      subject: residentId,
      kind: 'cleaned',
      payload: { scope, ...(scope === 'full' && { duty: 'fullClean' }) },
    }),
  })
  return choice([clean('Spot-cleaned', 'spot'), clean(t('fullClean'), 'full')])
}

function litresOf(task: Task | undefined): string {
  return String(task?.duty.litres ?? '')
}

function watering(residentId: string, day: ResidentDay): Ask {
  const task = taskFor(day, 'water')
  return {
    type: 'form',
    fields: [{ name: 'litres', label: t('litres'), type: 'number', unit: 'l', value: litresOf(task) }],
    draft: ({ number }) => {
      const litres = number('litres')
      return {
        subject: residentId,
        kind: 'watered',
        payload: { ...(task && { duty: task.duty.id }), ...(litres !== undefined && { litres }) },
      }
    },
  }
}

type End = NonNullable<Extract<Draft, { kind: 'dampened' }>['payload']['end']>

const ENDS: readonly { value: End; label: string }[] = [
  { value: 'whole', label: t('allOver') },
  { value: 'dampEnd', label: t('theDampEnd') },
  { value: 'dryEnd', label: t('theDryEnd') },
]

function dampening(residentId: string, day: ResidentDay): Ask {
  const task = taskFor(day, 'dampen')
  return {
    type: 'form',
    fields: [
      { name: 'end', label: t('whichEnd'), type: 'select', value: 'whole', options: ENDS },
      { name: 'litres', label: t('litres'), type: 'number', unit: 'l', value: litresOf(task) },
    ],
    draft: ({ text, number }) => {
      const litres = number('litres')
      const end = ENDS.find(({ value }) => value === text('end'))?.value
      return {
        subject: residentId,
        kind: 'dampened',
        payload: {
          ...(task && { duty: task.duty.id }),
          ...(litres !== undefined && { litres }),
          ...(end && { end }),
        },
      }
    },
  }
}

/** Weighing, measuring, water, cleaning and what was seen. */
export function careExceptions(residentId: string, group: SheetGroup, day: ResidentDay): Exception[] {
  const look = taskFor(day, 'look')?.duty.id
  return [
    { id: 'weigh', key: 'w', label: t('weigh'), ask: weighing(residentId, day) },
    {
      id: 'unseen',
      key: 'z',
      label: t('lookedNotSeen'),
      ask: nothing({
        subject: residentId,
        kind: 'looked',
        payload: { ...(look && { duty: look }), seen: false },
      }),
    },
    { id: 'clean', key: 'c', label: t('cleaned'), ask: cleaning(residentId) },
    { id: 'dampen', key: 'd', label: t('dampened'), ask: dampening(residentId, day) },
    { id: 'water', key: 'y', label: t('freshWater'), ask: watering(residentId, day) },
    {
      id: 'droppings',
      key: 'o',
      label: t('droppings'),
      ask: choice(
        DROPPINGS.map((kind) => ({
          label: terms.droppings[kind],
          then: nothing({ subject: residentId, kind: 'droppings', payload: { kind } }),
        })),
      ),
    },
    { id: 'measure', key: 'm', label: t('measure'), ask: measuring(residentId, group, day) },
    {
      id: 'saw',
      key: 'n',
      label: t('sawSomething'),
      ask: {
        type: 'graded',
        prompt: t('whatDidYouSee'),
        draft: (text, severity) => ({ subject: residentId, kind: 'observed', payload: { text, severity } }),
      },
    },
    {
      id: 'note',
      key: 't',
      label: t('noteForTheNext'),
      ask: {
        type: 'text',
        prompt: t('note'),
        draft: (text) => ({ subject: residentId, kind: 'noted', payload: { text } }),
      },
    },
  ]
}
