<script setup lang="ts">
import { onMounted, useTemplateRef } from 'vue'

const { title } = defineProps<{ title: string }>()
const emit = defineEmits<{ close: [] }>()
const dialog = useTemplateRef<HTMLDialogElement>('dialog')

onMounted(() => dialog.value?.showModal())

function onBackdrop(event: MouseEvent): void {
  if (event.target === dialog.value) emit('close')
}
</script>

<template>
  <dialog
    ref="dialog"
    class="dialog"
    :aria-label="title"
    @close="emit('close')"
    @click="onBackdrop"
    @keydown.stop
  >
    <div class="inside">
      <div class="title">
        <h2>{{ title }}</h2>
        <button type="button" class="plain" aria-label="Close" @click="emit('close')">✕</button>
      </div>
      <slot />
    </div>
  </dialog>
</template>

<style scoped>
.dialog {
  width: min(640px, calc(100vw - 24px));
  max-height: min(760px, calc(100dvh - 24px));
  padding: 0;
  border: 2px solid var(--ink);
  border-radius: 4px;
  background: var(--paper);
  color: var(--ink);
}

.dialog::backdrop {
  background: var(--scrim);
}

.inside {
  display: grid;
  gap: 12px;
  padding: 16px;
}

.title {
  display: flex;
  align-items: center;
  justify-content: space-between;
}
</style>
