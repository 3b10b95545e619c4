import type { Build } from '../enclosure/build.ts'
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

/** The warmest place the plan asks for and the lowest temperature that harms. */
function heat({ targets = [], build, roomCelsius }: FitInput): Finding[] {
  const findings: Finding[] = build.heaters
    .filter(({ thermostat }) => !thermostat)
    .map(({ what }) => ({ code: 'noThermostat', severity: 'act', what }))
  if (!roomCelsius) return findings
  const [coldest, warmest] = roomCelsius
  const warmed = build.heaters.length > 0 || build.lamps.some(({ what }) => what === 'basking')
  const wanted = Math.max(...targets.flatMap(({ celsius }) => celsius?.[0] ?? []))
  if (Number.isFinite(wanted) && wanted > coldest && !warmed)
    findings.push({ code: 'noHeat', severity: 'act', needs: wanted, has: coldest })
  const ceiling = Math.min(...targets.flatMap(({ ceilingCelsius }) => ceilingCelsius ?? []))
  if (Number.isFinite(ceiling) && warmest >= ceiling)
    findings.push({ code: 'roomTooWarm', severity: 'act', needs: ceiling, has: warmest })
  return findings
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
  return [...missing(input), ...heat(input), ...wear(input)]
}
