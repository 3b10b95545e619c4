<script setup lang="ts">
import { computed, inject, shallowRef, watch } from 'vue'
import { kept, numberHere, unitHere } from '../words/measures.ts'
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
  /** Where the person who opens the form begins, with the number in hand. */
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

/** What was typed stays as it was typed, for as long as it stands for the value. */
const asTyped = shallowRef<{ value: number; typed: number } | null>(null)
const shown = computed(() => {
  if (typeof value.value !== 'number') return value.value
  return asTyped.value?.value === value.value ? asTyped.value.typed : numberHere(value.value, unit)
})
const suffix = computed(() => unitHere(unit))
/** A whole number of the record's unit is none of another. */
const decimals = computed(() => (whole && suffix.value === unit ? 0 : 4))

function typed(next: unknown): void {
  if (typeof next === 'number') {
    const said = kept(next, unit)
    value.value = whole ? Math.round(said) : said
    asTyped.value = { value: value.value, typed: next }
  } else value.value = null
  inForm?.onChange({ value: value.value })
}
</script>

<template>
  <Labelled v-slot="{ id, invalid, describedBy }" :label="label" :name="name" :wrong="wrong">
    <HouseNumber
      v-bind="$attrs"
      :model-value="shown"
      :input-id="id"
      :locale="LOCALE"
      :use-grouping="false"
      :max-fraction-digits="decimals"
      :suffix="suffix ? ` ${suffix}` : undefined"
      :invalid="invalid"
      :pt="{
        pcInputText: {
          root: {
            name,
            autocomplete: 'off',
            autofocus: first,
            'aria-invalid': invalid,
            'aria-describedby': describedBy,
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
