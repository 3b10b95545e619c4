<script setup lang="ts">
import { computed, shallowRef, watch } from 'vue'
import { useRouter } from 'vue-router'
import AppDialog from '../app/AppDialog.vue'
import { terms } from '../words/terms.ts'
import { findResidents } from './search.ts'
import { useFindable } from './useFindable.ts'

const emit = defineEmits<{ close: [] }>()
const router = useRouter()
const everyone = useFindable()
const query = shallowRef('')
const at = shallowRef(0)

const SHOWN = 8

const found = computed(() =>
  query.value.trim() === '' ? [] : findResidents(query.value, everyone.value).slice(0, SHOWN),
)
watch(query, () => (at.value = 0))

function open(id: string | undefined): void {
  if (!id) return
  emit('close')
  void router.push({ name: 'record', params: { id } })
}

function move(by: number): void {
  at.value = Math.max(0, Math.min(found.value.length - 1, at.value + by))
}
</script>

<template>
  <AppDialog title="Find a resident" @close="emit('close')">
    <input
      v-model="query"
      class="field"
      type="search"
      role="combobox"
      aria-controls="found"
      :aria-expanded="found.length > 0"
      :aria-activedescendant="found[at] ? `found-${at}` : undefined"
      :aria-label="terms.findPlaceholder"
      :placeholder="terms.findPlaceholder"
      autofocus
      @keydown.down.prevent="move(1)"
      @keydown.up.prevent="move(-1)"
      @keydown.enter.prevent="open(found[at]?.resident.id)"
      @keydown.esc.prevent="emit('close')"
    />
    <ul id="found" role="listbox" aria-label="Found">
      <li
        v-for="({ resident, species, place }, index) in found"
        :id="`found-${index}`"
        :key="resident.id"
        role="option"
        :aria-selected="index === at"
        @click="open(resident.id)"
      >
        <strong>{{ resident.name }}</strong>
        <span class="quiet">{{ species }} · {{ resident.accession }} · {{ place }}</span>
      </li>
    </ul>
    <p v-if="query.trim() !== '' && found.length === 0" class="quiet">
      Nobody by that name, number, species or place.
    </p>
  </AppDialog>
</template>

<style scoped>
li {
  min-height: 44px;
  padding: 10px;
  border-bottom: 1px solid var(--line);
  cursor: pointer;
}

[aria-selected='true'] {
  background: var(--wash);
  box-shadow: inset 5px 0 0 var(--focus);
}
</style>
