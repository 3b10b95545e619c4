<script setup lang="ts">
import AutoComplete from 'primevue/autocomplete'
import type { AutoCompleteCompleteEvent } from 'primevue/autocomplete'
import InputText from 'primevue/inputtext'
import Textarea from 'primevue/textarea'
import { shallowRef } from 'vue'
import Labelled from './Labelled.vue'
import { t } from './words.ts'

defineOptions({ inheritAttrs: false })
const { label, name, wrong, suggestions, lines } = defineProps<{
  label: string
  name?: string | undefined
  wrong?: string | undefined
  /** What is often said here; anything else may be said too. */
  suggestions?: readonly string[] | undefined
  /** More than one, for a note. */
  lines?: number
}>()
const text = defineModel<string | undefined>({ required: true })
const offered = shallowRef<string[]>([])

function offer({ query }: AutoCompleteCompleteEvent): void {
  const asked = query.toLowerCase()
  offered.value = (suggestions ?? []).filter((one) => one.toLowerCase().includes(asked))
}
</script>

<template>
  <Labelled v-slot="{ id, labelId, invalid, describedBy }" :label="label" :name="name" :wrong="wrong">
    <AutoComplete
      v-if="suggestions"
      v-model="text"
      v-bind="$attrs"
      :name="name"
      :input-id="id"
      :aria-labelledby="labelId"
      :suggestions="offered"
      :invalid="invalid"
      dropdown
      fluid
      complete-on-focus
      :pt="{ dropdown: { 'aria-label': t('whatIsOftenSaid', { label }) } }"
      @complete="offer"
    />
    <Textarea
      v-else-if="lines"
      :id="id"
      v-model="text"
      v-bind="$attrs"
      :name="name"
      :rows="lines"
      :aria-invalid="invalid"
      :aria-describedby="describedBy"
      :invalid="invalid"
      fluid
    />
    <InputText
      v-else
      :id="id"
      v-model="text"
      v-bind="$attrs"
      :name="name"
      :aria-invalid="invalid"
      :aria-describedby="describedBy"
      :invalid="invalid"
      autocomplete="off"
      fluid
    />
  </Labelled>
</template>
