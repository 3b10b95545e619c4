<script setup lang="ts">
import { useId } from 'vue'
import type { Field } from './ask.ts'

const { fields, answers } = defineProps<{
  fields: readonly Field[]
  answers: Readonly<Record<string, string>>
}>()
const emit = defineEmits<{ answer: [name: string, value: string] }>()
const id = useId()

function typedIn(event: Event): string {
  return (event.target as HTMLInputElement | HTMLSelectElement).value
}
</script>

<template>
  <label v-for="field in fields" :key="field.name" :class="{ tick: field.type === 'tick' }">
    <template v-if="field.type === 'tick'">
      <input
        type="checkbox"
        :checked="answers[field.name] === 'yes'"
        @change="emit('answer', field.name, answers[field.name] === 'yes' ? '' : 'yes')"
      />
      {{ field.label }}
    </template>
    <template v-else>
      {{ field.label }}<template v-if="field.type === 'number'">, {{ field.unit }}</template>
      <select
        v-if="field.type === 'select'"
        class="field"
        :value="answers[field.name]"
        @change="emit('answer', field.name, typedIn($event))"
      >
        <option v-for="option in field.options" :key="option.value" :value="option.value">
          {{ option.label }}
        </option>
      </select>
      <input
        v-else
        class="field"
        :value="answers[field.name]"
        :inputmode="field.type === 'number' ? 'decimal' : 'text'"
        :list="field.type === 'text' && field.suggestions ? `${id}-${field.name}` : undefined"
        maxlength="400"
        autocomplete="off"
        @input="emit('answer', field.name, typedIn($event))"
      />
      <datalist v-if="field.type === 'text' && field.suggestions" :id="`${id}-${field.name}`">
        <option v-for="one in field.suggestions" :key="one" :value="one" />
      </datalist>
    </template>
  </label>
</template>

<style scoped>
label {
  display: grid;
  gap: 3px;
}

.tick {
  grid-template-columns: 24px 1fr;
  align-items: center;
  min-height: 44px;
}

.tick input {
  width: 22px;
  height: 22px;
}
</style>
