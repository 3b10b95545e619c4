<script setup lang="ts">
import ContextMenu from 'primevue/contextmenu'
import type { MenuItem } from 'primevue/menuitem'
import { computed, useTemplateRef } from 'vue'
import { useOffered } from '../exceptions/useOffered.ts'

/** Everything that can be said about a resident besides "as planned", at the pointer. */
const { residentId } = defineProps<{ residentId: string }>()
const emit = defineEmits<{ say: [key: string] }>()
const menu = useTemplateRef<{ show: (event: Event) => void }>('menu')
const offered = useOffered(() => residentId)
const items = computed<MenuItem[]>(() =>
  offered.value.map(({ key, label }) => ({ key, label, command: () => emit('say', key) })),
)

defineExpose({ show: (event: Event) => menu.value?.show(event) })
</script>

<template>
  <ContextMenu ref="menu" :model="items">
    <template #item="{ item, props }">
      <a class="one" v-bind="props.action"
        ><span>{{ item.label }}</span> <kbd>{{ item.key }}</kbd></a
      >
    </template>
  </ContextMenu>
</template>

<style scoped>
.one {
  justify-content: space-between;
}
</style>
