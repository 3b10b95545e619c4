<script setup lang="ts">
import type { Box, Build, FitInput, Finding } from '@kobrin/core'
import { toMend } from '@kobrin/core'
import { computed } from 'vue'
import { care } from '../words/care.ts'
import { sayMm } from '../words/measures.ts'
import type { Rect } from './section.ts'
import { sectionOf } from './section.ts'
import { t } from './words.ts'

/** An enclosure cut along its longer side, to scale: floor, furniture, light, heat, the height that is free and the
 * animal, with what does not fit in red. */
const { box, build, tenant, findings } = defineProps<{
  box: Box
  build: Build
  tenant: Pick<FitInput['tenant'], 'sizes'>
  findings: readonly Finding[]
}>()

const WIDTH = 420
const section = computed(() => sectionOf(box, build, tenant, findings))
const whole = computed(() => {
  const { length, height, needed, animal } = section.value
  return { length: Math.max(needed?.length ?? length, animal?.length ?? 0), height: needed?.height ?? height }
})
/** Millimetres to units of the drawing. */
const scale = computed(() => Math.min(380 / whole.value.length, 260 / whole.value.height))
const bottom = computed(() => 16 + whole.value.height * scale.value)
const x = (mm: number) => 20 + mm * scale.value
const y = (mm: number) => bottom.value - mm * scale.value
const rect = (piece: Rect) => ({
  x: x(piece.x),
  y: y(piece.y + piece.height),
  width: piece.width * scale.value,
  height: piece.height * scale.value,
})
const slope = computed(() => {
  const { length, floor } = section.value
  if (floor.deep === floor.shallow) return ''
  const [low, high] = floor.deepAt === 'right' ? [0, length] : [length, 0]
  return `${x(low)},${y(floor.shallow)} ${x(high)},${y(floor.shallow)} ${x(high)},${y(floor.deep)}`
})
const nameOf = (what: (typeof section.value.pieces)[number]['what']) =>
  what === 'heater'
    ? t('heat')
    : what in care.lamp
      ? care.lamp[what as keyof typeof care.lamp]
      : care.furniture[what as keyof typeof care.furniture]
const says = computed(() => {
  const { length, height, pieces, animal } = section.value
  const in_ = pieces.map(({ what }) => nameOf(what)).join(', ')
  return t('longHigh2', {
    length: sayMm(length),
    height: sayMm(height),
    in_: in_ ? `; ${in_}` : '',
    animal: animal ? t('theAnimal2', { count: sayMm(animal.length) }) : '',
  })
})
</script>

<template>
  <figure>
    <svg :viewBox="`0 0 ${WIDTH} ${bottom + 46}`" role="img" :aria-label="says">
      <rect
        v-if="section.needed"
        class="needed"
        v-bind="rect({ x: 0, y: 0, width: section.needed.length, height: section.needed.height })"
      />
      <rect class="box" v-bind="rect({ x: 0, y: 0, width: section.length, height: section.height })" />
      <rect
        v-for="(layer, index) in section.layers"
        :key="`l${index}`"
        class="layer"
        :class="{ even: index % 2 === 1 }"
        v-bind="rect(layer)"
      />
      <polygon v-if="slope" class="layer" :points="slope" />
      <line
        v-if="section.floorNeeded !== null"
        class="wrong dashed"
        :x1="x(0)"
        :x2="x(section.length)"
        :y1="y(section.floorNeeded)"
        :y2="y(section.floorNeeded)"
      />
      <g v-for="(piece, index) in section.pieces" :key="`p${index}`">
        <rect class="piece" :class="[piece.what, { wrong: piece.wrong }]" v-bind="rect(piece)" rx="3" />
        <text
          class="small name"
          :x="x(piece.x + piece.width / 2)"
          :y="piece.y > section.height / 2 ? y(piece.y) + 12 : y(piece.y + piece.height) - 4"
        >
          {{ nameOf(piece.what) }}
        </text>
      </g>
      <g v-for="(free, index) in section.free" :key="`f${index}`" :class="{ wrong: free.wrong }">
        <line class="free" :x1="x(free.x)" :x2="x(free.x)" :y1="y(free.from)" :y2="y(free.to)" />
        <line class="perch" :x1="x(free.x) - 22" :x2="x(free.x) + 22" :y1="y(free.to)" :y2="y(free.to)" />
        <text :x="x(free.x) + 5" :y="(y(free.from) + y(free.to)) / 2">
          {{ sayMm(free.to - free.from) }}
        </text>
      </g>
      <g v-if="section.animal" :class="{ wrong: section.animal.wrong }">
        <line
          class="animal"
          :x1="x(0)"
          :x2="x(section.animal.length)"
          :y1="y(section.floor.shallow) - 4"
          :y2="y(section.floor.shallow) - 4"
        />
      </g>
      <text class="small" :x="x(0)" :y="bottom + 16">
        {{ t('longHigh', { count: sayMm(section.length), height: sayMm(section.height) }) }}
      </text>
      <text
        v-if="section.animal"
        class="small"
        :class="{ wrong: section.animal.wrong }"
        :x="x(0)"
        :y="bottom + 32"
      >
        {{ t('theAnimal', { count: sayMm(section.animal.length) }) }}
      </text>
    </svg>
    <figcaption class="quiet">
      {{ t('toScaleCutAlong')
      }}<template v-if="toMend(findings).length > 0">{{ ` ${t('whatDoesNotFit')}` }}</template>
    </figcaption>
  </figure>
</template>

<style scoped src="../app/drawing.css"></style>
<style scoped>
svg {
  max-width: 520px;
}

.name {
  font-size: 0.6875rem;
  font-weight: 400;
  text-anchor: middle;
}

.box {
  fill: var(--glass);
  stroke: var(--ink);
  stroke-width: 2;
}

.needed {
  fill: none;
  stroke: var(--late);
  stroke-width: 2;
  stroke-dasharray: 7 5;
}

.layer {
  fill: var(--board);
}

.even {
  fill: var(--edge);
}

.piece {
  fill: var(--chip);
  stroke: var(--ink);
}

.bowl {
  fill: var(--wash);
}

.uvb,
.basking,
.day {
  fill: var(--tape);
}

.heater {
  fill: var(--held);
}

.free {
  stroke: var(--ink);
  stroke-dasharray: 3 3;
}

.perch {
  stroke: var(--ink);
  stroke-width: 4;
}

.animal {
  stroke: var(--focus);
  stroke-width: 5;
  stroke-linecap: round;
}

.dashed {
  stroke-dasharray: 7 5;
}

.wrong,
.wrong line {
  stroke: var(--late);
}

rect.wrong {
  stroke-width: 3;
}

.wrong text,
text.wrong {
  fill: var(--late);
  stroke: none;
}
</style>
