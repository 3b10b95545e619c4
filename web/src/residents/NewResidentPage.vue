<script setup lang="ts">
import type { Draft } from '@kobrin/core'
import { dayFromIso, isFit } from '@kobrin/core'
import { v7 as uuidv7 } from 'uuid'
import { computed, reactive, shallowRef } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import '../app/page.css'
import PlaceSelect from '../enclosures/PlaceSelect.vue'
import { useFit } from '../enclosures/useFit.ts'
import CanWeKeepIt from '../library/CanWeKeepIt.vue'
import { useRecord } from '../entries/useRecord.ts'
import { readCount } from '../exceptions/readAnswers.ts'
import { usePlans } from '../plans/usePlans.ts'
import { useSite } from '../site/useSite.ts'
import { useToday } from '../time/useToday.ts'
import { useFreePlaces } from '../moving/useFreePlaces.ts'

const site = useSite()
const record = useRecord()
const freePlaces = useFreePlaces()
const plans = usePlans()
const today = useToday()
const router = useRouter()
const { query } = useRoute()
/** Found alive in the old floor of somebody: of their kind, so many of them. */
const parent = site.residents.get(String(query['of']))
const { fitFor } = useFit()
const id = uuidv7()

const species = computed(() => [...site.species.values()].sort((a, b) => a.common.localeCompare(b.common)))
interface Newcomer {
  name: string
  sheet: string
  stage: string
  count: string
  sex: 'male' | 'female' | 'unknown'
  hatched: string
  enclosure: string
  comes: 'expected' | 'arrived'
  from: string
}

const form = reactive<Newcomer>({
  name: '',
  sheet: parent?.sheet ?? species.value[0]?.id ?? '',
  stage: '',
  count: typeof query['count'] === 'string' ? query['count'] : '',
  sex: 'unknown',
  hatched: '',
  enclosure: '',
  comes: 'expected',
  from: parent ? `Old floor of ${parent.name}` : '',
})
const sheet = computed(() => site.species.get(form.sheet))
const stage = computed(() => {
  const stages = sheet.value?.stages ?? []
  return stages.find((one) => one.id === form.stage)?.id ?? stages[0]?.id ?? ''
})
const plan = computed(() => sheet.value && plans.planForNewcomer(sheet.value, stage.value))
const isColony = computed(() => sheet.value?.lives === 'colony')
const count = computed(() => readCount(form.count))

const places = computed(() => {
  const made = plan.value
  if (!made) return []
  const newcomer = { sizes: {}, count: count.value ?? 1 }
  return freePlaces.value
    .flatMap(({ id: place, label }) => {
      const enclosure = site.enclosures.get(place)
      return enclosure ? [{ id: place, label, findings: fitFor(enclosure, newcomer, made) }] : []
    })
    .sort((a, b) => Number(isFit(b.findings)) - Number(isFit(a.findings)))
})
const wrong = shallowRef('')

function wrongWith(): string {
  if (form.name.trim() === '') return 'What is it called?'
  if (form.enclosure === '') return 'Choose a place: nothing moves in without one ready.'
  if (isColony.value && !count.value) return 'About how many are they?'
  if (form.hatched !== '' && dayFromIso(form.hatched) > today.day) return 'It cannot hatch in the future.'
  return ''
}

/** Two facts of one doing, made here: somebody new can be put on record in a room without network. */
function draftsOf(): Draft[] {
  const { name, sheet: onSheet, enclosure, comes, hatched } = form
  const from = form.from.trim()
  const registered: Draft = {
    subject: id,
    kind: 'registered',
    payload: {
      name: name.trim(),
      sheet: onSheet,
      stage: stage.value,
      count: isColony.value ? count.value : null,
      sex: isColony.value ? 'unknown' : form.sex,
      hatchedOn: hatched === '' ? null : dayFromIso(hatched),
      barrier: null,
      schools: {},
    },
  }
  const place: Draft =
    comes === 'expected'
      ? { subject: id, kind: 'expected', payload: { enclosure, ...(from && { from }) } }
      : { subject: id, kind: 'arrived', payload: { enclosure, ...(from && { source: from }) } }
  return [registered, place]
}

function keep(): void {
  wrong.value = wrongWith()
  if (wrong.value) return
  record.keep(draftsOf(), `${form.name.trim()} put on record`, { together: true })
  void router.push({ name: 'record', params: { id } })
}
</script>

<template>
  <main class="reading">
    <header>
      <h1>Somebody new</h1>
      <p class="quiet">Look at both sides first: can we keep it, and is a place ready?</p>
    </header>
    <div class="columns">
      <form class="form" @submit.prevent="keep">
        <label>
          Species
          <select v-model="form.sheet" class="field">
            <option v-for="one in species" :key="one.id" :value="one.id">{{ one.common }}</option>
          </select>
        </label>
        <label>Name or label <input v-model="form.name" class="field" maxlength="80" /></label>
        <div class="pair">
          <label>
            Stage
            <select
              :value="stage"
              class="field"
              @change="form.stage = ($event.target as HTMLSelectElement).value"
            >
              <option v-for="one in sheet?.stages" :key="one.id" :value="one.id">{{ one.name }}</option>
            </select>
          </label>
          <label v-if="isColony">
            About how many
            <input v-model="form.count" class="field" inputmode="numeric" />
          </label>
          <label v-else>
            Sex
            <select v-model="form.sex" class="field">
              <option value="unknown">not known</option>
              <option value="female">female</option>
              <option value="male">male</option>
            </select>
          </label>
          <label v-if="!isColony">
            Hatched or born
            <input v-model="form.hatched" class="field" type="date" />
          </label>
        </div>
        <label>From whom <input v-model="form.from" class="field" maxlength="400" /></label>
        <PlaceSelect v-model="form.enclosure" label="Place" :places="places" />
        <label class="tick"
          ><input v-model="form.comes" type="radio" value="expected" /> is expected: its place is on the walk
          until it is ready</label
        >
        <label class="tick"><input v-model="form.comes" type="radio" value="arrived" /> is here now</label>
        <p v-if="wrong" class="wrong" role="alert">{{ wrong }}</p>
        <button type="submit" class="primary">Put on record</button>
      </form>
      <CanWeKeepIt v-if="sheet" :key="sheet.id" :sheet="sheet" />
    </div>
  </main>
</template>
