import type { HoldKind, ResidentDay } from '@kobrin/core'
import { words } from '../words/en.ts'
import type { Ask, Exception } from './ask.ts'
import { choice, nothing } from './ask.ts'
import { t } from './words.ts'

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

function setting(residentId: string, hold: HoldKind, today: number): Ask {
  return {
    type: 'form',
    fields: [
      { name: 'reason', label: t('why'), type: 'text', value: '', required: true },
      {
        name: 'days',
        label: t('forHowManyDays'),
        type: 'number',
        unit: t('days'),
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

/** Setting a hold with its reason and expected end, and lifting one that only a fact can end. */
export function holdExceptions(residentId: string, { holds }: ResidentDay, today: number): Exception[] {
  const set: Exception = {
    id: 'hold',
    key: 'h',
    label: t('hold'),
    ask: choice(
      SET_BY_PEOPLE.map((hold) => ({ label: words.hold[hold], then: setting(residentId, hold, today) })),
    ),
  }
  const liftable = holds.filter(({ endsBy }) => endsBy === 'event')
  if (liftable.length === 0) return [set]
  const lift: Exception = {
    id: 'lift',
    key: 'v',
    label: t('liftAHold'),
    ask: choice(
      liftable.map(({ hold }) => ({
        label: words.hold[hold],
        then: nothing({ subject: residentId, kind: 'released', payload: { hold } }),
      })),
    ),
  }
  return [set, lift]
}
