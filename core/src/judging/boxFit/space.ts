import { floorDepthMm, litresOf, longSideMm } from '../../facts/enclosures/box.ts'
import type { BodyPart } from '../../facts/growth/growthState.ts'
import type { Housing } from '../../plans/sheet/housing.ts'
import { countRange, crowdedness, roomFor } from './crowding.ts'
import type { Finding, FitCode, FitInput } from './finding.ts'

type Side = 'lengthMm' | 'depthMm' | 'heightMm'

const SIDES: readonly { side: Side; code: FitCode; grows: 'length' | 'depth' | 'height' }[] = [
  { side: 'lengthMm', code: 'short', grows: 'length' },
  { side: 'depthMm', code: 'narrow', grows: 'depth' },
  { side: 'heightMm', code: 'low', grows: 'height' },
]

/** The longer side of the floor is its length, whichever way it stands. */
function sidesOf({ box }: FitInput): Record<Side, number> {
  return {
    lengthMm: longSideMm(box),
    depthMm: Math.min(box.widthMm, box.depthMm),
    heightMm: box.heightMm,
  }
}

function sourced(input: FitInput, field: string): Pick<Finding, 'source'> {
  const source = input.sources?.[field]
  return source ? { source } : {}
}

function minima(input: FitInput): Finding[] {
  const { housing, tenant } = input
  const there = sidesOf(input)
  const grown = housing?.times
  const measured = grown && tenant.sizes[grown.part]
  return SIDES.flatMap(({ side, code, grows }): Finding[] => {
    const times = grown?.[grows]
    const byAnimal = times !== undefined && measured !== undefined ? times * measured : 0
    const fixed = housing?.[side] ?? 0
    const needs = Math.max(fixed, byAnimal)
    if (there[side] >= needs) return []
    const because =
      byAnimal > fixed && grown && times !== undefined
        ? { part: grown.part, times, ...sourced(input, 'times') }
        : sourced(input, side)
    return [{ code, severity: 'act', needs, has: there[side], ...because }]
  })
}

/** What of the animal its housing is measured by. */
export function partsAsked(housing: Housing | undefined): BodyPart[] {
  const asked = [housing?.times?.part, housing?.freeBelowPerch?.part, housing?.fall?.part].filter(
    (part) => part !== undefined,
  )
  return [...new Set<BodyPart>(asked)]
}

function unmeasured({ housing, tenant }: FitInput): Finding[] {
  return partsAsked(housing)
    .filter((part) => tenant.sizes[part] === undefined)
    .map((part) => ({ code: 'unmeasured', severity: 'info', part }))
}

function stretch(input: FitInput): Finding[] {
  const length = input.tenant.sizes.length
  const warm = (input.targets ?? []).filter(({ celsius }) => celsius !== undefined)
  const { lengthMm } = sidesOf(input)
  if (length === undefined || warm.length < 2 || length <= lengthMm) return []
  return [
    { code: 'cannotStretch', severity: 'watch', needs: length, has: lengthMm, part: 'length', times: 1 },
  ]
}

/** Whether there is enough for each of a group. */
function forEach(
  input: FitInput,
  field: 'floorPerAnimalCm2' | 'litresPerAnimal',
  code: FitCode,
  has: number,
): Finding[] {
  const each = input.housing?.[field]
  if (each === undefined) return []
  const needs = each * input.tenant.count
  return has >= needs ? [] : [{ code, severity: 'act', needs, has, ...sourced(input, field) }]
}

/** Those kept in numbers, as their sheet says how many a litre and a floor bear. */
function inNumbers({ box, housing, tenant }: FitInput): Finding[] | null {
  const numbers = housing?.numbers
  if (!numbers) return null
  const room = roomFor(box, numbers)
  const severity = crowdedness(tenant.range ?? countRange(tenant.count), room)
  if (severity) return [{ code: 'tooMany', severity, needs: Math.floor(room.crowded), has: tenant.count }]
  if (tenant.count >= numbers.start) return []
  return [{ code: 'tooFew', severity: 'info', needs: numbers.start, has: tenant.count }]
}

function crowding(input: FitInput): Finding[] {
  const { box } = input
  const counted = inNumbers(input)
  if (counted) return counted
  return [
    ...forEach(input, 'floorPerAnimalCm2', 'crowded', (box.widthMm * box.depthMm) / 100),
    // Water to swim in, or room to climb in.
    ...forEach(input, 'litresPerAnimal', 'fewLitres', litresOf(box)),
  ]
}

/** A heavy ground dweller climbs its walls and falls: the height above the floor has an end. Where nobody wrote
 * down how deep the floor is, all of the height counts. */
function falling(input: FitInput): Finding[] {
  const rule = input.housing?.fall
  if (!rule) return []
  const { mm, part, times } = rule
  const size = part && input.tenant.sizes[part]
  const byAnimal = size !== undefined && times !== undefined ? size * times : Infinity
  const needs = Math.min(mm, byAnimal)
  const has = input.box.heightMm - (floorDepthMm(input.build) ?? 0)
  if (has <= needs) return []
  const grown = byAnimal < mm && part && times !== undefined ? { part, times } : {}
  return [{ code: 'fallsFar', severity: 'act', needs, has, ...grown, ...sourced(input, 'fall') }]
}

function tooLarge(input: FitInput): Finding[] {
  const limit = input.housing?.notLarger
  if (!limit) return []
  const outgrown = limit.untilCount !== undefined && input.tenant.count >= limit.untilCount
  const has = litresOf(input.box)
  if (outgrown || has <= limit.litres) return []
  const { untilCount: until } = limit
  return [
    {
      code: 'tooLarge',
      severity: until === undefined ? 'watch' : 'act',
      needs: limit.litres,
      has,
      ...(until !== undefined && { until }),
      ...sourced(input, 'notLarger'),
    },
  ]
}

function floor(input: FitInput): Finding[] {
  const needs = input.housing?.floorDepthMm?.[0] ?? 0
  if (needs <= 0) return []
  const has = floorDepthMm(input.build)
  const from = sourced(input, 'floorDepthMm')
  if (has === null) return [{ code: 'floorUnknown', severity: 'info', needs, has, ...from }]
  return has < needs ? [{ code: 'floorShallow', severity: 'act', needs, has, ...from }] : []
}

/** An animal that hangs to molt falls and loses limbs where there is no height below it. */
function hanging(input: FitInput): Finding[] {
  const rule = input.housing?.freeBelowPerch
  const size = rule && input.tenant.sizes[rule.part]
  if (!rule || size === undefined) return []
  const perches = input.build.furniture.flatMap(({ what, freeBelowMm }) =>
    (what === 'perch' || what === 'climbing') && freeBelowMm !== undefined ? [freeBelowMm] : [],
  )
  const least = rule.times[0] * (rule.grows ?? 1)
  const needs = least * size
  const from = { part: rule.part, times: least, ...sourced(input, 'freeBelowPerch') }
  if (perches.length === 0) {
    // Nobody measured a perch: the ceiling is the most there can be.
    const free = input.box.heightMm - (floorDepthMm(input.build) ?? 0)
    return free >= needs
      ? [{ code: 'noPerch', severity: 'watch', needs, ...from }]
      : [{ code: 'hangsTooLow', severity: 'act', needs, has: free, ...from }]
  }
  const has = Math.max(...perches)
  return has < needs ? [{ code: 'hangsTooLow', severity: 'act', needs, has, ...from }] : []
}

/** Room to live, dig, hang and stretch in. */
export function space(input: FitInput): Finding[] {
  return [
    ...minima(input),
    ...unmeasured(input),
    ...stretch(input),
    ...crowding(input),
    ...falling(input),
    ...tooLarge(input),
    ...floor(input),
    ...hanging(input),
  ]
}
