<script setup lang="ts">
import type { Person } from '@kobrin/contract'
import { SignIn, SwitchPerson, OFFICE_ROUTES } from '@kobrin/contract'
import Button from 'primevue/button'
import { onMounted, shallowRef } from 'vue'
import { later } from '../app/later.ts'
import { sayError } from '../app/sayError.ts'
import SchemaForm from '../fields/SchemaForm.vue'
import TextField from '../fields/TextField.vue'
import Wrong from '../fields/Wrong.vue'
import { call } from '../api/call.ts'
import { terms } from '../words/terms.ts'
import { usePeople } from './usePeople.ts'
import { t } from './words.ts'

const SetUpPage = later(() => import('../setup/SetUpPage.vue'))
const UseCodeForm = later(() => import('./UseCodeForm.vue'))

/** Whose session ended while they were at work. */
const { ended } = defineProps<{ ended?: string | undefined }>()
const people = usePeople()
const login = shallowRef('')
const passphrase = shallowRef('')
const pin = shallowRef('')
const complaint = shallowRef('')
const busy = shallowRef(false)
const chosen = shallowRef<Person | null>(null)
const hasCode = shallowRef(false)
/** There is no house yet that anybody could sign in to. */
const isEmpty = shallowRef(false)
onMounted(() => {
  call(OFFICE_ROUTES.setUpState).then(
    (state) => (isEmpty.value = state.isEmpty),
    () => undefined,
  )
})

async function attempt(act: () => Promise<void>): Promise<void> {
  busy.value = true
  complaint.value = ''
  try {
    await act()
  } catch (error) {
    complaint.value = sayError(error)
  } finally {
    busy.value = false
  }
}

const signIn = () => attempt(() => people.signIn(login.value, passphrase.value))
const switchTo = (person: Person) =>
  attempt(() => people.switchTo(person.id, pin.value)).then(() => (pin.value = ''))
</script>

<template>
  <SetUpPage v-if="isEmpty" />
  <main v-else class="sign-in">
    <h1>{{ t('kobrin') }}</h1>
    <p class="quiet">{{ t('walksTheBuildingWith') }}</p>
    <p v-if="ended" class="ask" role="status">
      {{ t('theSessionOfHas', { ended }) }}
    </p>
    <Wrong :says="complaint" />
    <section v-if="people.team.length > 0" class="team" aria-labelledby="team-title">
      <h2 id="team-title">{{ t('whoIsHere') }}</h2>
      <ul>
        <li v-for="person in people.team" :key="person.id">
          <Button severity="secondary" :aria-pressed="chosen?.id === person.id" @click="chosen = person">
            {{ person.name }} <span class="quiet">{{ terms.role[person.role] }}</span>
          </Button>
        </li>
      </ul>
      <SchemaForm
        v-if="chosen"
        :key="chosen.id"
        :schema="SwitchPerson"
        :sends="() => ({ personId: chosen?.id, pin })"
        @keep="switchTo(chosen)"
      >
        <TextField
          v-model="pin"
          name="pin"
          :label="t('pinOf', { name: chosen.name })"
          type="password"
          inputmode="numeric"
          maxlength="8"
        />
        <Button type="submit" :disabled="busy">{{ t('takeOverThisTablet') }}</Button>
      </SchemaForm>
    </section>
    <UseCodeForm v-if="hasCode" @back="hasCode = false" />
    <SchemaForm v-else :schema="SignIn" :sends="() => ({ login, passphrase })" @keep="signIn">
      <h2 v-if="people.team.length > 0">{{ t('orWithAPassphrase') }}</h2>
      <TextField
        v-model="login"
        name="login"
        :label="t('name')"
        autocomplete="username"
        autocapitalize="none"
        spellcheck="false"
      />
      <TextField
        v-model="passphrase"
        name="passphrase"
        :label="t('passphrase')"
        type="password"
        autocomplete="current-password"
      />
      <div class="row">
        <Button type="submit" :disabled="busy">{{ t('signIn') }}</Button>
        <Button severity="secondary" variant="text" @click="hasCode = true">{{ t('iWasGivenACode') }}</Button>
      </div>
    </SchemaForm>
  </main>
</template>

<style scoped>
.sign-in {
  display: grid;
  gap: 14px;
  width: min(420px, calc(100vw - 32px));
  margin: 9vh auto 40px;
}

h1 {
  font-size: 2.125rem;
}

.team {
  display: grid;
  gap: 12px;
}

.team ul {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(190px, 1fr));
  gap: 7px;
}

.team li > * {
  justify-content: flex-start;
  width: 100%;
  min-height: 48px;
}

.team [aria-pressed='true'] {
  border: 3px solid var(--focus);
}
</style>
