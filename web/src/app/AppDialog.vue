<script setup lang="ts">
import Dialog from 'primevue/dialog'
import { shallowRef } from 'vue'

/** Something that is looked at before going on; it goes by its cross, by Escape and by a touch beside it. */
const { title, at = 'center' } = defineProps<{ title: string; at?: 'center' | 'top' }>()
const emit = defineEmits<{ close: [] }>()
const visible = shallowRef(true)
</script>

<template>
  <Dialog
    v-model:visible="visible"
    class="dialog"
    :header="title"
    :position="at"
    :draggable="false"
    modal
    dismissable-mask
    :pt="{ content: { tabindex: 0 } }"
    @after-hide="emit('close')"
  >
    <div class="inside"><slot /></div>
  </Dialog>
</template>

<style>
.dialog {
  width: min(640px, calc(100vw - 24px));
  max-height: min(760px, calc(100dvh - 24px));
}
</style>

<style scoped>
.inside {
  display: grid;
  gap: 12px;
}
</style>
