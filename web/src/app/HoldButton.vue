<script setup lang="ts">
import { onUnmounted, shallowRef } from 'vue'
import { t } from './words.ts'

const { label, holdMs = 600 } = defineProps<{ label: string; holdMs?: number }>()
const emit = defineEmits<{ held: [] }>()

/** A touch in passing does nothing; it says what to do instead. */
const isHolding = shallowRef(false)
const wasShort = shallowRef(false)
let timer: ReturnType<typeof setTimeout> | undefined

function begin(): void {
  if (isHolding.value) return
  isHolding.value = true
  wasShort.value = false
  timer = setTimeout(() => {
    isHolding.value = false
    emit('held')
  }, holdMs)
}

function end(): void {
  if (!isHolding.value) return
  clearTimeout(timer)
  isHolding.value = false
  wasShort.value = true
}

onUnmounted(() => clearTimeout(timer))
</script>

<template>
  <button
    type="button"
    class="hold"
    :class="{ isHolding }"
    :style="{ '--hold': `${holdMs}ms` }"
    :aria-description="t('holdForSeconds', { count: holdMs / 1000 })"
    @pointerdown="begin"
    @pointerup="end"
    @pointerleave="end"
    @pointercancel="end"
    @contextmenu.prevent
    @keydown.enter.prevent="begin"
    @keydown.space.prevent="begin"
    @keyup.enter="end"
    @keyup.space="end"
    @blur="end"
  >
    {{ label }}<span v-if="wasShort" role="status">{{ t('hold') }}</span>
  </button>
</template>

<style scoped>
.hold {
  background-image: linear-gradient(var(--wash), var(--wash));
  background-repeat: no-repeat;
  background-size: 0 100%;
  touch-action: none;
}

.isHolding {
  background-size: 100% 100%;
  transition: background-size var(--hold) linear;
}
</style>
