<script setup lang="ts">
import { LineChart, ScatterChart } from 'echarts/charts'
import {
  DataZoomComponent,
  GridComponent,
  MarkAreaComponent,
  MarkLineComponent,
  TooltipComponent,
} from 'echarts/components'
import type { ECharts } from 'echarts/core'
import { init, use } from 'echarts/core'
import { CanvasRenderer } from 'echarts/renderers'
import { computed, nextTick, onMounted, onUnmounted, shallowRef, useTemplateRef, watch } from 'vue'
import { useTheme } from '../app/useTheme.ts'
import { usePrinting } from '../app/usePrinting.ts'
import type { LifelineInput, Palette } from './lifelineDrawing.ts'
import { lifelineHeight, lifelineOption } from './lifelineOption.ts'
import { t } from './words.ts'

use([
  ScatterChart,
  LineChart,
  GridComponent,
  DataZoomComponent,
  TooltipComponent,
  MarkLineComponent,
  MarkAreaComponent,
  CanvasRenderer,
])

const { shown, name } = defineProps<{
  shown: Omit<LifelineInput, 'palette' | 'narrow'>
  name: string
}>()
const emit = defineEmits<{ open: [uid: string] }>()

const NARROW_PX = 560
/** As wide as a page of A4 is written on. */
const PAGE_PX = 640

const box = useTemplateRef<HTMLElement>('box')
const { theme } = useTheme()
const width = shallowRef(0)
const printing = usePrinting()
let chart: ECharts | null = null
let observer: ResizeObserver | null = null

const facts = computed(() => shown.facts)
const heightPx = computed(() => lifelineHeight(facts.value))
const meals = computed(() => facts.value.filter(({ kind }) => kind === 'fed').length)
const weights = computed(() => facts.value.filter(({ kind }) => kind === 'weighed').length)
const summary = computed(() =>
  t('lifelineOfMealsWeights', { name, count: meals.value, weights: weights.value }),
)

function palette(): Palette {
  const style = getComputedStyle(document.documentElement)
  const token = (key: string) => style.getPropertyValue(`--${key}`).trim()
  return {
    ink: token('ink'),
    soft: token('soft'),
    line: token('line'),
    glass: token('glass'),
    focus: token('focus'),
    held: token('held'),
    late: token('late'),
    done: token('done'),
    wash: token('wash'),
    hatch: token('hatch'),
  }
}

function draw(): void {
  chart?.setOption(lifelineOption({ ...shown, palette: palette(), narrow: width.value < NARROW_PX }), {
    replaceMerge: ['series'],
  })
}

onMounted(() => {
  if (!box.value) return
  width.value = box.value.clientWidth
  chart = init(box.value)
  chart.on('click', ({ value }) => {
    if (Array.isArray(value) && typeof value[2] === 'string') emit('open', value[2])
  })
  observer = new ResizeObserver(([entry]) => {
    width.value = entry?.contentRect.width ?? width.value
    chart?.resize()
  })
  observer.observe(box.value)
  draw()
})
watch(printing, (is) => chart?.resize(is ? { width: PAGE_PX } : { width: 'auto' }), { flush: 'sync' })
watch(heightPx, () => void nextTick(() => chart?.resize()))
watch([printing, () => shown, theme, () => width.value < NARROW_PX], draw, { flush: 'post' })
onUnmounted(() => {
  observer?.disconnect()
  chart?.dispose()
})
</script>

<template>
  <div ref="box" class="lifeline" role="img" :aria-label="summary" :style="{ height: `${heightPx}px` }" />
</template>

<style scoped>
.lifeline {
  width: 100%;
}
</style>
