<script setup lang="ts">
import NumberField from '../fields/NumberField.vue'

/** A length in millimetres that need not be there: none is not written down. */
const { label } = defineProps<{ label: string; name?: string | undefined }>()
const mm = defineModel<number | undefined>({ required: true })
</script>

<template>
  <NumberField
    :label="label"
    :name="name"
    :model-value="mm"
    unit="mm"
    @update:model-value="(value) => (mm = value ? value : undefined)"
  />
</template>
