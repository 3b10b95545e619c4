<script setup lang="ts">
import { computed } from 'vue'
import { RouterLink } from 'vue-router'
import { usePlacesLeft } from '../places/usePlacesLeft.ts'
import { t } from './words.ts'

const { enclosureId } = defineProps<{ enclosureId: string }>()
const places = usePlacesLeft()
const waits = computed(() => places.left.get(enclosureId))
</script>

<template>
  <RouterLink
    v-if="waits"
    class="empty waits"
    role="gridcell"
    :to="{ name: 'enclosure', params: { id: enclosureId } }"
  >
    {{ waits.leaves === 'toClean' ? t('toClean') : t('oldFloorToKeep') }}
    <span>{{ places.leftBy(enclosureId) }}</span>
  </RouterLink>
  <div v-else class="empty" role="gridcell">{{ t('empty') }}</div>
</template>

<style scoped>
.empty {
  min-height: 110px;
  padding: 8px;
  border: 1px dashed var(--edge);
  border-bottom: 0;
  background: none;
  color: var(--soft);
  font-size: 0.8125rem;
  text-align: left;
}

.waits {
  display: grid;
  align-content: start;
  border: 3px double var(--held);
  border-bottom: 0;
  color: var(--ink);
  font-weight: 600;
  text-decoration: none;
}

span {
  color: var(--soft);
  font-weight: 400;
}
</style>
