import type { EChartsCoreOption } from 'echarts/core'
import type { Day, Explanation, Fact, Outlook, WeightBand } from '@kobrin/core'
import { AHEAD_DAYS, isExplained } from './lifelineInput.ts'
import { spaced } from '../words/spaced.ts'
import { numberHere, sayGrams, unitHere } from '../words/measures.ts'
import { t } from './words.ts'

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
  outlook: Outlook | null
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
type Point = [number, number | string, string, string?]

/** What a lane is called, which is also its place on the axis. */
type Lane = string

const DAY_MS = 86_400_000
/** The lifeline opens on so many of the latest meals: more would run together. */
const MEALS_AT_FIRST = 45

function at(fact: Fact): number {
  return Date.parse(fact.occurredAt)
}

function pointsOf(facts: readonly Fact[], height: (fact: Fact) => number | string | null): Point[] {
  return facts.flatMap((fact): Point[] => {
    const y = height(fact)
    return y === null ? [] : [[at(fact), y, fact.uid]]
  })
}

function mealPoints(
  facts: readonly Fact[],
  outcomes: readonly string[],
  are: (fact: Fact) => boolean = () => true,
): Point[] {
  return lanePoints(
    facts,
    t('meals'),
    (fact) => fact.kind === 'fed' && outcomes.includes(fact.payload.outcome) && are(fact),
  )
}

function lanePoints(facts: readonly Fact[], lane: Lane, is: (fact: Fact) => boolean): Point[] {
  return pointsOf(facts, (fact) => (is(fact) ? lane : null))
}

function isSkinOff(fact: Fact): boolean {
  return fact.kind === 'ecdysis' && (fact.payload.stage === 'shed' || fact.payload.stage === 'molted')
}

function opensAt(facts: readonly Fact[], first: number): number {
  const meals = facts.filter(({ kind }) => kind === 'fed')
  const from = meals.at(-MEALS_AT_FIRST)
  return from ? at(from) - 3 * DAY_MS : first - 3 * DAY_MS
}

type Grid = 0 | 1 | 2

function labelOf({ ink }: Palette) {
  return { color: ink, fontSize: 13, fontWeight: 600 }
}

function timeAxes(first: number, nowMs: number, { line, soft }: Palette): object[] {
  const axis = (gridIndex: Grid, shown: boolean) => ({
    type: 'time',
    gridIndex,
    min: first - 3 * DAY_MS,
    max: nowMs + AHEAD_DAYS * DAY_MS,
    axisLine: { show: shown, lineStyle: { color: line } },
    axisTick: { show: false },
    axisLabel: { show: shown, color: soft, fontSize: 12, hideOverlap: true },
    splitLine: { show: true, lineStyle: { color: line } },
  })
  return [axis(0, false), axis(1, false), axis(2, true)]
}

function laneAxis(gridIndex: Grid, data: readonly string[], palette: Palette): object {
  return {
    type: 'category',
    gridIndex,
    data,
    inverse: true,
    axisLine: { show: false },
    axisTick: { show: false },
    axisLabel: labelOf(palette),
  }
}

function weightAxis(hasWeights: boolean, narrow: boolean, palette: Palette): object {
  return {
    type: 'value',
    gridIndex: 1,
    scale: true,
    name: hasWeights ? t('weightG', { unit: unitHere('g') }) : t('noWeights'),
    nameLocation: 'middle',
    nameGap: narrow ? 36 : 54,
    nameTextStyle: labelOf(palette),
    axisLabel: { color: palette.soft, fontSize: 12, formatter: spaced },
    splitNumber: 4,
    splitLine: { show: false },
  }
}

/** By wheel and finger inside, and by the bar below. */
function zooms(startValue: number, left: number, { line, glass, focus, soft }: Palette): object[] {
  const both = { startValue, xAxisIndex: [0, 1, 2], filterMode: 'none', throttle: 60 }
  return [
    { ...both, type: 'inside', zoomOnMouseWheel: true },
    {
      ...both,
      type: 'slider',
      bottom: 4,
      height: 22,
      left,
      right: 18,
      borderColor: line,
      fillerColor: 'transparent',
      backgroundColor: glass,
      handleStyle: { color: focus },
      moveHandleStyle: { color: focus },
      textStyle: { color: soft },
      showDataShadow: false,
      brushSelect: false,
    },
  ]
}

function tooltip(say: LifelineInput['say'], { glass, ink }: Palette): object {
  return {
    trigger: 'item',
    confine: true,
    backgroundColor: glass,
    borderColor: ink,
    textStyle: { color: ink },
    // Text, not markup: notes are whatever somebody typed.
    renderMode: 'richText',
    formatter: ({ value }: { value: Point }) => say(value[2]),
  }
}

function marks(
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

function todayLine(nowMs: number, { focus }: Palette): object {
  return {
    silent: true,
    symbol: 'none',
    label: { show: false },
    lineStyle: { color: focus, width: 2.5, type: 'solid' },
    data: [{ xAxis: nowMs }],
  }
}

/** Times in which a refusal is explained, behind the meals. */
function explainedAreas(explained: readonly Explanation[], { hatch }: Palette): object {
  return {
    silent: true,
    itemStyle: { color: hatch },
    data: explained.map(({ since, until }) => [{ xAxis: since * DAY_MS }, { xAxis: (until + 1) * DAY_MS }]),
  }
}

function mealSeries({ facts, explained, today, palette }: LifelineInput, markLine: object): object[] {
  const { ink, held, late } = palette
  const isOpen = (fact: Fact) => isExplained(fact.day, explained, today) === false
  const ring = { color: 'transparent', borderWidth: 2 }
  return [
    marks(0, t('taken'), mealPoints(facts, ['taken']), {
      symbolSize: 10,
      itemStyle: { color: ink },
      markLine,
      markArea: explainedAreas(explained, palette),
    }),
    marks(0, t('part'), mealPoints(facts, ['part', 'left']), {
      symbol: 'triangle',
      symbolSize: 11,
      itemStyle: { color: ink },
    }),
    marks(
      0,
      t('refused'),
      mealPoints(facts, ['refused', 'notOffered'], (fact) => !isOpen(fact)),
      {
        symbolSize: 11,
        itemStyle: { ...ring, borderColor: held, borderType: 'dashed' },
      },
    ),
    marks(0, t('refusedOpen'), mealPoints(facts, ['refused', 'notOffered'], isOpen), {
      symbolSize: 11,
      itemStyle: { ...ring, borderColor: late },
    }),
  ]
}

function weightPoints(facts: readonly Fact[], are: (uid: string) => boolean): Point[] {
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

/** What the sheet expects, behind everything, and the curve it grew by with its band. */
function growthSeries({ outlook, growth, palette: { done, wash } }: LifelineInput): object[] {
  if (!outlook || !growth) return []
  const { curve, expected } = outlook
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
    },
  ]
}

/** A best so lately is the weight of today. */
const BEST_AGO_MS = 21 * DAY_MS

/** The best of the year, as far as today. */
function bestLine({ outlook, nowMs, palette: { soft } }: LifelineInput): object {
  const best = outlook?.best
  // Whoever is at its best needs no line.
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
function otherSeries({ other, palette: { held } }: LifelineInput): object[] {
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
function trendSeries(input: LifelineInput, lastWeighed: number): object[] {
  const band = input.outlook?.band ?? []
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

function weightSeries(weights: Point[], suspect: Point[], markLine: object, palette: Palette): object[] {
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

const NOTES: ReadonlySet<Fact['kind']> = new Set([
  'noted',
  'observed',
  'moved',
  'arrived',
  'died',
  'left',
  'held',
  'released',
])

/** Where the next shed or molt is expected, in its lane. */
function windowSeries({ from, to }: { from: Day; to: Day }, { held }: Palette): object {
  return {
    type: 'line',
    name: t('expected'),
    xAxisIndex: 2,
    yAxisIndex: 2,
    showSymbol: false,
    silent: true,
    animation: false,
    data: [
      [from * DAY_MS, t('sheds')],
      [(to + 1) * DAY_MS, t('sheds')],
    ],
    lineStyle: { color: held, width: 18, type: [2, 4], cap: 'butt' },
  }
}

/** The lanes below the weights: those of what never was are left out. */
export function lanesOf(facts: readonly Fact[]): Lane[] {
  const has = (kind: Fact['kind']) => facts.some((fact) => fact.kind === kind)
  return [
    t('sheds'),
    t('seen'),
    t('notes'),
    ...(has('condition') ? [t('condition')] : []),
    ...(has('photographed') ? [t('photos')] : []),
  ]
}

/** Outside of these a score asks for another diet. */
const THIN = 2
const FAT = 4

function scorePoints(facts: readonly Fact[], are: (score: number) => boolean): Point[] {
  return facts.flatMap((fact): Point[] =>
    fact.kind === 'condition' && are(fact.payload.score)
      ? [[at(fact), t('condition'), fact.uid, String(fact.payload.score)]]
      : [],
  )
}

/** Scores with the number on them, and pictures. */
function bodySeries(facts: readonly Fact[], { ink, glass, late, focus }: Palette): object[] {
  const isRight = (score: number) => score > THIN && score < FAT
  const scores = (name: string, data: Point[], color: string) =>
    marks(2, name, data, {
      symbolSize: 19,
      itemStyle: { color: glass, borderColor: color, borderWidth: 2 },
      label: {
        show: true,
        color,
        fontSize: 12,
        fontWeight: 700,
        formatter: ({ value }: { value: Point }) => value[3] ?? '',
      },
    })
  return [
    scores(t('condition'), scorePoints(facts, isRight), ink),
    scores(
      t('conditionOff'),
      scorePoints(facts, (score) => !isRight(score)),
      late,
    ),
    marks(
      2,
      t('photos'),
      lanePoints(facts, t('photos'), ({ kind }) => kind === 'photographed'),
      {
        symbol: 'path://M-9-6H-4L-2-9H2L4-6H9V7H-9ZM0-4A4.5 4.5 0 1 0 .01-4Z',
        symbolSize: [20, 17],
        itemStyle: { color: focus },
      },
    ),
  ]
}

function laneSeries(facts: readonly Fact[], markLine: object, { ink, held, soft }: Palette): object[] {
  const signs = lanePoints(facts, t('sheds'), (fact) => fact.kind === 'ecdysis' && !isSkinOff(fact))
  const seen = lanePoints(facts, t('seen'), (fact) => fact.kind === 'looked' && fact.payload.seen)
  const notes = lanePoints(facts, t('notes'), ({ kind }) => NOTES.has(kind))
  return [
    marks(2, t('skinSigns'), signs, {
      symbol: 'rect',
      symbolSize: [5, 16],
      itemStyle: { color: 'transparent', borderColor: held, borderWidth: 1.5 },
      markLine,
    }),
    marks(2, t('skinOff'), lanePoints(facts, t('sheds'), isSkinOff), {
      symbol: 'rect',
      symbolSize: [6, 24],
      itemStyle: { color: held },
    }),
    marks(2, t('seen'), seen, { symbol: 'rect', symbolSize: [1.5, 13], itemStyle: { color: soft } }),
    marks(2, t('notes'), notes, { symbol: 'diamond', symbolSize: 13, itemStyle: { color: ink } }),
  ]
}

/** Heights of the parts of the picture, pixels. */
const LANE_PX = 37
const LANES_FROM_PX = 246
const BELOW_PX = 56

export function lifelineHeight(facts: readonly Fact[]): number {
  return LANES_FROM_PX + lanesOf(facts).length * LANE_PX + BELOW_PX
}

/** The lifeline: lanes over one time axis, today a firm line, the future to its right. */
export function lifelineOption(input: LifelineInput): EChartsCoreOption {
  const { facts, nowMs, palette, say, narrow, outlook, skinWindow } = input
  const left = narrow ? 52 : 78
  const first = facts[0] ? at(facts[0]) : nowMs - 90 * DAY_MS
  const suspects = new Set(outlook?.suspects)
  const weights = weightPoints(facts, (uid) => !suspects.has(uid))
  const suspect = weightPoints(facts, (uid) => suspects.has(uid))
  const today = todayLine(nowMs, palette)
  const lanes = lanesOf(facts)
  return {
    animation: false,
    textStyle: { fontFamily: "'Atkinson Hyperlegible Next Variable', sans-serif" },
    grid: [
      { left, right: 18, top: 12, height: 44 },
      { left, right: 18, top: 66, height: 170 },
      { left, right: 18, top: LANES_FROM_PX, height: lanes.length * LANE_PX },
    ],
    xAxis: timeAxes(first, nowMs, palette),
    yAxis: [
      laneAxis(0, [t('meals')], palette),
      weightAxis(weights.length > 0, narrow, palette),
      laneAxis(2, lanes, palette),
    ],
    dataZoom: zooms(opensAt(facts, first), left, palette),
    tooltip: tooltip(say, palette),
    series: [
      ...mealSeries(input, today),
      ...growthSeries(input),
      ...trendSeries(input, weights.at(-1)?.[0] ?? 0),
      ...otherSeries(input),
      ...weightSeries(weights, suspect, today, palette),
      ...laneSeries(facts, today, palette),
      ...bodySeries(facts, palette),
      ...(skinWindow ? [windowSeries(skinWindow, palette)] : []),
    ],
  }
}
