import type { Draft, Payload, Task } from '@kobrin/core'
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

function cleaning({ residentId }: ExceptionsFor): Ask {
  const clean = (label: string, scope: 'spot' | 'full') => ({
    label,
    then: nothing({
      subject: residentId,
      kind: 'cleaned',
      payload: { scope, ...(scope === 'full' && { duty: 'fullClean' }) },
    }),
  })
  return choice([clean('Spot-cleaned', 'spot'), clean(asks('fullClean'), 'full')])
}

function litresOf(task: Task | undefined): string {
  return String(task?.duty.litres ?? '')
}

function watering({ residentId, day }: ExceptionsFor): Ask {
  const task = taskFor(day, 'water')
  return {
    type: 'form',
    fields: [{ name: 'litres', label: asks('litres'), type: 'number', unit: 'l', value: litresOf(task) }],
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
  { value: 'whole', label: asks('allOver') },
  { value: 'dampEnd', label: asks('theDampEnd') },
  { value: 'dryEnd', label: asks('theDryEnd') },
]

function dampening({ residentId, day }: ExceptionsFor): Ask {
  const task = taskFor(day, 'dampen')
  return {
    type: 'form',
    fields: [
      { name: 'end', label: asks('whichEnd'), type: 'select', value: 'whole', options: ENDS },
      { name: 'litres', label: asks('litres'), type: 'number', unit: 'l', value: litresOf(task) },
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
