<script setup lang="ts">
import type { Fact } from '@kobrin/core'
import { computed, shallowRef } from 'vue'
import Button from 'primevue/button'
import { sayError } from '../app/sayError.ts'
import { useRecord } from '../entries/useRecord.ts'
import Wrong from '../fields/Wrong.vue'
import { usePeople } from '../people/usePeople.ts'
import { useSite } from '../site/useSite.ts'
import { useToday } from '../time/useToday.ts'
import { sayDate } from '../words/numbers.ts'
import ChoosePhoto from './ChoosePhoto.vue'
import { photosOf } from './photosOf.ts'
import PhotoViewer from './PhotoViewer.vue'
import { usePhotos } from './usePhotos.ts'
import { t } from './words.ts'

/** The pictures of one resident, the latest first, and a way to add one. */
const { residentId, facts } = defineProps<{ residentId: string; facts: readonly Fact[] }>()
/** The entry whose picture is looked at. */
const open = defineModel<string | null>('open', { required: true })
const site = useSite()
const people = usePeople()
const today = useToday()
const record = useRecord()
const stored = usePhotos()
const complaint = shallowRef('')
const busy = shallowRef(false)

const name = computed(() => site.residents.get(residentId)?.name ?? '')
const photos = computed(() => photosOf(facts))
const latest = computed(() => [...photos.value].reverse())
const isOpen = computed(() => photos.value.some(({ uid }) => uid === open.value))

function when(day: number): string {
  return sayDate(day, today.day)
}

async function add(file: File): Promise<void> {
  complaint.value = ''
  busy.value = true
  try {
    const photo = await stored.keep(file)
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
      v-for="{ uid, photo, day } in latest"
      :key="uid"
      unstyled
      class="small"
      :aria-label="t('of', { name, date: when(day) })"
      @click="open = uid"
    >
      <img :src="stored.urlOf(photo, 'small')" alt="" loading="lazy" />
      <span>{{ when(day) }}{{ stored.waits(photo) ? ` · ${t('waits')}` : '' }}</span>
    </Button>
    <ChoosePhoto v-if="people.mayWrite && !busy" class="no-print" :label="t('addPhoto')" @chosen="add" />
    <p v-if="busy" class="quiet" role="status">{{ t('keeping') }}</p>
    <Wrong :says="complaint" />
    <PhotoViewer v-if="isOpen && open !== null" v-model="open" :name="name" :photos="photos" />
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
</style>
