<script setup lang="ts">
import type { BroughtList } from '@kobrin/contract'
import { OFFICE_ROUTES } from '@kobrin/contract'
import Button from 'primevue/button'
import { computed, ref } from 'vue'
import { call } from '../api/call.ts'
import { answersChanged } from '../api/changes.ts'
import { keyOf, queries, useAnswerOf, useSending } from '../api/queries.ts'
import TextField from '../fields/TextField.vue'
import Wrong from '../fields/Wrong.vue'
import { useSite } from '../site/useSite.ts'
import { useToday } from '../time/useToday.ts'
import { sayDay } from '../words/numbers.ts'
import { sayAll } from '../words/sayAll.ts'
import { t } from './words.ts'

/** The lists that were brought in, each as the one act it was: who came with it, and the way back. */
const site = useSite()
const today = useToday()
const { answer, complaint } = useAnswerOf(OFFICE_ROUTES.broughtLists)
void queries.invalidateQueries({ queryKey: keyOf(OFFICE_ROUTES.broughtLists) })
const lists = computed(() => answer.value ?? [])
/** The one somebody is about to take back, and why. */
const asked = ref<string | null>(null)
const why = ref('')
const outcome = ref('')
const NAMES_SHOWN = 12

const takingBack = useSending(async (id: string) => {
  const back = await call(OFFICE_ROUTES.takeListBack, { params: { id }, body: { why: why.value } })
  const names = back.standing.slice(0, NAMES_SHOWN).map(({ name }) => name)
  outcome.value =
    back.standing.length > 0
      ? t('standsOnIt', { names: sayAll(names) })
      : t('wasTakenBack', { count: back.facts, ...back.residents })
  asked.value = null
  why.value = ''
  await answersChanged.trigger(null)
})

function sayList({ at, by, facts, newcomerCount }: BroughtList): string {
  return [
    t('broughtInBy', {
      day: sayDay(today.dayOf(at), today.day),
      time: today.clock(at),
      name: site.initialsOf(by),
    }),
    t('factsTold', { count: facts }),
    t('newcomersTold', { count: newcomerCount }),
  ].join(' · ')
}
</script>

<template>
  <section v-if="lists.length > 0 || complaint" class="block">
    <h2>{{ t('lists') }}</h2>
    <Wrong :says="complaint || takingBack.complaint.value" />
    <p v-if="outcome" class="ask" role="status">{{ outcome }}</p>
    <ul>
      <li v-for="list in lists" :key="list.id" class="list">
        <div class="row">
          <strong>{{ list.file }}</strong>
          <span class="quiet">{{ sayList(list) }}</span>
          <span v-if="list.takenBack" class="quiet">{{
            t('takenBackBy', {
              day: sayDay(today.dayOf(list.takenBack.at), today.day),
              name: site.initialsOf(list.takenBack.by),
            })
          }}</span>
          <Button v-else-if="asked !== list.id" severity="secondary" class="back" @click="asked = list.id">{{
            t('takeListBack')
          }}</Button>
        </div>
        <div v-if="list.newcomers.length > 0" class="row">
          <RouterLink
            v-for="{ id, name } in list.newcomers.slice(0, NAMES_SHOWN)"
            :key="id"
            :to="{ name: 'record', params: { id } }"
            >{{ name }}</RouterLink
          >
          <span v-if="list.newcomerCount > NAMES_SHOWN" class="quiet">{{
            t('othersToo', { count: list.newcomerCount - NAMES_SHOWN })
          }}</span>
        </div>
        <div v-if="asked === list.id" class="row">
          <TextField v-model="why" :label="t('whyTakenBack')" class="narrow" />
          <Button :disabled="why.trim() === '' || takingBack.busy.value" @click="takingBack.send(list.id)">{{
            t('takeAllBack', { count: list.facts })
          }}</Button>
          <Button severity="secondary" @click="asked = null">{{ t('leaveIt') }}</Button>
        </div>
      </li>
    </ul>
  </section>
</template>

<style scoped>
.list {
  display: grid;
  gap: 6px;
}

.back {
  margin-left: auto;
}
</style>
