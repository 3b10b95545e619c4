import type { Day, Explanation, Fact, WeightAhead } from '@kobrin/core'

/** Colours of the theme in force, read from the page. */
export interface Palette {
  ink: string
  soft: string
  line: string
  glass: string
  focus: string
  held: string
  late: string
  done: string
  wash: string
  hatch: string
}

export interface LifelineInput {
  facts: readonly Fact[]
  /** Null until it is worked out, and where there is none. */
  weightAhead: WeightAhead | null
  skinWindow: { from: Day; to: Day } | null
  /** What may explain refusals. */
  explained: readonly Explanation[]
  /** Somebody else's weights, laid over. */
  other: { name: string; facts: readonly Fact[] } | null
  /** The growth curve and what the sheet expects are drawn. */
  growth: boolean
  today: Day
  nowMs: number
  palette: Palette
  /** What a mark says when pointed at. */
  say: (uid: string) => string
  narrow: boolean
}

/** [when, height in its lane or grams, the entry it stands for, what is written on it] */
export type Point = [number, number | string, string, string?]

export const DAY_MS = 86_400_000
export type Grid = 0 | 1 | 2

export function at(fact: Fact): number {
  return Date.parse(fact.occurredAt)
}

export function pointsOf(facts: readonly Fact[], height: (fact: Fact) => number | string | null): Point[] {
  return facts.flatMap((fact): Point[] => {
    const y = height(fact)
    return y === null ? [] : [[at(fact), y, fact.uid]]
  })
}

export function marks(
  grid: Grid,
  name: string,
  data: Point[],
  style: { itemStyle: object } & Record<string, unknown>,
): object {
  return {
    type: 'scatter',
    name,
    xAxisIndex: grid,
    yAxisIndex: grid,
    data,
    progressive: 4000,
    animation: false,
    ...style,
    itemStyle: { opacity: 1, ...style.itemStyle },
  }
}
