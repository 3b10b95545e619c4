<script setup lang="ts">
import Drawer from 'primevue/drawer'

/** Beside the board; where there is no room for that it comes from below. The strip under the board stays in sight,
 * for it takes back. */
const { narrow, stripPx } = defineProps<{ narrow: boolean; stripPx: number }>()
const open = defineModel<boolean>('open', { required: true })

// Only a click: the lift of the finger whose hold opened it is none.
function touchedBeside({ target, currentTarget }: Event): void {
  if (target === currentTarget) open.value = false
}
</script>

<template>
  <Drawer
    v-if="narrow"
    v-model:visible="open"
    position="bottom"
    class="panelDrawer"
    :dismissable="false"
    :pt="{ mask: { class: 'overBoard', style: { '--strip': `${stripPx}px` }, onClick: touchedBeside } }"
  >
    <template #container><slot /></template>
  </Drawer>
  <div v-else class="beside"><slot /></div>
</template>

<style scoped>
.beside {
  display: grid;
  min-height: 0;
}
</style>

<style>
.overBoard {
  height: calc(100% - var(--strip)) !important;
}

.overBoard .panelDrawer.p-drawer {
  height: auto;
  max-height: 84%;
  border: 0;
}
</style>
