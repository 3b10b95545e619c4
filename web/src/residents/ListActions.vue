<script setup lang="ts">
import { Form } from '@primevue/forms'
import Button from 'primevue/button'
import { computed, shallowRef } from 'vue'
import { useRouter } from 'vue-router'
import AppDialog from '../app/AppDialog.vue'
import { useRecord } from '../entries/useRecord.ts'
import TextField from '../fields/TextField.vue'
import Wrong from '../fields/Wrong.vue'
import { usePeople } from '../people/usePeople.ts'
import { chosenToWeigh } from '../weighing/chosenToWeigh.ts'
import { CHOSEN, roundOf } from '../weighing/roundOf.ts'
import { t } from './words.ts'

/** What is done with everybody on a list: they are weighed, or the next shift is told. */
const { ids, asked } = defineProps<{
  ids: readonly string[]
  /** The question they answer; empty where everybody was found by name. */
  asked: string
}>()
const people = usePeople()
const mayWeigh = computed(() => people.maySay({ kind: 'weighed' }))
const record = useRecord()
const router = useRouter()
const telling = shallowRef(false)
const text = shallowRef('')
const complaint = shallowRef('')
/** Nobody reads more notes than that at the beginning of a shift. */
const MOST = 60

function weigh(): void {
  chosenToWeigh.value = [...ids]
  roundOf.value = CHOSEN
  void router.push({ name: 'weighing' })
}

function open(): void {
  text.value = asked ? t('taskAsked', { asked }) : ''
  complaint.value = ''
  telling.value = true
}

function tell(): void {
  const said = text.value.trim()
  complaint.value = said === '' ? t('sayWhat') : ''
  if (complaint.value) return
  record.keep(
    ids.map((subject) => ({ subject, kind: 'noted', payload: { text: said } })),
    t('toldNextShift', { count: ids.length }),
    { together: true },
  )
  telling.value = false
}
</script>

<template>
  <Button v-if="mayWeigh" severity="secondary" :disabled="ids.length === 0" @click="weigh">{{
    t('weighThese', { count: ids.length })
  }}</Button>
  <Button severity="secondary" :disabled="ids.length === 0 || ids.length > MOST" @click="open">{{
    t('taskForNext')
  }}</Button>
  <AppDialog v-if="telling" :title="t('taskForNextOf', { count: ids.length })" @close="telling = false">
    <Form class="tell" @submit="tell">
      <TextField v-model="text" :label="t('whatToDo')" :lines="3" maxlength="4000" />
      <Wrong :says="complaint" />
      <Button type="submit">{{ t('leaveTask') }}</Button>
    </Form>
  </AppDialog>
</template>

<style scoped>
.tell {
  display: grid;
  gap: 10px;
  justify-items: start;
}

.tell > :first-child {
  width: 100%;
}
</style>
