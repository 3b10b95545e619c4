<script setup lang="ts">
import { isFit, kindOf, quarantineOn } from '@kobrin/core'
import Button from 'primevue/button'
import Step from 'primevue/step'
import StepList from 'primevue/steplist'
import StepPanel from 'primevue/steppanel'
import StepPanels from 'primevue/steppanels'
import Stepper from 'primevue/stepper'
import { v7 as newUid } from 'uuid'
import { computed, reactive, shallowRef } from 'vue'
import { RouterLink, useRouter } from 'vue-router'
import '../app/page.css'
import { choicesNamed } from '../fields/choicesOf.ts'
import NumberField from '../fields/NumberField.vue'
import SchemaForm from '../fields/SchemaForm.vue'
import SeveralOf from '../fields/SeveralOf.vue'
import TextField from '../fields/TextField.vue'
import PlaceSelect from '../enclosures/PlaceSelect.vue'
import { useFit } from '../enclosures/useFit.ts'
import { useDraft } from '../drafts/useDraft.ts'
import { useRecord } from '../entries/useRecord.ts'
import { usePeople } from '../people/usePeople.ts'
import { usePlans } from '../plans/usePlans.ts'
import { useSite } from '../site/useSite.ts'
import { useHeldPlaces } from './useFreePlaces.ts'
import { useResidents } from '../residents/useResidents.ts'
import type { When } from '../time/useToday.ts'
import { useToday } from '../time/useToday.ts'
import WhenField from '../time/WhenField.vue'
import { sayDate } from '../words/numbers.ts'
import { care } from '../words/care.ts'
import { words } from '../words/en.ts'
import PlaceLeft from './PlaceLeft.vue'
import type { Move, Mover } from './move.ts'
import { missingIn, moveDrafts, wrongWithMove } from './move.ts'
import { t } from './words.ts'

const { id } = defineProps<{ id: string }>()
const site = useSite()
const plans = usePlans()
const residents = useResidents()
const heldPlaces = useHeldPlaces()
const record = useRecord()
const people = usePeople()
const router = useRouter()
const { fitOf } = useFit()

const resident = computed(() => site.residents.get(id))
const plan = computed(() => resident.value && plans.planOf(resident.value))
const today = useToday()
const quarantine = computed(() => plan.value && quarantineOn(today.day, plan.value, record.stateOf(id)))
const from = computed(() => residents.homeOf(id))
const isColony = computed(() => resident.value?.lives === 'colony')
const known = computed(() => residents.countOf(id) ?? 1)
const needsTwo = computed(() => plan.value?.duties.some(({ people: needed }) => needed === 2) ?? false)

const competence = computed(() => resident.value && site.species.get(resident.value.sheet)?.competence)
const cleared = computed(() =>
  [...site.people.values()]
    .filter(({ competences }) => competences.includes(competence.value ?? ''))
    .map(({ name }) => name),
)

const form = reactive<Move>({
  why: '',
  to: '',
  helpers: [],
  expected: known.value,
  found: null,
  leaves: 'toClean',
  floorAt: '',
})
const draft = useDraft(`move ${id}`, form)
const when = shallowRef<When>(null)
/** The step in sight: where to, counting, the place it leaves. */
const step = shallowRef(1)
/** Where each field is filled in. */
const STEP_OF: Readonly<Record<string, number>> = { expected: 2, found: 2, at: 3 }

/** The hygiene level it lives at now. */
const level = computed(() => resident.value && site.placeOf(from.value, resident.value)?.barrier)

/** Places that stand empty, those of its own level first, then those that fit. */
const places = computed(() => {
  const one = resident.value
  if (!one) return []
  return heldPlaces(one, (box) => fitOf(box, one)).sort(
    (a, b) =>
      Number(residents.isTaken(a.id)) - Number(residents.isTaken(b.id)) ||
      Number(b.barrier === level.value) - Number(a.barrier === level.value) ||
      Number(isFit(b.findings)) - Number(isFit(a.findings)) ||
      a.findings.length - b.findings.length,
  )
})
const chosen = computed(() => places.value.find((place) => place.id === form.to))
const others = computed(() => residents.livingIn(from.value).filter((one) => one.id !== id))
const canHelp = computed(() =>
  choicesNamed(
    [...site.people.values()].filter((one) => one.id !== people.person?.id && one.role !== 'reader'),
  ),
)

const missing = computed(() => missingIn(form))
const mover = computed<Mover>(() => ({
  residentId: id,
  from: from.value,
  othersStay: others.value.length > 0,
  needsTwo: needsTwo.value,
}))

const schema = kindOf('moved').payload
const also = () => wrongWithMove(form, mover.value)
const sends = () => moveDrafts(form, mover.value, newUid)[0]?.payload

/** What is wrong may stand on a step that is not in sight. */
function turnTo(field: string): void {
  step.value = STEP_OF[field] ?? 1
}

function move(): void {
  record.keep(
    moveDrafts(form, mover.value, newUid),
    t('movedTo', { name: residents.nameOf(id), place: site.placeName(form.to) }),
    { together: true, when: when.value },
  )
  draft.drop()
  void router.push({ name: 'record', params: { id } })
}
</script>

<template>
  <main v-if="resident && plan" class="reading">
    <header>
      <h1>
        {{ t('move') }} <span class="tape">{{ resident.name }}</span>
      </h1>
      <p class="quiet">{{ t('nowIn', { place: site.placeName(from) }) }}</p>
    </header>
    <SchemaForm
      class="narrow"
      :schema="schema"
      :sends="sends"
      :also="also"
      :draft="draft"
      @keep="move"
      @wrong="turnTo"
    >
      <Stepper v-model:value="step">
        <StepList>
          <Step :value="1">{{ t('whereTo') }}</Step>
          <Step :value="2">{{ t('count') }}</Step>
          <Step :value="3">{{ t('thePlaceItLeaves') }}</Step>
        </StepList>
        <StepPanels>
          <StepPanel :value="1" class="form">
            <section v-if="plan.cautions.length > 0" class="ask">
              <h2>{{ t('beforeYouOpenIt') }}</h2>
              <p v-for="caution in plan.cautions" :key="caution">{{ caution }}</p>
              <p>
                {{ t('catchCupOrBox') }}
              </p>
              <p class="quiet">{{ care.trusted }}</p>
            </section>
            <p v-if="competence" class="ask">
              {{
                t('onlyForSomebodyCleared', { competence, cleared: cleared.join(', ') || t('nobodyHereIs') })
              }}
            </p>
            <p v-if="quarantine" class="ask">
              {{
                t('inQuarantineSinceDays', {
                  date: sayDate(quarantine.since, today.day),
                  count: quarantine.days,
                  date2: sayDate(quarantine.until, today.day),
                })
              }}
            </p>
            <TextField
              v-model="form.why"
              name="why"
              :label="t('why')"
              maxlength="400"
              :placeholder="t('grewOutOfIt')"
            />
            <PlaceSelect v-model="form.to" name="to" :label="t('whereTo')" :places="places" />
            <p v-if="chosen && level !== undefined && chosen.barrier !== level" class="ask">
              {{
                t('thisCrossesFromTo', {
                  barrier: words.barrier[level].toLowerCase(),
                  barrier2: words.barrier[chosen.barrier].toLowerCase(),
                  barrier3: chosen.barrier < level ? t('onlyWhenItHas') : t('itDoesNotCome'),
                })
              }}
            </p>
            <SeveralOf
              v-model="form.helpers"
              name="helpers"
              :label="needsTwo ? t('whoHelpsTwoPeople') : t('whoHelps')"
              :options="canHelp"
            />
            <Button severity="secondary" @click="step = 2">{{ t('onToCounting') }}</Button>
          </StepPanel>
          <StepPanel :value="2" class="form">
            <div class="pair">
              <NumberField
                v-model="form.expected"
                name="expected"
                :label="isColony ? t('countedOutAnimals') : t('countedOutAnimal')"
                whole
              />
              <NumberField v-model="form.found" name="found" :label="t('countedInFound')" whole />
            </div>
            <p v-if="missing > 0" class="wrong" role="status">
              {{ t('unaccountedForThisStays', { missing }) }}
            </p>
            <Button severity="secondary" @click="step = 3">{{ t('onToThePlace') }}</Button>
          </StepPanel>
          <StepPanel :value="3" class="form">
            <PlaceLeft v-model:leaves="form.leaves" v-model:floor-at="form.floorAt" :others="others" />
            <WhenField v-model="when" />
            <div class="row">
              <Button type="submit">{{ t('movedKeepIt') }}</Button>
              <RouterLink :to="{ name: 'record', params: { id } }">{{ t('leaveItAsIt') }}</RouterLink>
            </div>
          </StepPanel>
        </StepPanels>
      </Stepper>
    </SchemaForm>
  </main>
  <main v-else class="reading">
    <h1>{{ t('nobodyByThatNumber') }}</h1>
  </main>
</template>
