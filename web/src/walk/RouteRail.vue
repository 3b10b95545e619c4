<script setup lang="ts">
import { computed, nextTick, useTemplateRef, watch } from 'vue'
import { useAfterPaint } from '../app/useAfterPaint.ts'
import { words } from '../words/en.ts'
import { sayMinutes } from '../words/numbers.ts'
import type { WalkStop } from './stops.ts'
import { usePrep } from './usePrep.ts'
import { useWalk } from './useWalk.ts'
import { t } from './words.ts'

const emit = defineEmits<{ go: [stop: WalkStop] }>()
const walk = useWalk()

const prep = usePrep()
const legs = useAfterPaint(() =>
  walk.stops.map((stop, index) => {
    const before = walk.stops[index - 1]
    const tally = walk.progress(stop.residents)
    return {
      stop,
      tally,
      crossing: before && before.barrier < stop.barrier ? words.crossing[stop.barrier] : '',
      state: tally.done === tally.all ? 'done' : 'open',
    }
  }),
)
const overall = computed(() =>
  legs.value.reduce((sum, { tally }) => ({ done: sum.done + tally.done, all: sum.all + tally.all }), {
    done: 0,
    all: 0,
  }),
)

const rail = useTemplateRef<HTMLElement>('rail')

/** The stop we are at lies within the rail. */
watch(
  () => walk.stop?.key,
  async () => {
    await nextTick()
    rail.value?.querySelector('.here')?.scrollIntoView({ block: 'nearest', inline: 'nearest' })
  },
  { immediate: true, flush: 'post' },
)
</script>

<template>
  <nav ref="rail" class="rail" :aria-label="t('todaysWalk')">
    <p class="total">
      {{
        t('ofDoneAboutLeft', { done: overall.done, all: overall.all, minutes: sayMinutes(prep.rest.minutes) })
      }}
    </p>
    <ol>
      <template v-for="{ stop, tally, crossing, state } in legs" :key="stop.key">
        <li v-if="crossing" class="crossing">{{ crossing }}</li>
        <li>
          <button
            type="button"
            class="stop"
            :class="[state, { here: walk.stop?.key === stop.key }]"
            :aria-current="walk.stop?.key === stop.key ? 'step' : undefined"
            @click="emit('go', stop)"
          >
            <span class="knot" aria-hidden="true" />
            <span class="name">{{ stop.title }}</span>
            <span class="tally">{{ tally.done }} / {{ tally.all }}</span>
          </button>
        </li>
      </template>
    </ol>
  </nav>
</template>

<style scoped>
.rail {
  overflow-y: auto;
  padding: 14px 0;
  border-right: 1px solid var(--line);
}

.total {
  padding: 0 14px 8px 16px;
  color: var(--soft);
  font-size: 0.8125rem;
  font-weight: 600;
}

li {
  position: relative;
}

.stop {
  display: grid;
  grid-template-columns: 24px 1fr auto;
  align-items: center;
  gap: 6px;
  width: 100%;
  min-height: 46px;
  padding: 4px 14px 4px 12px;
  border: 0;
  background: none;
  text-align: left;
}

.stop::before {
  position: absolute;
  top: 0;
  bottom: 0;
  left: 23px;
  width: 3px;
  background: var(--edge);
  content: '';
}

li:first-child .stop::before {
  top: 50%;
}

li:last-child .stop::before {
  bottom: 50%;
}

.knot {
  z-index: 1;
  width: 16px;
  height: 16px;
  margin-left: 4px;
  border: 3px solid var(--ink);
  border-radius: 50%;
  background: var(--paper);
}

.done .knot {
  background: var(--ink);
}

.here {
  background: var(--wash);
  font-weight: 700;
}

.here .knot {
  border-color: var(--paper);
  background: var(--focus);
  box-shadow: 0 0 0 3px var(--focus);
}

.tally {
  color: var(--soft);
  font: 0.8125rem var(--sans);
}

.crossing {
  margin: 4px 12px 4px 14px;
  padding: 6px 8px 6px 26px;
  border-block: 3px double var(--ink);
  background: repeating-linear-gradient(45deg, var(--chip) 0 5px, transparent 5px 11px);
  font-size: 0.8125rem;
  line-height: 1.25;
}

@media (max-width: 899px) {
  .rail {
    padding: 0;
    border-right: 0;
    border-bottom: 1px solid var(--line);
    overflow-x: auto;
  }

  .total {
    position: sticky;
    left: 0;
    width: max-content;
    padding: 6px 12px 0;
  }

  ol {
    display: flex;
    align-items: stretch;
    width: max-content;
  }

  .stop {
    width: auto;
    padding-right: 12px;
    white-space: nowrap;
  }

  .stop::before {
    display: none;
  }

  .crossing {
    align-self: center;
    width: 14px;
    height: 34px;
    margin: 0 4px;
    padding: 0;
    overflow: hidden;
    border-inline: 3px double var(--ink);
    border-block: 0;
    color: transparent;
    font-size: 0.0625rem;
  }
}

@media (max-height: 480px) and (max-width: 899px) {
  .total {
    display: none;
  }
}
</style>
