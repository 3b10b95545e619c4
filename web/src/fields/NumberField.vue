<script setup lang="ts">
import { inject, watch } from 'vue'
import type { FormInside } from './formInside.ts'
import { FORM } from './formInside.ts'
import { HouseNumber } from './HouseNumber.ts'
import Labelled from './Labelled.vue'

defineOptions({ inheritAttrs: false })
const {
  label,
  name,
  wrong,
  unit = '',
  whole = false,
  first = false,
} = defineProps<{
  label: string
  name?: string | undefined
  wrong?: string | undefined
  unit?: string | undefined
  whole?: boolean | undefined
  /** Where whoever opens the form begins, with the number in hand. */
  first?: boolean
}>()
/** Null where nothing stands in it. */
const value = defineModel<number | null | undefined>({ required: true })
const LOCALE = globalThis.navigator.language

// Given its name, PrimeVue's field would make itself known twice, once for the text inside it, which would then
// lose its unit.
const form = inject<FormInside | null>(FORM, null)
let inForm: ReturnType<FormInside['register']> | undefined
watch(
  () => name,
  (known) => (inForm = known ? form?.register(known, { initialValue: value.value }) : undefined),
  { immediate: true },
)

function typed(next: unknown): void {
  value.value = typeof next === 'number' ? next : null
  inForm?.onChange({ value: value.value })
}
</script>

<template>
  <Labelled v-slot="{ id, invalid, toldBy }" :label="label" :name="name" :wrong="wrong">
    <HouseNumber
      v-bind="$attrs"
      :model-value="value"
      :input-id="id"
      :locale="LOCALE"
      :use-grouping="false"
      :max-fraction-digits="whole ? 0 : 4"
      :suffix="unit ? ` ${unit}` : undefined"
      :invalid="invalid"
      :pt="{
        pcInputText: {
          root: {
            name,
            autocomplete: 'off',
            autofocus: first,
            'aria-invalid': invalid,
            'aria-describedby': toldBy,
          },
        },
      }"
      :highlight-on-focus="first"
      fluid
      @input="typed($event.value)"
      @update:model-value="typed"
    />
  </Labelled>
</template>
