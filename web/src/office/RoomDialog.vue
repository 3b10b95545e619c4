<script setup lang="ts">
import type { Room } from '@kobrin/contract'
import { KeepRoom, OFFICE_ROUTES } from '@kobrin/contract'
import type { Barrier } from '@kobrin/core'
import Button from 'primevue/button'
import { computed, reactive } from 'vue'
import AppDialog from '../app/AppDialog.vue'
import ChoiceField from '../fields/ChoiceField.vue'
import NumberField from '../fields/NumberField.vue'
import SchemaForm from '../fields/SchemaForm.vue'
import TextField from '../fields/TextField.vue'
import Wrong from '../fields/Wrong.vue'
import { call } from '../api/call.ts'
import { useSending } from '../api/queries.ts'
import { words } from '../words/en.ts'
import { t } from './words.ts'

/** `room`: none yet for a new one. */
const { room, isEmpty } = defineProps<{ room: Room | null; isEmpty: boolean }>()
const emit = defineEmits<{ close: [] }>()

const form = reactive({
  name: room?.name ?? '',
  barrier: String(room?.barrier ?? 1),
  coolest: room?.celsius?.[0] ?? null,
  warmest: room?.celsius?.[1] ?? null,
})
const levels = computed(() =>
  ([0, 1, 2, 3] as const).map((level) => ({ value: String(level), label: words.barrier[level] })),
)

function sends(): KeepRoom {
  const { name, coolest, warmest } = form
  const isKnown = coolest !== null || warmest !== null
  return {
    name,
    barrier: Number(form.barrier) as Barrier,
    celsius: isKnown ? [coolest ?? warmest ?? 0, warmest ?? coolest ?? 0] : null,
  }
}

const keeping = useSending(() =>
  room
    ? call(OFFICE_ROUTES.keepRoom, { params: { id: room.id }, body: sends() })
    : call(OFFICE_ROUTES.addRoom, { body: sends() }),
)
const dropping = useSending(() => call(OFFICE_ROUTES.dropRoom, { params: { id: room?.id ?? '' } }))

function closeIf(done: unknown): void {
  if (done) emit('close')
}
</script>

<template>
  <AppDialog :title="room?.name ?? t('aNewRoom')" @close="emit('close')">
    <SchemaForm
      :schema="KeepRoom"
      :sends="sends"
      :complaint="keeping.complaint.value"
      @keep="keeping.send().then(closeIf)"
    >
      <TextField v-model="form.name" name="name" :label="t('name')" maxlength="80" />
      <ChoiceField v-model="form.barrier" name="barrier" :label="t('level')" :options="levels" />
      <div class="pair">
        <NumberField v-model="form.coolest" name="celsius" :label="t('coolest')" unit="°C" />
        <NumberField v-model="form.warmest" :label="t('warmest')" unit="°C" />
      </div>
      <p class="quiet">{{ t('airWhy') }}</p>
      <Button type="submit" :disabled="keeping.busy.value">{{ t('keep') }}</Button>
    </SchemaForm>
    <template v-if="room && isEmpty">
      <Wrong :says="dropping.complaint.value" />
      <Button severity="secondary" :disabled="dropping.busy.value" @click="dropping.send().then(closeIf)">{{
        t('takeAway', { name: room.name })
      }}</Button>
    </template>
  </AppDialog>
</template>
