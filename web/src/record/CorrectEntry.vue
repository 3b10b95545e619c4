<script setup lang="ts">
import type { Draft, Fact, FeedOutcome, Replacement } from '@kobrin/core'
import { Correction, doubtAbout } from '@kobrin/core'
import Button from 'primevue/button'
import { computed, reactive, shallowRef } from 'vue'
import AppDialog from '../app/AppDialog.vue'
import { sayError } from '../app/sayError.ts'
import { useDraft } from '../drafts/useDraft.ts'
import { useRecord } from '../entries/useRecord.ts'
import { usePlans } from '../plans/usePlans.ts'
import { useSite } from '../site/useSite.ts'
import ChoiceField from '../fields/ChoiceField.vue'
import { choicesOf } from '../fields/choicesOf.ts'
import NumberField from '../fields/NumberField.vue'
import SchemaForm from '../fields/SchemaForm.vue'
import TextField from '../fields/TextField.vue'
import { sayDoubt } from '../words/doubts.ts'
import { words } from '../words/en.ts'
import { sayEntry } from '../words/entry.ts'
import { useTeller } from '../words/useTeller.ts'
import { t } from './words.ts'

const { fact } = defineProps<{ fact: Fact }>()
const emit = defineEmits<{ close: [] }>()
const record = useRecord()
const site = useSite()
const plans = usePlans()
const teller = useTeller()

const OUTCOMES = choicesOf<FeedOutcome>(words.outcome)

/** The number of a fact that can be mended, and in what it is. */
const NUMBERS: Readonly<Record<string, { field: string; unit: string }>> = {
  weighed: { field: 'grams', unit: 'g' },
  measured: { field: 'mm', unit: 'mm' },
  fed: { field: 'count', unit: 'pieces' },
}

const form = reactive({
  number: numberOf(fact),
  text: fact.kind === 'noted' || fact.kind === 'observed' ? fact.payload.text : '',
  outcome: (fact.kind === 'fed' ? fact.payload.outcome : 'taken') as FeedOutcome,
  why: '',
})
const draft = useDraft(`correction ${fact.uid}`, form)
const complaint = shallowRef('')
const asked = shallowRef(false)

const numberIn = computed(() => NUMBERS[fact.kind])
const hasText = computed(() => fact.kind === 'noted' || fact.kind === 'observed')
const editable = computed(() => numberIn.value !== undefined || hasText.value)

function numberOf({ kind, payload }: Fact): number | null {
  if (kind === 'weighed') return payload.grams
  if (kind === 'measured') return payload.mm
  return kind === 'fed' ? (payload.count ?? null) : null
}

/** The same fact with what was typed here. */
function replacement(): Replacement | null {
  const value = form.number
  switch (fact.kind) {
    case 'weighed':
      return { kind: 'weighed', payload: { ...fact.payload, grams: value ?? NaN } }
    case 'measured':
      return { kind: 'measured', payload: { ...fact.payload, mm: value ?? NaN } }
    case 'fed': {
      const { count: _count, ...meal } = fact.payload
      return {
        kind: 'fed',
        payload: { ...meal, outcome: form.outcome, ...(value !== null && { count: value }) },
      }
    }
    case 'noted':
      return { kind: 'noted', payload: { text: form.text } }
    case 'observed':
      return { kind: 'observed', payload: { ...fact.payload, text: form.text } }
    default:
      return null
  }
}

const sends = () => ({ target: fact.uid, to: replacement(), why: form.why.trim() })

function doubted(to: Replacement): string {
  const resident = site.residents.get(fact.subject)
  const doubt =
    resident &&
    doubtAbout(
      { subject: fact.subject, ...to },
      { day: fact.day, state: record.stateOf(fact.subject), plan: plans.planOf(resident) },
    )
  return doubt ? t('pressAgainToKeep', { doubt: sayDoubt(doubt, fact.day) }) : ''
}

function correct(): void {
  const to = replacement()
  if (!to) return
  complaint.value = asked.value ? '' : doubted(to)
  asked.value = complaint.value !== ''
  if (asked.value) return
  const corrected: Draft = {
    subject: fact.subject,
    kind: 'corrected',
    payload: { target: fact.uid, to, why: form.why.trim() },
  }
  record.keep([corrected], t('corrected', { entry: sayEntry({ ...fact, ...to }, teller) }))
  draft.drop()
  emit('close')
}

async function takeBack(): Promise<void> {
  const because = form.why.trim()
  if (because === '') {
    complaint.value = t('sayWhyInA')
    return
  }
  try {
    await record.takeBackEntry(fact, because, t('takenBack', { entry: sayEntry(fact, teller) }))
    draft.drop()
    emit('close')
  } catch (error) {
    complaint.value = sayError(error)
  }
}
</script>

<template>
  <AppDialog :title="t('correctAnEntry')" @close="emit('close')">
    <p>
      <span class="quiet">{{ t('itSays') }}</span> {{ sayEntry(fact, teller) }}
    </p>
    <p v-if="fact.act" class="quiet">
      {{ t('itIsPartOf') }}
    </p>
    <SchemaForm :schema="Correction" :sends="sends" :complaint="complaint" :draft="draft" @keep="correct">
      <ChoiceField
        v-if="fact.kind === 'fed'"
        v-model="form.outcome"
        name="to.payload.outcome"
        :label="t('outcome')"
        :options="OUTCOMES"
      />
      <NumberField
        v-if="numberIn"
        v-model="form.number"
        :name="`to.payload.${numberIn.field}`"
        :label="t('shouldBe')"
        :unit="numberIn.unit"
        first
        @update:model-value="asked = false"
      />
      <TextField
        v-if="hasText"
        v-model="form.text"
        name="to.payload.text"
        :label="t('shouldRead')"
        :lines="3"
        maxlength="4000"
        autofocus
      />
      <TextField v-model="form.why" name="why" :label="t('why')" maxlength="400" :autofocus="!editable" />
      <template #buttons>
        <p class="row">
          <Button v-if="editable" type="submit">{{ t('correctIt') }}</Button>
          <Button severity="secondary" @click="takeBack">{{ t('itDidNotHappen') }}</Button>
        </p>
      </template>
    </SchemaForm>
    <p class="quiet">{{ t('nothingIsErasedThe') }}</p>
  </AppDialog>
</template>
