<script setup lang="ts">
import Button from 'primevue/button'
import ConfirmPopup from 'primevue/confirmpopup'
import { useConfirm } from 'primevue/useconfirm'
import AppDialog from '../app/AppDialog.vue'
import { useRoom } from '../kept/useRoom.ts'
import { useResidents } from '../residents/useResidents.ts'
import { sayEntry } from '../words/entry.ts'
import { useTeller } from '../words/useTeller.ts'
import { useRecord } from './useRecord.ts'
import { t } from './words.ts'

const emit = defineEmits<{ close: [] }>()
const record = useRecord()
const residents = useResidents()
const teller = useTeller()
const room = useRoom()
const confirm = useConfirm()

/** What was entered is gone with it. */
function forget(event: Event, uid: string): void {
  confirm.require({
    target: event.currentTarget as HTMLElement,
    message: t('itIsInNo'),
    acceptProps: { label: t('goneWithIt') },
    rejectProps: { label: t('leaveItHere'), severity: 'secondary' },
    accept: () => void record.forgetRefused(uid),
  })
}
</script>

<template>
  <AppDialog :title="t('onItsWay')" @close="emit('close')">
    <ConfirmPopup />
    <p v-if="record.waitingCount > 0">
      {{ t('entriesWaitOnThis', { count: record.waitingCount }) }}
    </p>
    <p v-else>{{ t('everythingEnteredHereHas') }}</p>
    <p v-if="record.held !== ''" class="why" role="alert">{{ record.held }}</p>
    <p v-if="record.unstored > 0" class="why" role="alert">
      {{ t('thisDeviceCannotStore', { count: record.unstored }) }}
    </p>
    <p v-if="!record.linked">
      {{ t('thereIsNoLink') }}
    </p>
    <p v-if="room" class="quiet">{{ room }}</p>
    <section v-if="record.refused.length > 0">
      <h3>{{ t('couldNotBeKept') }}</h3>
      <ul>
        <li v-for="{ entry, why } in record.refused" :key="entry.uid">
          <strong>{{ residents.nameOf(entry.subject) }}</strong>: {{ sayEntry(entry, teller) }}
          <p class="why">{{ why }}</p>
          <Button severity="secondary" @click="record.retryRefused(entry.uid)">{{ t('tryAgain') }}</Button>
          <Button severity="secondary" @click="forget($event, entry.uid)"> {{ t('iHaveDealtWith') }} </Button>
        </li>
      </ul>
    </section>
  </AppDialog>
</template>

<style scoped>
li {
  padding: 8px 0;
  border-top: 1px solid var(--line);
}

.why {
  color: var(--late);
}
</style>
