<script setup lang="ts">
import type { Sheet } from '@kobrin/core'
import { kindOf, mayRecord } from '@kobrin/core'
import Button from 'primevue/button'
import { computed, shallowRef } from 'vue'
import { useRecord } from '../entries/useRecord.ts'
import SchemaForm from '../fields/SchemaForm.vue'
import TextField from '../fields/TextField.vue'
import { usePeople } from '../people/usePeople.ts'
import type { Resident } from '../site/useSite.ts'

const { resident, sheet } = defineProps<{ resident: Resident; sheet: Sheet }>()
const emit = defineEmits<{ look: [stage: string] }>()

const people = usePeople()
const record = useRecord()
const wanted = shallowRef<string | null>(null)
const why = shallowRef('')
const schema = kindOf('staged').payload

const mayStage = computed(() => mayRecord(people.role, 'staged'))
const placeOf = (stage: string | null) => sheet.stages.findIndex(({ id }) => id === stage)
const nameOf = (stage: string | null) => sheet.stages[placeOf(stage)]?.name ?? stage ?? ''
const isEarlier = computed(() => placeOf(wanted.value) < placeOf(resident.stage))

function change(): void {
  const stage = wanted.value
  if (stage === null) return
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
        <Button severity="secondary" @click="emit('look', stage.id)">
          Before and after {{ stage.name }}
        </Button>
        <Button v-if="mayStage" severity="secondary" @click="wanted = stage.id">
          It is at {{ stage.name }} …
        </Button>
      </template>
    </li>
  </ul>
  <SchemaForm
    v-if="wanted !== null"
    class="ask"
    :schema="schema"
    :sends="() => ({ stage: wanted, why })"
    @keep="change"
    @keydown.esc="wanted = null"
  >
    <p>
      {{ resident.name }} is at {{ nameOf(resident.stage) }}. Its meals, climate and room would be those of
      {{ nameOf(wanted) }}<template v-if="isEarlier">, which is an earlier stage</template>.
    </p>
    <TextField
      :key="wanted"
      v-model="why"
      name="why"
      label="What shows it"
      maxlength="400"
      placeholder="Weighed 320 g, eats rats"
      autofocus
    />
    <div class="row">
      <Button type="submit">Change it to {{ nameOf(wanted) }}</Button>
      <Button severity="secondary" @click="wanted = null">Leave it at {{ nameOf(resident.stage) }}</Button>
    </div>
  </SchemaForm>
</template>
