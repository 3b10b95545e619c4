const LN_2 = Math.LN2
/** From here on Stirling's series is good to the last digit. */
const STIRLING_FROM = 16
/** Where a continued fraction has converged, and when to give up on it. */
const CONVERGED = 1e-16
const MOST_TERMS = 100_000
const TINY = 1e-300

/** What Stirling's formula leaves of ln Γ(z): Abramowitz and Stegun, Handbook of Mathematical Functions, 6.1.41. */
function stirlingRest(z: number): number {
  const w = 1 / (z * z)
  return (1 / 12 + w * (-1 / 360 + w * (1 / 1260 + w * (-1 / 1680 + w * (1 / 1188))))) / z
}

/** ln Γ(a + ½) − ln Γ(a) for a > 0, without the cancellation of two large numbers. */
export function lnGammaHalfStep(a: number): number {
  let ratio = 0
  let z = a
  for (; z < STIRLING_FROM; z += 1) ratio += Math.log(z / (z + 0.5))
  return ratio + z * Math.log1p(0.5 / z) + Math.log(z) / 2 - 0.5 + stirlingRest(z + 0.5) - stirlingRest(z)
}

/** Continued fraction of the incomplete beta function by Lentz's method: NIST Digital Library of Mathematical
 * Functions, 8.17.22. Converges where z < (a + 1)/(a + b + 2). */
function betaFraction(z: number, a: number, b: number): number {
  let c = 1
  let d = 1 - ((a + b) * z) / (a + 1)
  d = 1 / (Math.abs(d) < TINY ? TINY : d)
  let h = d
  for (let m = 1; m <= MOST_TERMS; m += 1) {
    const m2 = 2 * m
    for (const term of [
      (m * (b - m) * z) / ((a + m2 - 1) * (a + m2)),
      (-(a + m) * (a + b + m) * z) / ((a + m2) * (a + m2 + 1)),
    ]) {
      d = 1 + term * d
      d = 1 / (Math.abs(d) < TINY ? TINY : d)
      c = 1 + term / c
      if (Math.abs(c) < TINY) c = TINY
      h *= d * c
    }
    if (Math.abs(d * c - 1) < CONVERGED) break
  }
  return h
}

/** ln of the density of Student's t with `nu` > 0 degrees of freedom. */
export function lnStudentDensity(x: number, nu: number): number {
  return lnGammaHalfStep(nu / 2) - Math.log(Math.PI * nu) / 2 - ((nu + 1) / 2) * lnOnePlusSquare(x, nu)
}

/** ln(1 + x²/nu), also where x² is beyond what can be written. */
function lnOnePlusSquare(x: number, nu: number): number {
  const square = (x / nu) * x
  return Number.isFinite(square) ? Math.log1p(square) : 2 * Math.log(Math.abs(x)) - Math.log(nu)
}

function lnUpperHalf(x: number, nu: number): number {
  if (x === 0) return -LN_2
  if (x === Infinity) return -Infinity
  const a = nu / 2
  const lnZ = -lnOnePlusSquare(x, nu)
  const lnRest = 2 * Math.log(x) - Math.log(nu) + lnZ
  const lnBeta = Math.log(Math.PI) / 2 - lnGammaHalfStep(a)
  const z = Math.exp(lnZ)
  if (z < (a + 1) / (a + 2.5)) {
    return -LN_2 + a * lnZ + lnRest / 2 - Math.log(a) - lnBeta + Math.log(betaFraction(z, a, 0.5))
  }
  const within = 2 * Math.exp(lnRest / 2 + a * lnZ - lnBeta) * betaFraction(Math.exp(lnRest), 0.5, a)
  return Math.log1p(-within) - LN_2
}

/** ln P(X > x) for Student's t with `nu` > 0 degrees of freedom: right in both far tails, where the probability
 * itself is beyond what can be written. */
export function lnStudentSurvival(x: number, nu: number): number {
  return x >= 0 ? lnUpperHalf(x, nu) : Math.log1p(-Math.exp(lnUpperHalf(-x, nu)))
}

/** P(X ≤ x). */
export function studentCdf(x: number, nu: number): number {
  return Math.exp(lnStudentSurvival(-x, nu))
}
