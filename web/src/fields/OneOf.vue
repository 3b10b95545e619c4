<script setup lang="ts" generic="T extends string">
import RadioButton from 'primevue/radiobutton'
import { useId } from 'vue'
import Labelled from './Labelled.vue'

/** One of a few, all of them in sight. */
const { label, options } = defineProps<{ label: string; options: readonly { value: T; label: string }[] }>()
const chosen = defineModel<T>({ required: true })
const id = useId()
</script>

<template>
  <Labelled v-slot="{ labelId }" :label="label">
    <div role="radiogroup" :aria-labelledby="labelId">
      <div v-for="option in options" :key="option.value" class="tick">
        <RadioButton v-model="chosen" :input-id="`${id}-${option.value}`" :name="id" :value="option.value" />
        <label :for="`${id}-${option.value}`">{{ option.label }}</label>
      </div>
    </div>
  </Labelled>
</template>
