<script setup lang="ts">
import { computed } from 'vue'
import NumberField from '../calculators/NumberField.vue'

/** A length in millimetres that need not be there: none is not written down. */
const { label } = defineProps<{ label: string }>()
const model = defineModel<number | undefined>({ required: true })
const mm = computed({
  get: () => model.value ?? 0,
  set: (value) => (model.value = value > 0 ? value : undefined),
})
</script>

<template>
  <NumberField v-model="mm" :label="label" unit="mm" />
</template>
