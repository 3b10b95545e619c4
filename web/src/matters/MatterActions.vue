<script setup lang="ts">
import { may } from '@kobrin/contract'
import type { Verdict } from '@kobrin/core'
import { computed, reactive } from 'vue'
import { useDoing } from '../app/useAnswer.ts'
import { useRecord } from '../entries/useRecord.ts'
import { usePeople } from '../people/usePeople.ts'
import { readCount } from '../saying/readAnswers.ts'
import { useSite } from '../site/useSite.ts'
import { useRound } from '../walk/useRound.ts'
import { careApi } from '../wire/careApi.ts'
import { terms } from '../words/terms.ts'

/** What closes a matter, where somebody can close it here. */
const { verdict, residentId } = defineProps<{ verdict: Verdict; residentId: string }>()
const site = useSite()
const round = useRound()
const record = useRecord()
const people = usePeople()
const { busy, complaint, run } = useDoing()
const form = reactive({ found: '', why: '', place: '' })
const what = computed(() => verdict.what)
const name = computed(() => round.nameOf(residentId))

function closeMissing(): void {
  const found = readCount(form.found)
  if (found === null) complaint.value = 'How many were found again? 0 if none.'
  else if (form.why.trim() === '') complaint.value = 'Say what became of them, in a word or two.'
  else
    record.keep(
      [{ residentId, kind: 'accounted', payload: { found, why: form.why.trim() } }],
      `${name.value}: the missing accounted for`,
    )
}

function keepFloor(enclosure: string): void {
  if (form.place.trim() === '') complaint.value = 'Say where the old floor is kept.'
  else
    record.keep(
      [{ residentId, kind: 'floorHeld', payload: { at: form.place.trim(), from: enclosure } }],
      `${name.value}: old floor kept`,
    )
}

function cleaned(enclosure: string): void {
  record.keep(
    [{ residentId, kind: 'vacated', payload: { enclosure, floor: 'cleaned' } }],
    `${name.value}: old place cleaned`,
  )
}

function release(floor: string): void {
  record.keep(
    [{ residentId, kind: 'floorReleased', payload: { floor } }],
    `${name.value}: old floor thrown away`,
  )
}

async function changing(act: () => Promise<unknown>): Promise<void> {
  await run(async () => {
    await act()
    await site.load()
  })
}

function confirmStage(stage: string): void {
  void changing(() =>
    careApi.setStage(residentId, { stage, reason: 'The facts reached the end of the stage.' }),
  )
}

function acceptFeeding(): void {
  if (what.value.code !== 'condition') return
  const { propose, score } = what.value
  void changing(async () => {
    for (const patch of propose)
      await careApi.signOverride({ resident: residentId, patch, reason: `Body condition ${score}.` })
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
    <form v-if="what.code === 'unaccounted'" @submit.prevent="closeMissing">
      <label>Found again <input v-model="form.found" class="field" inputmode="numeric" /></label>
      <label>What became of them <input v-model="form.why" class="field" maxlength="400" /></label>
      <button type="submit" class="plain">Close the matter</button>
    </form>
    <form v-else-if="what.code === 'vacated'" @submit.prevent="keepFloor(what.enclosure)">
      <p class="quiet">{{ site.placeName(what.enclosure) }}</p>
      <button type="button" class="plain" @click="cleaned(what.enclosure)">It is cleaned</button>
      <label>Old floor kept at <input v-model="form.place" class="field" maxlength="120" /></label>
      <button type="submit" class="plain">Floor is kept</button>
    </form>
    <button v-else-if="what.code === 'floorReady'" type="button" class="plain" @click="release(what.floor)">
      Looked once more: thrown away
    </button>
    <button
      v-else-if="what.code === 'stageReached' && may(people.role, 'setStage')"
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
