<script setup lang="ts">
import type { Barrier, EntryKind, Task } from '@kobrin/core'
import type { ComponentPublicInstance } from 'vue'
import { computed, nextTick, onMounted, shallowRef, useTemplateRef, watch } from 'vue'
import { until, useElementSize, useEventListener, watchDebounced } from '@vueuse/core'
import { useRouter } from 'vue-router'
import { useRecord } from '../entries/useRecord.ts'
import { words } from '../words/en.ts'
import { afterNextPaint } from '../app/useAfterPaint.ts'
import { fetched, later } from '../app/later.ts'
import { TAKES_KEYS } from '../app/takesKeys.ts'
import { useHandling } from '../app/useHandling.ts'
import { useNarrow } from '../app/useNarrow.ts'
import BayFace from './BayFace.vue'
import type { WalkStop } from './stops.ts'
import { useWalk } from './useWalk.ts'
import { useResidents } from '../residents/useResidents.ts'
import type { When } from '../time/useToday.ts'
import { usePeople } from '../people/usePeople.ts'
import { useTouch } from './useTouch.ts'
import { ARROWS, neighbour, useFaceFocus } from './useFaceFocus.ts'
import { residentAt, usePress } from './usePress.ts'
import { t } from './words.ts'

// The board paints first; what lies beside and over it follows.
const RouteRail = fetched(() => import('./RouteRail.vue'))
const FootStrip = later(() => import('./FootStrip.vue'))
const ResidentPanel = later(() => import('./ResidentPanel.vue'))
const CrossBarrier = later(() => import('./CrossBarrier.vue'))
const PanelFrame = later(() => import('./PanelFrame.vue'))
const ExceptionMenu = later(() => import('./ExceptionMenu.vue'))
const KeysDialog = later(() => import('./KeysDialog.vue'))
const NobodyYet = fetched(() => import('./NobodyYet.vue'))
const PrepDialog = later(() => import('./PrepDialog.vue'))

const walk = useWalk()
const residents = useResidents()
const people = usePeople()
const { canTouch, keyOfNumber, touch, touchAll } = useTouch()
const record = useRecord()
const router = useRouter()
const board = useTemplateRef<HTMLElement>('board')
const face = useFaceFocus(board)
const dialog = shallowRef<'keys' | 'prep' | null>(null)
/** On a narrow screen the panel covers the board, so it opens only when asked for. */
const panelOpen = shallowRef(false)
const narrow = useNarrow()
const { letters, opensFirst } = useHandling()
/** What lies behind the open panel is not to be touched through it. */
const covered = computed(() => narrow.value && panelOpen.value)

/** Whom the panel beside the board speaks of. It follows once the eye rests: the cell under a finger, or the next
 * one under a key that is held, comes first. */
const inPanel = shallowRef(walk.focused)
const FOLLOWS_AFTER_MS = 300

function panelCaughtUp(): Promise<void> {
  inPanel.value = walk.focused
  return nextTick()
}

watchDebounced(
  () => walk.focused,
  (focused) => (inPanel.value = focused),
  { debounce: FOLLOWS_AFTER_MS },
)

/** How long the panel may be on its way when a key is meant for it. */
const PANEL_MS = 2000
const menu = useTemplateRef<{ show: (event: MouseEvent) => void }>('menu')
const strip = useTemplateRef<ComponentPublicInstance>('strip')
const { height: stripPx } = useElementSize(strip, undefined, { box: 'border-box' })
const panel = useTemplateRef<{ press: (key: string) => boolean }>('panel')

function closePanel(): void {
  panelOpen.value = false
  // Behind the panel nothing can be looked at; now it can again.
  void nextTick(() => face.focus(walk.focused))
}

const gate = computed<{ barrier: Barrier; back: boolean } | null>(() => {
  const at = walk.stop?.barrier
  if (at === undefined || at === walk.crossedTo) return null
  return { barrier: at, back: at < walk.crossedTo }
})

function go(stop: WalkStop): void {
  walk.stopKey = stop.key
  walk.focused = stop.residents[0] ?? null
  panelOpen.value = false
  board.value?.scrollTo({ top: 0 })
}

function step(by: number): void {
  const at = walk.stops.findIndex(({ key }) => key === walk.stop?.key)
  const next = walk.stops[at + by]
  if (next) go(next)
}

function select(residentId: string): void {
  walk.focused = residentId
}

function openPanel(): void {
  inPanel.value = walk.focused
  panelOpen.value = true
}

/** The Tab key came to a bay: on to the cell that was last looked at there, or the first. */
function enter(ids: readonly string[]): void {
  const at = walk.focused !== null && ids.includes(walk.focused) ? walk.focused : ids[0]
  if (at === undefined) return
  select(at)
  void nextTick(() => face.focus(at))
}

function planned(residentId: string, when: When = null): void {
  face.steady(residentId)
  select(residentId)
  if (people.mayWrite && touch(residentId, when)) panelOpen.value = false
  else afterNextPaint(openPanel)
}

/** The key Enter: what is due as planned; where only numbers are, the first of them is asked for. */
function sayNext(residentId: string): void {
  const key = people.mayWrite && !canTouch(residentId) ? keyOfNumber(residentId) : undefined
  if (key === undefined) planned(residentId)
  else void say(key)
}

function exceptions(residentId: string): void {
  select(residentId)
  openPanel()
}

function again(task: Task, when: When): void {
  const draft = walk.focused && residents.asPlanned(walk.focused, task)
  if (draft)
    record.keep(
      [draft],
      t('again2', { name: residents.nameOf(walk.focused ?? ''), done: words.done[task.duty.does] }),
      { when },
    )
}

/** Whatever brought the focus to a cell, keys mean that one. */
function focusedIn({ target }: FocusEvent): void {
  const id = residentAt(target)
  if (id !== null) select(id)
}

function shelfOf(residentId: string | null): string[] {
  for (const { shelves } of walk.stop?.faces ?? []) {
    for (const shelf of shelves) {
      const ids = shelf.flatMap((box) => box.residents)
      if (residentId !== null && ids.includes(residentId)) return ids
    }
  }
  return []
}

async function say(key: string): Promise<void> {
  if (narrow.value) openPanel()
  await panelCaughtUp()
  const there = await until(panel).toBeTruthy({ timeout: PANEL_MS })
  there?.press(key)
}

/** Who was due to be weighed was; the next one who is, is in hand: a round of weighing is digits and Enter. */
function said(kind: EntryKind): void {
  const at = walk.focused
  const next = kind === 'weighed' && at !== null && wasDue(at) ? walk.toDoAfter(at, 'weigh') : null
  if (next === null) return closePanel()
  select(next)
  face.show(next)
  void say('w')
}

function wasDue(residentId: string): boolean {
  return residents
    .dayOf(residentId)
    .tasks.some(({ duty, status }) => duty.does === 'weigh' && status === 'done')
}

/** The pointer asks what else can be said: everything, where it is. */
function menuAt(residentId: string, event: MouseEvent): void {
  select(residentId)
  void panelCaughtUp().then(() => (menu.value ? menu.value.show(event) : openPanel()))
}

/** Who was opened by a touch, and is logged by the next. */
let opened: string | null = null

function tap(residentId: string): void {
  if (!opensFirst.value || opened === residentId) return planned(residentId)
  exceptions(residentId)
  opened = residentId
}

watch(
  () => walk.focused,
  (at) => {
    if (at !== opened) opened = null
  },
)

const press = usePress({ onTap: tap, onLabel: exceptions, onHold: exceptions, onMenu: menuAt })

const ACTIONS: Readonly<Record<string, () => void>> = {
  Enter: () => walk.focused && sayNext(walk.focused),
  j: () => {
    const next = walk.toDoAfter(walk.focused)
    if (next) {
      select(next)
      void nextTick(() => face.focus(next))
    } else step(1)
  },
  f: () => void touchAll(shelfOf(walk.focused), t('shelf2')),
  u: () => record.takeBack(),
  i: () => walk.focused && void router.push({ name: 'record', params: { id: walk.focused } }),
  b: () => {
    openPanel()
    void nextTick(() => {
      document.querySelector<HTMLElement>('.side .because')?.click()
    })
  },
  '[': () => step(-1),
  ']': () => step(1),
  '?': () => (dialog.value = 'keys'),
  Escape: closePanel,
}

/** Letters are the board's while it, or nothing, has the focus. */
function isElsewhere(target: EventTarget | null): boolean {
  if (!(target instanceof HTMLElement) || target === document.body) return false
  return target.closest(TAKES_KEYS) !== null || target.closest('.place, .panelDrawer') === null
}

function onKey(event: KeyboardEvent): void {
  if (event.defaultPrevented || event.ctrlKey || event.metaKey || event.altKey || isElsewhere(event.target))
    return
  const direction = ARROWS[event.key]
  if (direction) {
    event.preventDefault()
    const next = neighbour(face.spots(), walk.focused, direction)
    if (next) {
      select(next)
      void nextTick(() => face.focus(next))
    }
    return
  }
  // Enter on a button is that button's.
  if (event.key === 'Enter' && event.target instanceof HTMLElement && event.target.closest('button, a'))
    return
  if (event.key.length === 1 && !letters.value) return
  const action = ACTIONS[event.key]
  if (action) action()
  else if (event.key.length === 1) void say(event.key)
  else return
  // A letter that opens a field is not to be typed into it.
  event.preventDefault()
}

watch(
  () => walk.stop,
  (stop) => {
    if (stop && (walk.focused === null || !stop.residents.includes(walk.focused)))
      walk.focused = stop.residents[0] ?? null
  },
  { immediate: true },
)
useEventListener(globalThis.window, 'keydown', onKey)
onMounted(() => {
  // Anyone who comes back, or is shown somebody here, is where they are.
  const at = walk.focused
  if (at !== null && at !== walk.stop?.residents[0]) void nextTick(() => face.focus(at))
})
</script>

<template>
  <div class="walk">
    <RouteRail class="way" :inert="covered" @go="go" />
    <main
      ref="board"
      class="board"
      :inert="covered"
      @pointerdown="press.down"
      @pointermove="press.move"
      @contextmenu="press.menu"
      @click="press.click"
      @focusin="focusedIn"
    >
      <h1 class="hidden-text">{{ words.places.walk }}: {{ walk.stop?.title }}</h1>
      <CrossBarrier
        v-if="gate"
        :barrier="gate.barrier"
        :back="gate.back"
        @crossed="walk.crossedTo = gate.barrier"
      />
      <template v-else-if="walk.stop">
        <BayFace
          v-for="one in walk.stop.faces"
          :key="one.bay.id"
          :face="one"
          @all="(does) => touchAll(one.residents, one.bay.name, does)"
          @enter="enter(one.residents)"
          @shelf="(ids) => touchAll(ids, t('shelf2'))"
        />
      </template>
      <NobodyYet v-else />
    </main>
    <PanelFrame
      v-if="inPanel && !gate"
      v-model:open="panelOpen"
      class="panel"
      :narrow="narrow"
      :strip-px="stripPx"
    >
      <ResidentPanel
        ref="panel"
        :resident-id="inPanel"
        @planned="planned(inPanel, $event)"
        @again="again"
        @said="said"
        @asks="panelOpen = true"
        @close="closePanel"
      />
    </PanelFrame>
    <ExceptionMenu v-if="inPanel && people.mayWrite" ref="menu" :resident-id="inPanel" @say="say" />
    <FootStrip ref="strip" class="strip" @keys="dialog = 'keys'" @prep="dialog = 'prep'" />
    <KeysDialog v-if="dialog === 'keys'" @close="dialog = null" />
    <PrepDialog v-if="dialog === 'prep'" @close="dialog = null" />
  </div>
</template>

<style scoped>
.walk {
  display: grid;
  grid-template:
    'way board panel' minmax(0, 1fr)
    'strip strip strip' auto / 216px minmax(0, 1fr) 296px;
  height: 100%;
}

.way {
  grid-area: way;
}

.board {
  grid-area: board;
  padding: 14px 16px;
  overflow-y: auto;
}

.panel {
  grid-area: panel;
}

.strip {
  grid-area: strip;
}

@media (max-width: 1099px) {
  .walk {
    grid-template-columns: 176px minmax(0, 1fr) 280px;
  }
}

@media (max-width: 899px) {
  .walk {
    grid-template:
      'way' minmax(71px, auto)
      'board' minmax(0, 1fr)
      'strip' auto / minmax(0, 1fr);
  }

  .board {
    padding: 10px;
  }
}

@media (max-height: 480px) and (max-width: 899px) {
  .walk {
    grid-template-rows: auto minmax(0, 1fr) auto;
  }
}
</style>
