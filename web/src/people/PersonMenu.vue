<script setup lang="ts">
import { EnrolDevice, may } from '@kobrin/contract'
import Button from 'primevue/button'
import { computed, shallowRef } from 'vue'
import { sayError } from '../app/sayError.ts'
import AppDialog from '../app/AppDialog.vue'
import HandlingTicks from './HandlingTicks.vue'
import OwnSecrets from './OwnSecrets.vue'
import OwnUnits from './OwnUnits.vue'
import SchemaForm from '../fields/SchemaForm.vue'
import TextField from '../fields/TextField.vue'
import Wrong from '../fields/Wrong.vue'
import { terms } from '../words/terms.ts'
import { usePeople } from './usePeople.ts'
import { t } from './words.ts'

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
  <Button severity="secondary" class="me" @click="open = true">{{ short }}</Button>
  <AppDialog v-if="open" :title="people.person?.name ?? ''" @close="open = false">
    <p class="quiet">{{ t('signedInAs', { role: terms.role[people.role] }) }}</p>
    <Wrong :says="complaint" />
    <HandlingTicks />
    <OwnUnits />
    <OwnSecrets />
    <p v-if="enrolled">{{ t('thisTabletIsPeople', { name: people.me?.device.name }) }}</p>
    <SchemaForm
      v-else-if="may(people.role, 'enrolDevice')"
      :schema="EnrolDevice"
      :sends="() => ({ name: tablet })"
      @keep="enrol"
    >
      <p>{{ t('peopleCanThenSwitch') }}</p>
      <TextField
        v-model="tablet"
        name="name"
        :label="t('nameOfThisTablet')"
        :placeholder="t('tarRoomTablet')"
      />
      <Button type="submit" severity="secondary">{{ t('setUpThisTablet') }}</Button>
    </SchemaForm>
    <Button @click="signOut">
      {{ enrolled ? t('handOverToSomebody') : t('signOut') }}
    </Button>
  </AppDialog>
</template>
