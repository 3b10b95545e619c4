<script setup lang="ts">
import AppDialog from '../app/AppDialog.vue'
import { useResidents } from '../residents/useResidents.ts'
import { sayEntry } from '../words/entry.ts'
import { useTeller } from '../words/useTeller.ts'
import { useRecord } from './useRecord.ts'

const emit = defineEmits<{ close: [] }>()
const record = useRecord()
const residents = useResidents()
const teller = useTeller()
</script>

<template>
  <AppDialog title="On its way" @close="emit('close')">
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
      There is no link to the server just now; what others enter is not shown until it is back.
    </p>
    <section v-if="record.refused.length > 0">
      <h3>Could not be kept</h3>
      <ul>
        <li v-for="{ entry, why } in record.refused" :key="entry.uid">
          <strong>{{ residents.nameOf(entry.subject) }}</strong>: {{ sayEntry(entry, teller) }}
          <p class="why">{{ why }}</p>
          <button type="button" class="plain" @click="record.retryRefused(entry.uid)">Try again</button>
          <button type="button" class="plain" @click="record.forgetRefused(entry.uid)">
            I have dealt with it
          </button>
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
