<script setup lang="ts">
import { SetUp, OFFICE_ROUTES } from '@kobrin/contract'
import Button from 'primevue/button'
import { computed, reactive } from 'vue'
import CommandLine from '../app/CommandLine.vue'
import ChoiceField from '../fields/ChoiceField.vue'
import { choicesFrom } from '../fields/choicesOf.ts'
import SchemaForm from '../fields/SchemaForm.vue'
import TextField from '../fields/TextField.vue'
import NewPassphrase from '../people/NewPassphrase.vue'
import { usePeople } from '../people/usePeople.ts'
import { call } from '../api/call.ts'
import { useSending } from '../api/queries.ts'
import { unitChoices, usualUnits } from '../people/unitChoices.ts'
import { t } from './words.ts'

const UNITS = unitChoices()
const HERE = new Intl.DateTimeFormat().resolvedOptions().timeZone
const LOOK_ROUND = 'KOBRIN_PORT=4621 npm run demo'

const people = usePeople()
const form = reactive({
  // The address that was shown has it at its end.
  code: decodeURIComponent(globalThis.location.hash.slice(1)),
  house: '',
  zone: HERE,
  units: usualUnits(HERE),
  name: '',
  login: '',
  passphrase: '',
})
const once = reactive({ again: '' })
const zones = computed(() => choicesFrom([...new Set([form.zone, ...Intl.supportedValuesOf('timeZone')])]))

/** Until somebody says otherwise, they sign in with their first name. */
const suggested = computed(
  () =>
    form.name
      .trim()
      .split(/\s+/)[0]
      ?.normalize('NFD')
      .toLowerCase()
      .replace(/[^a-z0-9]/g, '') ?? '',
)
const sends = () => ({ ...form, login: form.login || suggested.value })
const also = (): Record<string, string> => (form.passphrase === once.again ? {} : { again: t('notTheSame') })

const { busy, complaint, send } = useSending(() => call(OFFICE_ROUTES.setUp, { body: SetUp.parse(sends()) }))

async function begin(): Promise<void> {
  const done = await send()
  if (!done) return
  // The code is used up: nobody is to find it in an address.
  globalThis.history.replaceState(null, '', '/')
  await people.taken(done.got)
}
</script>

<template>
  <main class="set-up">
    <h1>{{ t('setUpYourHouse') }}</h1>
    <p class="quiet">{{ t('nothingIsOnRecord') }}</p>
    <SchemaForm :schema="SetUp" :sends="sends" :also="also" :complaint="complaint" @keep="begin">
      <TextField v-model="form.code" name="code" :label="t('code')" autocapitalize="characters" />
      <TextField v-model="form.house" name="house" :label="t('houseName')" :placeholder="t('likeLongLane')" />
      <div class="pair">
        <ChoiceField v-model="form.zone" name="zone" :label="t('zone')" :options="zones" />
        <ChoiceField v-model="form.units" name="units" :label="t('units')" :options="UNITS" />
      </div>
      <h2>{{ t('youAnswer') }}</h2>
      <div class="pair">
        <TextField v-model="form.name" name="name" :label="t('yourName')" autocomplete="name" />
        <TextField
          v-model="form.login"
          name="login"
          :label="t('signInName')"
          :placeholder="suggested"
          autocomplete="username"
          autocapitalize="none"
          spellcheck="false"
        />
      </div>
      <div class="pair">
        <NewPassphrase
          v-model="form.passphrase"
          v-model:twice="once.again"
          name="passphrase"
          :label="t('passphrase')"
          :again="t('again')"
        />
      </div>
      <Button type="submit" :disabled="busy">{{ t('begin') }}</Button>
    </SchemaForm>
    <section class="look">
      <h2>{{ t('lookRoundFirst') }}</h2>
      <p>{{ t('ropewalk') }}</p>
      <CommandLine :command="LOOK_ROUND" />
    </section>
  </main>
</template>

<style scoped>
.set-up {
  display: grid;
  gap: 12px;
  width: min(560px, calc(100vw - 32px));
  margin: 5vh auto 40px;
}

h2 {
  margin-top: 8px;
}

.look {
  display: grid;
  gap: 6px;
  padding-top: 10px;
  border-top: 2px solid var(--edge);
}
</style>
