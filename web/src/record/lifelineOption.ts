import type { EChartsCoreOption } from 'echarts/core'
import type { Fact } from '@kobrin/core'

/** Colours of the theme in force, read from the page. */
export interface Palette {
  ink: string
  soft: string
  line: string
  glass: string
  focus: string
  held: string
  late: string
}

export interface LifelineInput {
  facts: readonly Fact[]
  suspects: ReadonlySet<string>
  nowMs: number
  palette: Palette
  /** What a mark says when pointed at. */
  say: (uid: string) => string
  narrow: boolean
}

/** [when, height in its lane or grams, the entry it stands for] */
type Point = [number, number | string, string]

type Lane = 'Sheds' | 'Seen' | 'Notes'

const DAY_MS = 86_400_000
const FUTURE_DAYS = 30
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

function mealPoints(facts: readonly Fact[], outcomes: readonly string[]): Point[] {
  return pointsOf(facts, (fact) =>
    fact.kind === 'fed' && outcomes.includes(fact.payload.outcome) ? 'Meals' : null,
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

/** The lifeline: lanes over one time axis, today a firm line, the future to its right. */
export function lifelineOption({
  facts,
  suspects,
  nowMs,
  palette,
  say,
  narrow,
}: LifelineInput): EChartsCoreOption {
  const left = narrow ? 52 : 78
  const first = facts[0] ? at(facts[0]) : nowMs - 90 * DAY_MS
  const weights = pointsOf(facts, (fact) =>
    fact.kind === 'weighed' && !suspects.has(fact.uid) ? fact.payload.grams : null,
  )
  const aside = pointsOf(facts, (fact) =>
    fact.kind === 'weighed' && suspects.has(fact.uid) ? fact.payload.grams : null,
  )
  const label = { color: palette.ink, fontSize: 13, fontWeight: 600 }
  const timeAxis = (gridIndex: number, shown: boolean) => ({
    type: 'time',
    gridIndex,
    min: first - 3 * DAY_MS,
    max: nowMs + FUTURE_DAYS * DAY_MS,
    axisLine: { show: shown, lineStyle: { color: palette.line } },
    axisTick: { show: false },
    axisLabel: { show: shown, color: palette.soft, fontSize: 12, hideOverlap: true },
    splitLine: { show: true, lineStyle: { color: palette.line } },
  })
  const laneAxis = (gridIndex: number, data: readonly string[]) => ({
    type: 'category',
    gridIndex,
    data,
    inverse: true,
    axisLine: { show: false },
    axisTick: { show: false },
    axisLabel: label,
  })
  const today = {
    silent: true,
    symbol: 'none',
    label: { show: false },
    lineStyle: { color: palette.focus, width: 2.5, type: 'solid' },
    data: [{ xAxis: nowMs }],
  }
  const marks = (
    grid: number,
    name: string,
    data: Point[],
    style: { itemStyle: object } & Record<string, unknown>,
  ) => ({
    type: 'scatter',
    name,
    xAxisIndex: grid,
    yAxisIndex: grid,
    data,
    progressive: 4000,
    animation: false,
    ...style,
    itemStyle: { opacity: 1, ...style.itemStyle },
  })
  return {
    animation: false,
    textStyle: { fontFamily: "'Atkinson Hyperlegible Next Variable', sans-serif" },
    grid: [
      { left, right: 18, top: 12, height: 44 },
      { left, right: 18, top: 66, height: 170 },
      { left, right: 18, top: 246, height: 110 },
    ],
    xAxis: [timeAxis(0, false), timeAxis(1, false), timeAxis(2, true)],
    yAxis: [
      laneAxis(0, ['Meals']),
      {
        type: 'value',
        gridIndex: 1,
        scale: true,
        name: weights.length > 0 ? 'Weight, g' : 'No weights',
        nameLocation: 'middle',
        nameGap: narrow ? 36 : 54,
        nameTextStyle: label,
        axisLabel: { color: palette.soft, fontSize: 12 },
        splitNumber: 4,
        splitLine: { show: false },
      },
      laneAxis(2, ['Sheds', 'Seen', 'Notes']),
    ],
    dataZoom: [
      {
        type: 'inside',
        startValue: opensAt(facts, first),
        xAxisIndex: [0, 1, 2],
        filterMode: 'none',
        throttle: 60,
        zoomOnMouseWheel: true,
      },
      {
        type: 'slider',
        startValue: opensAt(facts, first),
        xAxisIndex: [0, 1, 2],
        filterMode: 'none',
        throttle: 60,
        bottom: 4,
        height: 22,
        left,
        right: 18,
        borderColor: palette.line,
        fillerColor: 'transparent',
        backgroundColor: palette.glass,
        handleStyle: { color: palette.focus },
        moveHandleStyle: { color: palette.focus },
        textStyle: { color: palette.soft },
        showDataShadow: false,
        brushSelect: false,
      },
    ],
    tooltip: {
      trigger: 'item',
      confine: true,
      backgroundColor: palette.glass,
      borderColor: palette.ink,
      textStyle: { color: palette.ink },
      // Text, not markup: notes are whatever somebody typed.
      renderMode: 'richText',
      formatter: ({ value }: { value: Point }) => say(value[2]),
    },
    series: [
      marks(0, 'Taken', mealPoints(facts, ['taken']), {
        symbolSize: 10,
        itemStyle: { color: palette.ink },
        markLine: today,
      }),
      marks(0, 'Part', mealPoints(facts, ['part', 'left']), {
        symbol: 'triangle',
        symbolSize: 11,
        itemStyle: { color: palette.ink },
      }),
      marks(0, 'Refused', mealPoints(facts, ['refused', 'notOffered']), {
        symbolSize: 11,
        itemStyle: { color: 'transparent', borderColor: palette.held, borderWidth: 2, borderType: 'dashed' },
      }),
      {
        type: 'line',
        name: 'Weight',
        xAxisIndex: 1,
        yAxisIndex: 1,
        data: weights,
        showSymbol: true,
        symbol: 'circle',
        symbolSize: 7,
        animation: false,
        triggerLineEvent: false,
        lineStyle: { color: palette.focus, width: 2 },
        itemStyle: { color: palette.ink },
        markLine: today,
      },
      marks(1, 'Suspect', aside, {
        symbol: 'path://M-1-5H1V-1H5V1H1V5H-1V1H-5V-1H-1Z',
        symbolSize: 13,
        itemStyle: { color: palette.late },
      }),
      marks(
        2,
        'Skin signs',
        lanePoints(facts, 'Sheds', (fact) => fact.kind === 'ecdysis' && !isSkinOff(fact)),
        {
          symbol: 'rect',
          symbolSize: [5, 16],
          itemStyle: { color: 'transparent', borderColor: palette.held, borderWidth: 1.5 },
          markLine: today,
        },
      ),
      marks(2, 'Skin off', lanePoints(facts, 'Sheds', isSkinOff), {
        symbol: 'rect',
        symbolSize: [6, 24],
        itemStyle: { color: palette.held },
      }),
      marks(
        2,
        'Seen',
        lanePoints(facts, 'Seen', (fact) => fact.kind === 'sighted' && fact.payload.seen),
        {
          symbol: 'rect',
          symbolSize: [1.5, 13],
          itemStyle: { color: palette.soft },
        },
      ),
      marks(
        2,
        'Notes',
        lanePoints(facts, 'Notes', ({ kind }) =>
          ['noted', 'observed', 'moved', 'arrived', 'held', 'released'].includes(kind),
        ),
        {
          symbol: 'diamond',
          symbolSize: 13,
          itemStyle: { color: palette.ink },
        },
      ),
    ],
  }
}
