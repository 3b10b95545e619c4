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
    message: 'It is in no record and is gone with this.',
    acceptProps: { label: 'Gone with it' },
    rejectProps: { label: 'Leave it here', severity: 'secondary' },
    accept: () => void record.forgetRefused(uid),
  })
}
</script>

<template>
  <AppDialog title="On its way" @close="emit('close')">
    <ConfirmPopup />
    <p v-if="record.waitingCount > 0">
      {{ record.waitingCount }} entries wait on this device and go out in order as soon as the server answers.
      You can go on working, close the page, or run out of battery.
    </p>
    <p v-else>Everything entered here has been kept.</p>
    <p v-if="record.held !== ''" class="why" role="alert">{{ record.held }}</p>
    <p v-if="record.unstored > 0" class="why" role="alert">
      This device cannot store what you enter: its storage is full or shut. {{ record.unstored }}
      {{ record.unstored === 1 ? 'entry is' : 'entries are' }} only in this page. Leave it open until
      everything is sent.
    </p>
    <p v-if="!record.linked">
      There is no link to the server just now; what others enter is not shown until it is back. The walk, the
      plans and what was opened here lately stand as they were then.
    </p>
    <p v-if="room" class="quiet">{{ room }}</p>
    <section v-if="record.refused.length > 0">
      <h3>Could not be kept</h3>
      <ul>
        <li v-for="{ entry, why } in record.refused" :key="entry.uid">
          <strong>{{ residents.nameOf(entry.subject) }}</strong>: {{ sayEntry(entry, teller) }}
          <p class="why">{{ why }}</p>
          <Button severity="secondary" @click="record.retryRefused(entry.uid)">Try again</Button>
          <Button severity="secondary" @click="forget($event, entry.uid)"> I have dealt with it </Button>
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
