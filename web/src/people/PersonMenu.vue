<script setup lang="ts">
import { may } from '@kobrin/contract'
import { computed, shallowRef } from 'vue'
import { sayError } from '../app/sayError.ts'
import AppDialog from '../app/AppDialog.vue'
import { terms } from '../words/terms.ts'
import { usePeople } from './usePeople.ts'

const emit = defineEmits<{ leave: [] }>()
const people = usePeople()
const open = shallowRef(false)
const tablet = shallowRef('')
const complaint = shallowRef('')
const enrolled = computed(() => people.me?.device.enrolled ?? false)
const short = computed(() => {
  const [first = '', ...rest] = (people.person?.name ?? '').split(' ')
  return rest.length > 0 ? `${first} ${rest.at(-1)?.[0] ?? ''}.` : first
})

async function attempt(act: () => Promise<void>): Promise<void> {
  complaint.value = ''
  try {
    await act()
  } catch (error) {
    complaint.value = sayError(error)
  }
}

const enrol = () => attempt(() => people.enrol(tablet.value.trim()))
const signOut = () =>
  attempt(async () => {
    await people.signOut()
    emit('leave')
  })
</script>

<template>
  <button type="button" class="plain me" @click="open = true">{{ short }}</button>
  <AppDialog v-if="open" :title="people.person?.name ?? ''" @close="open = false">
    <p class="quiet">Signed in as {{ terms.role[people.role] }}.</p>
    <p v-if="complaint" role="alert">{{ complaint }}</p>
    <p v-if="enrolled">This tablet is “{{ people.me?.device.name }}”: people switch here by PIN.</p>
    <form v-else-if="may(people.role, 'enrolDevice')" class="enrol" @submit.prevent="enrol">
      <label>
        Let people switch by PIN on this tablet. Its name:
        <input v-model="tablet" class="field" maxlength="60" required placeholder="Tar Room tablet" />
      </label>
      <button type="submit" class="plain">Set up this tablet</button>
    </form>
    <button type="button" class="primary" @click="signOut">
      {{ enrolled ? 'Hand over to somebody else' : 'Sign out' }}
    </button>
  </AppDialog>
</template>

<style scoped>
.enrol {
  display: grid;
  gap: 8px;
}
</style>
