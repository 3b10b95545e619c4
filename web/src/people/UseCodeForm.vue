<script setup lang="ts">
import { UseCode, OFFICE_ROUTES } from '@kobrin/contract'
import Button from 'primevue/button'
import { reactive } from 'vue'
import SchemaForm from '../fields/SchemaForm.vue'
import TextField from '../fields/TextField.vue'
import { call } from '../api/call.ts'
import { useSending } from '../api/queries.ts'
import NewPassphrase from './NewPassphrase.vue'
import { usePeople } from './usePeople.ts'
import { t } from './words.ts'

const emit = defineEmits<{ back: [] }>()
const people = usePeople()
const form = reactive({ login: '', code: '', passphrase: '' })
const once = reactive({ again: '' })
const also = (): Record<string, string> => (form.passphrase === once.again ? {} : { again: t('notTheSame') })
const { busy, complaint, send } = useSending(() => call(OFFICE_ROUTES.useCode, { body: form }))

async function comeIn(): Promise<void> {
  const done = await send()
  if (done) await people.taken(done.got)
}
</script>

<template>
  <SchemaForm :schema="UseCode" :sends="() => form" :also="also" :complaint="complaint" @keep="comeIn">
    <h2>{{ t('withACode') }}</h2>
    <p class="quiet">{{ t('whoeverKeepsTheList') }}</p>
    <TextField
      v-model="form.login"
      name="login"
      :label="t('name')"
      autocomplete="username"
      autocapitalize="none"
      spellcheck="false"
    />
    <TextField v-model="form.code" name="code" :label="t('code')" autocapitalize="characters" />
    <NewPassphrase
      v-model="form.passphrase"
      v-model:twice="once.again"
      name="passphrase"
      :label="t('newPassphrase')"
      :again="t('again')"
    />
    <template #buttons>
      <div class="row">
        <Button type="submit" :disabled="busy">{{ t('comeIn') }}</Button>
        <Button severity="secondary" @click="emit('back')">{{ t('iHaveAPassphrase') }}</Button>
      </div>
    </template>
  </SchemaForm>
</template>
