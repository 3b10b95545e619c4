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
import { t } from './words.ts'

const { resident, sheet } = defineProps<{ resident: Resident; sheet: Sheet }>()
const emit = defineEmits<{ look: [stage: string] }>()

const people = usePeople()
const record = useRecord()
const wanted = shallowRef<string | null>(null)
const named = computed(() => ({
  name: resident.name,
  name2: nameOf(resident.stage),
  name3: nameOf(wanted.value),
}))
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
  <h3>{{ t('stage') }}</h3>
  <ul>
    <li v-for="stage in sheet.stages" :key="stage.id" class="row">
      <strong>{{ stage.name }}</strong>
      <span v-if="stage.id === resident.stage" class="quiet">{{ t('now') }}</span>
      <template v-else>
        <Button severity="secondary" @click="emit('look', stage.id)">
          {{ t('beforeAndAfter2', { name: stage.name }) }}
        </Button>
        <Button v-if="mayStage" severity="secondary" @click="wanted = stage.id">
          {{ t('itIsAt', { name: stage.name }) }}
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
      {{ isEarlier ? t('isAtItsMealsEarlier', named) : t('isAtItsMeals', named) }}
    </p>
    <TextField
      :key="wanted"
      v-model="why"
      name="why"
      :label="t('whatShowsIt')"
      maxlength="400"
      :placeholder="t('weighed320GEats')"
      autofocus
    />
    <div class="row">
      <Button type="submit">{{ t('changeItTo', { name: nameOf(wanted) }) }}</Button>
      <Button severity="secondary" @click="wanted = null">{{
        t('leaveItAt', { name: nameOf(resident.stage) })
      }}</Button>
    </div>
  </SchemaForm>
</template>
