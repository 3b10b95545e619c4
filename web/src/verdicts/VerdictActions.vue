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
import { useResidents } from '../residents/useResidents.ts'
import { call } from '../wire/call.ts'
import { useTold } from '../wire/queries.ts'
import { terms } from '../words/terms.ts'

type Proposal = Extract<Verdict['what'], { code: 'condition' }>

/** What can be done about a verdict from here. */
const { verdict, residentId } = defineProps<{ verdict: Verdict; residentId: string }>()
const residents = useResidents()
const record = useRecord()
const people = usePeople()
const { busy, complaint, told } = useTold(async ({ propose, score }: Proposal) => {
  for (const patch of propose)
    await call(ROUTES.signOverride, {
      body: { resident: residentId, patch, reason: `Body condition ${score}.` },
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

/** Whoever is not found again is given up, unless another number is said. */
function sends() {
  const lost = form.lost ?? (form.found === null ? null : missing.value - form.found)
  return { found: form.found, lost, why: form.why.trim() }
}

function also(): Record<string, string> {
  const { found, lost } = sends()
  if (found === null) return { found: 'How many were found again? 0 if none.' }
  if ((lost ?? 0) < 0 || found + (lost ?? 0) > missing.value)
    return { found: `${missing.value} are missing: found again and given up cannot be more.` }
  return {}
}

function closeMissing(): void {
  const { found, lost, why } = sends()
  if (found === null || lost === null) return
  record.keep(
    [{ subject: residentId, kind: 'accounted', payload: { found, lost, why } }],
    `${name.value}: the missing accounted for`,
  )
}

function dispose(lot: string): void {
  record.keep([{ subject: lot, kind: 'floorDisposed', payload: {} }], `${name.value}: old floor thrown away`)
}

function looked(lot: string, found: 'nothing' | 'babies'): void {
  record.keep(
    [{ subject: lot, kind: 'floorChecked', payload: { found } }],
    `${name.value}: old floor looked into`,
  )
}

function confirmStage(stage: string): void {
  const why = 'The facts reached the end of the stage.'
  record.keep(
    [{ subject: residentId, kind: 'staged', payload: { stage, why } }],
    `${name.value}: next stage confirmed`,
  )
}

function acceptFeeding(): void {
  if (what.value.code !== 'condition') return
  void told(what.value)
}

function proposal(): string {
  if (what.value.code !== 'condition') return ''
  return what.value.propose
    .map((patch) => {
      if ('drop' in patch) return ''
      const portion = patch.amount?.by === 'portion' ? `about ${Math.round(patch.amount.grams)} g` : ''
      return patch.cadence ? terms.cadence(patch.cadence) : portion
    })
    .join('; ')
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
      <NumberField v-model="form.found" name="found" label="Found again" whole />
      <NumberField v-model="form.lost" name="lost" label="Given up" placeholder="the rest" whole />
      <TextField v-model="form.why" name="why" label="What became of them" maxlength="400" />
      <Button type="submit" severity="secondary">Close the matter</Button>
    </SchemaForm>
    <Button v-else-if="what.code === 'floorReady'" severity="secondary" @click="dispose(what.lot)">
      {{ what.freeze ? 'Looked, frozen for three days, thrown away' : 'Looked once more: thrown away' }}
    </Button>
    <template v-else-if="what.code === 'floorWaits'">
      <Button severity="secondary" @click="looked(what.lot, 'nothing')">Looked: nothing alive</Button>
      <Button severity="secondary" @click="looked(what.lot, 'babies')">Young found: keep it on</Button>
      <RouterLink v-if="mayRecord(people.role, 'registered')" :to="{ name: 'newResident' }"
        >Put the young on record …</RouterLink
      >
    </template>
    <Button
      v-else-if="what.code === 'stageReached' && mayRecord(people.role, 'staged')"
      severity="secondary"
      :disabled="busy"
      @click="confirmStage(what.stage)"
    >
      Confirm: {{ what.name }}
    </Button>
    <template v-else-if="what.code === 'condition'">
      <p>Proposed: {{ proposal() }}.</p>
      <Button
        v-if="may(people.role, 'signPlans')"
        severity="secondary"
        :disabled="busy"
        @click="acceptFeeding"
      >
        Sign it
      </Button>
      <p v-else class="quiet">A senior keeper decides.</p>
    </template>
    <Wrong :says="complaint" />
  </div>
</template>

<style scoped>
.actions {
  display: grid;
  gap: 6px;
}
</style>
