<script setup lang="ts">
import { addressOf, PHOTO_ROUTES } from '@kobrin/contract'
import type { Fact } from '@kobrin/core'
import { computed, shallowRef } from 'vue'
import Button from 'primevue/button'
import AppDialog from '../app/AppDialog.vue'
import { sayError } from '../app/sayError.ts'
import { useRecord } from '../entries/useRecord.ts'
import Wrong from '../fields/Wrong.vue'
import { usePeople } from '../people/usePeople.ts'
import { useSite } from '../site/useSite.ts'
import { useToday } from '../time/useToday.ts'
import { sayDate } from '../words/numbers.ts'
import ChoosePhoto from './ChoosePhoto.vue'
import { sendPhoto } from './sendPhoto.ts'
import { t } from './words.ts'

/** The pictures of one resident, the latest first, and a way to add one. */
const { residentId, facts } = defineProps<{ residentId: string; facts: readonly Fact[] }>()
const site = useSite()
const people = usePeople()
const today = useToday()
const record = useRecord()
const complaint = shallowRef('')
const busy = shallowRef(false)

const name = computed(() => site.residents.get(residentId)?.name ?? '')
const photos = computed(() =>
  facts
    .flatMap((fact) => {
      if (fact.kind !== 'photographed') return []
      const { photo, note } = fact.payload
      const date = sayDate(fact.day, today.day)
      return [
        { id: photo, date, by: site.nameOf(fact.author), note, alt: t('of', { name: name.value, date }) },
      ]
    })
    .reverse(),
)
/** The one that is looked at. */
const open = shallowRef<string | null>(null)
const opened = computed(() => photos.value.find(({ id }) => id === open.value))

function urlOf(id: string, size: 'kept' | 'small'): string {
  return addressOf(PHOTO_ROUTES.photo.url, { id }, { size })
}

async function add(file: File): Promise<void> {
  complaint.value = ''
  busy.value = true
  try {
    const photo = await sendPhoto(file)
    const says = t('added', { name: name.value })
    record.keep([{ subject: residentId, kind: 'photographed', payload: { photo } }], says)
  } catch (error) {
    complaint.value = sayError(error)
  } finally {
    busy.value = false
  }
}
</script>

<template>
  <section v-if="photos.length > 0 || people.mayWrite" class="photos" :aria-label="t('photos')">
    <Button
      v-for="one in photos"
      :key="one.id"
      unstyled
      class="small"
      :aria-label="one.alt"
      @click="open = one.id"
    >
      <img :src="urlOf(one.id, 'small')" alt="" loading="lazy" />
      <span>{{ one.date }}</span>
    </Button>
    <ChoosePhoto v-if="people.mayWrite && !busy" class="no-print" :label="t('addPhoto')" @chosen="add" />
    <p v-if="busy" class="quiet" role="status">{{ t('sending') }}</p>
    <Wrong :says="complaint" />
    <AppDialog v-if="opened" :title="t('taken', { name, date: opened.date })" @close="open = null">
      <img class="large" :src="urlOf(opened.id, 'kept')" :alt="opened.alt" />
      <p class="quiet">{{ opened.by }}{{ opened.note ? `: ${opened.note}` : '' }}</p>
    </AppDialog>
  </section>
</template>

<style scoped>
.photos {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  align-items: end;
  margin-bottom: 10px;
}

.small {
  display: grid;
  gap: 2px;
  padding: 3px;
  border: 1px solid var(--edge);
  background: var(--glass);
  font-size: 0.75rem;
  cursor: pointer;
}

.small img {
  width: auto;
  height: 88px;
}

.large {
  width: 100%;
  height: auto;
}
</style>
