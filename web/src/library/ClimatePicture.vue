<script setup lang="ts">
import type { ZoneTarget } from '@kobrin/core'
import { computed, useId } from 'vue'
import { sayTarget, sayZone } from '../words/care.ts'
import { numberHere, unitHere } from '../words/measures.ts'
import type { Stretch } from './climateScale.ts'
import { climateScale } from './climateScale.ts'
import { t } from './words.ts'

/** The zones of a sheet on one scale of temperature: what is wanted by day above, by night below, and hatched
 * what harms. */
const { targets } = defineProps<{ targets: readonly ZoneTarget[] }>()

const WIDTH = 400
const LEFT = 8
const RIGHT = 386
const ROW = 44
const HEAD = 18

const hatch = useId()
const scale = computed(() => climateScale(targets))
const height = computed(() => HEAD + (scale.value?.rows.length ?? 0) * ROW + 18)
const x = (part: number) => LEFT + part * (RIGHT - LEFT)
const bar = ({ from, to }: Stretch) => ({ x: x(from), width: Math.max(2, x(to) - x(from)) })
const says = computed(
  () => scale.value?.rows.map(({ target }) => `${sayZone(target)}: ${sayTarget(target)}`).join('; ') ?? '',
)
</script>

<template>
  <figure v-if="scale">
    <svg :viewBox="`0 0 ${WIDTH} ${height}`" role="img" :aria-label="says">
      <defs>
        <pattern :id="hatch" width="7" height="7" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <rect width="2.5" height="7" class="stroke" />
        </pattern>
      </defs>
      <g v-for="tick in scale.ticks" :key="tick.celsius">
        <line class="tick" :x1="x(tick.at)" :x2="x(tick.at)" :y1="HEAD" :y2="height - 16" />
        <text class="small" :x="x(tick.at)" :y="height - 3" text-anchor="middle">
          {{ numberHere(tick.celsius, '°C') }}
        </text>
      </g>
      <g v-for="(row, index) in scale.rows" :key="index" :transform="`translate(0 ${HEAD + index * ROW})`">
        <text class="zone" :x="LEFT" y="-4">{{ sayZone(row.target) }}</text>
        <rect class="track" :x="LEFT" y="2" :width="RIGHT - LEFT" height="22" />
        <rect
          v-for="(harm, side) in [row.harmsBelow, row.harmsAbove]"
          v-show="harm"
          :key="side"
          v-bind="harm ? bar(harm) : {}"
          y="2"
          height="22"
          :fill="`url(#${hatch})`"
          class="harm"
        />
        <rect v-if="row.day" class="day" v-bind="bar(row.day)" y="3" height="10" />
        <rect v-if="row.night" class="night" v-bind="bar(row.night)" y="14" height="9" />
      </g>
    </svg>
    <figcaption class="quiet">{{ t('cLightBarsBy', { unit: unitHere('°C') }) }}</figcaption>
  </figure>
</template>

<style scoped src="../app/drawing.css"></style>
<style scoped>
.small {
  font-weight: 400;
}

.tick {
  stroke: var(--line);
}

.stroke {
  fill: var(--late);
}

.harm {
  stroke: var(--late);
}

.day {
  fill: var(--tape);
  stroke: var(--ink);
}

.night {
  fill: var(--ink);
}
</style>
