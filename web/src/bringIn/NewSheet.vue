<script setup lang="ts">
import { OFFICE_ROUTES } from '@kobrin/contract'
import type { Sheet, SheetGroup } from '@kobrin/core'
import { PlainSheet, plainSheet, sheetLike } from '@kobrin/core'
import { until } from '@vueuse/core'
import Button from 'primevue/button'
import { computed, reactive, shallowRef } from 'vue'
import * as z from 'zod/mini'
import AppDialog from '../app/AppDialog.vue'
import { call } from '../api/call.ts'
import { answersChanged } from '../api/changes.ts'
import { useSending } from '../api/queries.ts'
import ChoiceField from '../fields/ChoiceField.vue'
import { choicesOf } from '../fields/choicesOf.ts'
import NumberField from '../fields/NumberField.vue'
import SchemaForm from '../fields/SchemaForm.vue'
import TextField from '../fields/TextField.vue'
import Wrong from '../fields/Wrong.vue'
import { useSite } from '../site/useSite.ts'
import { care } from '../words/care.ts'
import { saySheetFault } from '../words/sheetFaults.ts'
import { t } from './words.ts'

/** A sheet for a species that has none: of five things anybody knows, or like that of another. */
const { said } = defineProps<{ said: string }>()
const emit = defineEmits<{ close: []; made: [sheet: string] }>()
const site = useSite()

/** Like no other. */
const NONE = 'none'
const form = reactive({
  common: said,
  latin: '',
  like: NONE,
  group: 'lizard' as SheetGroup,
  lives: 'individual' as 'individual' | 'colony',
  feedEvery: null as number | null,
  food: '',
  waterEvery: null as number | null,
  lookEvery: 1 as number | null,
})
const sheets = computed(() => [...site.species.values()])
const others = computed(() => [
  { value: NONE, label: t('likeNone') },
  ...sheets.value
    .map(({ id: value, common: label }) => ({ value, label }))
    .sort((a, b) => a.label.localeCompare(b.label)),
])
const GROUPS = choicesOf(care.group)
const LIVES = choicesOf({ individual: t('livesAlone'), colony: t('livesInNumbers') })
const schema = computed(() =>
  form.like === NONE
    ? z.object({ sheet: PlainSheet })
    : z.object({ sheet: z.pick(PlainSheet, { common: true, latin: true }) }),
)
const faults = shallowRef<string[]>([])
const { busy, complaint, send } = useSending((sheet: Sheet) =>
  call(OFFICE_ROUTES.keepSheet, {
    params: { sheetId: sheet.id },
    body: { yaml: JSON.stringify(sheet), why: t('whyPlain'), confirmed: true, basedOn: 0 },
  }),
)
const told = () => {
  const { like: _, ...fields } = form
  return { sheet: form.like === NONE ? fields : { common: fields.common, latin: fields.latin } }
}

const KNOWN_WITHIN_MS = 10_000

async function keep(): Promise<void> {
  const other = site.species.get(form.like)
  const sheet = other
    ? sheetLike(other, form, sheets.value)
    : plainSheet(PlainSheet.parse(told().sheet), sheets.value)
  const answer = (await send(sheet))?.got
  if (answer?.status !== 'kept') {
    faults.value = answer && 'faults' in answer ? answer.faults.map(saySheetFault) : []
    return
  }
  await answersChanged.trigger(null)
  // The list is read again with it.
  await until(() => site.species.has(sheet.id)).toBe(true, { timeout: KNOWN_WITHIN_MS })
  emit('made', sheet.id)
}
</script>

<template>
  <AppDialog :title="t('newSheetFor', { said })" @close="emit('close')">
    <p class="quiet">{{ t('aboutPlain') }}</p>
    <SchemaForm :schema="schema" :sends="told" @keep="keep">
      <TextField v-model="form.common" name="sheet.common" :label="t('sheetCommon')" />
      <TextField v-model="form.latin" name="sheet.latin" :label="t('sheetLatin')" />
      <ChoiceField v-model="form.like" :label="t('sheetLike')" :options="others" />
      <template v-if="form.like === NONE">
        <ChoiceField v-model="form.group" name="sheet.group" :label="t('sheetGroup')" :options="GROUPS" />
        <ChoiceField v-model="form.lives" name="sheet.lives" :label="t('sheetLives')" :options="LIVES" />
        <NumberField v-model="form.feedEvery" name="sheet.feedEvery" :label="t('sheetFeedEvery')" />
        <TextField v-model="form.food" name="sheet.food" :label="t('sheetFood')" />
        <NumberField v-model="form.waterEvery" name="sheet.waterEvery" :label="t('sheetWaterEvery')" />
        <NumberField v-model="form.lookEvery" name="sheet.lookEvery" :label="t('sheetLookEvery')" />
      </template>
      <Wrong :says="complaint" />
      <p v-for="fault in faults" :key="fault" class="wrong">{{ fault }}</p>
      <template #buttons>
        <p class="row">
          <Button type="submit" :disabled="busy">{{ t('makeTheSheet') }}</Button>
        </p>
      </template>
    </SchemaForm>
  </AppDialog>
</template>
