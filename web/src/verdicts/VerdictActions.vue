<script setup lang="ts">
import { may, ROUTES } from '@kobrin/contract'
import type { Verdict } from '@kobrin/core'
import { mayRecord } from '@kobrin/core'
import { computed, reactive } from 'vue'
import { RouterLink } from 'vue-router'
import { useDoing } from '../app/useAnswer.ts'
import { useRecord } from '../entries/useRecord.ts'
import { usePeople } from '../people/usePeople.ts'
import { readCount } from '../exceptions/readAnswers.ts'
import { useSite } from '../site/useSite.ts'
import { useResidents } from '../residents/useResidents.ts'
import { call } from '../wire/call.ts'
import { terms } from '../words/terms.ts'

/** What can be done about a verdict from here. */
const { verdict, residentId } = defineProps<{ verdict: Verdict; residentId: string }>()
const site = useSite()
const residents = useResidents()
const record = useRecord()
const people = usePeople()
const { busy, complaint, run } = useDoing()
const form = reactive({ found: '', lost: '', why: '' })
const what = computed(() => verdict.what)
const name = computed(() => residents.nameOf(residentId))

function closeMissing(missing: number): void {
  const found = readCount(form.found)
  const lost = form.lost.trim() === '' && found !== null ? missing - found : readCount(form.lost)
  if (found === null) complaint.value = 'How many were found again? 0 if none.'
  else if (lost === null || lost < 0 || found + lost > missing)
    complaint.value = `${missing} are missing: found again and given up cannot be more.`
  else if (form.why.trim() === '') complaint.value = 'Say what became of them, in a word or two.'
  else
    record.keep(
      [{ subject: residentId, kind: 'accounted', payload: { found, lost, why: form.why.trim() } }],
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
  const { propose, score } = what.value
  void run(async () => {
    for (const patch of propose)
      await call(ROUTES.signOverride, {
        body: { resident: residentId, patch, reason: `Body condition ${score}.` },
      })
    await site.load()
  })
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
  <div class="actions">
    <form v-if="what.code === 'unaccounted'" @submit.prevent="closeMissing(what.missing)">
      <label>Found again <input v-model="form.found" class="field" inputmode="numeric" /></label>
      <label>
        Given up
        <input v-model="form.lost" class="field" inputmode="numeric" placeholder="the rest" />
      </label>
      <label>What became of them <input v-model="form.why" class="field" maxlength="400" /></label>
      <button type="submit" class="plain">Close the matter</button>
    </form>
    <button v-else-if="what.code === 'floorReady'" type="button" class="plain" @click="dispose(what.lot)">
      {{ what.freeze ? 'Looked, frozen for three days, thrown away' : 'Looked once more: thrown away' }}
    </button>
    <template v-else-if="what.code === 'floorWaits'">
      <button type="button" class="plain" @click="looked(what.lot, 'nothing')">Looked: nothing alive</button>
      <button type="button" class="plain" @click="looked(what.lot, 'babies')">Young found: keep it on</button>
      <RouterLink v-if="mayRecord(people.role, 'registered')" :to="{ name: 'newResident' }"
        >Put the young on record …</RouterLink
      >
    </template>
    <button
      v-else-if="what.code === 'stageReached' && mayRecord(people.role, 'staged')"
      type="button"
      class="plain"
      :disabled="busy"
      @click="confirmStage(what.stage)"
    >
      Confirm: {{ what.name }}
    </button>
    <template v-else-if="what.code === 'condition'">
      <p>Proposed: {{ proposal() }}.</p>
      <button
        v-if="may(people.role, 'signPlans')"
        type="button"
        class="plain"
        :disabled="busy"
        @click="acceptFeeding"
      >
        Sign it
      </button>
      <p v-else class="quiet">A senior keeper decides.</p>
    </template>
    <p v-if="complaint" class="late" role="alert">{{ complaint }}</p>
  </div>
</template>

<style scoped>
.actions,
form {
  display: grid;
  gap: 6px;
}

label {
  font-size: 14px;
}

.late {
  color: var(--late);
  font-weight: 600;
}
</style>
