<script setup lang="ts">
import { ChoosePassphrase, ChoosePin, OFFICE_ROUTES } from '@kobrin/contract'
import Button from 'primevue/button'
import { reactive, shallowRef } from 'vue'
import SchemaForm from '../fields/SchemaForm.vue'
import TextField from '../fields/TextField.vue'
import { call } from '../api/call.ts'
import { useSending } from '../api/queries.ts'
import NewPassphrase from './NewPassphrase.vue'
import { t } from './words.ts'

const open = shallowRef<'pin' | 'passphrase' | null>(null)
const kept = shallowRef(false)
const form = reactive({ passphrase: '', pin: '', next: '', again: '' })
const pinSends = () => ({ passphrase: form.passphrase, pin: form.pin })
const nextSends = () => ({ passphrase: form.passphrase, next: form.next })
const also = (): Record<string, string> => (form.next === form.again ? {} : { again: t('notTheSame') })

function show(which: 'pin' | 'passphrase' | null): void {
  Object.assign(form, { passphrase: '', pin: '', next: '', again: '' })
  open.value = which
}

const pinning = useSending((pin: string | null) =>
  call(OFFICE_ROUTES.choosePin, { body: { passphrase: form.passphrase, pin } }),
)
const phrasing = useSending(() => call(OFFICE_ROUTES.choosePassphrase, { body: nextSends() }))

function keptIf(done: unknown): void {
  if (!done) return
  kept.value = true
  show(null)
}
</script>

<template>
  <p v-if="kept" class="good" role="status">{{ t('kept') }}</p>
  <div v-if="!open" class="row">
    <Button severity="secondary" @click="show('pin')">{{ t('choosePin') }}</Button>
    <Button severity="secondary" @click="show('passphrase')">{{ t('choosePassphrase') }}</Button>
  </div>
  <SchemaForm
    v-else-if="open === 'pin'"
    :schema="ChoosePin"
    :sends="pinSends"
    :complaint="pinning.complaint.value"
    @keep="pinning.send(form.pin).then(keptIf)"
  >
    <TextField
      v-model="form.passphrase"
      name="passphrase"
      :label="t('yourPassphrase')"
      type="password"
      autocomplete="current-password"
    />
    <TextField
      v-model="form.pin"
      name="pin"
      :label="t('pinDigits')"
      type="password"
      inputmode="numeric"
      maxlength="8"
    />
    <div class="row">
      <Button type="submit" :disabled="pinning.busy.value">{{ t('keep') }}</Button>
      <Button
        severity="secondary"
        :disabled="pinning.busy.value || form.passphrase === ''"
        @click="pinning.send(null).then(keptIf)"
        >{{ t('noPin') }}</Button
      >
    </div>
  </SchemaForm>
  <SchemaForm
    v-else
    :schema="ChoosePassphrase"
    :sends="nextSends"
    :also="also"
    :complaint="phrasing.complaint.value"
    @keep="phrasing.send().then(keptIf)"
  >
    <TextField
      v-model="form.passphrase"
      name="passphrase"
      :label="t('yourPassphrase')"
      type="password"
      autocomplete="current-password"
    />
    <NewPassphrase
      v-model="form.next"
      v-model:twice="form.again"
      name="next"
      :label="t('newPassphrase')"
      :again="t('again')"
    />
    <Button type="submit" :disabled="phrasing.busy.value">{{ t('keep') }}</Button>
  </SchemaForm>
</template>
