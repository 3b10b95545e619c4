<script setup lang="ts">
import { KeepBay, OFFICE_ROUTES } from '@kobrin/contract'
import Button from 'primevue/button'
import { computed, reactive, shallowRef, watch } from 'vue'
import { RouterLink, useRouter } from 'vue-router'
import '../app/page.css'
import { useDraft } from '../drafts/useDraft.ts'
import ChoiceField from '../fields/ChoiceField.vue'
import NumberField from '../fields/NumberField.vue'
import SchemaForm from '../fields/SchemaForm.vue'
import TextField from '../fields/TextField.vue'
import { useSite } from '../site/useSite.ts'
import { call } from '../api/call.ts'
import { keyOf, queries, useSending } from '../api/queries.ts'
import { words } from '../words/en.ts'
import BayDrawing from './BayDrawing.vue'
import BayPast from './BayPast.vue'
import BoxFields from './BoxFields.vue'
import OfficeTabs from './OfficeTabs.vue'
import { layoutOf } from './furnishing.ts'
import { copied, useBay } from './useBay.ts'
import { t } from './words.ts'

const { id } = defineProps<{ id: string }>()
const site = useSite()
const router = useRouter()

const onRecord = computed(() => {
  const bay = site.bays.get(id)
  return bay ? layoutOf(bay, site.enclosures.values()) : null
})
const empty: KeepBay = { name: '', barrier: null, widthMm: null, shelves: [], version: 0 }
const work = reactive(useBay(onRecord.value ?? empty))
const draft = useDraft(`bay ${id}`, work.bay)
const kept = shallowRef(false)

const same = (one: KeepBay, other: KeepBay) => JSON.stringify(one) === JSON.stringify(other)
const isChanged = computed(() => onRecord.value !== null && !same(work.bay, { ...onRecord.value }))
/** A colleague kept this bay since this page was made from it. */
const isOvertaken = computed(() => onRecord.value !== null && onRecord.value.version !== work.bay.version)

// Anyone who only looks sees what stands; anyone who has begun is asked.
watch(onRecord, (now, before) => {
  const isUntouched = before ? same(work.bay, before) : draft.begunAt.value === null
  if (now && isUntouched) work.takeUp(now)
})

/** A level of its own, or that of its room. */
const AS_ROOM = 'room'
const levels = computed(() => [
  { value: AS_ROOM, label: t('asTheRoom') },
  ...([0, 1, 2, 3] as const).map((level) => ({ value: String(level), label: words.barrier[level] })),
])
const level = computed({
  get: () => (work.bay.barrier === null ? AS_ROOM : String(work.bay.barrier)),
  set: (text) => (work.bay.barrier = text === AS_ROOM ? null : (Number(text) as 0 | 1 | 2 | 3)),
})

const { busy, complaint, send } = useSending((body: KeepBay) =>
  call(OFFICE_ROUTES.keepBay, { params: { id }, body }),
)
const sends = () => ({ ...work.bay })

/** `over`: what a colleague kept meanwhile is seen, and written over. */
async function keep(over = false): Promise<void> {
  kept.value = false
  if (over && onRecord.value) work.bay.version = onRecord.value.version
  if (!(await send(sends()))) return
  draft.drop()
  kept.value = true
  void queries.invalidateQueries({ queryKey: keyOf(OFFICE_ROUTES.pastOfBay) })
  await site.load()
  if (onRecord.value) work.takeUp(onRecord.value)
}

function takeTheirs(): void {
  if (onRecord.value) work.takeUp(onRecord.value)
  draft.drop()
}

const copying = useSending(async () => {
  const bay = site.bays.get(id)
  if (!bay) return
  const name = t('copyOf', { name: bay.name }).slice(0, 80)
  const made = await call(OFFICE_ROUTES.addBay, { params: { id: bay.roomId }, body: { name } })
  const { barrier, widthMm, shelves } = work.bay
  const body = { name, barrier, widthMm, shelves: copied(shelves), version: 1 }
  await call(OFFICE_ROUTES.keepBay, { params: { id: made.id }, body })
  await site.load()
  await router.push({ name: 'bay', params: { id: made.id } })
})
const dropping = useSending(async () => {
  await call(OFFICE_ROUTES.dropBay, { params: { id } })
  draft.drop()
  await router.push({ name: 'places' })
})
</script>

<template>
  <main v-if="onRecord" class="reading">
    <header>
      <h1>{{ work.bay.name || t('aBay') }}</h1>
      <OfficeTabs />
      <RouterLink :to="{ name: 'places' }">{{ t('allPlaces') }}</RouterLink>
    </header>
    <section v-if="isOvertaken" class="ask" role="status">
      <p>{{ t('overtaken') }}</p>
      <div class="row">
        <Button severity="secondary" @click="takeTheirs">{{ t('takeTheirs') }}</Button>
        <Button severity="secondary" @click="keep(true)">{{ t('keepMine') }}</Button>
      </div>
    </section>
    <p v-if="kept && !isChanged" class="good" role="status">{{ t('keptAsDrawn') }}</p>
    <SchemaForm
      :schema="KeepBay"
      :sends="sends"
      :complaint="complaint || copying.complaint.value || dropping.complaint.value"
      :draft="draft"
      @keep="keep()"
    >
      <div class="pair">
        <TextField v-model="work.bay.name" name="name" :label="t('name')" maxlength="80" />
        <ChoiceField v-model="level" :label="t('levelOfBay')" :options="levels" />
        <NumberField v-model="work.bay.widthMm" name="widthMm" :label="t('shelfWidth')" unit="mm" whole />
      </div>
      <BayDrawing :work="work" />
      <BoxFields v-if="work.box" :key="work.box.id" :box="work.box" :work="work" />
      <p v-else class="quiet">{{ t('chooseABox') }}</p>
      <template #buttons>
        <div class="row">
          <Button type="submit" :disabled="busy || !isChanged || work.faults.length > 0">{{
            t('keepBay')
          }}</Button>
          <Button severity="secondary" :disabled="!work.canUndo" @click="work.undo()">{{
            t('takeStepBack')
          }}</Button>
          <Button severity="secondary" :disabled="isChanged || copying.busy.value" @click="copying.send()">{{
            t('copyBay')
          }}</Button>
          <Button
            v-if="onRecord.shelves.length === 0"
            severity="secondary"
            :disabled="dropping.busy.value"
            @click="dropping.send()"
            >{{ t('takeAway', { name: work.bay.name }) }}</Button
          >
        </div>
      </template>
    </SchemaForm>
    <BayPast :id="id" @redraw="work.redraw" />
  </main>
  <main v-else class="reading">
    <p class="ask">{{ t('noSuchBay') }}</p>
    <RouterLink :to="{ name: 'places' }">{{ t('allPlaces') }}</RouterLink>
  </main>
</template>
