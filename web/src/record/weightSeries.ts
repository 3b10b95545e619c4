import type { Day, Fact, WeightAhead, WeightBand } from '@kobrin/core'
import { numberHere, sayGrams, unitHere } from '../words/measures.ts'
import type { LifelineInput, Palette, Point } from './lifelineDrawing.ts'
import { DAY_MS, marks, pointsOf } from './lifelineDrawing.ts'
import { t } from './words.ts'

export function weightPoints(facts: readonly Fact[], are: (uid: string) => boolean): Point[] {
  return pointsOf(facts, (fact) =>
    fact.kind === 'weighed' && are(fact.uid) ? numberHere(fact.payload.grams, 'g') : null,
  )
}

/** A smoothed weight belongs to the middle of its day. */
function noon(day: Day): number {
  return day * DAY_MS + DAY_MS / 2
}

const PLAIN_LINE = {
  type: 'line',
  xAxisIndex: 1,
  yAxisIndex: 1,
  showSymbol: false,
  silent: true,
  animation: false,
}

/** The day on which the curve reaches a weight, as wide as it is unsure. */
function reachedLine(target: WeightAhead['target'], color: string): object {
  if (!target?.on || target.passed) return {}
  const grams = numberHere(target.grams, 'g')
  const { low, high } = target.on
  return {
    markLine: {
      silent: true,
      symbol: 'none',
      lineStyle: { color, type: 'solid', width: 4 },
      label: { show: true, position: 'insideMiddleTop', color, formatter: sayGrams(target.grams) },
      data: [[{ coord: [noon(low), grams] }, { coord: [noon(high), grams] }]],
    },
  }
}

/** What the sheet expects, behind everything, and the curve it grew by with its band. */
export function growthSeries({ weightAhead, growth, palette: { done, wash } }: LifelineInput): object[] {
  if (!weightAhead || !growth) return []
  const { curve, expected, target } = weightAhead
  const here = (grams: number) => numberHere(grams, 'g')
  const behind = { ...PLAIN_LINE, stack: 'expected', lineStyle: { opacity: 0 }, z: 0 }
  const sheet = [
    { ...behind, data: expected.map(({ day, low }) => [noon(day), here(low)]) },
    {
      ...behind,
      name: t('sheetExpects'),
      data: expected.map(({ day, low, high }) => [noon(day), here(high) - here(low)]),
      areaStyle: { color: wash, opacity: 1 },
    },
  ]
  if ('refused' in curve) return sheet
  const edge = { color: done, width: 1, type: 'dotted' }
  const { points } = curve
  const along = (of: (one: (typeof points)[number]) => number) =>
    points.map((one) => [noon(one.day), here(of(one))])
  return [
    ...sheet,
    { ...PLAIN_LINE, data: along(({ low }) => low), lineStyle: edge },
    { ...PLAIN_LINE, data: along(({ high }) => high), lineStyle: edge },
    {
      ...PLAIN_LINE,
      name: t('growthCurve'),
      data: along(({ grams }) => grams),
      lineStyle: { color: done, width: 2 },
      ...reachedLine(target, done),
    },
  ]
}

/** A best so lately is the weight of today. */
const BEST_AGO_MS = 21 * DAY_MS

/** The best of the year, as far as today. */
function bestLine({ weightAhead, nowMs, palette: { soft } }: LifelineInput): object {
  const best = weightAhead?.best
  // An animal at its best needs no line.
  if (!best || noon(best.day) > nowMs - BEST_AGO_MS) return {}
  const grams = numberHere(best.grams, 'g')
  return {
    markLine: {
      silent: true,
      symbol: 'none',
      lineStyle: { color: soft, type: 'dotted', width: 1.5 },
      label: {
        show: true,
        position: 'insideStartTop',
        color: soft,
        formatter: t('bestOfYear', { grams: sayGrams(best.grams) }),
      },
      data: [[{ coord: [noon(best.day), grams] }, { coord: [nowMs, grams] }]],
    },
  }
}

/** The weights of somebody else, laid over. */
export function otherSeries({ other, palette: { held } }: LifelineInput): object[] {
  if (!other) return []
  const data = weightPoints(other.facts, () => true).map(([at, grams]) => [at, grams])
  return [
    {
      ...PLAIN_LINE,
      name: other.name,
      data,
      showSymbol: true,
      symbol: 'diamond',
      symbolSize: 6,
      itemStyle: { color: held },
      lineStyle: { color: held, width: 1, type: 'dashed' },
    },
  ]
}

/** The trend, firm where something was weighed and dashed ahead of it, in its band. */
export function trendSeries(input: LifelineInput, lastWeighed: number): object[] {
  const band = input.weightAhead?.band ?? []
  const { focus, held } = input.palette
  const along = (of: (one: WeightBand) => number) =>
    band.map((one) => [noon(one.day), numberHere(of(one), 'g')])
  const plain = { ...PLAIN_LINE, sampling: 'lttb' }
  const past = band.filter(({ day }) => noon(day) <= lastWeighed + DAY_MS)
  const ahead = band.slice(Math.max(0, past.length - 1))
  const trend = (part: readonly WeightBand[]) =>
    part.map(({ day, grams }) => [noon(day), numberHere(grams, 'g')])
  const edge = { color: held, width: 1, opacity: 0.7 }
  return [
    { ...plain, data: along(({ low }) => low), lineStyle: edge },
    { ...plain, data: along(({ high }) => high), lineStyle: edge },
    {
      ...plain,
      name: t('trend'),
      data: trend(past),
      lineStyle: { color: focus, width: 2 },
      ...bestLine(input),
    },
    { ...plain, data: trend(ahead), lineStyle: { color: focus, width: 2, type: 'dashed' } },
  ]
}

export function weightSeries(
  weights: Point[],
  suspect: Point[],
  markLine: object,
  palette: Palette,
): object[] {
  const dots = marks(1, t('weightG', { unit: unitHere('g') }), weights, {
    symbol: 'circle',
    symbolSize: 7,
    itemStyle: { color: palette.ink },
    markLine,
  })
  const crosses = marks(1, t('suspect'), suspect, {
    symbol: 'path://M-1-5H1V-1H5V1H1V5H-1V1H-5V-1H-1Z',
    symbolSize: 13,
    itemStyle: { color: palette.late },
  })
  return [dots, crosses]
}
