import type { Box } from '../../facts/enclosures/box.ts'
import { litresOf } from '../../facts/enclosures/box.ts'
import { countOf } from '../../facts/count/howMany.ts'
import type { ResidentState } from '../../facts/residents/residentState.ts'
import type { Plan } from '../../plans/plan/plan.ts'
import { fromSheet } from '../../plans/plan/source.ts'
import type { Housing } from '../../plans/sheet/housing.ts'
import type { Severity } from '../../facts/health/severity.ts'
import type { Verdict } from '../verdicts/verdict.ts'

/** Up to so many are counted one by one; of more a count is good to so much either way. */
const COUNTED_EXACTLY = 30
const ABOUT = 0.15

/** Between how many there are, where so many were counted. */
export function countRange(count: number): [number, number] {
  if (count <= COUNTED_EXACTLY) return [count, count]
  return [Math.round(count * (1 - ABOUT)), Math.round(count * (1 + ABOUT))]
}

export interface Room {
  /** From so many on they are crowded. */
  crowded: number
  by: 'floor' | 'litres'
}

/** How many a box has room for, by its litres or by its floor: what is shorter counts. */
export function roomFor(box: Box, { perLitre, per100Cm2 }: NonNullable<Housing['numbers']>): Room {
  const litres = litresOf(box)
  const floor = (box.widthMm * box.depthMm) / 10_000
  const [byLitres, byFloor] = [perLitre[1] * litres, per100Cm2[1] * floor]
  return {
    crowded: Math.min(byLitres, byFloor),
    by: byFloor < byLitres ? 'floor' : 'litres',
  }
}

/** How grave it is that so many live in a room: to act on where even the fewest they may be are too many. Null where
 * they have room. */
export function crowdedness([low, high]: readonly [number, number], { crowded }: Room): Severity | null {
  if (low > crowded) return 'act'
  return (low + high) / 2 > crowded ? 'watch' : null
}

/** Whether a colony is too many for its box, or fewer than a start of them takes. Nothing of one that nobody counted. */
export function crowding({ plan, state, box }: { plan: Plan; state: ResidentState; box: Box }): Verdict[] {
  const numbers = plan.housing?.numbers
  const animals = countOf(state)
  if (!numbers || animals === null || plan.lives !== 'colony') return []
  const range = countRange(animals)
  const room = roomFor(box, numbers)
  const because = [{ rule: 'numbers', ...numbers } as const, { source: fromSheet(plan) }]
  const severity = crowdedness(range, room)
  if (severity)
    return [
      {
        severity,
        what: {
          code: 'crowded',
          animals,
          range: range[0] === range[1] ? null : range,
          room: Math.floor(room.crowded),
          by: room.by,
        },
        because,
      },
    ]
  if (animals >= numbers.start) return []
  return [
    {
      severity: 'info',
      what: { code: 'crowded', animals, range: null, room: numbers.start, by: 'start' },
      because,
    },
  ]
}
