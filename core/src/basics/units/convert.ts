/** Exact by definition: the international inch and pound (1959), the US gallon (231 cubic inches). */
const FACTORS = {
  length: { mm: 1, cm: 10, m: 1000, in: 25.4, ft: 304.8 },
  mass: { mg: 0.001, g: 1, kg: 1000, oz: 28.349523125, lb: 453.59237 },
  volume: { ml: 1, l: 1000, 'fl oz US': 29.5735295625, 'qt US': 946.352946, 'gal US': 3785.411784 },
} as const

const TEMPERATURES = ['°C', '°F'] as const

export type Unit =
  { [K in keyof typeof FACTORS]: keyof (typeof FACTORS)[K] }[keyof typeof FACTORS] | '°C' | '°F'

/** Every unit by what it measures. */
export const UNITS: Readonly<Record<string, readonly Unit[]>> = {
  ...(Object.fromEntries(
    Object.entries(FACTORS).map(([kind, units]) => [kind, Object.keys(units)]),
  ) as Record<string, Unit[]>),
  temperature: TEMPERATURES,
}

function factorOf(unit: Unit): { kind: string; factor: number } | null {
  for (const [kind, units] of Object.entries(FACTORS)) {
    const factor = (units as Partial<Record<Unit, number>>)[unit]
    if (factor !== undefined) return { kind, factor }
  }
  return null
}

/** A value in another unit, by exact factors. Null when the units measure different things. */
export function convert(value: number, from: Unit, to: Unit): number | null {
  if (from === to) return value
  if (from === '°F' && to === '°C') return ((value - 32) * 5) / 9
  if (from === '°C' && to === '°F') return (value * 9) / 5 + 32
  const [source, target] = [factorOf(from), factorOf(to)]
  if (!source || !target || source.kind !== target.kind) return null
  return (value * source.factor) / target.factor
}
