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
import { kindHere } from '../kinds/kindsHere.ts'
import { mended, toMend } from '../kinds/mended.ts'
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

const form = reactive({ ...toMend(fact), why: '' })
const draft = useDraft(`correction ${fact.uid}`, form)
const complaint = shallowRef('')
const asked = shallowRef(false)

const mends = computed(() => kindHere(fact.kind)?.mends)
const numberIn = computed(() => mends.value?.number)

const sends = () => ({ target: fact.uid, to: mended(fact, form), why: form.why.trim() })

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
  const to = mended(fact, form)
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
        v-if="mends?.outcome"
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
        v-if="mends?.text"
        v-model="form.text"
        name="to.payload.text"
        :label="t('shouldRead')"
        :lines="3"
        maxlength="4000"
        autofocus
      />
      <TextField v-model="form.why" name="why" :label="t('why')" maxlength="400" :autofocus="!mends" />
      <template #buttons>
        <p class="row">
          <Button v-if="mends" type="submit">{{ t('correctIt') }}</Button>
          <Button severity="secondary" @click="takeBack">{{ t('itDidNotHappen') }}</Button>
        </p>
      </template>
    </SchemaForm>
    <p class="quiet">{{ t('nothingIsErasedThe') }}</p>
  </AppDialog>
</template>
