<script setup lang="ts">
import type { Sheet } from '@kobrin/core'
import { computed } from 'vue'
import { sayMonth } from '../words/numbers.ts'
import { sheetYear } from './sheetYear.ts'
import { t } from './words.ts'

/** The year of a species: how long the day is, when it fasts and rests, and what has its season. */
const { sheet } = defineProps<{ sheet: Sheet }>()

const WIDTH = 400
const LEFT = 8
const RIGHT = 392
const LIGHT = { top: 20, height: 60 }
const ROW = 26
const months = Array.from({ length: 12 }, (_, index) => sayMonth(index + 1))

const year = computed(() => sheetYear(sheet))
const names = computed(() => [...new Set(year.value?.spells.map(({ name }) => name))])
const rows = computed(() => (year.value?.light ? LIGHT.top + LIGHT.height + 14 : 20))
const height = computed(() => rows.value + names.value.length * ROW + 18)
const x = (day: number) => LEFT + (day / 365) * (RIGHT - LEFT)
const month = (index: number) => x((index + 0.5) * (365 / 12))
const y = (hours: number) => LIGHT.top + LIGHT.height * (1 - hours / 16)
const curve = computed(() =>
  year.value?.light?.map((hours, index) => `${month(index)},${y(hours)}`).join(' '),
)
const says = computed(() => [...(year.value?.light ? [t('theDayGrowsTo')] : []), ...names.value].join('; '))
</script>

<template>
  <figure v-if="year">
    <svg :viewBox="`0 0 ${WIDTH} ${height}`" role="img" :aria-label="says">
      <template v-if="year.light">
        <text :x="LEFT" y="12">{{ t('hoursOfLight') }}</text>
        <polyline class="light" :points="curve" />
        <text
          v-for="index in [0, 5]"
          :key="index"
          class="small"
          :x="month(index)"
          :y="y(year.light[index] ?? 0) - 5"
          text-anchor="middle"
        >
          {{ Math.round(year.light[index] ?? 0) }} h
        </text>
      </template>
      <g v-for="(name, index) in names" :key="name" :transform="`translate(0 ${rows + index * ROW})`">
        <text :x="LEFT" y="-3">{{ name }}</text>
        <rect class="track" :x="LEFT" y="1" :width="RIGHT - LEFT" height="8" />
        <rect
          v-for="spell in year.spells.filter((one) => one.name === name)"
          :key="spell.from"
          :class="spell.kind"
          :x="x(spell.from)"
          y="1"
          :width="Math.max(2, x(spell.to) - x(spell.from))"
          height="8"
        />
      </g>
      <text
        v-for="(label, index) in months"
        :key="label"
        class="small"
        :x="month(index)"
        :y="height - 3"
        text-anchor="middle"
      >
        {{ label }}
      </text>
    </svg>
    <figcaption class="quiet">{{ t('aboutSoInA') }}</figcaption>
  </figure>
</template>

<style scoped src="../app/drawing.css"></style>
<style scoped>
.small {
  font-weight: 400;
  font-size: 0.6875rem;
}

.light {
  fill: none;
  stroke: var(--focus);
  stroke-width: 2.5;
}

.fast {
  fill: var(--tape);
  stroke: var(--ink);
}

.rest {
  fill: var(--held);
}

.season {
  fill: var(--focus);
}
</style>
