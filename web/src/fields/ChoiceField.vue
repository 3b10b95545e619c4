<script setup lang="ts" generic="T extends string | null | undefined">
import Select from 'primevue/select'
import { computed } from 'vue'
import Labelled from './Labelled.vue'

interface Choice {
  value: T
  label: string
}

defineOptions({ inheritAttrs: false })
const { label, name, wrong, options, groups } = defineProps<{
  label: string
  name?: string | undefined
  wrong?: string | undefined
  options?: readonly Choice[]
  groups?: readonly { label: string; options: readonly Choice[] }[]
}>()
const chosen = defineModel<T>({ required: true })
/** More than can be taken in at a look. */
const MANY = 12
const isLong = computed(() => (options?.length ?? 0) > MANY)
const shown = computed(() => [...(groups ?? options ?? [])])
</script>

<template>
  <Labelled v-slot="{ id, labelId, invalid }" :label="label" :name="name" :wrong="wrong">
    <Select
      v-bind="$attrs"
      v-model="chosen"
      :name="name"
      :label-id="id"
      :aria-labelledby="labelId"
      :options="shown"
      option-label="label"
      option-value="value"
      :option-group-label="groups ? 'label' : undefined"
      :option-group-children="groups ? 'options' : undefined"
      :filter="isLong"
      :invalid="invalid"
      scroll-height="320px"
      auto-filter-focus
      fluid
    />
  </Labelled>
</template>
