<script setup lang="ts">
import type { PastBay } from '@kobrin/contract'
import { OFFICE_ROUTES } from '@kobrin/contract'
import Button from 'primevue/button'
import { computed } from 'vue'
import { useSite } from '../site/useSite.ts'
import { useToday } from '../time/useToday.ts'
import { useAnswerOf } from '../api/queries.ts'
import { sayDay } from '../words/numbers.ts'
import { t } from './words.ts'

/** How a bay stood before it was changed, each time with who changed it: it can be drawn so again. */
const { id } = defineProps<{ id: string }>()
const emit = defineEmits<{ redraw: [layout: PastBay['layout']] }>()
const site = useSite()
const today = useToday()
const { answer } = useAnswerOf(OFFICE_ROUTES.pastOfBay, () => ({ params: { id } }))

const lines = computed(() =>
  (answer.value?.past ?? []).map(({ version, until, by, layout }) => ({
    key: version,
    layout,
    says: t('stoodUntil', {
      day: sayDay(today.dayOf(until), today.day),
      time: today.clock(until),
      count: layout.shelves.flat().length,
      shelves: layout.shelves.length,
    }),
    by: by === null ? '' : t('changedBy', { name: site.nameOf(by) }),
  })),
)
</script>

<template>
  <section v-if="lines.length > 0" class="block narrow">
    <h2>{{ t('howItStood') }}</h2>
    <ul>
      <li v-for="line in lines" :key="line.key" class="row">
        <span>{{ line.says }}</span>
        <span class="quiet">{{ line.by }}</span>
        <Button severity="secondary" @click="emit('redraw', line.layout)">{{ t('drawSoAgain') }}</Button>
      </li>
    </ul>
  </section>
</template>
