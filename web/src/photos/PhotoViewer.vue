<script setup lang="ts">
import Button from 'primevue/button'
import Dialog from 'primevue/dialog'
import { computed, shallowRef } from 'vue'
import ChoiceField from '../fields/ChoiceField.vue'
import { useSite } from '../site/useSite.ts'
import { useToday } from '../time/useToday.ts'
import { sayDate } from '../words/numbers.ts'
import type { Photographed } from './photosOf.ts'
import { usePhotos } from './usePhotos.ts'
import { t } from './words.ts'

/** A picture as large as there is room, and another one beside it. */
const { name, photos } = defineProps<{
  name: string
  /** The oldest first. */
  photos: readonly Photographed[]
}>()
/** The entry whose picture is looked at; null closes it. */
const open = defineModel<string | null>({ required: true })
const site = useSite()
const today = useToday()
const { urlOf } = usePhotos()

const at = computed(() => photos.findIndex(({ uid }) => uid === open.value))
const shown = computed(() => photos[at.value])
/** The entry of the one beside it. */
const beside = shallowRef('')
const other = computed(() => photos.find(({ uid }) => uid === beside.value && uid !== open.value))
/** The older one stands on the left. */
const pair = computed(() => photos.filter((one) => one === shown.value || one === other.value))
const others = computed(() => [
  { value: '', label: t('alone') },
  ...photos
    .filter(({ uid }) => uid !== open.value)
    .map(({ uid, day, note }) => ({ value: uid, label: [when(day), note].filter(Boolean).join(': ') }))
    .reverse(),
])
const apart = computed(() => {
  const [first, second] = pair.value
  return first && second ? t('apart', { count: second.day - first.day }) : ''
})

function when(day: number): string {
  return sayDate(day, today.day)
}

function step(by: number): void {
  const next = photos[at.value + by]
  if (next) open.value = next.uid
}
</script>

<template>
  <Dialog
    :visible="shown !== undefined"
    class="viewer"
    :header="t('taken', { name, date: shown ? when(shown.day) : '' })"
    :draggable="false"
    modal
    dismissable-mask
    @update:visible="open = null"
  >
    <div class="inside">
      <div class="row">
        <Button severity="secondary" :disabled="at <= 0" @click="step(-1)">{{ t('earlier') }}</Button>
        <Button severity="secondary" :disabled="at >= photos.length - 1" @click="step(1)">{{
          t('later')
        }}</Button>
        <ChoiceField
          v-if="photos.length > 1"
          v-model="beside"
          class="beside"
          :label="t('beside')"
          :options="others"
        />
        <strong role="status">{{ apart }}</strong>
      </div>
      <div class="pair">
        <figure v-for="{ uid, photo, day, by, note } in pair" :key="uid">
          <img :src="urlOf(photo, 'kept')" :alt="t('of', { name, date: when(day) })" />
          <figcaption>
            <strong>{{ when(day) }}</strong> {{ site.nameOf(by) }}{{ note ? `: ${note}` : '' }}
          </figcaption>
        </figure>
      </div>
    </div>
  </Dialog>
</template>

<style>
.viewer {
  width: min(1180px, calc(100vw - 24px));
  max-height: calc(100dvh - 24px);
}
</style>

<style scoped>
.inside {
  display: grid;
  gap: 12px;
}

.row {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  align-items: end;
}

.beside {
  min-width: 220px;
}

.pair {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(min(300px, 100%), 1fr));
  gap: 12px;
  align-items: start;
}

figure {
  display: grid;
  gap: 4px;
  margin: 0;
}

img {
  width: 100%;
  max-height: calc(100dvh - 260px);
  object-fit: contain;
  background: var(--glass);
}
</style>
