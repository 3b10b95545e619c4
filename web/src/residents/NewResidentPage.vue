<script setup lang="ts">
import type { Barrier, Description, Draft, Register } from '@kobrin/core'
import { isFit, kindOf } from '@kobrin/core'
import Button from 'primevue/button'
import { v7 as uuidv7 } from 'uuid'
import * as z from 'zod/mini'
import Panel from 'primevue/panel'
import { computed, reactive, shallowRef, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import '../app/page.css'
import PlaceSelect from '../enclosures/PlaceSelect.vue'
import { useFit } from '../enclosures/useFit.ts'
import { sayError } from '../app/sayError.ts'
import CanWeKeepIt from '../library/CanWeKeepIt.vue'
import { useDraft } from '../drafts/useDraft.ts'
import { useRecord } from '../entries/useRecord.ts'
import ChoiceField from '../fields/ChoiceField.vue'
import { choicesNamed, choicesOf } from '../fields/choicesOf.ts'
import DayField from '../fields/DayField.vue'
import NumberField from '../fields/NumberField.vue'
import SchemaForm from '../fields/SchemaForm.vue'
import TextField from '../fields/TextField.vue'
import TickField from '../fields/TickField.vue'
import PhotoField from '../photos/PhotoField.vue'
import { usePhotos } from '../photos/usePhotos.ts'
import { t as photoWords } from '../photos/words.ts'
import { usePlans } from '../plans/usePlans.ts'
import { useSite } from '../site/useSite.ts'
import type { When } from '../time/useToday.ts'
import { useToday } from '../time/useToday.ts'
import WhenField from '../time/WhenField.vue'
import { usePlacesLeft } from '../places/usePlacesLeft.ts'
import { useHeldPlaces } from '../moving/useFreePlaces.ts'
import DescriptionFields from './DescriptionFields.vue'
import type { Described } from './description.ts'
import { describedAs, newlySaid } from './description.ts'
import { useResidents } from './useResidents.ts'
import { terms } from '../words/terms.ts'
import { t } from './words.ts'

const site = useSite()
const record = useRecord()
const photos = usePhotos()
const heldPlaces = useHeldPlaces()
const residents = useResidents()
const plans = usePlans()
const today = useToday()
const router = useRouter()
const { query } = useRoute()
/** Found alive in the old floor of somebody: of their kind, so many of them. */
const parent = site.residents.get(String(query['of']))
const foundInFloor = parent !== undefined && query['count'] !== undefined
const { fitFor } = useFit()
const id = uuidv7()

const species = computed(() =>
  [...site.species.values()]
    .sort((a, b) => a.common.localeCompare(b.common))
    .map(({ id: value, common: label }) => ({ value, label })),
)
type Comes = 'expected' | 'brought' | 'born' | 'split' | 'found'
type Sure = 'day' | 'month' | 'year'

interface Newcomer extends Described {
  name: string
  sheet: string
  stage: string
  count: number | null
  /** Nobody has counted them. */
  uncounted: boolean
  sex: 'male' | 'female' | 'unknown'
  hatched: number | null
  enclosure: string
  comes: Comes
  from: string
  /** Whose young it is, what it was split from, in whose floor it was found. */
  of: string
  sure: Sure
  laid: boolean
  number: string
  permit: string
  permitUntil: number | null
  /** Why it does not go to quarantine. */
  why: string
}

const form = reactive<Newcomer>({
  name: '',
  sheet: parent?.sheet ?? '',
  stage: '',
  count: typeof query['count'] === 'string' ? Number(query['count']) : null,
  uncounted: false,
  sex: 'unknown',
  hatched: null,
  enclosure: '',
  comes: foundInFloor ? 'found' : parent ? 'born' : 'expected',
  from: '',
  of: parent?.id ?? '',
  sure: 'day',
  laid: false,
  number: '',
  ...describedAs({}),
  permit: '',
  permitUntil: null,
  why: '',
})
const draft = useDraft(`newcomer ${parent?.id ?? ''}`, form)
const sheet = computed(() => site.species.get(form.sheet))
const stages = computed(() => choicesNamed(sheet.value?.stages ?? []))
/** Nobody says more about a stage than the person who holds the animal; where there is but one, it is that. */
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
  return heldPlaces({ barrier: null, sheet: form.sheet }, (box) => fitFor(box, newcomer, made)).sort(
    (a, b) =>
      Number(residents.isTaken(a.id)) - Number(residents.isTaken(b.id)) ||
      Number(isApart(b)) - Number(isApart(a)) ||
      Number(left.left.has(a.id)) - Number(left.left.has(b.id)) ||
      Number(isFit(b.findings)) - Number(isFit(a.findings)),
  )
})

/** Whether it comes from one that lives here. */
const isOurs = computed(() => form.comes === 'born' || form.comes === 'split' || form.comes === 'found')
/** Who it may come from: of its kind; only a colony is split. */
const parents = computed(() =>
  choicesNamed(
    [...site.residents.values()].filter(
      (one) => one.sheet === form.sheet && (form.comes === 'born' || one.lives === 'colony'),
    ),
  ),
)

/** An animal from outside stays in quarantine first, unless somebody says why not. */
const skipsQuarantine = computed(() => {
  const chosen = places.value.find(({ id: place }) => place === form.enclosure)
  return !isOurs.value && chosen !== undefined && !isApart(chosen)
})

const SEXES = choicesOf<Newcomer['sex']>({
  unknown: t('notKnown'),
  female: terms.sex.female,
  male: terms.sex.male,
})
const COMES = choicesOf<Comes>({
  expected: t('isExpectedItsPlace'),
  brought: t('isHereNow'),
  born: t('wasBornHere'),
  split: t('isSplitOff'),
  found: t('wasFoundInFloor'),
})
const SURE = choicesOf<Sure>({ day: t('toTheDay'), month: t('toTheMonth'), year: t('toTheYear') })
const when = shallowRef<When>(null)
const picture = shallowRef<File | null>(null)
const complaint = shallowRef('')
const busy = shallowRef(false)

const schema = z.object({
  registered: kindOf('registered').payload,
  place: kindOf('expected').payload,
  described: kindOf('described').payload,
})

function sends() {
  return {
    registered: registeredNow(),
    place: { enclosure: form.enclosure },
    described: describedNow(),
  }
}

function also(): Record<string, string> {
  const wrong: Record<string, string> = {}
  if (form.sheet === '') wrong['registered.sheet'] = t('whichSpecies')
  if (form.stage === '') wrong['registered.stage'] = t('whichStage')
  if (form.enclosure === '') wrong['place.enclosure'] = t('chooseAPlaceNothing')
  if (skipsQuarantine.value && form.why.trim() === '') wrong['why'] = t('newcomersStayInQuarantine')
  if (isColony.value && form.count === null && !form.uncounted)
    wrong['registered.count'] = t('aboutHowManyAre')
  if (isOurs.value && form.of === '') wrong['of'] = t('fromWhomHere')
  if (form.permitUntil !== null && form.permit.trim() === '') wrong['permit'] = t('whichLicence')
  if (form.hatched !== null && form.hatched > today.day) wrong['registered.hatchedOn'] = t('itCannotHatchIn')
  return wrong
}

function registeredNow(): Register {
  const { name, sheet: onSheet, stage, count, sex, hatched, sure, laid } = form
  const number = form.number.trim()
  return {
    name: name.trim(),
    ...(number && { number }),
    sheet: onSheet,
    stage,
    count: isColony.value && !form.uncounted ? count : null,
    colony: isColony.value,
    sex: isColony.value ? 'unknown' : sex,
    hatchedOn: hatched,
    ...(hatched !== null && sure !== 'day' && { hatchedTo: sure }),
    ...(hatched !== null && laid && { laid }),
    barrier: null,
    schools: {},
  }
}

function describedNow(): Description {
  const { comes, of } = form
  const from: Description = comes === 'born' ? { origin: 'bornHere', parents: [of] } : {}
  return { ...newlySaid(form, describedAs({})), ...from }
}

function comingNow(): Draft {
  const { enclosure, comes, of } = form
  const from = form.from.trim()
  if (comes === 'expected')
    return { subject: id, kind: 'expected', payload: { enclosure, ...(from && { from }) } }
  const payload = { enclosure, how: comes, ...(from && { source: from }), ...(isOurs.value && { of }) }
  return { subject: id, kind: 'arrived', payload }
}

/** Facts of one doing, made here: somebody new can be put on record in a room without network. */
function draftsOf(): Draft[] {
  const described = describedNow()
  const [why, permit] = [form.why.trim(), form.permit.trim()]
  return [
    { subject: id, kind: 'registered', payload: registeredNow() },
    comingNow(),
    ...(Object.keys(described).length > 0
      ? [{ subject: id, kind: 'described', payload: described } as const]
      : []),
    ...(permit
      ? [{ subject: id, kind: 'permitted', payload: { number: permit, until: form.permitUntil } } as const]
      : []),
    ...(form.comes === 'split'
      ? [{ subject: form.of, kind: 'parted', payload: { count: form.count ?? 1, into: id } } as const]
      : []),
    ...(skipsQuarantine.value && why
      ? [{ subject: id, kind: 'noted', payload: { text: t('notInQuarantine', { why }) } } as const]
      : []),
  ]
}

/** A picture is on this device before anything is said of it. */
async function keptPhoto(): Promise<Draft[]> {
  if (!picture.value) return []
  const photo = await photos.keep(picture.value)
  return [{ subject: id, kind: 'photographed', payload: { photo } }]
}

async function keep(): Promise<void> {
  complaint.value = ''
  busy.value = true
  try {
    put(await keptPhoto())
  } catch (error) {
    complaint.value = photoWords('notSent', { why: sayError(error) })
  } finally {
    busy.value = false
  }
}

function put(pictures: readonly Draft[]): void {
  record.keep([...draftsOf(), ...pictures], t('putOnRecord2', { name: form.name.trim() }), {
    together: true,
    when: form.comes === 'expected' ? null : when.value,
  })
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
      <SchemaForm
        class="narrow"
        :schema="schema"
        :sends="sends"
        :also="also"
        :complaint="complaint"
        :draft="draft"
        @keep="keep"
      >
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
            v-if="isColony && !form.uncounted"
            v-model="form.count"
            name="registered.count"
            :label="t('aboutHowMany')"
            whole
          />
          <ChoiceField
            v-else-if="!isColony"
            v-model="form.sex"
            name="registered.sex"
            :label="t('sex')"
            :options="SEXES"
          />
        </div>
        <TickField
          v-if="isColony && form.comes !== 'split'"
          v-model="form.uncounted"
          :label="t('nobodyCounted')"
        />
        <ChoiceField v-model="form.comes" :label="t('howItComes')" :options="COMES" />
        <ChoiceField
          v-if="isOurs"
          v-model="form.of"
          name="of"
          :label="form.comes === 'born' ? t('youngOf') : t('cameFrom')"
          :options="parents"
        />
        <TextField v-else v-model="form.from" name="place.from" :label="t('fromWhom')" maxlength="400" />
        <WhenField v-if="form.comes !== 'expected'" v-model="when" />
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
        <PhotoField v-model="picture" />
        <Panel :header="t('moreOfIt')" toggleable collapsed>
          <div class="form">
            <div class="pair">
              <DayField v-model="form.hatched" name="registered.hatchedOn" :label="t('hatchedOrBorn')" />
              <ChoiceField v-model="form.sure" :label="t('howSure')" :options="SURE" />
            </div>
            <TickField v-model="form.laid" :label="t('dayItWasLaid')" />
            <TextField
              v-model="form.number"
              name="registered.number"
              :label="t('numberItHas')"
              maxlength="20"
            />
            <DescriptionFields
              v-model:origin="form.origin"
              v-model:marks="form.marks"
              v-model:chip="form.chip"
              v-model:pale="form.pale"
            />
            <div class="pair">
              <TextField v-model="form.permit" name="permit" :label="t('licence')" maxlength="80" />
              <DayField v-model="form.permitUntil" name="permitUntil" :label="t('licenceUntil')" />
            </div>
          </div>
        </Panel>
        <template #buttons
          ><Button type="submit" :disabled="busy">{{ t('putOnRecord') }}</Button></template
        >
      </SchemaForm>
      <CanWeKeepIt v-if="sheet" :key="sheet.id" :sheet="sheet" />
    </div>
  </main>
</template>
