<script setup lang="ts">
import { computed, inject, useId } from 'vue'
import type { FormInside } from './formInside.ts'
import { FORM } from './formInside.ts'

/** What every field has: its name above, and what is wrong with it below, in words. */
const { label, name, wrong } = defineProps<{
  label: string
  /** Where in the form's values it stands, "build.layers.0.mm". */
  name?: string | undefined
  /** Something wrong that no schema knows of. */
  wrong?: string | undefined
}>()
const form = inject<FormInside | null>(FORM, null)
const id = useId()
const error = computed(() => wrong || (name ? form?.getFieldState(name)?.error?.message : undefined) || '')
const ids = { input: id, label: `${id}-label`, error: `${id}-error` }
</script>

<template>
  <div class="labelled">
    <label :id="ids.label" :for="ids.input">{{ label }}</label>
    <slot
      :id="ids.input"
      :label-id="ids.label"
      :invalid="error !== ''"
      :described-by="error ? ids.error : undefined"
    />
    <p v-if="error" :id="ids.error" class="error" role="alert">{{ error }}</p>
  </div>
</template>

<style scoped>
.error {
  color: var(--late);
  font-weight: 600;
}
</style>
