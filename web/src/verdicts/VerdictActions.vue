<script setup lang="ts">
import { may, ROUTES } from '@kobrin/contract'
import type { Verdict } from '@kobrin/core'
import { kindOf, mayRecord } from '@kobrin/core'
import Button from 'primevue/button'
import { computed, reactive } from 'vue'
import { RouterLink } from 'vue-router'
import { useRecord } from '../entries/useRecord.ts'
import { usePeople } from '../people/usePeople.ts'
import NumberField from '../fields/NumberField.vue'
import SchemaForm from '../fields/SchemaForm.vue'
import TextField from '../fields/TextField.vue'
import Wrong from '../fields/Wrong.vue'
import GoneActions from '../leaving/GoneActions.vue'
import PermitAction from '../residents/PermitAction.vue'
import { useResidents } from '../residents/useResidents.ts'
import { call } from '../api/call.ts'
import { useSending } from '../api/queries.ts'
import { sayGrams } from '../words/measures.ts'
import { sayRange } from '../words/numbers.ts'
import { t } from './words.ts'
import { sayCadence } from '../words/cadence.ts'

type Proposal = Extract<Verdict['what'], { code: 'condition' }>

/** What can be done about a verdict from here. */
const { verdict, residentId } = defineProps<{ verdict: Verdict; residentId: string }>()
const residents = useResidents()
const record = useRecord()
const people = usePeople()
const { busy, complaint, send } = useSending(async ({ propose, score }: Proposal) => {
  for (const patch of propose)
    await call(ROUTES.signOverride, {
      body: { resident: residentId, patch, reason: t('bodyCondition', { score }) },
    })
})
const form = reactive<{ found: number | null; lost: number | null; why: string }>({
  found: null,
  lost: null,
  why: '',
})
const what = computed(() => verdict.what)
const name = computed(() => residents.nameOf(residentId))

const missing = computed(() => (what.value.code === 'unaccounted' ? what.value.missing : 0))
const accounted = kindOf('accounted').payload

/** Those that are not found again are given up, unless another number is said. */
function sends() {
  const lost = form.lost ?? (form.found === null ? null : missing.value - form.found)
  return { found: form.found, lost, why: form.why.trim() }
}

function also(): Record<string, string> {
  const { found, lost } = sends()
  if (found === null) return { found: t('howManyWereFound') }
  if ((lost ?? 0) < 0 || found + (lost ?? 0) > missing.value)
    return { found: t('areMissingFoundAgain', { missing: missing.value }) }
  return {}
}

function closeMissing(): void {
  const { found, lost, why } = sends()
  if (found === null || lost === null) return
  record.keep(
    [{ subject: residentId, kind: 'accounted', payload: { found, lost, why } }],
    t('theMissingAccountedFor', { name: name.value }),
  )
}

function dispose(lot: string): void {
  record.keep(
    [{ subject: lot, kind: 'floorDisposed', payload: {} }],
    t('oldFloorThrownAway', { name: name.value }),
  )
}

function looked(lot: string, found: 'nothing' | 'babies'): void {
  record.keep(
    [{ subject: lot, kind: 'floorChecked', payload: { found } }],
    t('oldFloorLookedInto', { name: name.value }),
  )
}

function confirmStage(stage: string): void {
  const why = t('theFactsReachedThe')
  record.keep(
    [{ subject: residentId, kind: 'staged', payload: { stage, why } }],
    t('nextStageConfirmed', { name: name.value }),
  )
}

function acceptFeeding(): void {
  if (what.value.code !== 'condition') return
  void send(what.value)
}

function proposed(patch: Proposal['propose'][number]): string {
  if ('drop' in patch) return t('leftOut', { duty: patch.id })
  if (patch.cadence) return sayCadence(patch.cadence)
  if (patch.foods) return t('onlyFoods', { foods: patch.foods.map(({ item }) => item).join(', ') })
  const { amount } = patch
  if (amount?.by === 'portion') return t('aboutG', { grams: sayGrams(Math.round(amount.grams * 10) / 10) })
  if (amount?.by === 'massShare') return t('ofItsWeight', { share: sayRange(percents(amount.share)) })
  return amount ? t('piecesEach', { count: sayRange(amount.count) }) : ''
}

function percents([low, high]: readonly [number, number]): [number, number] {
  return [Math.round(low * 1000) / 10, Math.round(high * 1000) / 10]
}

function proposal(): string {
  return what.value.code === 'condition' ? what.value.propose.map(proposed).join('; ') : ''
}
</script>

<template>
  <div class="actions no-print">
    <SchemaForm
      v-if="what.code === 'unaccounted'"
      :schema="accounted"
      :sends="sends"
      :also="also"
      @keep="closeMissing"
    >
      <NumberField v-model="form.found" name="found" :label="t('foundAgain')" whole />
      <NumberField v-model="form.lost" name="lost" :label="t('givenUp')" :placeholder="t('theRest')" whole />
      <TextField v-model="form.why" name="why" :label="t('whatBecameOfThem')" maxlength="400" />
      <Button type="submit" severity="secondary">{{ t('closeTheMatter') }}</Button>
    </SchemaForm>
    <Button v-else-if="what.code === 'floorReady'" severity="secondary" @click="dispose(what.lot)">
      {{ what.freeze ? t('lookedFrozenForThree') : t('lookedOnceMoreThrown') }}
    </Button>
    <template v-else-if="what.code === 'floorWaits'">
      <Button severity="secondary" @click="looked(what.lot, 'nothing')">{{ t('lookedNothingAlive') }}</Button>
      <Button severity="secondary" @click="looked(what.lot, 'babies')">{{ t('youngFoundKeepIt') }}</Button>
      <RouterLink v-if="mayRecord(people.role, 'registered')" :to="{ name: 'newResident' }">{{
        t('putTheYoungOn')
      }}</RouterLink>
    </template>
    <Button
      v-else-if="what.code === 'stageReached' && mayRecord(people.role, 'staged')"
      severity="secondary"
      :disabled="busy"
      @click="confirmStage(what.stage)"
    >
      {{ t('confirm', { name: what.name }) }}
    </Button>
    <template v-else-if="what.code === 'condition' && what.propose.length > 0">
      <p>{{ t('proposed', { proposal: proposal() }) }}</p>
      <Button
        v-if="may(people.role, 'signPlans')"
        severity="secondary"
        :disabled="busy"
        @click="acceptFeeding"
      >
        {{ t('signIt') }}
      </Button>
      <p v-else class="quiet">{{ t('aSeniorKeeperDecides') }}</p>
    </template>
    <PermitAction v-else-if="what.code === 'permitEnds'" :number="what.number" :resident-id="residentId" />
    <GoneActions v-else :what="what" :resident-id="residentId" />
    <Wrong :says="complaint" />
  </div>
</template>

<style scoped>
.actions {
  display: grid;
  gap: 6px;
}
</style>
