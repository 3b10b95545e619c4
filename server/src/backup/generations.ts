/** How many of a kind are kept besides: nights, weeks, months. */
export const KEPT = { days: 7, weeks: 5, months: 12 } as const

const DAY_MS = 86_400_000
/** 1 January 1970 was a Thursday: weeks begin on Mondays. */
const MONDAY_OFFSET = 3

function slotsOf(at: string): { days: string; weeks: string; months: string } {
  const day = Math.floor(Date.parse(at) / DAY_MS)
  return { days: String(day), weeks: String(Math.floor((day + MONDAY_OFFSET) / 7)), months: at.slice(0, 7) }
}

/** Of backups by their moment, ISO 8601 UTC, those that are kept: the last of each of the last seven days, five weeks
 * and twelve months on which there are any. A house that was shut for a month loses none by it. */
export function keptOf(moments: readonly string[]): Set<string> {
  const kept = new Set<string>()
  const latestFirst = [...moments].sort().reverse()
  for (const kind of ['days', 'weeks', 'months'] as const) {
    const slots = new Set<string>()
    for (const at of latestFirst) {
      const slot = slotsOf(at)[kind]
      if (slots.has(slot) || slots.size === KEPT[kind]) continue
      slots.add(slot)
      kept.add(at)
    }
  }
  return kept
}
