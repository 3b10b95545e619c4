<script setup lang="ts">
import { ROUTES } from '@kobrin/contract'
import type { Resident } from '../site/useSite.ts'
import type { Duty, Plan } from '@kobrin/core'
import { computed, ref, shallowRef, watch } from 'vue'
import { useDoing } from '../app/useAnswer.ts'
import NumberField from '../calculators/NumberField.vue'
import { useSite } from '../site/useSite.ts'
import { useToday } from '../time/useToday.ts'
import { call } from '../wire/call.ts'
import { care } from '../words/care.ts'
import { words } from '../words/en.ts'
import type { Changed, ChangeDraft } from './planChange.ts'
import { changeOf, draftOf, isUntouched, LIGHTS, MEASURES, wrongWith } from './planChange.ts'
import PreviewTable from './PreviewTable.vue'
import type { Preview } from './usePreview.ts'
import { usePreview } from './usePreview.ts'

const { resident, plan, duties } = defineProps<{
  resident: Resident
  plan: Plan
  duties: readonly Duty[]
}>()
const emit = defineEmits<{ signed: [] }>()

const site = useSite()
const today = useToday()
const { busy, complaint, run } = useDoing()
const which = shallowRef('')
const draft = ref<ChangeDraft | null>(null)
const reason = shallowRef('')
const forAll = shallowRef(false)
const preview = shallowRef<Preview | null>(null)
const previewOf = usePreview()

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
  const duty = duties.find(({ id }) => `duty ${id}` === which.value)
  if (duty) return { duty }
  const zone = climates.value.find((one) => `zone ${one.zone}` === which.value)
  if (zone) return { zone }
  return (
    measures.value.find(({ measure }) => `measure ${measure}` === which.value) ??
    lights.value.find(({ light }) => `light ${light}` === which.value) ??
    null
  )
})
const duty = computed(() => (changed.value && 'duty' in changed.value ? changed.value.duty : null))
const zone = computed(() => (changed.value && 'zone' in changed.value ? changed.value.zone : null))
const measure = computed(() => (changed.value && 'measure' in changed.value ? changed.value.measure : null))
const untouched = computed(() => !changed.value || !draft.value || isUntouched(changed.value, draft.value))

watch(which, () => {
  draft.value = changed.value && draftOf(changed.value)
  preview.value = null
})

async function doing(act: (change: ReturnType<typeof changeOf>) => Promise<void>): Promise<boolean> {
  if (!changed.value || !draft.value) return false
  const change = changeOf(changed.value, draft.value)
  const wrong = wrongWith(changed.value, draft.value, today.day)
  const done = wrong === '' && (await run(() => act(change)))
  if (wrong) complaint.value = wrong
  return done
}

function look(): Promise<boolean> {
  return doing(async (change) => {
    preview.value = previewOf(resident, { change })
  })
}

async function sign(): Promise<void> {
  const whose = forAll.value ? { sheet: resident.sheet } : { resident: resident.id }
  const signed = await doing((change) =>
    call(ROUTES.signOverride, { body: { ...whose, ...change, reason: reason.value.trim() } }),
  )
  if (!signed) return
  which.value = ''
  reason.value = ''
  forAll.value = false
  emit('signed')
}
</script>

<template>
  <form class="form" @submit.prevent="sign">
    <label>
      What to change
      <select v-model="which" class="field">
        <option value="" disabled>Choose one</option>
        <optgroup label="Duties">
          <option v-for="one in duties" :key="one.id" :value="`duty ${one.id}`">
            {{ one.label ?? words.duty[one.does] }}
          </option>
        </optgroup>
        <optgroup label="Climate">
          <option v-for="one in climates" :key="one.zone" :value="`zone ${one.zone}`">{{ one.zone }}</option>
        </optgroup>
        <optgroup label="Enclosure">
          <option v-for="one in measures" :key="one.measure" :value="`measure ${one.measure}`">
            {{ care.housing[one.measure] }}
          </option>
        </optgroup>
        <optgroup label="Light">
          <option v-for="one in lights" :key="one.light" :value="`light ${one.light}`">
            {{ care.light[one.light] }}
          </option>
        </optgroup>
      </select>
    </label>
    <template v-if="draft">
      <div v-if="duty && !draft.drop" class="pair">
        <template v-if="duty.cadence.type === 'every'">
          <NumberField v-model="draft.days" label="Every" unit="days" />
          <NumberField v-model="draft.tolerance" label="Give or take" unit="days" />
        </template>
        <NumberField v-if="duty.amount?.by === 'portion'" v-model="draft.grams" label="Portion" unit="g" />
      </div>
      <label v-if="duty" class="tick"> <input v-model="draft.drop" type="checkbox" /> no longer </label>
      <div v-if="zone" class="pair">
        <NumberField v-model="draft.low" label="From" unit="°C" />
        <NumberField v-model="draft.high" label="to" unit="°C" />
        <NumberField
          v-if="zone.ceilingCelsius !== undefined"
          v-model="draft.ceiling"
          label="Never above"
          unit="°C"
        />
      </div>
      <div v-if="changed && 'light' in changed" class="pair">
        <NumberField v-model="draft.low" label="From" unit="h" />
        <NumberField v-model="draft.high" label="to" unit="h" />
      </div>
      <NumberField
        v-if="measure"
        v-model="draft.value"
        :label="care.housing[measure] ?? measure"
        :unit="measure === 'hides' ? '' : measure === 'floorPerAnimalCm2' ? 'cm²' : 'mm'"
      />
      <label>
        Until, if it ends
        <input v-model="draft.until" class="field" type="date" />
      </label>
      <label>Why <input v-model="reason" class="field" maxlength="400" /></label>
      <label class="tick">
        <input v-model="forAll" type="checkbox" /> for every
        {{ site.species.get(resident.sheet)?.common.toLowerCase() }} here
      </label>
      <p v-if="complaint" class="wrong" role="alert">{{ complaint }}</p>
      <div class="row">
        <button type="button" class="plain" :disabled="busy || untouched" @click="look">
          Before and after
        </button>
        <button type="submit" class="primary" :disabled="busy || untouched || reason.trim() === ''">
          Sign the change
        </button>
      </div>
    </template>
  </form>
  <PreviewTable v-if="preview" :preview="preview" />
</template>
