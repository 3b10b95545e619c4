<script setup lang="ts">
import ContextMenu from 'primevue/contextmenu'
import type { MenuItem } from 'primevue/menuitem'
import { shallowRef, useTemplateRef } from 'vue'
import { useOffered } from '../exceptions/useOffered.ts'

/** Everything that can be said about a resident besides "as planned", at the pointer. */
const { residentId } = defineProps<{ residentId: string }>()
const emit = defineEmits<{ say: [key: string] }>()
const menu = useTemplateRef<{ show: (event: Event) => void }>('menu')
const offered = useOffered(() => residentId)
/** Worked out when it is asked for, and not with every touch of the board. */
const items = shallowRef<MenuItem[]>([])

function show(event: Event): void {
  items.value = offered.value.map(({ key, label }) => ({ key, label, command: () => emit('say', key) }))
  menu.value?.show(event)
}

defineExpose({ show })
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
