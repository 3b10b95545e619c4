<script setup lang="ts">
import type { Disposal, Role } from '@kobrin/core'
import { isComing, kindOf, mayRecord } from '@kobrin/core'
import Button from 'primevue/button'
import { v7 as newUid } from 'uuid'
import { computed, reactive, shallowRef } from 'vue'
import { RouterLink, useRoute, useRouter } from 'vue-router'
import '../app/page.css'
import { useDraft } from '../drafts/useDraft.ts'
import { useRecord } from '../entries/useRecord.ts'
import ChoiceField from '../fields/ChoiceField.vue'
import { choicesNamed, choicesOf } from '../fields/choicesOf.ts'
import DayField from '../fields/DayField.vue'
import NumberField from '../fields/NumberField.vue'
import SchemaForm from '../fields/SchemaForm.vue'
import TextField from '../fields/TextField.vue'
import TickField from '../fields/TickField.vue'
import PlaceLeft from '../moving/PlaceLeft.vue'
import { usePeople } from '../people/usePeople.ts'
import { useResidents } from '../residents/useResidents.ts'
import { useSite } from '../site/useSite.ts'
import type { When } from '../time/useToday.ts'
import { useToday } from '../time/useToday.ts'
import WhenField from '../time/WhenField.vue'
import { terms } from '../words/terms.ts'
import type { How, Leaver, Leaving } from './leaving.ts'
import { isAll, isLeft, leavingDrafts, wrongWithLeaving } from './leaving.ts'
import { t } from './words.ts'

const { id } = defineProps<{ id: string }>()
const site = useSite()
const residents = useResidents()
const record = useRecord()
const people = usePeople()
const today = useToday()
const router = useRouter()
const { query } = useRoute()

const resident = computed(() => site.residents.get(id))
const isColony = computed(() => resident.value?.lives === 'colony')
const isHere = computed(() => !record.stateOf(id).stay.ended)
const from = computed(() => residents.homeOf(id))
/** Who shares the box now: one that is only expected there shares nothing yet. */
const mates = computed(() =>
  residents.livingIn(from.value).filter((one) => one.id !== id && !isComing(record.stateOf(one.id))),
)

const HOWS: Readonly<Record<How, string>> = {
  died: t('died'),
  rehomed: t('rehomed'),
  lent: t('lent'),
  givenBack: t('givenBack'),
  released: t('released'),
  lost: t('lost'),
  merged: t('merged'),
}

function mayHappen(role: Role, how: How): boolean {
  return mayRecord(role, isLeft(how) ? 'left' : how)
}

/** With whom it could live on: of its own kind, and here. */
const others = computed(() =>
  [...site.residents.values()]
    .filter((one) => one.id !== id && one.sheet === resident.value?.sheet && one.lives === 'colony')
    .filter((one) => residents.homeOf(one.id) !== undefined),
)
const hows = computed(() =>
  choicesOf(HOWS).filter(
    ({ value }) => mayHappen(people.role, value) && (value !== 'merged' || others.value.length > 0),
  ),
)

const asked = query['how']
const form = reactive<Leaving>({
  how: typeof asked === 'string' && asked in HOWS ? (asked as How) : 'died',
  count: null,
  why: '',
  to: '',
  dueBack: null,
  foundBy: people.person?.id ?? '',
  lastAlive: null,
  postMortem: false,
  disposal: 'notYet',
  into: '',
  leaves: 'toClean',
  floorAt: '',
})
const draft = useDraft(`out ${id}`, form)
const when = shallowRef<When>(null)

const staff = computed(() => choicesNamed([...site.people.values()].filter(({ role }) => role !== 'reader')))
const BODIES = choicesOf<Disposal>(terms.disposal)
const whyLabel = computed(() => {
  if (form.how === 'died') return t('whatIsKnown')
  if (form.how === 'lost') return t('whatWasTried')
  return form.how === 'released' ? t('whatAllows') : t('why')
})
const care = computed(() => {
  switch (form.how) {
    case 'died':
      return t('careDead')
    case 'released':
      return t('careReleased')
    case 'rehomed':
    case 'givenBack':
      return t('careRehomed')
    case 'lent':
      return t('careLent')
    default:
      return ''
  }
})

const leaver = computed<Leaver>(() => ({
  residentId: id,
  from: from.value,
  mates: mates.value.map((one) => one.id),
  known: residents.countOf(id),
  isColony: isColony.value,
  author: people.person?.id ?? '',
  today: today.day,
}))
/** What becomes of the box, where the person here may say it and nobody of it stays. */
const asksOfPlace = computed(
  () => from.value !== undefined && mayRecord(people.role, 'vacated') && isAll(form, leaver.value),
)

const made = () =>
  leavingDrafts(asksOfPlace.value ? form : { ...form, leaves: 'nothing' }, leaver.value, newUid)
const schema = computed(() => kindOf(isLeft(form.how) ? 'left' : form.how).payload)
const sends = () => made()[0]?.payload
const also = () => wrongWithLeaving(form, leaver.value)

function saying(): string {
  const name = residents.nameOf(id)
  if (isLeft(form.how)) return t('left2', { name })
  switch (form.how) {
    case 'died':
      return t('died2', { name })
    case 'lost':
      return t('lost2', { name })
    case 'merged':
      return t('merged2', { name, into: residents.nameOf(form.into) })
  }
}

function keep(): void {
  record.keep(made(), saying(), { together: true, when: when.value })
  draft.drop()
  void router.push({ name: 'record', params: { id } })
}
</script>

<template>
  <main v-if="resident" class="reading">
    <header>
      <h1>
        <span class="tape">{{ resident.name }}</span> {{ t('goes') }}
      </h1>
      <p class="quiet">{{ isHere ? t('nowIn', { place: site.placeName(from) }) : t('isGone') }}</p>
    </header>
    <SchemaForm
      v-if="isHere"
      class="narrow"
      :schema="schema"
      :sends="sends"
      :also="also"
      :draft="draft"
      @keep="keep"
    >
      <ChoiceField v-model="form.how" name="how" :label="t('how')" :options="hows" />
      <WhenField v-model="when" />
      <p v-if="care" class="ask">{{ care }}</p>
      <ChoiceField
        v-if="form.how === 'merged'"
        v-model="form.into"
        name="into"
        :label="t('withWhom')"
        :options="choicesNamed(others)"
      />
      <NumberField
        v-if="isColony && form.how !== 'lost'"
        v-model="form.count"
        name="count"
        :label="form.how === 'merged' ? t('aboutHowManyGo') : t('howMany')"
        whole
      />
      <TextField
        v-if="isLeft(form.how)"
        v-model="form.to"
        name="to"
        :label="form.how === 'released' ? t('where') : t('toWhom')"
        maxlength="400"
      />
      <TextField v-model="form.why" name="why" :label="whyLabel" maxlength="400" />
      <DayField v-if="form.how === 'lent'" v-model="form.dueBack" name="dueBack" :label="t('dueBack')" />
      <template v-if="form.how === 'died'">
        <div class="pair">
          <ChoiceField v-model="form.foundBy" name="foundBy" :label="t('foundBy')" :options="staff" />
          <DayField v-model="form.lastAlive" name="lastAlive" :label="t('lastAlive')" />
        </div>
        <ChoiceField v-model="form.disposal" name="disposal" :label="t('body')" :options="BODIES" />
        <TickField v-model="form.postMortem" :label="t('postMortem')" />
        <p v-if="mates.length > 0" class="ask">
          {{ t('isLookedAt', { names: mates.map(({ name }) => name).join(', ') }) }}
        </p>
      </template>
      <PlaceLeft
        v-if="asksOfPlace"
        v-model:leaves="form.leaves"
        v-model:floor-at="form.floorAt"
        :others="mates"
      />
      <template #buttons>
        <div class="row">
          <Button type="submit">{{ t('keepIt') }}</Button>
          <RouterLink :to="{ name: 'record', params: { id } }">{{ t('leaveIt') }}</RouterLink>
        </div>
      </template>
    </SchemaForm>
  </main>
  <main v-else class="reading">
    <h1>{{ t('nobodyByThatNumber') }}</h1>
  </main>
</template>
