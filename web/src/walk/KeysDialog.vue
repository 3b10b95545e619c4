<script setup lang="ts">
import AppDialog from '../app/AppDialog.vue'
import { KEYS } from './keys.ts'

const emit = defineEmits<{ close: [] }>()
</script>

<template>
  <AppDialog title="Keys" @close="emit('close')">
    <dl class="keys">
      <template v-for="[keys, what] in KEYS" :key="keys">
        <dt>
          <kbd>{{ keys }}</kbd>
        </dt>
        <dd>{{ what }}</dd>
      </template>
    </dl>
    <p class="quiet">Touch a box: as planned. Touch its label, hold, or right-click: everything else.</p>
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
