<script setup lang="ts">
import type { Sheet } from '@kobrin/core'
import { mayRecord } from '@kobrin/core'
import { computed, nextTick, shallowRef, useTemplateRef } from 'vue'
import { useRecord } from '../entries/useRecord.ts'
import { usePeople } from '../people/usePeople.ts'
import type { Resident } from '../site/useSite.ts'

const { resident, sheet } = defineProps<{ resident: Resident; sheet: Sheet }>()
const emit = defineEmits<{ look: [stage: string] }>()

const people = usePeople()
const record = useRecord()
const wanted = shallowRef<string | null>(null)
const why = shallowRef('')
const complaint = shallowRef('')
const whyField = useTemplateRef<HTMLInputElement>('whyField')

const mayStage = computed(() => mayRecord(people.role, 'staged'))
const placeOf = (stage: string | null) => sheet.stages.findIndex(({ id }) => id === stage)
const nameOf = (stage: string | null) => sheet.stages[placeOf(stage)]?.name ?? stage ?? ''
const isEarlier = computed(() => placeOf(wanted.value) < placeOf(resident.stage))

function ask(stage: string): void {
  wanted.value = stage
  complaint.value = ''
  void nextTick(() => whyField.value?.focus())
}

function change(): void {
  const stage = wanted.value
  if (stage === null) return
  if (why.value.trim() === '') {
    complaint.value = 'Say what shows that it is there.'
    return
  }
  record.keep(
    [{ subject: resident.id, kind: 'staged', payload: { stage, why: why.value.trim() } }],
    `${resident.name}: ${nameOf(stage)}`,
  )
  wanted.value = null
  why.value = ''
}
</script>

<template>
  <h3>Stage</h3>
  <ul>
    <li v-for="stage in sheet.stages" :key="stage.id" class="row">
      <strong>{{ stage.name }}</strong>
      <span v-if="stage.id === resident.stage" class="quiet">now</span>
      <template v-else>
        <button type="button" class="plain" @click="emit('look', stage.id)">
          Before and after {{ stage.name }}
        </button>
        <button v-if="mayStage" type="button" class="plain" @click="ask(stage.id)">
          It is at {{ stage.name }} …
        </button>
      </template>
    </li>
  </ul>
  <form v-if="wanted !== null" class="form ask" @submit.prevent="change" @keydown.esc="wanted = null">
    <p>
      {{ resident.name }} is at {{ nameOf(resident.stage) }}. Its meals, climate and room would be those of
      {{ nameOf(wanted) }}<template v-if="isEarlier">, which is an earlier stage</template>.
    </p>
    <label
      >What shows it
      <input
        ref="whyField"
        v-model="why"
        class="field"
        maxlength="400"
        placeholder="Weighed 320 g, eats rats"
      />
    </label>
    <p v-if="complaint" class="wrong" role="alert">{{ complaint }}</p>
    <div class="row">
      <button type="submit" class="primary">Change it to {{ nameOf(wanted) }}</button>
      <button type="button" class="plain" @click="wanted = null">
        Leave it at {{ nameOf(resident.stage) }}
      </button>
    </div>
  </form>
</template>
