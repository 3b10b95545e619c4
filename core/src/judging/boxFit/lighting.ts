import { longSideMm } from '../../facts/enclosures/box.ts'
import { uvbFor } from './uvbFor.ts'
import type { Finding, FitInput } from './finding.ts'

/** Tubes fade long before they go dark: common practice is to replace them within a year. */
const TUBE_DAYS = 365

/** The ultraviolet tube: its length over the enclosure's, its distance, its age. */
export function lighting({ light, build, box, sources, day }: FitInput): Finding[] {
  const uvb = light?.uvb
  if (!uvb) return []
  const source = sources?.['uvb']
  const from = source ? { source } : {}
  const tubes = build.lamps.filter(({ what }) => what === 'uvb')
  if (tubes.length === 0) return [{ code: 'noUvb', severity: 'act', ...from }]
  const { tubeMm, distanceMm: allowed } = uvbFor(uvb, longSideMm(box), 0)
  const [shortest, longest] = tubeMm
  const [near, far] = allowed
  return tubes.flatMap(({ lengthMm, distanceMm, fittedOn }): Finding[] => {
    const findings: Finding[] = []
    if (lengthMm !== undefined && lengthMm < shortest)
      findings.push({ code: 'uvbShort', severity: 'watch', needs: shortest, has: lengthMm, ...from })
    if (lengthMm !== undefined && lengthMm > longest)
      findings.push({ code: 'uvbLong', severity: 'watch', needs: longest, has: lengthMm, ...from })
    if (distanceMm !== undefined && distanceMm > far)
      findings.push({ code: 'uvbFar', severity: 'watch', needs: far, has: distanceMm, ...from })
    if (distanceMm !== undefined && distanceMm < near)
      findings.push({ code: 'uvbNear', severity: 'act', needs: near, has: distanceMm, ...from })
    if (fittedOn !== undefined && day - fittedOn > TUBE_DAYS)
      findings.push({ code: 'uvbOld', severity: 'watch', needs: TUBE_DAYS, has: day - fittedOn })
    return findings
  })
}
