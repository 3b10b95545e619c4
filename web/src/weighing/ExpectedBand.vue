<script setup lang="ts">
import { computed } from 'vue'

/** Where a weight is expected, where the last one was, and where the one in hand is, on one line. */
const { low, high, last, now } = defineProps<{
  low: number
  high: number
  last: number | null
  now: number | null
}>()

/** The line reaches so far beyond the band, in widths of the band. */
const BEYOND = 0.6
const WIDTH = 100

/** Weights differ by shares: the line is one of their logarithms. */
const ends = computed(() => {
  const [from, to] = [Math.log(low), Math.log(high)]
  const margin = (to - from) * BEYOND
  return { from: from - margin, to: to + margin }
})

function at(grams: number): number {
  const { from, to } = ends.value
  const share = (Math.log(Math.max(grams, Number.MIN_VALUE)) - from) / (to - from)
  return Math.min(1, Math.max(0, share)) * WIDTH
}

const isOutside = computed(() => now !== null && (now < low || now > high))
</script>

<template>
  <svg class="band" viewBox="-3 0 106 16" preserveAspectRatio="none" aria-hidden="true">
    <line x1="0" x2="100" y1="8" y2="8" class="line" />
    <rect :x="at(low)" :width="at(high) - at(low)" y="3" height="10" class="expected" />
    <line v-if="last !== null" :x1="at(last)" :x2="at(last)" y1="1" y2="15" class="last" />
    <line
      v-if="now !== null && now > 0"
      :x1="at(now)"
      :x2="at(now)"
      y1="0"
      y2="16"
      class="now"
      :class="{ outside: isOutside }"
    />
  </svg>
</template>

<style scoped>
.band {
  width: 100%;
  height: 34px;
}

line,
rect {
  vector-effect: non-scaling-stroke;
}

.line {
  stroke: var(--line);
  stroke-width: 2;
}

.expected {
  fill: var(--wash);
  stroke: var(--held);
  stroke-width: 1.5;
}

.last {
  stroke: var(--soft);
  stroke-width: 2;
  stroke-dasharray: 4 3;
}

.now {
  stroke: var(--focus);
  stroke-width: 5;
}

.outside {
  stroke: var(--late);
}
</style>
