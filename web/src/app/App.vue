<script setup lang="ts">
import { computed, defineAsyncComponent, onMounted, onUnmounted, shallowRef, watch } from 'vue'
import { RouterLink, RouterView, useRoute } from 'vue-router'
import { useRecord } from '../entries/useRecord.ts'
import { usePeople } from '../people/usePeople.ts'
import { useToday } from '../time/useToday.ts'
import { words } from '../words/en.ts'
import { sayError } from './sayError.ts'
import { afterNextPaint, useAfterPaint } from './useAfterPaint.ts'
import { useTheme } from './useTheme.ts'

const SignInPage = defineAsyncComponent(() => import('../people/SignInPage.vue'))
const PersonMenu = defineAsyncComponent(() => import('../people/PersonMenu.vue'))
const loadFinder = () => import('../residents/FindResident.vue')
const FindResident = defineAsyncComponent(loadFinder)
const UndoStrip = defineAsyncComponent(() => import('./UndoStrip.vue'))
const WaitingDialog = defineAsyncComponent(() => import('../entries/WaitingDialog.vue'))

const people = usePeople()
const record = useRecord()
const today = useToday()
const route = useRoute()
const { theme, set } = useTheme()
const finding = shallowRef(false)
const showWaiting = shallowRef(false)
const complaint = shallowRef('')

const HOMES: Readonly<Record<string, string>> = {
  walk: 'walk',
  handover: 'handover',
  library: 'library',
  schools: 'library',
  calculators: 'library',
  compare: 'library',
  sheet: 'library',
}
const here = computed(() => HOMES[String(route.name)] ?? 'residents')
const inside = computed(() => people.person !== null && record.ready && !record.needsSignIn)
const dateLine = computed(() =>
  new Intl.DateTimeFormat('en-GB', {
    weekday: 'long',
    day: 'numeric',
    month: 'long',
    timeZone: 'UTC',
  }).format(today.day * 86_400_000),
)
const sendState = useAfterPaint(() => {
  if (record.unstored > 0) return words.unstored(record.unstored)
  if (record.refused.length > 0) return `${record.refused.length} could not be kept`
  if (record.held !== '') return words.held(record.waitingCount)
  if (record.waitingCount > 0) return words.waiting(record.waitingCount)
  return record.linked ? words.allSent : words.cutOff
})
const troubled = useAfterPaint(
  () => record.waitingCount > 0 || record.refused.length > 0 || record.held !== '' || !record.linked,
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
  if (finding.value && !(event.target instanceof HTMLElement && event.target.closest('dialog')))
    event.stopImmediatePropagation()
  if (event.key !== '/' || !inside.value || event.ctrlKey || event.metaKey) return
  if (event.target instanceof HTMLElement && event.target.closest('input, textarea, dialog')) return
  event.preventDefault()
  finding.value = true
}

watch(() => people.signIns, enter)
// Whoever presses the key to find goes on typing at once: the finder is there before it is asked for.
watch(inside, (is) => is && afterNextPaint(() => void loadFinder()))
onMounted(() => {
  globalThis.addEventListener('keydown', onKey, { capture: true })
  void begin()
})
onUnmounted(() => globalThis.removeEventListener('keydown', onKey, { capture: true }))
</script>

<template>
  <div v-if="inside" class="app">
    <header class="top">
      <RouterLink :to="{ name: 'walk' }" class="brand">Kobrin</RouterLink>
      <nav aria-label="Places">
        <RouterLink
          v-for="(name, place) in words.places"
          :key="place"
          :to="{ name: place }"
          :class="{ on: here === place }"
          >{{ name }}</RouterLink
        >
      </nav>
      <span class="date quiet">{{ dateLine }}</span>
      <button type="button" class="plain find" @click="finding = true">Find <kbd>/</kbd></button>
      <button
        type="button"
        class="plain state"
        :class="{ troubled }"
        aria-live="polite"
        @click="showWaiting = true"
      >
        {{ sendState }}
      </button>
      <button
        type="button"
        class="plain"
        :aria-label="`Theme: ${theme}. Switch to ${theme === 'day' ? 'dim' : 'day'}`"
        @click="set(theme === 'day' ? 'dim' : 'day')"
      >
        <component :is="theme === 'day' ? 'strong' : 'span'">Day</component> /
        <component :is="theme === 'dim' ? 'strong' : 'span'">Dim</component>
      </button>
      <PersonMenu @leave="record.close()" />
    </header>
    <div class="place"><RouterView /></div>
    <UndoStrip v-if="here !== 'walk'" class="takeBack" />
    <FindResident v-if="finding" @close="finding = false" />
    <WaitingDialog v-if="showWaiting" @close="showWaiting = false" />
  </div>
  <SignInPage v-else-if="people.asked && (people.person === null || record.needsSignIn)" />
  <p v-else-if="!complaint" class="opening quiet" role="status">Opening the record …</p>
  <div v-if="complaint && !inside" class="opening" role="alert">
    <p>{{ complaint }}</p>
    <button type="button" class="primary" @click="begin">Try again</button>
  </div>
</template>

<style scoped>
.app {
  display: grid;
  grid-template-rows: auto minmax(0, 1fr);
  height: 100dvh;
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
  font-size: 20px;
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

.plain {
  flex: none;
}

.troubled {
  border-color: var(--focus);
  color: var(--focus);
  font-weight: 700;
}

.opening {
  display: grid;
  gap: 14px;
  justify-items: start;
  max-width: 420px;
  margin: 20vh auto;
  padding: 0 16px;
}

/* The walk has its own place for it. */
.takeBack {
  position: fixed;
  z-index: 10;
  bottom: 10px;
  left: 14px;
}

@media (max-width: 899px) {
  .top {
    flex-wrap: wrap;
    padding: 5px 10px;
  }

  .date,
  .brand,
  .find kbd {
    display: none;
  }

  .top .plain {
    padding: 6px 8px;
  }

  nav a {
    padding: 4px 8px;
  }

  .find {
    margin-left: auto;
  }
}
</style>
