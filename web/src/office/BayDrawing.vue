<script setup lang="ts">
import Button from 'primevue/button'
import type { SortableEvent } from 'sortablejs'
import Sortable from 'sortablejs'
import { computed, onBeforeUnmount, reactive, useTemplateRef, watch } from 'vue'
import TextField from '../fields/TextField.vue'
import { useResidents } from '../residents/useResidents.ts'
import { kept, numberHere, sayIn, unitHere } from '../words/measures.ts'
import type { BayWork } from './useBay.ts'
import { t } from './words.ts'

/** The face of a bay, drawn as the walk draws it, to be furnished: boxes are dragged, or moved by keys. */
const { work } = defineProps<{ work: BayWork }>()
const residents = useResidents()
const rows = reactive<Record<number, string>>({})
const wrong = reactive<Record<number, boolean>>({})
const shelves = useTemplateRef<HTMLElement[]>('shelf')

const over = computed(
  () =>
    new Map(
      work.faults.flatMap((fault) =>
        fault.code === 'widerThanShelf' ? [[fault.shelf, fault.overMm] as const] : [],
      ),
    ),
)

/** Sides as somebody here would type them. */
const likeARow = computed(() => {
  const side = (mm: number) => Math.round(numberHere(mm, 'mm'))
  return t('likeARow', { width: side(300), depth: side(200), height: side(200) })
})

function whoIn(id: string): string {
  return residents
    .livingIn(id)
    .map(({ name }) => name)
    .join(', ')
}

function add(shelf: number): void {
  wrong[shelf] = !work.addRow(shelf, rows[shelf] ?? '', (side) => kept(side, 'mm'))
  if (!wrong[shelf]) rows[shelf] = ''
}

/** What the hand dragged is put back where it was drawn: the drawing follows what is so, not the other way round. */
function dropped({ item, from, to, oldIndex = 0, newIndex = 0 }: SortableEvent): void {
  item.remove()
  from.insertBefore(item, from.children[oldIndex] ?? null)
  const shelf = Number(to.dataset['shelf'])
  const id = item.dataset['box']
  if (id !== undefined) work.put(id, { shelf, column: newIndex })
}

let sortables: Sortable[] = []
function letGo(): void {
  for (const sortable of sortables) sortable.destroy()
  sortables = []
}
watch(
  () => [work.bay.shelves.length, shelves.value?.length],
  () => {
    letGo()
    sortables = (shelves.value ?? []).map((shelf) =>
      Sortable.create(shelf, {
        group: 'boxes',
        draggable: '[data-box]',
        delay: 150,
        delayOnTouchOnly: true,
        onEnd: dropped,
      }),
    )
  },
  { flush: 'post', immediate: true },
)
onBeforeUnmount(letGo)

const STEPS: Readonly<Record<string, { shelf?: number; column?: number }>> = {
  ArrowLeft: { column: -1 },
  ArrowRight: { column: 1 },
  ArrowUp: { shelf: -1 },
  ArrowDown: { shelf: 1 },
}

function onKey(event: KeyboardEvent, id: string): void {
  const step = STEPS[event.key]
  if (!step || !event.altKey) return
  event.preventDefault()
  work.choose(id)
  work.nudge(step)
}
</script>

<template>
  <div class="frame" role="group" :aria-label="t('drawing')">
    <template v-for="(boxes, shelf) in work.bay.shelves" :key="shelf">
      <ol ref="shelf" class="shelf" :data-shelf="shelf" :aria-label="t('shelfNumber', { number: shelf + 1 })">
        <li
          v-for="one in boxes"
          :key="one.id"
          class="box"
          :data-box="one.id"
          :style="{ width: `${(100 * one.widthMm) / work.longestMm}%` }"
        >
          <Button
            unstyled
            class="face"
            :class="{ chosen: work.chosen === one.id }"
            :aria-pressed="work.chosen === one.id"
            @click="work.choose(one.id)"
            @keydown="onKey($event, one.id)"
          >
            <strong>{{ whoIn(one.id) || t('empty') }}</strong>
            <span>{{
              t('size', {
                width: numberHere(one.widthMm, 'mm'),
                depth: numberHere(one.depthMm, 'mm'),
                height: numberHere(one.heightMm, 'mm'),
              })
            }}</span>
          </Button>
        </li>
      </ol>
      <div class="plank">
        <p v-if="over.has(shelf)" class="over" role="alert">
          {{ t('tooWide', { mm: sayIn(over.get(shelf) ?? 0, 'mm') }) }}
        </p>
        <TextField
          v-model="rows[shelf]"
          :label="t('rowOfBoxes', { number: shelf + 1, unit: unitHere('mm') })"
          :placeholder="likeARow"
          :wrong="wrong[shelf] ? t('notARow', { row: likeARow, unit: unitHere('mm') }) : undefined"
          @keydown.enter.prevent="add(shelf)"
        />
        <Button severity="secondary" @click="add(shelf)">{{ t('addRow') }}</Button>
        <Button v-if="boxes.length === 0" severity="secondary" @click="work.dropShelf(shelf)">{{
          t('takeShelfAway')
        }}</Button>
      </div>
    </template>
    <Button severity="secondary" class="more" @click="work.addShelf()">{{ t('addShelf') }}</Button>
  </div>
</template>

<style scoped>
.frame {
  display: grid;
  border: 9px solid var(--board);
  outline: 1px solid var(--edge);
  overflow-x: auto;
}

.shelf {
  display: flex;
  gap: 0;
  min-height: 96px;
  padding: 8px 9px 0;
}

.box {
  flex: none;
  min-width: 44px;
  padding-right: 4px;
}

.face {
  display: grid;
  align-content: start;
  gap: 2px;
  width: 100%;
  height: 100%;
  min-height: 88px;
  padding: 6px;
  border: 1px solid var(--edge);
  border-bottom: 0;
  background: var(--glass);
  overflow: hidden;
  font-size: 0.8125rem;
  text-align: left;
  cursor: grab;
}

.face strong,
.face span {
  overflow: hidden;
  text-overflow: ellipsis;
}

.face span {
  color: var(--soft);
}

.face.chosen {
  outline: 4px solid var(--focus);
  outline-offset: -4px;
}

.plank {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  align-items: end;
  padding: 6px 10px;
  background: var(--board);
}

.over {
  flex-basis: 100%;
  font-weight: 700;
}

.more {
  margin: 8px;
}
</style>
