<script setup lang="ts">
import Select from 'primevue/select'

/** One of many, which acts as soon as it is chosen. */
defineProps<{ label: string; options: readonly { value: string; label: string }[] }>()
const emit = defineEmits<{ chosen: [value: string] }>()
</script>

<template>
  <Select
    :model-value="null"
    :options="[...options]"
    option-label="label"
    option-value="value"
    :aria-label="label"
    :placeholder="label"
    v-bind="options.length > 200 ? { virtualScrollerOptions: { itemSize: 40 } } : {}"
    scroll-height="320px"
    filter
    auto-filter-focus
    @update:model-value="emit('chosen', $event)"
  />
</template>
