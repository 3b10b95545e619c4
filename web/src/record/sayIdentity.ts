import type { ResidentState } from '@kobrin/core'
import { sayDate, sayDateTo } from '../words/numbers.ts'
import type { Teller } from '../words/teller.ts'
import { sayAll } from '../words/sayAll.ts'
import { terms } from '../words/terms.ts'
import { t } from './words.ts'

type Register = NonNullable<ResidentState['register']>

function sayBegin({ hatchedOn, hatchedTo, laid }: Register, today: number): string[] {
  if (hatchedOn === null) return []
  const date = sayDateTo(hatchedOn, hatchedTo, today)
  return [laid ? t('laidOn', { date }) : t('hatchedOn', { date })]
}

/** What is known of who somebody is besides its line: where it comes from, what it is known by, under which licence. */
export function sayIdentity(
  known: ResidentState['identity'],
  register: Register | null,
  { today, resident }: Pick<Teller, 'today' | 'resident'>,
): string {
  const { origin, parents = [], marks, chip, pale, permits = [] } = known ?? {}
  return [
    ...(register ? sayBegin(register, today) : []),
    ...(origin === undefined ? [] : [terms.origin[origin]]),
    ...(parents.length > 0 ? [t('youngOf', { names: sayAll(parents.map(resident)) })] : []),
    ...(marks === undefined ? [] : [marks]),
    ...(pale ? [t('pale')] : []),
    ...(chip === undefined ? [] : [t('chip', { chip })]),
    ...permits.map(({ number, until }) =>
      until === null ? t('licence', { number }) : t('licenceUntil', { number, date: sayDate(until, today) }),
    ),
  ].join(' · ')
}
