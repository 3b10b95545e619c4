<script setup lang="ts">
import { computed } from 'vue'
import { useAfterPaint } from '../app/useAfterPaint.ts'
import type { Box } from './stops.ts'
import { usePeople } from '../people/usePeople.ts'
import { useTouch } from './useTouch.ts'
import { t } from './words.ts'

const { shelf, name } = defineProps<{ shelf: readonly Box[]; name: string }>()
const emit = defineEmits<{ planned: [residents: string[]] }>()
const people = usePeople()
const { canTouchAmong } = useTouch()

const residents = computed(() => shelf.flatMap((box) => box.residents))
/** For how many of them one touch would do. */
const count = useAfterPaint(() => (people.mayWrite ? residents.value.filter(canTouchAmong).length : 0))
</script>

<template>
  <div v-if="count > 1" class="plank" role="row">
    <span role="gridcell">
      <button
        type="button"
        :aria-label="t('wholeAsPlanned', { name, count })"
        @click="emit('planned', residents)"
      >
        {{ t('wholeShelfAsPlanned', { count }) }}
      </button>
    </span>
  </div>
  <div v-else class="plank" />
</template>

<style scoped>
.plank {
  display: flex;
  min-height: 8px;
  background: var(--board);
  box-shadow: 0 1px 0 var(--edge);
}

span {
  position: sticky;
  left: 4px;
}

button {
  min-height: 30px;
  padding: 0 10px;
  border: 0;
  background: none;
  color: var(--on-board);
  font-size: 0.8125rem;
  font-weight: 600;
  text-decoration: underline;
  text-decoration-color: var(--control-line);
  text-underline-offset: 3px;
}

@media (pointer: coarse) {
  button {
    min-height: 44px;
    font-size: 0.875rem;
  }
}
</style>
