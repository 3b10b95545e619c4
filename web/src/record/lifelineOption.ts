import type { EChartsCoreOption } from 'echarts/core'
import type { Day, Explanation, Fact } from '@kobrin/core'
import type { Grid, LifelineInput, Palette, Point } from './lifelineDrawing.ts'
import { at, DAY_MS, marks, pointsOf } from './lifelineDrawing.ts'
import { AHEAD_DAYS, isExplained } from './lifelineInput.ts'
import { growthSeries, otherSeries, trendSeries, weightPoints, weightSeries } from './weightSeries.ts'
import { spaced } from '../words/spaced.ts'
import { unitHere } from '../words/measures.ts'
import { t } from './words.ts'

/** What a lane is called, which is also its place on the axis. */
type Lane = string

/** The lifeline opens on so many of the latest meals: more would run together. */
const MEALS_AT_FIRST = 45

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

function labelOf({ ink }: Palette) {
  return { color: ink, fontSize: 13, fontWeight: 600 }
}

function timeAxes(first: number, last: number, { line, soft }: Palette): object[] {
  const axis = (gridIndex: Grid, shown: boolean) => ({
    type: 'time',
    gridIndex,
    min: first - 3 * DAY_MS,
    max: last,
    axisLine: { show: shown, lineStyle: { color: line } },
    axisTick: { show: false },
    axisLabel: { show: shown, color: soft, fontSize: 12, hideOverlap: true },
    splitLine: { show: true, lineStyle: { color: line } },
  })
  return [axis(0, false), axis(1, false), axis(2, true)]
}

/** Some weeks ahead, or as far as the growth curve is drawn. */
function lastShown({ nowMs, growth, weightAhead }: LifelineInput): number {
  const ahead = nowMs + AHEAD_DAYS * DAY_MS
  return growth && weightAhead ? Math.max(ahead, weightAhead.until * DAY_MS) : ahead
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
  const { facts, nowMs, palette, say, narrow, weightAhead, skinWindow } = input
  const left = narrow ? 52 : 78
  const first = facts[0] ? at(facts[0]) : nowMs - 90 * DAY_MS
  const suspects = new Set(weightAhead?.suspects)
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
    xAxis: timeAxes(first, lastShown(input), palette),
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
