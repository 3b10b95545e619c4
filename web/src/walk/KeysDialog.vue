<script setup lang="ts">
import AppDialog from '../app/AppDialog.vue'
import { KEYS } from './keys.ts'
import { t } from './partWords.ts'

const emit = defineEmits<{ close: [] }>()
</script>

<template>
  <AppDialog :title="t('keys2')" @close="emit('close')">
    <dl class="keys">
      <template v-for="[keys, what] in KEYS" :key="keys">
        <dt>
          <kbd>{{ keys }}</kbd>
        </dt>
        <dd>{{ what }}</dd>
      </template>
    </dl>
    <p class="quiet">{{ t('touchABoxAs') }}</p>
  </AppDialog>
</template>

<style scoped>
.keys {
  display: grid;
  grid-template-columns: auto 1fr;
  gap: 6px 14px;
  align-items: baseline;
}
</style>
