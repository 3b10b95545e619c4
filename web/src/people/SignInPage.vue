<script setup lang="ts">
import type { Person } from '@kobrin/contract'
import { shallowRef } from 'vue'
import { sayError } from '../app/sayError.ts'
import { terms } from '../words/terms.ts'
import { usePeople } from './usePeople.ts'

const people = usePeople()
const login = shallowRef('')
const passphrase = shallowRef('')
const pin = shallowRef('')
const complaint = shallowRef('')
const busy = shallowRef(false)
const chosen = shallowRef<Person | null>(null)

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
  <main class="sign-in">
    <h1>Kobrin</h1>
    <p class="quiet">Walks the building with you: what each resident needs now, and why.</p>
    <p v-if="complaint" class="complaint" role="alert">{{ complaint }}</p>
    <section v-if="people.team.length > 0" class="team" aria-labelledby="team-title">
      <h2 id="team-title">Who is here?</h2>
      <ul>
        <li v-for="person in people.team" :key="person.id">
          <button
            type="button"
            class="plain"
            :aria-pressed="chosen?.id === person.id"
            @click="chosen = person"
          >
            {{ person.name }} <span class="quiet">{{ terms.role[person.role] }}</span>
          </button>
        </li>
      </ul>
      <form v-if="chosen" @submit.prevent="switchTo(chosen)">
        <label>
          PIN of {{ chosen.name }}
          <input
            v-model="pin"
            class="field"
            type="password"
            inputmode="numeric"
            autocomplete="off"
            maxlength="8"
            required
          />
        </label>
        <button type="submit" class="primary" :disabled="busy">Take over this tablet</button>
      </form>
    </section>
    <form class="by-passphrase" @submit.prevent="signIn">
      <h2 v-if="people.team.length > 0">Or with a passphrase</h2>
      <label>
        Name
        <input
          v-model="login"
          class="field"
          name="login"
          autocomplete="username"
          autocapitalize="none"
          required
        />
      </label>
      <label>
        Passphrase
        <input
          v-model="passphrase"
          class="field"
          name="passphrase"
          type="password"
          autocomplete="current-password"
          required
        />
      </label>
      <button type="submit" class="primary" :disabled="busy">Sign in</button>
    </form>
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
  font-size: 34px;
}

form,
.team {
  display: grid;
  gap: 12px;
}

label {
  display: grid;
  gap: 4px;
}

.team ul {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(190px, 1fr));
  gap: 7px;
}

.team .plain {
  width: 100%;
  min-height: 48px;
  text-align: left;
}

.team [aria-pressed='true'] {
  border: 3px solid var(--focus);
}

.complaint {
  padding: 8px 12px;
  border-left: 7px double var(--late);
  color: var(--late);
  font-weight: 600;
}
</style>
