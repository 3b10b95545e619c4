<script setup lang="ts">
import Checkbox from 'primevue/checkbox'
import { useId } from 'vue'
import Labelled from './Labelled.vue'

/** Any of a few, all of them in sight. */
const { label, name, options } = defineProps<{
  label: string
  name?: string | undefined
  options: readonly { value: string; label: string }[]
}>()
const chosen = defineModel<string[]>({ required: true })
const id = useId()
</script>

<template>
  <Labelled v-slot="{ labelId }" :label="label" :name="name">
    <div class="row" role="group" :aria-labelledby="labelId">
      <div v-for="option in options" :key="option.value" class="tick">
        <Checkbox v-model="chosen" :name="name" :input-id="`${id}-${option.value}`" :value="option.value" />
        <label :for="`${id}-${option.value}`">{{ option.label }}</label>
      </div>
    </div>
  </Labelled>
</template>
