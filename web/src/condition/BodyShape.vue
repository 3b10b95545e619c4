<script setup lang="ts">
import { computed } from 'vue'
import type { Shape } from './scales.ts'

const { shape, score } = defineProps<{ shape: Shape; score: number }>()

/** Half the width of the part that shows it, in units of the drawing. */
const w = computed(() => [9, 14, 20, 26, 33][score - 1] ?? 20)

const path = computed(() => {
  const r = w.value
  switch (shape) {
    case 'round': {
      // A body cut through: the thinner, the sharper its spine.
      const ridge = 34 - (score - 1) * 3
      return `M50 ${84 - ridge * 1.6} C${50 + r * 0.4} ${50 - ridge * 0.4} ${50 + r * 1.1} 44 ${50 + r} 62 C${50 + r} 84 ${50 - r} 84 ${50 - r} 62 C${50 - r * 1.1} 44 ${50 - r * 0.4} ${50 - ridge * 0.4} 50 ${84 - ridge * 1.6}Z`
    }
    case 'tail':
      return `M50 6 C62 6 62 20 58 24 C66 32 66 44 56 50 C${50 + r * 0.62} 60 ${50 + r * 0.5} 82 50 96 C${50 - r * 0.5} 82 ${50 - r * 0.62} 60 44 50 C34 44 34 32 42 24 C38 20 38 6 50 6Z`
    case 'trunk':
      return `M50 6 C60 6 62 18 57 22 C${50 + r * 0.8} 32 ${50 + r * 0.8} 58 55 66 C54 78 52 90 50 96 C48 90 46 78 45 66 C${50 - r * 0.8} 58 ${50 - r * 0.8} 32 43 22 C38 18 40 6 50 6Z`
    case 'shell':
      return `M14 62 C14 30 86 30 86 62Z M${16 - r * 0.1} 62 C${20 - r * 0.3} ${64 + r * 0.6} 34 ${64 + r * 0.4} 36 62 M64 62 C66 ${64 + r * 0.4} ${80 + r * 0.3} ${64 + r * 0.6} ${84 + r * 0.1} 62`
    case 'frog':
      return `M50 14 C66 14 68 30 62 36 C${54 + r} 44 ${54 + r} 80 50 86 C${46 - r} 80 ${46 - r} 44 38 36 C32 30 34 14 50 14Z`
    case 'abdomen':
      return `M50 10 C64 10 66 34 50 40 C34 34 36 10 50 10Z M50 40 C${50 + r * 1.1} 40 ${50 + r * 1.1} 92 50 94 C${50 - r * 1.1} 92 ${50 - r * 1.1} 40 50 40Z`
  }
})
</script>

<template>
  <svg viewBox="0 0 100 100" aria-hidden="true"><path :d="path" /></svg>
</template>

<style scoped>
svg {
  width: 64px;
  height: 64px;
}

path {
  fill: var(--chip);
  stroke: var(--ink);
  stroke-width: 2.5;
  stroke-linejoin: round;
}
</style>
