<script setup lang="ts">
import { computed, nextTick, shallowRef, useTemplateRef, watch } from 'vue'
import { RouterLink } from 'vue-router'
import '../app/page.css'
import UndoStrip from '../app/UndoStrip.vue'
import ChoiceField from '../fields/ChoiceField.vue'
import { usePeople } from '../people/usePeople.ts'
import type { When } from '../time/useToday.ts'
import BalancePanel from './BalancePanel.vue'
import RoundList from './RoundList.vue'
import TubField from './TubField.vue'
import { useBalance } from './useBalance.ts'
import { CHOSEN, DUE } from './roundOf.ts'
import { useRound } from './useRound.ts'
import { useTubs } from './useTubs.ts'
import WeighingCard from './WeighingCard.vue'
import { t } from './words.ts'

const people = usePeople()
const mayWeigh = computed(() => people.maySay({ kind: 'weighed' }))
const round = useRound()
const { of, due, bays, chosen, inBays, lines, toDo, done } = round
const bench = useTubs()
const { tub, tubs } = bench
const balance = useBalance(() => tub.value?.grams ?? 0)
const when = shallowRef<When>(null)
const card = useTemplateRef<{ take: () => void }>('card')
/** What the balance showed until then was of somebody who is done, ms. */
const usedUntil = shallowRef(-Infinity)

const rounds = computed(() => [
  { value: DUE, label: t('due', { count: due.value.length }) },
  ...(chosen.value.length > 0 ? [{ value: CHOSEN, label: t('chosen', { count: chosen.value.length }) }] : []),
  ...bays.value.map((bay) => ({ value: bay, label: bay })),
])

const at = shallowRef<string | null>(null)
const current = computed(() => lines.value.find(({ line }) => line.id === at.value)?.line)
const onBalance = computed(() => {
  const now = balance.answer.value?.now
  return now == null ? null : Math.round((now + (tub.value?.grams ?? 0)) * 10) / 10
})

// Anyone who opens a round begins with the first to weigh.
watch(
  [of, () => lines.value.length > 0],
  () => {
    if (!current.value) at.value = round.nextAfter(null)
  },
  { immediate: true },
)

function goOn(): void {
  usedUntil.value = balance.answer.value?.weight?.to ?? usedUntil.value
  // Until what was kept is believed, it still counts as to do.
  void nextTick(() => (at.value = round.nextAfter(at.value)))
}

function putOff(): void {
  if (at.value !== null) round.later.add(at.value)
  at.value = round.nextAfter(at.value)
}
</script>

<template>
  <main class="weighing">
    <header>
      <h1>{{ t('title') }}</h1>
      <ChoiceField v-model="of" class="whom" :label="t('whom')" :options="rounds" />
      <p class="quiet" role="status">{{ t('progress', { done, toDo }) }}</p>
    </header>
    <p v-if="!mayWeigh" class="ask">{{ t('notYours') }}</p>
    <p v-else-if="lines.length === 0" class="ask">{{ t('nobody') }} {{ t('nobodyHow') }}</p>
    <template v-else>
      <RoundList v-model="at" :bays="inBays" class="list" />
      <div class="bench">
        <WeighingCard
          v-if="current && current.state !== 'gone'"
          ref="card"
          :key="current.id"
          v-model:when="when"
          :resident-id="current.id"
          :tub="tub"
          :tubs="tubs"
          :balance="balance"
          :used-until="usedUntil"
          @kept="goOn"
          @later="putOff"
        />
        <p v-else class="good">
          {{ t('allDone') }}
          <template v-if="lines.length > done">{{
            t('allDoneWith', { count: lines.length - done })
          }}</template>
          <RouterLink :to="{ name: 'walk' }">{{ t('toWalk') }}</RouterLink>
        </p>
        <div class="tools">
          <BalancePanel :balance="balance" @take="card?.take()" />
          <TubField :bench="bench" :on-balance="onBalance" />
        </div>
        <UndoStrip />
      </div>
    </template>
  </main>
</template>

<style scoped>
.weighing {
  display: grid;
  grid-template: auto minmax(0, 1fr) / minmax(240px, 340px) minmax(0, 1fr);
  gap: 12px 20px;
  height: 100%;
  padding: 14px 18px;
}

.weighing > header,
.weighing > p {
  grid-column: 1 / -1;
}

header {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 18px;
  align-items: end;
}

.whom {
  min-width: 260px;
}

.list {
  min-height: 0;
}

.bench {
  display: grid;
  gap: 16px;
  align-content: start;
  max-width: 720px;
  min-height: 0;
  padding: 0 2px 24px;
  overflow-y: auto;
}

.tools {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(min(330px, 100%), 1fr));
  gap: 16px;
  align-items: start;
}

@media (max-width: 899px) {
  .weighing {
    display: flex;
    flex-direction: column;
    padding: 10px;
    overflow-y: auto;
  }

  .list {
    flex: none;
    order: 2;
    height: 50vh;
  }

  .bench {
    overflow: visible;
  }
}
</style>
