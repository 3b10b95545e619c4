<script setup lang="ts">
import AppDialog from '../app/AppDialog.vue'
import HandlingTicks from '../people/HandlingTicks.vue'
import { useHandling } from '../app/useHandling.ts'
import { KEYS } from './keys.ts'
import { t } from './partWords.ts'

const emit = defineEmits<{ close: [] }>()
const { letters } = useHandling()
</script>

<template>
  <AppDialog :title="t('keys2')" @close="emit('close')">
    <HandlingTicks />
    <dl class="keys" :class="{ off: !letters }">
      <template v-for="[keys, what] in KEYS" :key="keys">
        <dt>
          <kbd class="always">{{ keys }}</kbd>
        </dt>
        <dd>{{ what }}</dd>
      </template>
    </dl>
  </AppDialog>
</template>

<style scoped>
.keys.off {
  color: var(--soft);
}

.keys {
  display: grid;
  grid-template-columns: auto 1fr;
  gap: 6px 14px;
  align-items: baseline;
}

@media (min-width: 640px) {
  .keys {
    grid-template-columns: auto 1fr auto 1fr;
  }
}
</style>
