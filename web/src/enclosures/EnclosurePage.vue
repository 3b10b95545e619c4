<script setup lang="ts">
import { may } from '@kobrin/contract'
import { floorDepthMm, litresOf, longSideMm, MATERIALS, zonesNow } from '@kobrin/core'
import Button from 'primevue/button'
import { computed, shallowRef } from 'vue'
import { RouterLink } from 'vue-router'
import '../app/page.css'
import MixCalculator from '../calculators/MixCalculator.vue'
import GradientCalculator from '../calculators/GradientCalculator.vue'
import UvbCalculator from '../calculators/UvbCalculator.vue'
import { useRecord } from '../entries/useRecord.ts'
import { usePeople } from '../people/usePeople.ts'
import { usePlans } from '../plans/usePlans.ts'
import { useSite } from '../site/useSite.ts'
import { useToday } from '../time/useToday.ts'
import PlaceVerdicts from '../places/PlaceVerdicts.vue'
import { useResidents } from '../residents/useResidents.ts'
import { care } from '../words/care.ts'
import { sayDate } from '../words/numbers.ts'
import { numberHere, sayIn } from '../words/measures.ts'
import EnclosureSection from './EnclosureSection.vue'
import BuildForm from './BuildForm.vue'
import ReadingList from './ReadingList.vue'
import FindingList from './FindingList.vue'
import { useFit } from './useFit.ts'
import { t } from './words.ts'

const { id } = defineProps<{ id: string }>()
const site = useSite()
const plans = usePlans()
const residents = useResidents()
const people = usePeople()
const record = useRecord()
const today = useToday()
const { fitOf, sizesOf } = useFit()
const editing = shallowRef(false)

const enclosure = computed(() => site.enclosures.get(id))
const tenants = computed(() => residents.livingIn(id))
const longSide = computed(() => (enclosure.value ? longSideMm(enclosure.value) : 0))
const needs = computed(() => tenants.value[0] && plans.planOf(tenants.value[0]))
/** From the coolest to the warmest the plan asks for, for the animal as it was last measured. */
const gradient = computed(() => {
  const celsius = zonesNow(needs.value?.targets ?? []).flatMap((target) => target.celsius ?? [])
  const bodyMm = record.stateOf(tenants.value[0]?.id ?? '').growth.sizes['length']?.mm
  if (celsius.length < 4) return null
  return {
    lengthMm: longSide.value,
    cool: Math.min(...celsius),
    warm: Math.max(...celsius),
    ...(bodyMm !== undefined && { bodyMm }),
  }
})
/** The layers that stand in it now, as parts by their depth. */
const recipe = computed(() => {
  const known = build.value?.layers.filter(({ material }) => material in MATERIALS) ?? []
  return known.length > 0 ? known.map(({ material, mm }) => ({ material, parts: mm })) : undefined
})
/** Everybody who lives there, with what does not fit. */
const fits = computed(() => {
  const box = enclosure.value
  return box ? tenants.value.map((resident) => ({ resident, findings: fitOf(box, resident) })) : []
})
/** The first of them, as long as it was measured. */
const drawn = computed(() => {
  const [first] = fits.value
  return first
    ? { tenant: { sizes: sizesOf(first.resident) }, findings: first.findings }
    : { tenant: { sizes: {} }, findings: [] }
})
const mayEdit = computed(() => may(people.role, 'editEnclosures'))
const build = computed(() => enclosure.value?.build)
const depth = computed(() => (build.value ? floorDepthMm(build.value) : null))
</script>

<template>
  <main v-if="enclosure && build" class="reading">
    <header>
      <h1>{{ site.placeName(id) }}</h1>
      <p class="quiet">
        {{
          t('mmL', {
            width: numberHere(enclosure.widthMm, 'mm'),
            depth: numberHere(enclosure.depthMm, 'mm'),
            height: sayIn(enclosure.heightMm, 'mm'),
            litres: sayIn(Math.round(litresOf(enclosure)), 'l'),
          })
        }}
      </p>
      <Button v-if="mayEdit && !editing" severity="secondary" @click="editing = true">
        {{ t('writeDownHowIt') }}
      </Button>
      <RouterLink v-if="tenants.length > 0" :to="{ name: 'doorCard', params: { id } }">{{
        t('doorCard')
      }}</RouterLink>
    </header>
    <BuildForm v-if="editing" :enclosure="enclosure" @close="editing = false" />
    <div class="columns">
      <section v-for="{ resident, findings } in fits" :key="resident.id" class="block">
        <h2>
          {{ t('for') }}
          <RouterLink :to="{ name: 'record', params: { id: resident.id } }">{{ resident.name }}</RouterLink>
        </h2>
        <FindingList :findings="findings" />
        <RouterLink :to="{ name: 'move', params: { id: resident.id } }">{{
          t('move', { name: resident.name })
        }}</RouterLink>
      </section>
      <PlaceVerdicts :enclosure-id="id" />
      <p v-if="tenants.length === 0" class="good">{{ t('itStandsEmpty') }}</p>
      <ReadingList :enclosure-id="id" />
      <section class="block">
        <h2>{{ t('asItStands') }}</h2>
        <EnclosureSection :box="enclosure" :build="build" :tenant="drawn.tenant" :findings="drawn.findings" />
        <dl class="facts">
          <dt>{{ t('floor') }}</dt>
          <dd>
            {{
              build.layers.map(({ material, mm }) => t('mm', { material, mm: sayIn(mm, 'mm') })).join(', ') ||
              t('notWrittenDown')
            }}
            <template v-if="depth !== null && build.slopeMm">{{
              t('mmAtTheDeep', { depth: sayIn(depth, 'mm') })
            }}</template>
          </dd>
          <template v-if="build.dampEnd">
            <dt>{{ t('dampEnd') }}</dt>
            <dd>{{ build.dampEnd }}</dd>
          </template>
          <dt>{{ t('inIt') }}</dt>
          <dd>
            {{
              build.furniture
                .map(
                  ({ what, freeBelowMm }) =>
                    `${care.furniture[what]}${freeBelowMm ? t('mmFreeBelow', { freeBelow: sayIn(freeBelowMm, 'mm') }) : ''}`,
                )
                .join('; ') || t('nothingWrittenDown')
            }}
          </dd>
          <template v-for="(heater, index) in build.heaters" :key="`h${index}`">
            <dt>{{ heater.what }}</dt>
            <dd>
              {{ heater.watts ? `${heater.watts} W, ` : ''
              }}{{
                heater.thermostat
                  ? t('thermostatProbeAt', { probeAt: heater.probeAt ?? t('noPlaceGiven') })
                  : t('noThermostat')
              }}
            </dd>
          </template>
          <template v-for="(lamp, index) in build.lamps" :key="`l${index}`">
            <dt>{{ care.lamp[lamp.what] }}</dt>
            <dd>
              {{ lamp.lengthMm ? t('mmLong', { length: sayIn(lamp.lengthMm, 'mm') }) : '' }}
              {{ lamp.distanceMm ? t('atMm', { distance: sayIn(lamp.distanceMm, 'mm') }) : '' }}
              {{ lamp.fittedOn === undefined ? '' : t('since', { date: sayDate(lamp.fittedOn, today.day) }) }}
            </dd>
          </template>
          <dt>{{ t('lock') }}</dt>
          <dd>{{ build.lock ? t('yes') : t('none') }}</dd>
          <template v-if="build.meshMm">
            <dt>{{ t('mesh') }}</dt>
            <dd>{{ sayIn(build.meshMm, 'mm') }}</dd>
          </template>
          <dt>{{ t('cleanUpCrew') }}</dt>
          <dd>{{ build.crew.join(', ') || t('none') }}</dd>
          <template v-for="part in build.parts" :key="part.what">
            <dt>{{ part.what }}</dt>
            <dd>{{ part.defect ?? t('whole') }}</dd>
          </template>
        </dl>
      </section>
      <template v-if="needs">
        <UvbCalculator v-if="needs.light?.uvb" :length-mm="longSide" :uvb="needs.light.uvb" />
        <GradientCalculator v-if="gradient" v-bind="gradient" />
        <MixCalculator :box="enclosure" :recipe="recipe" />
      </template>
    </div>
  </main>
  <main v-else class="reading">
    <h1>{{ t('noSuchEnclosure') }}</h1>
  </main>
</template>
