<script setup lang="ts" generic="T extends string">
import Select from 'primevue/select'

/** One of several in the cell of a table: its column names it for the eye, `label` for the ear. */
defineProps<{
  modelValue: T | null | undefined
  label: string
  options: readonly { value: T; label: string }[]
  /** Somebody has to choose. */
  asked?: boolean
  /** There are many: they are looked for by typing. */
  searched?: boolean
}>()
const emit = defineEmits<{ 'update:modelValue': [chosen: T] }>()
</script>

<template>
  <Select
    :model-value="modelValue"
    :options="[...options]"
    option-label="label"
    option-value="value"
    :aria-label="label"
    :placeholder="label"
    :invalid="asked"
    :filter="searched && options.length > 12"
    auto-filter-focus
    v-bind="options.length > 200 ? { virtualScrollerOptions: { itemSize: 40 } } : {}"
    scroll-height="320px"
    @update:model-value="emit('update:modelValue', $event)"
  />
</template>
