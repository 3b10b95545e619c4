<script setup lang="ts">
import { ROUTES, SignOverride } from '@kobrin/contract'
import Button from 'primevue/button'
import type { Resident } from '../site/useSite.ts'
import type { Duty, Plan } from '@kobrin/core'
import { computed, reactive, shallowRef } from 'vue'
import { useDraft } from '../drafts/useDraft.ts'
import ChoiceField from '../fields/ChoiceField.vue'
import DayField from '../fields/DayField.vue'
import SchemaForm from '../fields/SchemaForm.vue'
import SureNumber from '../fields/SureNumber.vue'
import TextField from '../fields/TextField.vue'
import TickField from '../fields/TickField.vue'
import { useSite } from '../site/useSite.ts'
import { useToday } from '../time/useToday.ts'
import { call } from '../api/call.ts'
import { useSending } from '../api/queries.ts'
import { dutyName } from '../words/cell.ts'
import { care } from '../words/care.ts'
import type { Changed, ChangeDraft } from './planChange.ts'
import { changeOf, draftOf, fieldsOf, isUntouched, LIGHTS, MEASURES, wrongWith } from './planChange.ts'
import PreviewTable from './PreviewTable.vue'
import type { Preview } from './usePreview.ts'
import { usePreview } from './usePreview.ts'
import { t } from './words.ts'

const { resident, plan, duties } = defineProps<{
  resident: Resident
  plan: Plan
  duties: readonly Duty[]
}>()

const site = useSite()
const today = useToday()
const { busy, complaint, send } = useSending((body: SignOverride) => call(ROUTES.signOverride, { body }))
/** What is changed, into what, and why. */
const form = reactive({ which: '', to: null as ChangeDraft | null, reason: '', forAll: false })
const preview = shallowRef<Preview | null>(null)
const previewOf = usePreview()
const draft = useDraft(`plan ${resident.id}`, form)

const climates = computed(() => plan.targets.filter(({ celsius }) => celsius !== undefined))
const measures = computed(() =>
  MEASURES.flatMap((measure) => {
    const value = plan.housing?.[measure]
    return value === undefined ? [] : [{ measure, value }]
  }),
)
const lights = computed(() =>
  LIGHTS.flatMap((light) => {
    const hours = plan.light?.[light]
    return hours === undefined ? [] : [{ light, hours }]
  }),
)
const changed = computed<Changed | null>(() => {
  const duty = duties.find(({ id }) => `duty ${id}` === form.which)
  if (duty) return { duty }
  const zone = climates.value.find((one) => `zone ${one.zone}` === form.which)
  if (zone) return { zone }
  return (
    measures.value.find(({ measure }) => `measure ${measure}` === form.which) ??
    lights.value.find(({ light }) => `light ${light}` === form.which) ??
    null
  )
})
const duty = computed(() => (changed.value && 'duty' in changed.value ? changed.value.duty : null))
const zone = computed(() => (changed.value && 'zone' in changed.value ? changed.value.zone : null))
const measure = computed(() => (changed.value && 'measure' in changed.value ? changed.value.measure : null))
const untouched = computed(() => !changed.value || !form.to || isUntouched(changed.value, form.to))

function choose(which: string): void {
  form.which = which
  form.to = changed.value && draftOf(changed.value)
  preview.value = null
}

const kind = computed(() => site.species.get(resident.sheet)?.common.toLowerCase() ?? '')
const groups = computed(() =>
  [
    {
      label: t('duties'),
      options: duties.map((one) => choice('duty', one.id, dutyName({ duty: one }))),
    },
    { label: t('climate'), options: climates.value.map((one) => choice('zone', one.zone, one.zone)) },
    {
      label: t('enclosure'),
      options: measures.value.map((one) => choice('measure', one.measure, care.housing[one.measure])),
    },
    {
      label: t('light'),
      options: lights.value.map((one) => choice('light', one.light, care.light[one.light])),
    },
  ].filter(({ options }) => options.length > 0),
)

function choice(about: string, id: string, label = id) {
  return { value: `${about} ${id}`, label }
}

const fields = computed(() => changed.value && fieldsOf(changed.value))

function change(): ReturnType<typeof changeOf> {
  return changed.value && form.to ? changeOf(changed.value, form.to) : {}
}

function sends(): SignOverride {
  const whose = form.forAll ? { sheet: resident.sheet } : { resident: resident.id }
  return { ...whose, ...change(), reason: form.reason }
}

function also(): Record<string, string> {
  return changed.value && form.to ? wrongWith(changed.value, form.to, today.day) : {}
}

function look(): void {
  preview.value = Object.keys(also()).length === 0 ? previewOf(resident, { change: change() }) : null
}

async function sign(): Promise<void> {
  if (!(await send(sends()))) return
  draft.anew()
  preview.value = null
}
</script>

<template>
  <SchemaForm
    :schema="SignOverride"
    :sends="sends"
    :also="also"
    :complaint="complaint"
    :draft="draft"
    @keep="sign"
  >
    <ChoiceField
      :model-value="form.which"
      :label="t('whatToChange')"
      :groups="groups"
      :placeholder="t('chooseOne')"
      @update:model-value="choose"
    />
    <template v-if="form.to">
      <div v-if="duty && !form.to.drop" class="pair">
        <template v-if="duty.cadence.type === 'every'">
          <SureNumber v-model="form.to.days" :name="fields?.days" :label="t('every')" :unit="t('days')" />
          <SureNumber
            v-model="form.to.tolerance"
            :name="fields?.tolerance"
            :label="t('giveOrTake')"
            :unit="t('days')"
          />
        </template>
        <SureNumber
          v-if="duty.amount?.by === 'portion'"
          v-model="form.to.grams"
          :name="fields?.grams"
          :label="t('portion')"
          unit="g"
        />
      </div>
      <TickField v-if="duty" v-model="form.to.drop" :label="t('noLonger')" />
      <div v-if="zone" class="pair">
        <SureNumber v-model="form.to.low" :label="t('from')" unit="°C" />
        <SureNumber v-model="form.to.high" :name="fields?.range" :label="t('to')" unit="°C" />
        <SureNumber
          v-if="zone.ceilingCelsius !== undefined"
          v-model="form.to.ceiling"
          :name="fields?.ceiling"
          :label="t('neverAbove')"
          unit="°C"
        />
      </div>
      <div v-if="changed && 'light' in changed" class="pair">
        <SureNumber v-model="form.to.low" :label="t('from')" unit="h" />
        <SureNumber v-model="form.to.high" :name="fields?.range" :label="t('to')" unit="h" />
      </div>
      <SureNumber
        v-if="measure"
        v-model="form.to.value"
        :name="fields?.value"
        :label="care.housing[measure] ?? measure"
        :unit="measure === 'hides' ? '' : measure === 'floorPerAnimalCm2' ? 'cm²' : 'mm'"
      />
      <DayField v-model="form.to.until" name="until" :label="t('untilIfItEnds')" />
      <TextField v-model="form.reason" name="reason" :label="t('why')" maxlength="400" />
      <TickField v-model="form.forAll" :label="t('forEveryHere', { kind })" />
    </template>
    <template #buttons>
      <div v-if="form.to" class="row">
        <Button severity="secondary" :disabled="busy || untouched" @click="look">{{
          t('beforeAndAfter')
        }}</Button>
        <Button type="submit" :disabled="busy || untouched">{{ t('signTheChange') }}</Button>
      </div>
    </template>
  </SchemaForm>
  <PreviewTable v-if="preview" :preview="preview" />
</template>
