<script setup lang="ts">
import type { LibrarySheet } from '@kobrin/contract'
import { OFFICE_ROUTES } from '@kobrin/contract'
import Button from 'primevue/button'
import { shallowRef } from 'vue'
import { later } from '../app/later.ts'
import { useSite } from '../site/useSite.ts'
import { useToday } from '../time/useToday.ts'
import { call } from '../api/call.ts'
import { sayDate } from '../words/numbers.ts'
import { t } from './words.ts'

const SheetText = later(() => import('./SheetText.vue'))

/** How a sheet came to be as it is: every version, and what the house made of the shipped one. */
const { answer, mayEdit } = defineProps<{ answer: LibrarySheet; mayEdit: boolean }>()
const emit = defineEmits<{ edit: [yaml: string] }>()
const site = useSite()
const today = useToday()
/** A version being read, and the one before it, of which it is a change. */
const older = shallowRef<{ version: number; yaml: string; before: string | undefined } | null>(null)

async function textOf(version: number): Promise<string> {
  return (await call(OFFICE_ROUTES.sheetVersion, { params: { sheetId: answer.sheet.id, version } })).yaml
}

async function read(version: number): Promise<void> {
  const [yaml, before] = await Promise.all([textOf(version), version > 1 ? textOf(version - 1) : undefined])
  older.value = { version, yaml, before }
}

function told(value: unknown): string {
  return value === undefined ? t('nothing') : JSON.stringify(value)
}
</script>

<template>
  <section class="block no-print">
    <h2>{{ t('history') }}</h2>
    <ul>
      <li v-for="one in answer.history" :key="one.version" class="row">
        <strong>{{ one.version }}</strong>
        {{ sayDate(today.dayOf(one.at), today.day) }},
        {{ one.by === null ? t('shippedLibrary') : site.nameOf(one.by) }}{{ one.why ? `: ${one.why}` : '' }}
        <Button severity="secondary" @click="read(one.version)">
          {{ t('readVersion', { version: one.version }) }}
        </Button>
      </li>
    </ul>
    <SheetText
      v-if="older"
      :key="older.version"
      v-model="older.yaml"
      :label="t('version2', { version: older.version })"
      :against="older.before"
      reading
    />
  </section>
  <section v-if="answer.differences.length > 0" class="block no-print">
    <h2>{{ t('againstTheShippedSheet') }}</h2>
    <ul>
      <li v-for="one in answer.differences" :key="one.path">
        <strong>{{ one.path }}</strong>
        <p class="quiet">{{ t('shippedHere', { told: told(one.before), told2: told(one.after) }) }}</p>
      </li>
    </ul>
    <Button
      v-if="mayEdit && answer.shippedYaml !== null"
      severity="secondary"
      @click="emit('edit', answer.shippedYaml)"
    >
      {{ t('editFromTheShipped') }}
    </Button>
  </section>
</template>
