<script setup lang="ts">
import ChoiceField from '../fields/ChoiceField.vue'
import NumberField from '../fields/NumberField.vue'
import { readSigned, sayTyped } from '../fields/readSigned.ts'
import TextField from '../fields/TextField.vue'
import TickField from '../fields/TickField.vue'
import type { Field } from './ask.ts'
import type { Complaint } from './readAnswers.ts'

const { fields, answers, complaint } = defineProps<{
  fields: readonly Field[]
  answers: Readonly<Record<string, string>>
  complaint: Complaint | null
}>()
const emit = defineEmits<{ answer: [name: string, value: string] }>()

function wrongAt(name: string): string | undefined {
  return complaint?.field === name ? complaint.complaint : undefined
}

function typedAt(name: string): string {
  return answers[name] ?? ''
}
</script>

<template>
  <template v-for="field in fields" :key="field.name">
    <TickField
      v-if="field.type === 'tick'"
      :label="field.label"
      :model-value="typedAt(field.name) === 'yes'"
      @update:model-value="(is) => emit('answer', field.name, is ? 'yes' : '')"
    />
    <ChoiceField
      v-else-if="field.type === 'select'"
      :label="field.label"
      :wrong="wrongAt(field.name)"
      :options="field.options"
      :model-value="typedAt(field.name)"
      @update:model-value="(value) => emit('answer', field.name, value)"
    />
    <NumberField
      v-else-if="field.type === 'number'"
      :label="field.label"
      :wrong="wrongAt(field.name)"
      :unit="field.unit"
      :whole="field.whole ?? false"
      :model-value="readSigned(typedAt(field.name))"
      @update:model-value="(value) => emit('answer', field.name, sayTyped(value))"
    />
    <TextField
      v-else
      :label="field.label"
      :wrong="wrongAt(field.name)"
      :suggestions="field.suggestions"
      maxlength="400"
      :model-value="typedAt(field.name)"
      @update:model-value="(value) => emit('answer', field.name, value ?? '')"
    />
  </template>
</template>
