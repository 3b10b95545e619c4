import * as z from 'zod/mini'

export const GrowthModel = z.enum(['logistic', 'gompertz', 'vonBertalanffy'])
export type GrowthModel = z.infer<typeof GrowthModel>

/** A growth curve: what it grows towards, how fast per day, and the day its shape is placed by. */
export interface Curve {
  model: GrowthModel
  A: number
  k: number
  t0: number
}

/** The share of A that is reached, of `z = −k(t − t0)`, and its derivative by z. */
interface Shape {
  at: (z: number) => number
  slope: (z: number) => number
  /** The z at which a share of A is reached; NaN where it never is. */
  inverse: (share: number) => number
}

function sigmoid(z: number): number {
  return z > 0 ? Math.exp(-z) / (1 + Math.exp(-z)) : 1 / (1 + Math.exp(z))
}

/** All three written as A·shape(−k(t − t0)): logistic (Verhulst, 1838), Gompertz (Winsor, 1932), von Bertalanffy
 * for length (1938). */
export const SHAPES: Readonly<Record<GrowthModel, Shape>> = {
  logistic: {
    at: sigmoid,
    slope: (z) => -sigmoid(z) * sigmoid(-z),
    inverse: (share) => Math.log(1 / share - 1),
  },
  gompertz: {
    at: (z) => Math.exp(-Math.exp(z)),
    slope: (z) => -Math.exp(z - Math.exp(z)),
    inverse: (share) => Math.log(-Math.log(share)),
  },
  vonBertalanffy: {
    at: (z) => -Math.expm1(z),
    slope: (z) => -Math.exp(z),
    inverse: (share) => Math.log1p(-share),
  },
}

/** Value of a curve on a day, in the unit of its points. */
export function valueOn({ model, A, k, t0 }: Curve, day: number): number {
  return A * SHAPES[model].at(-k * (day - t0))
}

/** By A, k and t0. */
export function gradientOn({ model, A, k, t0 }: Curve, day: number): [number, number, number] {
  const { at, slope } = SHAPES[model]
  const z = -k * (day - t0)
  const steep = slope(z)
  return [at(z), -A * steep * (day - t0), A * steep * k]
}

/** The day on which a curve reaches a value; null where it never does. */
export function dayReached({ model, A, k, t0 }: Curve, value: number): number | null {
  const day = t0 - SHAPES[model].inverse(value / A) / k
  return Number.isFinite(day) ? day : null
}
