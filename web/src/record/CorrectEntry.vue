<script setup lang="ts">
import type { Draft, Fact, FeedOutcome, Replacement } from '@kobrin/core'
import { doubtAbout } from '@kobrin/core'
import { computed, shallowRef } from 'vue'
import AppDialog from '../app/AppDialog.vue'
import { sayError } from '../app/sayError.ts'
import { useRecord } from '../entries/useRecord.ts'
import { usePlans } from '../plans/usePlans.ts'
import { useSite } from '../site/useSite.ts'
import { readNumber } from '../exceptions/readAnswers.ts'
import { sayDoubt } from '../words/doubts.ts'
import { words } from '../words/en.ts'
import { sayEntry } from '../words/entry.ts'
import { useTeller } from '../words/useTeller.ts'

const { fact } = defineProps<{ fact: Fact }>()
const emit = defineEmits<{ close: [] }>()
const record = useRecord()
const site = useSite()
const plans = usePlans()
const teller = useTeller()

const OUTCOMES = Object.keys(words.outcome) as FeedOutcome[]

const number = shallowRef(numberOf(fact))
const text = shallowRef(fact.kind === 'noted' || fact.kind === 'observed' ? fact.payload.text : '')
const outcome = shallowRef<FeedOutcome>(fact.kind === 'fed' ? fact.payload.outcome : 'taken')
const why = shallowRef('')
const complaint = shallowRef('')
const asked = shallowRef(false)

const unit = computed(() => (fact.kind === 'weighed' ? 'g' : fact.kind === 'measured' ? 'mm' : 'pieces'))

function numberOf({ kind, payload }: Fact): string {
  if (kind === 'weighed') return String(payload.grams)
  if (kind === 'measured') return String(payload.mm)
  return kind === 'fed' && payload.count !== undefined ? String(payload.count) : ''
}

/** The same fact with what was typed here, or null when the number cannot be read. */
function replacement(): Replacement | null {
  const value = readNumber(number.value)
  switch (fact.kind) {
    case 'weighed':
      return value === null ? null : { kind: 'weighed', payload: { ...fact.payload, grams: value } }
    case 'measured':
      return value === null ? null : { kind: 'measured', payload: { ...fact.payload, mm: value } }
    case 'fed': {
      if (number.value.trim() !== '' && value === null) return null
      return {
        kind: 'fed',
        payload: { ...fact.payload, outcome: outcome.value, ...(value !== null && { count: value }) },
      }
    }
    case 'noted':
      return { kind: 'noted', payload: { text: text.value } }
    case 'observed':
      return { kind: 'observed', payload: { ...fact.payload, text: text.value } }
    default:
      return null
  }
}

const editable = computed(() => ['weighed', 'measured', 'fed', 'noted', 'observed'].includes(fact.kind))
const hasNumber = computed(() => fact.kind === 'weighed' || fact.kind === 'measured' || fact.kind === 'fed')
const hasText = computed(() => fact.kind === 'noted' || fact.kind === 'observed')

function reason(): string | null {
  if (why.value.trim() !== '') return why.value.trim()
  complaint.value = 'Say why in a word or two: colleagues will read both.'
  return null
}

function correct(): void {
  const to = replacement()
  if (!to) {
    complaint.value = `"${number.value}" is not a number.`
    return
  }
  const because = reason()
  if (because === null) return
  const resident = site.residents.get(fact.subject)
  const doubt =
    resident &&
    doubtAbout(
      { subject: fact.subject, ...to },
      { day: fact.day, state: record.stateOf(fact.subject), plan: plans.planOf(resident) },
    )
  if (doubt && !asked.value) {
    asked.value = true
    complaint.value = `${sayDoubt(doubt, fact.day)} Press again to keep it.`
    return
  }
  const draft: Draft = {
    subject: fact.subject,
    kind: 'corrected',
    payload: { target: fact.uid, to, why: because },
  }
  record.keep([draft], `Corrected: ${sayEntry({ ...fact, ...to }, teller)}`)
  emit('close')
}

async function takeBack(): Promise<void> {
  const because = reason()
  if (because === null) return
  try {
    await record.takeBackEntry(fact, because, `Taken back: ${sayEntry(fact, teller)}`)
    emit('close')
  } catch (error) {
    complaint.value = sayError(error)
  }
}
</script>

<template>
  <AppDialog title="Correct an entry" @close="emit('close')">
    <p><span class="quiet">It says:</span> {{ sayEntry(fact, teller) }}</p>
    <p v-if="fact.act" class="quiet">
      It is part of something done together: taken back, all of it is taken back.
    </p>
    <p v-if="complaint" class="complaint" role="alert">{{ complaint }}</p>
    <form @submit.prevent="correct">
      <label v-if="fact.kind === 'fed'">
        Outcome
        <select v-model="outcome" class="field">
          <option v-for="one in OUTCOMES" :key="one" :value="one">{{ words.outcome[one] }}</option>
        </select>
      </label>
      <label v-if="hasNumber">
        Should be, {{ unit }}
        <input v-model="number" class="field" inputmode="decimal" autocomplete="off" @input="asked = false" />
      </label>
      <label v-if="hasText">
        Should read
        <textarea v-model="text" class="field" rows="3" maxlength="4000" />
      </label>
      <label>
        Why
        <input v-model="why" class="field" maxlength="400" autocomplete="off" />
      </label>
      <p class="buttons">
        <button v-if="editable" type="submit" class="primary">Correct it</button>
        <button type="button" class="plain" @click="takeBack">It did not happen: take it back</button>
      </p>
    </form>
    <p class="quiet">Nothing is erased: the record shows what was said first, who changed it and why.</p>
  </AppDialog>
</template>

<style scoped>
form {
  display: grid;
  gap: 10px;
}

.buttons {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}

.complaint {
  color: var(--late);
  font-weight: 600;
}
</style>
