<script setup lang="ts">
import { ROUTES } from '@kobrin/contract'
import Button from 'primevue/button'
import { computed } from 'vue'
import Wrong from '../fields/Wrong.vue'
import { useToday } from '../time/useToday.ts'
import { call } from '../api/call.ts'
import { answersChanged } from '../api/changes.ts'
import { useAnswerOf, useSending } from '../api/queries.ts'
import { sayDate } from '../words/numbers.ts'
import { t } from './words.ts'

const today = useToday()
const { answer, complaint } = useAnswerOf(ROUTES.devices)
const devices = computed(() => answer.value?.devices.filter(({ lastSignIn }) => lastSignIn !== null) ?? [])
const revoking = useSending(async (id: string) => {
  await call(ROUTES.revokeDevice, { params: { id } })
  await answersChanged.trigger(null)
})
</script>

<template>
  <section class="block">
    <h2>{{ t('tablets') }}</h2>
    <p class="quiet">{{ t('tabletsWhy') }}</p>
    <Wrong :says="complaint || revoking.complaint.value" />
    <ul>
      <li v-for="{ id, name, enrolled, lastSignIn } in devices" :key="id" class="row">
        <span>{{ enrolled ? t('tabletWithPin', { name }) : t('browser') }}</span>
        <span v-if="lastSignIn" class="quiet">{{
          t('lastUsed', { date: sayDate(today.dayOf(lastSignIn), today.day) })
        }}</span>
        <Button severity="secondary" :disabled="revoking.busy.value" @click="revoking.send(id)">{{
          t('revoke')
        }}</Button>
      </li>
    </ul>
  </section>
</template>

<style scoped>
li > :last-child {
  margin-left: auto;
}
</style>
