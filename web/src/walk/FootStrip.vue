<script setup lang="ts">
import Button from 'primevue/button'
import { computed } from 'vue'
import UndoStrip from '../app/UndoStrip.vue'
import { useHandling } from '../app/useHandling.ts'
import { sayRange } from '../words/numbers.ts'
import { sayIn } from '../words/measures.ts'
import { usePrep } from './usePrep.ts'
import { t } from './partWords.ts'

const emit = defineEmits<{ keys: []; prep: [] }>()

const SHOWN = 4

const { letters } = useHandling()

const prep = usePrep()
const items = computed(() =>
  prep.rest.carry.slice(0, SHOWN).map(({ item, size, count, grams }) => ({
    amount: count[1] > 0 ? sayRange(count) : sayIn(Math.round(grams[1]), 'g'),
    name: `${item}${size ? ` ${size}` : ''}`,
  })),
)
const more = computed(() => Math.max(0, prep.rest.carry.length - SHOWN))
</script>

<template>
  <footer class="foot">
    <UndoStrip />
    <Button severity="secondary" variant="text" class="carry" @click="emit('prep')">
      <span class="lead">{{ t('stillToCarry') }}</span>
      <span v-for="{ amount, name } in items" :key="name"
        ><strong>{{ amount }}</strong> {{ name }}</span
      >
      <span v-if="more > 0">{{ t('andMore', { more }) }}</span>
      <span v-if="items.length === 0">{{ t('nothing') }}</span>
    </Button>
    <Button severity="secondary" variant="text" class="keys" @click="emit('keys')">
      <template v-if="letters">
        <kbd>←↑↓→</kbd> {{ t('move') }} <kbd>f</kbd> {{ t('shelf') }} <kbd>/</kbd> {{ t('find') }}
        <kbd>?</kbd> {{ t('keys') }}
      </template>
      <template v-else>{{ t('keys2') }}</template>
    </Button>
  </footer>
</template>

<style scoped>
.foot {
  display: flex;
  align-items: center;
  gap: 18px;
  min-height: 46px;
  padding: 5px 18px;
  border-top: 2px solid var(--ink);
  background: var(--paper);
}

.carry,
.keys {
  min-height: 36px;
  color: var(--soft);
  font-weight: 400;
  text-align: left;
}

.carry {
  display: flex;
  min-width: 0;
  justify-content: flex-start;
  gap: 0 14px;
  overflow: hidden;
  white-space: nowrap;
}

.carry strong {
  color: var(--ink);
}

.keys {
  flex: none;
  margin-left: auto;
  font-size: 0.875rem;
}

@media (max-width: 899px) {
  .foot {
    flex-wrap: wrap;
    gap: 2px 10px;
    padding: 4px 10px;
  }

  .keys {
    display: none;
  }
}

@media (max-height: 480px) {
  .foot {
    min-height: 0;
    padding-block: 0;
  }
}
</style>
