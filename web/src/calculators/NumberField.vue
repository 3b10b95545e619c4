<script setup lang="ts">
import { computed, shallowRef, watch } from 'vue'
import { readNumber } from '../exceptions/readAnswers.ts'

/** A number with its unit. What cannot be read stays as typed and is said to be so. */
const { label, unit = '' } = defineProps<{ label: string; unit?: string }>()
const model = defineModel<number>({ required: true })
const typed = shallowRef(String(model.value))

function read(text: string): number | null {
  const trimmed = text.trim().replace(',', '.')
  if (/^-?0*(\.0*)?$/.test(trimmed) && trimmed !== '' && trimmed !== '-') return 0
  if (trimmed.startsWith('-')) {
    const size = readNumber(trimmed.slice(1))
    return size === null ? null : -size
  }
  return readNumber(trimmed)
}

const wrong = computed(() => read(typed.value) === null)
watch(typed, (text) => {
  const value = read(text)
  if (value !== null) model.value = value
})
watch(model, (value) => {
  if (read(typed.value) !== value) typed.value = String(value)
})
</script>

<template>
  <label>
    {{ label }}{{ unit ? `, ${unit}` : '' }}
    <input v-model="typed" class="field" inputmode="decimal" autocomplete="off" :aria-invalid="wrong" />
    <span v-if="wrong" class="no" role="alert">"{{ typed }}" is not a number.</span>
  </label>
</template>

<style scoped>
.no {
  color: var(--late);
  font-weight: 600;
}
</style>
