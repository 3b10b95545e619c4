<script setup lang="ts">
import Listbox from 'primevue/listbox'
import { useElementSize } from '@vueuse/core'
import { computed, useTemplateRef } from 'vue'
import type { RoundBay, RoundLine } from './useRound.ts'
import { t } from './words.ts'

/** Everybody of the round in walking order, and how far it has come. */
const { bays } = defineProps<{ bays: readonly RoundBay[] }>()
const at = defineModel<string | null>({ required: true })
const options = computed(() => [...bays])
const count = computed(() => bays.reduce((sum, { lines }) => sum + lines.length + 1, 0))
/** The list itself takes the Tab key. PrimeVue has hidden catches before and after it, which a screen reader would
 * come upon. */
const REACHED = {
  hiddenFirstFocusableEl: { tabindex: -1 },
  hiddenLastFocusableEl: { tabindex: -1 },
  list: { tabindex: 0 },
}

/** Touched again, somebody stays in hand. */
function choose(next: string | null): void {
  if (next !== null) at.value = next
}

/** More than a screen draws at once. */
const MANY = 120
const LINE_PX = 41
const room = useTemplateRef<HTMLElement>('room')
const { height } = useElementSize(room)
/** Only the lines in sight are drawn of a long list; how many that are has to be known. */
const layout = computed(() => {
  if (count.value <= MANY) return { scrollHeight: '100%', listStyle: 'max-height: 100%' }
  const scrollHeight = `${Math.max(LINE_PX, Math.floor(height.value) - 4)}px`
  return { scrollHeight, virtualScrollerOptions: { itemSize: LINE_PX, scrollHeight } }
})
const SIGNS: Readonly<Record<RoundLine['state'], string>> = {
  toDo: '○',
  done: '✓',
  later: '…',
  held: '∥',
  gone: '–',
}
</script>

<template>
  <div ref="room" class="room">
    <Listbox
      :model-value="at"
      :options="options"
      option-label="name"
      option-value="id"
      option-group-label="label"
      option-group-children="lines"
      :option-disabled="({ state }: RoundLine) => state === 'gone'"
      :aria-label="t('everybody')"
      :selection-message="t('inHand')"
      :pt="REACHED"
      v-bind="layout"
      @update:model-value="choose"
    >
      <template #option="{ option }: { option: RoundLine }">
        <span class="sign" :class="option.state" aria-hidden="true">{{ SIGNS[option.state] }}</span>
        <span class="name">{{ option.name }}</span>
        <span class="quiet says">{{ option.says }}</span>
      </template>
    </Listbox>
  </div>
</template>

<style scoped>
.room {
  /* What is hidden in the list for screen readers scrolls with it, not with the page. */
  position: relative;
  overflow: hidden auto;
}

.sign {
  width: 1.4em;
  font-weight: 700;
  text-align: center;
}

.done {
  color: var(--done);
}

.held {
  color: var(--held);
}

.name {
  flex: 1;
  min-width: 0;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}

.says {
  font-size: 0.875rem;
}
</style>
