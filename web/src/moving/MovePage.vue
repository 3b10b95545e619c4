<script setup lang="ts">
import { isFit, quarantineOn } from '@kobrin/core'
import { v7 as newUid } from 'uuid'
import { computed, reactive, shallowRef } from 'vue'
import { RouterLink, useRouter } from 'vue-router'
import '../app/page.css'
import PlaceSelect from '../enclosures/PlaceSelect.vue'
import { useFit } from '../enclosures/useFit.ts'
import { useRecord } from '../entries/useRecord.ts'
import { usePeople } from '../people/usePeople.ts'
import { usePlans } from '../plans/usePlans.ts'
import { useSite } from '../site/useSite.ts'
import { useFreePlaces } from './useFreePlaces.ts'
import { useResidents } from '../residents/useResidents.ts'
import { useToday } from '../time/useToday.ts'
import { sayDate } from '../words/numbers.ts'
import { care } from '../words/care.ts'
import { words } from '../words/en.ts'
import type { Move, Mover } from './move.ts'
import { missingIn, moveDrafts, wrongWithMove } from './move.ts'

const { id } = defineProps<{ id: string }>()
const site = useSite()
const plans = usePlans()
const residents = useResidents()
const freePlaces = useFreePlaces()
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
  expected: String(known.value),
  found: '',
  leaves: 'toClean',
  floorAt: '',
})
const complaint = shallowRef('')

/** The hygiene level it lives at now. */
const level = computed(() => resident.value && site.placeOf(from.value, resident.value)?.barrier)

/** Places that stand empty, those of its own level first, then those that fit. */
const places = computed(() => {
  const one = resident.value
  if (!one) return []
  return freePlaces.value
    .flatMap(({ id: place, label }) => {
      const enclosure = site.enclosures.get(place)
      const barrier = site.placeOf(place, one)?.barrier
      return enclosure && barrier !== undefined
        ? [{ id: place, label, barrier, findings: fitOf(enclosure, one) }]
        : []
    })
    .sort(
      (a, b) =>
        Number(b.barrier === level.value) - Number(a.barrier === level.value) ||
        Number(isFit(b.findings)) - Number(isFit(a.findings)) ||
        a.findings.length - b.findings.length,
    )
})
const chosen = computed(() => places.value.find((place) => place.id === form.to))
const others = computed(() => residents.livingIn(from.value).filter((one) => one.id !== id))
const canHelp = computed(() =>
  [...site.people.values()].filter((one) => one.id !== people.person?.id && one.role !== 'reader'),
)

const missing = computed(() => missingIn(form))
const mover = computed<Mover>(() => ({
  residentId: id,
  from: from.value,
  othersStay: others.value.length > 0,
  needsTwo: needsTwo.value,
}))

function move(): void {
  complaint.value = wrongWithMove(form, mover.value)
  if (complaint.value) return
  record.keep(
    moveDrafts(form, mover.value, newUid),
    `${residents.nameOf(id)} moved to ${site.placeName(form.to)}`,
    { together: true },
  )
  void router.push({ name: 'record', params: { id } })
}
</script>

<template>
  <main v-if="resident && plan" class="reading">
    <header>
      <h1>
        Move <span class="tape">{{ resident.name }}</span>
      </h1>
      <p class="quiet">now in {{ site.placeName(from) }}</p>
    </header>
    <form class="form narrow" @submit.prevent="move">
      <section v-if="plan.cautions.length > 0" class="ask">
        <h2>Before you open it</h2>
        <p v-for="caution in plan.cautions" :key="caution">{{ caution }}</p>
        <p>Catch cup or box with a lid ready, door of the room shut, hands or gloves as the barrier asks.</p>
        <p class="quiet">{{ care.trusted }}</p>
      </section>
      <p v-if="competence" class="ask">
        Only for somebody cleared for {{ competence }}: {{ cleared.join(', ') || 'nobody here is' }}.
      </p>
      <p v-if="quarantine" class="ask">
        In quarantine since {{ sayDate(quarantine.since, today.day) }}: {{ quarantine.days }} days at least,
        until {{ sayDate(quarantine.until, today.day) }}. It goes nowhere else before, and then only when
        tests and the vet have cleared it.
      </p>
      <label
        >Why <input v-model="form.why" class="field" maxlength="400" placeholder="Grew out of it"
      /></label>
      <PlaceSelect v-model="form.to" label="Where to" :places="places" />
      <p v-if="chosen && level !== undefined && chosen.barrier !== level" class="ask">
        This crosses from {{ words.barrier[level].toLowerCase() }} to
        {{ words.barrier[chosen.barrier].toLowerCase() }}:
        {{ chosen.barrier < level ? 'only when it has been cleared' : 'it does not come back the same day' }}.
      </p>
      <fieldset>
        <legend>Who helps{{ needsTwo ? ': two people' : '' }}</legend>
        <div class="row">
          <label v-for="person in canHelp" :key="person.id" class="tick">
            <input v-model="form.helpers" type="checkbox" :value="person.id" />{{ person.name }}
          </label>
        </div>
      </fieldset>
      <div class="pair">
        <label>
          Counted out, {{ isColony ? 'animals' : 'animal' }} expected
          <input v-model="form.expected" class="field" inputmode="numeric" />
        </label>
        <label>
          Counted in, found
          <input v-model="form.found" class="field" inputmode="numeric" />
        </label>
      </div>
      <p v-if="missing > 0" class="wrong" role="status">
        {{ missing }} unaccounted for: this stays on the walk until somebody closes it. Look in the old floor,
        under bowls, in the lid and on the shelf before you carry anything away.
      </p>
      <fieldset v-if="others.length === 0">
        <legend>The place it leaves</legend>
        <label class="tick"><input v-model="form.leaves" type="radio" value="toClean" /> to clean</label>
        <label class="tick"
          ><input v-model="form.leaves" type="radio" value="toHold" /> keep the old floor: babies and eggs may
          hide in it</label
        >
        <label v-if="form.leaves === 'toHold'">
          Where the floor is kept
          <input
            v-model="form.floorAt"
            class="field"
            maxlength="120"
            placeholder="Larder, lowest shelf, lidded tub"
          />
        </label>
        <label class="tick"
          ><input v-model="form.leaves" type="radio" value="nothing" /> is already seen to</label
        >
      </fieldset>
      <p v-else class="quiet">{{ others.map((one) => one.name).join(', ') }} stays in the old place.</p>
      <p v-if="complaint" class="wrong" role="alert">{{ complaint }}</p>
      <div class="row">
        <button type="submit" class="primary">Moved, keep it</button>
        <RouterLink :to="{ name: 'record', params: { id } }">Leave it</RouterLink>
      </div>
    </form>
  </main>
  <main v-else class="reading"><h1>Nobody by that number</h1></main>
</template>

<style scoped>
fieldset {
  display: grid;
  gap: 6px;
  padding: 8px 12px;
  border: 1px solid var(--line);
}

legend {
  padding: 0 6px;
  font-weight: 700;
}
</style>
