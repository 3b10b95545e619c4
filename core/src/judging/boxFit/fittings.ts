import { floorDepthMm } from '../../facts/enclosures/box.ts'
import type { Build } from '../../facts/enclosures/build.ts'
import { roomLimits, zonesNow } from '../../plans/sheet/climate.ts'
import type { ZoneTarget } from '../../plans/sheet/climate.ts'
import type { Range } from '../../basics/range.ts'
import type { Finding, FitInput } from './finding.ts'

function count(build: Build, ...what: Build['furniture'][number]['what'][]): number {
  return build.furniture.filter((piece) => what.includes(piece.what)).length
}

function missing({ housing, build, sources }: FitInput): Finding[] {
  const from = (field: string): Pick<Finding, 'source'> => {
    const source = sources?.[field]
    return source ? { source } : {}
  }
  const findings: Finding[] = []
  const hides = count(build, 'hide', 'dampHide')
  if (housing?.hides !== undefined && hides < housing.hides)
    findings.push({ code: 'fewHides', severity: 'watch', needs: housing.hides, has: hides, ...from('hides') })
  if (housing?.lock && !build.lock) findings.push({ code: 'noLock', severity: 'act', ...from('lock') })
  if (housing?.meshMm !== undefined && build.meshMm !== undefined && build.meshMm > housing.meshMm)
    findings.push({
      code: 'meshWide',
      severity: 'act',
      needs: housing.meshMm,
      has: build.meshMm,
      ...from('meshMm'),
    })
  if (housing?.climbing && count(build, 'climbing', 'perch') === 0)
    findings.push({ code: 'noClimbing', severity: 'watch', ...from('climbing') })
  if (housing?.bowl && count(build, 'bowl') === 0)
    findings.push({ code: 'noBowl', severity: 'watch', ...from('bowl') })
  if (housing?.crew && build.crew.length === 0)
    findings.push({ code: 'noCrew', severity: 'info', ...from('crew') })
  return findings
}

/** What the room lacks of warmth, °C: by day of the warmest place that is wanted, by night of the coolest. Null
 * when it is warm enough. */
function lacking(
  targets: readonly ZoneTarget[],
  neverBelow: number | null,
  [coldest, warmest]: Range,
): { needs: number; has: number } | null {
  const byDay = Math.max(...targets.flatMap(({ celsius }) => celsius?.[0] ?? []))
  if (byDay > warmest) return { needs: byDay, has: warmest }
  const nights = targets.flatMap(({ nightCelsius }) => nightCelsius?.[0] ?? [])
  const byNight = Math.max(neverBelow ?? -Infinity, nights.length > 0 ? Math.min(...nights) : -Infinity)
  return byNight > coldest ? { needs: byNight, has: coldest } : null
}

/** Less than that is made up by another shelf or a warmer room, °C. */
const WORTH_A_HEATER = 2
/** Where the room comes so near to what harms, a heater that sticks kills within the hour, °C. */
const NEAR_ITS_CEILING = 4
/** And where so little lies between what is wanted and what harms, it need not even stick, °C. */
const NARROW = 3

/** The warmest that is wanted of all that surrounds it, °C. */
function wantedAround(targets: readonly ZoneTarget[]): number {
  return Math.max(
    ...targets.flatMap(({ measures, celsius }) => (measures === 'surface' ? [] : (celsius?.[0] ?? []))),
  )
}

/** A heater where so much is missing that nothing milder makes it up, and where it cannot do worse. */
function warmthFor(
  lack: { needs: number; has: number },
  { ceiling, wanted, warmest }: { ceiling: number | null; wanted: number; warmest: number },
): Finding {
  const isFar = lack.needs - lack.has >= WORTH_A_HEATER
  const isSafe = ceiling === null || (ceiling - warmest >= NEAR_ITS_CEILING && ceiling - wanted >= NARROW)
  return isFar && isSafe
    ? { code: 'noHeat', severity: 'act', ...lack }
    : { code: 'coolRoom', severity: 'watch', ...lack }
}

/** The room against the climate that is wanted: day against day, night against night, and what harms. */
function climate({ targets = [], coolLoving = false, holds, build, roomCelsius }: FitInput): Finding[] {
  if (!roomCelsius) return []
  const now = zonesNow(targets, holds)
  const { ceiling, neverBelow } = roomLimits(now)
  const [coldest, warmest] = roomCelsius
  const findings: Finding[] = []
  const warmed = build.heaters.length > 0 || build.lamps.some(({ what }) => what === 'basking')
  if (coolLoving) {
    if (neverBelow !== null && coldest < neverBelow)
      findings.push({ code: 'roomTooCold', severity: 'act', needs: neverBelow, has: coldest })
  } else if (!warmed) {
    const lack = lacking(now, neverBelow, roomCelsius)
    if (lack) findings.push(warmthFor(lack, { ceiling, wanted: wantedAround(now), warmest }))
  }
  if (ceiling !== null && warmest >= ceiling)
    findings.push({ code: 'roomTooWarm', severity: 'act', needs: ceiling, has: warmest })
  return findings
}

const MAT = /\bmats?\b/i
/** Under a deeper floor a mat does not warm what lies on top, and burns what digs down to it, mm. */
const DEEP_FOR_A_MAT = 30

function heaters({ build }: FitInput): Finding[] {
  const depth = floorDepthMm(build) ?? 0
  return build.heaters.flatMap(({ what, thermostat }): Finding[] => [
    ...(thermostat ? [] : [{ code: 'noThermostat', severity: 'act', what } as const]),
    ...(MAT.test(what) && depth > DEEP_FOR_A_MAT
      ? [{ code: 'matUnderFloor', severity: 'act', what, needs: DEEP_FOR_A_MAT, has: depth } as const]
      : []),
  ])
}

/** Lamps that warm burn what climbs to them, and stick like any heater. */
function lamps({ build }: FitInput): Finding[] {
  return build.lamps
    .filter(({ what }) => what === 'basking')
    .flatMap(({ guard, thermostat }): Finding[] => [
      ...(guard === false ? [{ code: 'noGuard', severity: 'act' } as const] : []),
      ...(thermostat === false ? [{ code: 'noThermostat', severity: 'act' } as const] : []),
      ...(guard === undefined || thermostat === undefined
        ? [{ code: 'lampUnsaid', severity: 'info' } as const]
        : []),
    ])
}

function wear({ build, day }: FitInput): Finding[] {
  return build.parts.flatMap(({ what, defect, replaceBy }): Finding[] => {
    if (defect) return [{ code: 'defect', severity: 'watch', what: `${what}: ${defect}` }]
    return replaceBy !== undefined && replaceBy <= day
      ? [{ code: 'replaceDue', severity: 'watch', what }]
      : []
  })
}

/** Furniture, locks, heat and what is broken. */
export function fittings(input: FitInput): Finding[] {
  return [...missing(input), ...heaters(input), ...lamps(input), ...climate(input), ...wear(input)]
}
