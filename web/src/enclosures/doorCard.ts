import type { Hold, Plan, Quarantine, Sheet } from '@kobrin/core'
import { isForStage, roomLimits, zonesNow } from '@kobrin/core'
import { words } from '../words/en.ts'
import { sayDate } from '../words/numbers.ts'

/** What a card on the door says of one resident to whoever stands before it. */
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

interface Told {
  plan: Plan
  sheet: Pick<Sheet, 'signs' | 'competence' | 'people'>
  quarantine: Quarantine | null
  holds: readonly Hold[]
  today: number
}

function sayLimits(ceiling: number | null, neverBelow: number | null): string | null {
  const said = [
    ...(neverBelow === null ? [] : [`below ${neverBelow} °C`]),
    ...(ceiling === null ? [] : [`above ${ceiling} °C`]),
  ]
  return said.length === 0 ? null : `Never ${said.join(' or ')}`
}

/** The card of one resident on a day. */
export function doorCardOf({ plan, sheet, quarantine, holds, today }: Told): DoorCard {
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
      ...(quarantine
        ? [
            `Quarantine until ${sayDate(quarantine.until, today)} at least: last on the round, own gloves and tools`,
          ]
        : []),
      ...(sheet.competence ? [`Only for somebody cleared for ${sheet.competence}`] : []),
      ...(sheet.people === 2 ? ['Never alone: two people'] : []),
      ...(sheet.people !== 2 && inPairs.length > 0 ? [`Two people: ${inPairs.join('; ')}`] : []),
      ...holds.map(
        ({ hold, since }) => `${words.hold[hold]} since ${sayDate(since, today)}: leave it in peace`,
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
