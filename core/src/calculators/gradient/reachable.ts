import type { Range } from '../../basics/range.ts'

export interface Reachable {
  /** Temperatures its middle can come to, °C, cool to warm. */
  celsius: Range
  /** Share of the wanted range within those. */
  share: number
  bodyLengths: number
}

/** What part of a straight-line gradient an animal can use: its middle comes no nearer to either end
 * than half its length. Null when it is longer than the enclosure, or there is no range to share. */
export function reachable(
  lengthMm: number,
  bodyMm: number,
  coolCelsius: number,
  warmCelsius: number,
  wanted: Range,
): Reachable | null {
  if (bodyMm > lengthMm || warmCelsius < coolCelsius || wanted[1] < wanted[0]) return null
  const margin = ((warmCelsius - coolCelsius) * bodyMm) / (2 * lengthMm)
  const celsius: Range = [coolCelsius + margin, warmCelsius - margin]
  const overlap = Math.min(celsius[1], wanted[1]) - Math.max(celsius[0], wanted[0])
  const width = wanted[1] - wanted[0]
  const share = width > 0 ? Math.max(0, overlap) / width : Number(overlap >= 0)
  return { celsius, share, bodyLengths: lengthMm / bodyMm }
}
