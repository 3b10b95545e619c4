<script setup lang="ts">
import { may } from '@kobrin/contract'
import { useEventListener } from '@vueuse/core'
import { computed, onMounted, shallowRef, useTemplateRef, watch, watchEffect } from 'vue'
import { RouterLink, RouterView, useRoute } from 'vue-router'
import { useRecord } from '../entries/useRecord.ts'
import { useSite } from '../site/useSite.ts'
import { usePeople } from '../people/usePeople.ts'
import { useUnits } from '../people/useUnits.ts'
import { useToday } from '../time/useToday.ts'
import { words } from '../words/en.ts'
import { measureIn } from '../words/measures.ts'
import { sayError } from './sayError.ts'
import { TAKES_KEYS } from './takesKeys.ts'
import { useHandling } from './useHandling.ts'
import { later } from './later.ts'
import { afterNextPaint } from './useAfterPaint.ts'
import { t } from './words.ts'

const SignInPage = later(() => import('../people/SignInPage.vue'))
const TopTools = later(() => import('./TopTools.vue'))
const loadFinder = () => import('../residents/FindResident.vue')
const FindResident = later(loadFinder)
const Notices = later(() => import('./Notices.vue'))
const WaitingDialog = later(() => import('../entries/WaitingDialog.vue'))
const NotReached = later(() => import('./NotReached.vue'))

const people = usePeople()
const record = useRecord()
const today = useToday()
const site = useSite()
const route = useRoute()
const { letters } = useHandling()
const units = useUnits()
watchEffect(() => measureIn(units.value))
const place = useTemplateRef<HTMLElement>('place')
const finding = shallowRef(false)
const showWaiting = shallowRef(false)
const complaint = shallowRef('')

/** Anyone who keeps nothing there is not sent there. */
const places = computed(() => {
  const { office, ...rest } = words.places
  return may(people.role, 'editPlaces') ? { ...rest, office } : rest
})
/** What stands in an address first is the place; boxes are looked at from their residents. */
const here = computed(() => {
  const [, top = ''] = route.path.split('/')
  return top in words.places ? (top as keyof typeof words.places) : 'residents'
})
/** The resident the page is about, else the place it belongs to. */
const about = computed(() => {
  const id = String(route.params['id'] ?? '')
  return site.residents.get(id)?.name ?? site.species.get(id)?.common ?? words.places[here.value]
})
const inside = computed(() => people.person !== null && record.ready && !record.needsSignIn)
watchEffect(() => {
  document.title = inside.value ? t('kobrin2', { about: about.value }) : 'Kobrin'
})
const dateLine = computed(() =>
  new Intl.DateTimeFormat('en-GB', {
    weekday: 'long',
    day: 'numeric',
    month: 'long',
    timeZone: 'UTC',
  }).format(today.day * 86_400_000),
)

async function enter(): Promise<void> {
  complaint.value = ''
  try {
    await record.open()
  } catch (error) {
    complaint.value = sayError(error)
  }
}

async function begin(): Promise<void> {
  try {
    await people.recall()
    if (people.person) await enter()
  } catch (error) {
    complaint.value = sayError(error)
  }
}

function onKey(event: KeyboardEvent): void {
  // Typed on while the finder is on its way: nothing of it is meant for the walk.
  if (finding.value && !(event.target instanceof HTMLElement && event.target.closest('[role="dialog"]')))
    event.stopImmediatePropagation()
  if (event.key !== '/' || !letters.value || !inside.value || event.ctrlKey || event.metaKey) return
  if (event.target instanceof HTMLElement && event.target.closest(TAKES_KEYS)) return
  event.preventDefault()
  finding.value = true
}

watch(() => people.signIns, enter)
// Anyone who presses the key to find goes on typing at once: the finder is there before it is asked for.
watch(inside, (is) => {
  if (!is) return
  afterNextPaint(() => loadFinder().catch(() => undefined))
  // The walk first: then all the rest is brought onto this device.
  import('../kept/useNewVersion.ts').then(({ keepInterface }) => keepInterface()).catch(() => undefined)
  if (route.query['find'] !== undefined) finding.value = true
})
useEventListener(globalThis.window, 'keydown', onKey, { capture: true })
onMounted(() => void begin())
</script>

<template>
  <div v-if="inside" class="app">
    <header class="top">
      <a class="skip" href="#place" @click.prevent="place?.focus()">{{ t('goPastTheHeader') }}</a>
      <RouterLink :to="{ name: 'walk' }" class="brand">{{ t('kobrin') }}</RouterLink>
      <nav :aria-label="t('places')">
        <RouterLink v-for="(name, to) in places" :key="to" :to="{ name: to }" :class="{ on: here === to }">{{
          name
        }}</RouterLink>
      </nav>
      <span class="date quiet">{{ dateLine }}</span>
      <TopTools @find="finding = true" @waiting="showWaiting = true" />
    </header>
    <div ref="place" class="place" tabindex="-1"><RouterView /></div>
    <Notices :undo="here !== 'walk'" @waiting="showWaiting = true" />
    <FindResident v-if="finding" @close="finding = false" />
    <WaitingDialog v-if="showWaiting" @close="showWaiting = false" />
  </div>
  <SignInPage
    v-else-if="people.asked && (people.person === null || record.needsSignIn)"
    :ended="people.person?.name"
  />
  <p v-else-if="!complaint" class="opening quiet" role="status">{{ t('openingTheRecord') }}</p>
  <NotReached v-if="complaint && !inside" :why="complaint" @again="begin" />
</template>

<style scoped>
.app {
  display: grid;
  grid-template-rows: auto minmax(0, 1fr);
  height: 100dvh;
}

.skip {
  position: absolute;
  z-index: 30;
  top: 4px;
  left: 4px;
  padding: 8px 12px;
  background: var(--paper);
}

.skip:not(:focus) {
  clip-path: inset(50%);
}

.place:focus {
  outline: none;
}

.top {
  display: flex;
  align-items: center;
  gap: 8px 10px;
  min-height: 52px;
  padding: 5px 18px;
  border-bottom: 2px solid var(--ink);
}

.brand {
  margin-right: 6px;
  color: var(--ink);
  font-size: 1.25rem;
  font-weight: 700;
  text-decoration: none;
}

nav {
  display: flex;
  gap: 2px;
}

nav a {
  display: grid;
  place-items: center;
  min-height: 40px;
  padding: 4px 10px;
  color: var(--soft);
  text-decoration: none;
}

nav .on {
  color: var(--ink);
  font-weight: 700;
  box-shadow: inset 0 -3px 0 var(--focus);
}

.date {
  margin-right: auto;
  padding-left: 8px;
}

@media (max-width: 899px) {
  .top {
    flex-wrap: wrap;
    padding: 5px 10px;
  }

  .date,
  .brand {
    display: none;
  }

  nav a {
    padding: 4px 8px;
  }
}

/* The tools come after the board and stand in a row of their own: their place is kept. */
@media (max-width: 599px) {
  .top {
    min-height: 104px;
    align-content: space-between;
  }
}

/* A phone on its side: the boxes have what height there is. */
@media (max-height: 480px) {
  .top {
    flex-wrap: nowrap;
    min-height: 46px;
    padding-block: 1px;
  }
}
</style>
