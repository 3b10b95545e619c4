<script setup lang="ts">
import Button from 'primevue/button'
import Toast from 'primevue/toast'
import { useToast } from 'primevue/usetoast'
import { watch } from 'vue'
import { useRecord } from '../entries/useRecord.ts'
import { useResidents } from '../residents/useResidents.ts'
import { sayEntry } from '../words/entry.ts'
import { useTeller } from '../words/useTeller.ts'
import UndoStrip from './UndoStrip.vue'
import { t } from './words.ts'

/** What has to be known wherever somebody is: what can be taken back, and what the server would not keep. */
const { undo } = defineProps<{ undo: boolean }>()
const emit = defineEmits<{ waiting: [] }>()
const record = useRecord()
const residents = useResidents()
const teller = useTeller()
const toast = useToast()

watch(
  () => undo && record.lastAct !== null,
  (is) => {
    toast.removeGroup('undo')
    if (is) toast.add({ group: 'undo' })
  },
  { immediate: true },
)

watch(
  () => record.refused.length,
  (count, before) => {
    const last = record.refused.at(-1)
    if (!last || count <= before) return
    const summary = `${residents.nameOf(last.entry.subject)}: ${sayEntry(last.entry, teller)}`
    toast.add({ group: 'refused', severity: 'error', summary, detail: last.why })
  },
)
</script>

<template>
  <Toast group="undo" position="bottom-left" :pt="{ message: { role: 'status', 'aria-live': 'polite' } }">
    <template #container><UndoStrip /></template>
  </Toast>
  <Toast group="refused" position="top-center" class="refused">
    <template #message="{ message }">
      <div class="refusal">
        <strong>{{ t('couldNotBeKept', { summary: message.summary }) }}</strong>
        <p>{{ message.detail }}</p>
        <Button severity="secondary" size="small" @click="emit('waiting')">{{ t('seeWhatWaits') }}</Button>
      </div>
    </template>
  </Toast>
</template>

<style scoped>
.refusal {
  display: grid;
  flex: 1;
  gap: 6px;
  justify-items: start;
}
</style>
