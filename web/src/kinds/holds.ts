import type { HoldKind } from '@kobrin/core'
import type { Ask, Exception, ExceptionsFor } from '../exceptions/ask.ts'
import { choice, nothing } from '../exceptions/ask.ts'
import { t as asks } from '../exceptions/words.ts'
import { words } from '../words/en.ts'
import { sayDate } from '../words/numbers.ts'
import { t } from '../words/facts.ts'
import type { KindsHere } from './kind.ts'

const SET_BY_PEOPLE: readonly HoldKind[] = [
  'gravid',
  'leaveBe',
  'fasting',
  'winterRest',
  'founding',
  'settling',
  'vetOrder',
  'incubating',
]

function setting({ residentId, today }: ExceptionsFor, hold: HoldKind): Ask {
  return {
    type: 'form',
    fields: [
      { name: 'reason', label: asks('why'), type: 'text', value: '', required: true },
      {
        name: 'days',
        label: asks('forHowManyDays'),
        type: 'number',
        unit: asks('days'),
        whole: true,
        value: '',
      },
    ],
    draft: ({ text, number }) => {
      const days = number('days')
      return {
        subject: residentId,
        kind: 'held',
        payload: { hold, reason: text('reason') ?? '…', ...(days !== undefined && { until: today + days }) },
      }
    },
  }
}

/** Setting a hold, with its reason and its expected end. */
function holding(one: ExceptionsFor): Ask {
  return choice(SET_BY_PEOPLE.map((hold) => ({ label: words.hold[hold], then: setting(one, hold) })))
}

/** Lifting one that only a fact can end. */
function liftOffered({ residentId, day }: ExceptionsFor): Exception[] {
  const liftable = day.holds.filter(({ endsBy }) => endsBy === 'event')
  if (liftable.length === 0) return []
  const ask = choice(
    liftable.map(({ hold }) => ({
      label: words.hold[hold],
      then: nothing({ subject: residentId, kind: 'released', payload: { hold } }),
    })),
  )
  return [{ id: 'lift', key: 'v', label: asks('liftAHold'), ask }]
}

/** What stops a hand. */
export const holds = {
  held: {
    says: ({ hold, until, reason }, { today }) =>
      until === undefined
        ? t('hold', { hold: words.hold[hold], reason })
        : t('holdUntil', { hold: words.hold[hold], until: sayDate(until, today), reason }),
    offers: (one) => [{ id: 'hold', key: 'h', label: asks('hold'), ask: holding(one) }],
  },
  released: {
    says: ({ hold, reason }) =>
      reason
        ? t('holdLiftedWhy', { hold: words.hold[hold], reason })
        : t('holdLifted', { hold: words.hold[hold] }),
    offers: liftOffered,
  },
} satisfies KindsHere
