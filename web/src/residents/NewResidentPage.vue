<script setup lang="ts">
import type { Barrier, Draft } from '@kobrin/core'
import { isFit, kindOf } from '@kobrin/core'
import Button from 'primevue/button'
import { v7 as uuidv7 } from 'uuid'
import * as z from 'zod/mini'
import { computed, reactive, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import '../app/page.css'
import PlaceSelect from '../enclosures/PlaceSelect.vue'
import { useFit } from '../enclosures/useFit.ts'
import CanWeKeepIt from '../library/CanWeKeepIt.vue'
import { useDraft } from '../drafts/useDraft.ts'
import { useRecord } from '../entries/useRecord.ts'
import ChoiceField from '../fields/ChoiceField.vue'
import { choicesNamed, choicesOf } from '../fields/choicesOf.ts'
import DayField from '../fields/DayField.vue'
import NumberField from '../fields/NumberField.vue'
import OneOf from '../fields/OneOf.vue'
import SchemaForm from '../fields/SchemaForm.vue'
import TextField from '../fields/TextField.vue'
import { usePlans } from '../plans/usePlans.ts'
import { useSite } from '../site/useSite.ts'
import { useToday } from '../time/useToday.ts'
import { usePlacesLeft } from '../places/usePlacesLeft.ts'
import { useHeldPlaces } from '../moving/useFreePlaces.ts'
import { terms } from '../words/terms.ts'
import { t } from './words.ts'

const site = useSite()
const record = useRecord()
const heldPlaces = useHeldPlaces()
const plans = usePlans()
const today = useToday()
const router = useRouter()
const { query } = useRoute()
/** Found alive in the old floor of somebody: of their kind, so many of them. */
const parent = site.residents.get(String(query['of']))
const { fitFor } = useFit()
const id = uuidv7()

const species = computed(() =>
  [...site.species.values()]
    .sort((a, b) => a.common.localeCompare(b.common))
    .map(({ id: value, common: label }) => ({ value, label })),
)
interface Newcomer {
  name: string
  sheet: string
  stage: string
  count: number | null
  sex: 'male' | 'female' | 'unknown'
  hatched: number | null
  enclosure: string
  comes: 'expected' | 'arrived'
  from: string
  /** Why it does not go to quarantine. */
  why: string
}

const form = reactive<Newcomer>({
  name: '',
  sheet: parent?.sheet ?? '',
  stage: '',
  count: typeof query['count'] === 'string' ? Number(query['count']) : null,
  sex: 'unknown',
  hatched: null,
  enclosure: '',
  comes: 'expected',
  from: parent ? t('oldFloorOf', { name: parent.name }) : '',
  why: '',
})
const draft = useDraft(`newcomer ${parent?.id ?? ''}`, form)
const sheet = computed(() => site.species.get(form.sheet))
const stages = computed(() => choicesNamed(sheet.value?.stages ?? []))
/** Nobody says more about a stage than whoever holds the animal; where there is but one, it is that. */
watch(
  () => form.sheet,
  () => {
    if (stages.value.some(({ value }) => value === form.stage)) return
    form.stage = stages.value.length === 1 ? (stages.value[0]?.value ?? '') : ''
  },
  { immediate: true },
)
const plan = computed(() =>
  sheet.value && form.stage ? plans.planForNewcomer(sheet.value, form.stage) : undefined,
)
const isColony = computed(() => sheet.value?.lives === 'colony')

const QUARANTINE: Barrier = 2
const left = usePlacesLeft()
const isApart = ({ barrier }: { barrier: Barrier }) => barrier >= QUARANTINE

/** Where newcomers go first; then what stands clean, then what fits. */
const places = computed(() => {
  const made = plan.value
  if (!made) return []
  const newcomer = { sizes: {}, count: form.count ?? 1 }
  return heldPlaces({ barrier: null }, (box) => fitFor(box, newcomer, made)).sort(
    (a, b) =>
      Number(isApart(b)) - Number(isApart(a)) ||
      Number(left.left.has(a.id)) - Number(left.left.has(b.id)) ||
      Number(isFit(b.findings)) - Number(isFit(a.findings)),
  )
})

/** Whoever comes from outside stays in quarantine first, unless somebody says why not. */
const skipsQuarantine = computed(() => {
  const chosen = places.value.find(({ id: place }) => place === form.enclosure)
  return !parent && chosen !== undefined && !isApart(chosen)
})

const SEXES = choicesOf<Newcomer['sex']>({
  unknown: t('notKnown'),
  female: terms.sex.female,
  male: terms.sex.male,
})
const COMES = choicesOf<Newcomer['comes']>({
  expected: t('isExpectedItsPlace'),
  arrived: t('isHereNow'),
})

const schema = z.object({ registered: kindOf('registered').payload, place: kindOf('expected').payload })

function sends() {
  const [registered] = draftsOf()
  return { registered: registered?.payload, place: { enclosure: form.enclosure } }
}

function also(): Record<string, string> {
  const wrong: Record<string, string> = {}
  if (form.sheet === '') wrong['registered.sheet'] = t('whichSpecies')
  if (form.stage === '') wrong['registered.stage'] = t('whichStage')
  if (form.enclosure === '') wrong['place.enclosure'] = t('chooseAPlaceNothing')
  if (skipsQuarantine.value && form.why.trim() === '') wrong['why'] = t('newcomersStayInQuarantine')
  if (isColony.value && form.count === null) wrong['registered.count'] = t('aboutHowManyAre')
  if (form.hatched !== null && form.hatched > today.day) wrong['registered.hatchedOn'] = t('itCannotHatchIn')
  return wrong
}

/** Facts of one doing, made here: somebody new can be put on record in a room without network. */
function draftsOf(): Draft[] {
  const { name, sheet: onSheet, enclosure, comes, hatched } = form
  const from = form.from.trim()
  const registered: Draft = {
    subject: id,
    kind: 'registered',
    payload: {
      name: name.trim(),
      sheet: onSheet,
      stage: form.stage,
      count: isColony.value ? form.count : null,
      sex: isColony.value ? 'unknown' : form.sex,
      hatchedOn: isColony.value ? null : hatched,
      barrier: null,
      schools: {},
    },
  }
  const place: Draft =
    comes === 'expected'
      ? { subject: id, kind: 'expected', payload: { enclosure, ...(from && { from }) } }
      : { subject: id, kind: 'arrived', payload: { enclosure, ...(from && { source: from }) } }
  const why = form.why.trim()
  if (!skipsQuarantine.value || why === '') return [registered, place]
  return [registered, place, { subject: id, kind: 'noted', payload: { text: t('notInQuarantine', { why }) } }]
}

function keep(): void {
  record.keep(draftsOf(), t('putOnRecord2', { name: form.name.trim() }), { together: true })
  draft.drop()
  void router.push({ name: 'record', params: { id } })
}
</script>

<template>
  <main class="reading">
    <header>
      <h1>{{ t('somebodyNew') }}</h1>
      <p class="quiet">{{ t('lookAtBothSides') }}</p>
    </header>
    <div class="columns">
      <SchemaForm class="narrow" :schema="schema" :sends="sends" :also="also" :draft="draft" @keep="keep">
        <ChoiceField
          v-model="form.sheet"
          name="registered.sheet"
          :label="t('species')"
          :options="species"
          :placeholder="t('chooseASpecies')"
        />
        <TextField v-model="form.name" name="registered.name" :label="t('nameOrLabel')" maxlength="80" />
        <div class="pair">
          <ChoiceField
            v-model="form.stage"
            name="registered.stage"
            :label="t('stage')"
            :options="stages"
            :placeholder="t('chooseAStage')"
          />
          <NumberField
            v-if="isColony"
            v-model="form.count"
            name="registered.count"
            :label="t('aboutHowMany')"
            whole
          />
          <ChoiceField v-else v-model="form.sex" name="registered.sex" :label="t('sex')" :options="SEXES" />
          <DayField
            v-if="!isColony"
            v-model="form.hatched"
            name="registered.hatchedOn"
            :label="t('hatchedOrBorn')"
          />
        </div>
        <TextField v-model="form.from" name="place.from" :label="t('fromWhom')" maxlength="400" />
        <PlaceSelect
          v-model="form.enclosure"
          name="place.enclosure"
          :label="t('place')"
          :places="places"
          :placeholder="plan ? undefined : t('speciesAndStageFirst')"
        />
        <TextField
          v-if="skipsQuarantine"
          v-model="form.why"
          name="why"
          :label="t('whyNotInQuarantine')"
          maxlength="400"
          :placeholder="t('bornHereClearedBy')"
        />
        <OneOf v-model="form.comes" :label="t('isItHere')" :options="COMES" />
        <template #buttons
          ><Button type="submit">{{ t('putOnRecord') }}</Button></template
        >
      </SchemaForm>
      <CanWeKeepIt v-if="sheet" :key="sheet.id" :sheet="sheet" />
    </div>
  </main>
</template>
