import type { Payload, Task } from '@kobrin/core'
import { FULL_CLEAN, isOfBox } from '@kobrin/core'
import type { Ask, ExceptionsFor } from '../exceptions/ask.ts'
import { choice, nothing, taskFor } from '../exceptions/ask.ts'
import { t as asks } from '../exceptions/words.ts'
import { sayIn } from '../words/measures.ts'
import { terms } from '../words/terms.ts'
import { t } from '../words/facts.ts'
import type { KindsHere } from './kind.ts'

export function sayWatered({ litres }: Pick<Payload<'watered'>, 'litres'>): string {
  return litres ? t('freshWaterLitres', { litres: sayIn(litres, 'l') }) : t('freshWater')
}

export function sayDampened({ end, litres }: Pick<Payload<'dampened'>, 'end' | 'litres'>): string {
  const where = end ? t('dampenedWhere', { where: terms.end[end] }) : t('dampened')
  return litres ? t('withLitres', { where, litres: sayIn(litres, 'l') }) : where
}

type Tended = Payload<'tended'>

/** What is done to a box is a fact of the box: it counts for all who live there and stays when they move. A bath is of
 * the animal, and so is what is done for one that lives nowhere. */
function boxOf({ home }: ExceptionsFor, task: Task | undefined): string | null {
  return task && !isOfBox(task.duty) ? null : home
}

function cleaning(one: ExceptionsFor): Ask {
  const spot = one.day.tasks.find(({ duty }) => duty.does === 'clean' && duty.id !== FULL_CLEAN)
  const clean = (label: string, scope: 'spot' | 'full') => {
    const duty = scope === 'full' ? FULL_CLEAN : (spot?.duty.id ?? 'clean')
    return {
      label,
      then: nothing(
        one.home === null
          ? { subject: one.residentId, kind: 'cleaned', payload: { duty, scope } }
          : { subject: one.home, kind: 'tended', payload: { duty, does: 'clean', scope } },
      ),
    }
  }
  return choice([clean(asks('spotCleaned'), 'spot'), clean(asks('fullClean'), 'full')])
}

function litresOf(task: Task | undefined): string {
  return String(task?.duty.litres ?? '')
}

function watering(one: ExceptionsFor): Ask {
  const task = taskFor(one.day, 'water')
  const box = boxOf(one, task)
  return {
    type: 'form',
    fields: [{ name: 'litres', label: asks('litres'), type: 'number', unit: 'l', value: litresOf(task) }],
    draft: ({ number }) => {
      const litres = number('litres')
      const payload = { duty: task?.duty.id ?? 'water', ...(litres !== undefined && { litres }) }
      return box === null
        ? { subject: one.residentId, kind: 'watered', payload }
        : { subject: box, kind: 'tended', payload: { ...payload, does: 'water' } }
    },
  }
}

type End = NonNullable<Tended['end']>

const ENDS: readonly { value: End; label: string }[] = [
  { value: 'whole', label: asks('allOver') },
  { value: 'dampEnd', label: asks('theDampEnd') },
  { value: 'dryEnd', label: asks('theDryEnd') },
]

function dampening(one: ExceptionsFor): Ask {
  const task = taskFor(one.day, 'dampen')
  return {
    type: 'form',
    fields: [
      { name: 'end', label: asks('whichEnd'), type: 'select', value: 'whole', options: ENDS },
      { name: 'litres', label: asks('litres'), type: 'number', unit: 'l', value: litresOf(task) },
    ],
    draft: ({ text, number }) => {
      const litres = number('litres')
      const end = ENDS.find(({ value }) => value === text('end'))?.value
      const payload = {
        duty: task?.duty.id ?? 'dampen',
        ...(litres !== undefined && { litres }),
        ...(end && { end }),
      }
      return one.home === null
        ? { subject: one.residentId, kind: 'dampened', payload }
        : { subject: one.home, kind: 'tended', payload: { ...payload, does: 'dampen' } }
    },
  }
}

/** Water, damp, clean, the checks. */
export const care = {
  watered: {
    says: sayWatered,
    offers: (one) => [{ id: 'water', key: 'y', label: asks('freshWater'), ask: watering(one) }],
  },
  dampened: {
    says: sayDampened,
    offers: (one) => [{ id: 'dampen', key: 'd', label: asks('dampened'), ask: dampening(one) }],
  },
  cleaned: {
    says: ({ scope }) => (scope === 'full' ? t('fullClean') : t('spotCleaned')),
    offers: (one) => [{ id: 'clean', key: 'c', label: asks('cleaned'), ask: cleaning(one) }],
  },
  checked: { says: () => t('inspected') },
} satisfies KindsHere
