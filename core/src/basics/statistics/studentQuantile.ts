import { lnStudentDensity, lnStudentSurvival } from './student.ts'

/** Beyond e^700 nothing can be written. */
const FURTHEST = 700
const STEPS = 200

/** The x whose ln P(X > x) is given, for ln P < 0. Newton's method on asinh x, kept within a bracket that only
 * shrinks. Infinite where it lies beyond what can be written. */
export function studentAtLnSurvival(lnP: number, nu: number): number {
  let [low, high] = [-FURTHEST, FURTHEST]
  let w = 0
  for (let step = 0; step < STEPS && high - low > 1e-15 * Math.max(1, Math.abs(w)); step += 1) {
    const x = Math.sinh(w)
    const here = lnStudentSurvival(x, nu)
    if (here > lnP) low = w
    else high = w
    const slope = -Math.exp(lnStudentDensity(x, nu) - here) * Math.cosh(w)
    const next = w - (here - lnP) / slope
    const settled = Math.abs(next - w) <= 1e-16 * Math.max(1, Math.abs(w))
    if (settled) return Math.sinh(next)
    w = next > low && next < high ? next : (low + high) / 2
  }
  if (w > FURTHEST - 1) return Infinity
  if (w < 1 - FURTHEST) return -Infinity
  return Math.sinh(w)
}

/** The x below which a share `p` of (0, 1) lies. */
export function studentQuantile(p: number, nu: number): number {
  return p <= 0.5 ? -studentAtLnSurvival(Math.log(p), nu) : studentAtLnSurvival(Math.log1p(-p), nu)
}
