import type { Hold, Plan, Quarantine, Sheet } from '@kobrin/core'
import { isForStage, roomLimits, zonesNow } from '@kobrin/core'
import { words } from '../words/en.ts'
import { sayDate } from '../words/numbers.ts'
import { sayIn } from '../words/measures.ts'
import { t } from './words.ts'

/** What a card on the door says of one resident to anyone who stands before it. */
export interface DoorCard {
  /** What stops a hand: quarantine, who may, how many, and what is to be left in peace. */
  stops: string[]
  /** What harms, wherever it goes in there; null where nothing is said. */
  limits: string | null
  cautions: readonly string[]
  /** What is never offered, or never done. */
  never: readonly string[]
  /** Signs for which nobody waits. */
  urgent: Pick<Sheet['signs'][number], 'sign' | 'first'>[]
}

interface OnTheDoor {
  plan: Plan
  sheet: Pick<Sheet, 'signs' | 'competence' | 'people'>
  quarantine: Quarantine | null
  holds: readonly Hold[]
  today: number
}

function sayLimits(ceiling: number | null, neverBelow: number | null): string | null {
  const said = [
    ...(neverBelow === null ? [] : [t('belowC', { neverBelow: sayIn(neverBelow, '°C') })]),
    ...(ceiling === null ? [] : [t('aboveC', { ceiling: sayIn(ceiling, '°C') })]),
  ]
  return said.length === 0 ? null : t('never2', { said: said.join(' or ') })
}

/** The card of one resident on a day. */
export function doorCardOf({ plan, sheet, quarantine, holds, today }: OnTheDoor): DoorCard {
  const inPairs = plan.duties
    .filter(({ people }) => people === 2)
    .map(({ label, does }) => label ?? words.duty[does])
  const now = zonesNow(
    plan.targets,
    holds.map(({ hold }) => hold),
  )
  const { ceiling, neverBelow } = roomLimits(now)
  return {
    stops: [
      ...(quarantine ? [t('quarantineUntilAtLeast', { date: sayDate(quarantine.until, today) })] : []),
      ...(sheet.competence ? [t('onlyForSomebodyCleared', { competence: sheet.competence })] : []),
      ...(sheet.people === 2 ? [t('neverAloneTwoPeople')] : []),
      ...(sheet.people !== 2 && inPairs.length > 0 ? [t('twoPeople', { inPairs: inPairs.join('; ') })] : []),
      ...holds.map(({ hold, since }) =>
        t('sinceLeaveItIn', { hold: words.hold[hold], date: sayDate(since, today) }),
      ),
    ],
    limits: sayLimits(ceiling, neverBelow),
    cautions: plan.cautions,
    never: plan.never ?? [],
    urgent: sheet.signs
      .filter((one) => one.severity === 'urgent' && isForStage(one, plan.stage))
      .map(({ sign, first }) => ({ sign, ...(first !== undefined && { first }) })),
  }
}
