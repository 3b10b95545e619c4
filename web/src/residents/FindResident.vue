<script setup lang="ts">
import type { AutoCompleteCompleteEvent, AutoCompleteOptionSelectEvent } from 'primevue/autocomplete'
import AutoComplete from 'primevue/autocomplete'
import { shallowRef, watch } from 'vue'
import { useRouter } from 'vue-router'
import AppDialog from '../app/AppDialog.vue'
import { terms } from '../words/terms.ts'
import LongGone from './LongGone.vue'
import type { Findable } from './search.ts'
import { findResidents } from './search.ts'
import { useFindable } from './useFindable.ts'
import { t } from './words.ts'

const emit = defineEmits<{ close: [] }>()
const router = useRouter()
const everyone = useFindable()
const query = shallowRef<string | Findable>('')
const found = shallowRef<Findable[]>([])

const SHOWN = 8

function find({ query: asked }: AutoCompleteCompleteEvent): void {
  found.value = findResidents(asked, everyone.value).slice(0, SHOWN)
}

/** One that was fetched since may be the one somebody looks for. */
watch(everyone, (all) => {
  if (typeof query.value === 'string') found.value = findResidents(query.value, all).slice(0, SHOWN)
})

function open({ resident }: Findable): void {
  emit('close')
  void router.push({ name: 'record', params: { id: resident.id } })
}

/** Enter before the list has come opens the one nearest to what was typed. */
function openNearest(): void {
  const [first] = typeof query.value === 'string' ? findResidents(query.value, everyone.value) : []
  if (first && query.value !== '') open(first)
}
</script>

<template>
  <AppDialog :title="t('findAResident')" at="top" @close="emit('close')">
    <!-- Above the field: what is found lies over all that is below it. -->
    <LongGone />
    <AutoComplete
      v-model="query"
      :suggestions="found"
      :option-label="({ resident }: Findable) => resident.name"
      :delay="0"
      :aria-label="terms.findPlaceholder"
      :placeholder="terms.findPlaceholder"
      :empty-search-message="terms.foundNobody"
      :pt="{ pcInputText: { root: { autofocus: true, autocomplete: 'off' } } }"
      scroll-height="60vh"
      auto-option-focus
      fluid
      @complete="find"
      @option-select="({ value }: AutoCompleteOptionSelectEvent) => open(value as Findable)"
      @keydown.enter="openNearest"
    >
      <template #option="{ option: { resident, species, place } }">
        <div class="one">
          <strong>{{ resident.name }}</strong>
          <span class="quiet">{{ species }} · {{ resident.accession }} · {{ place }}</span>
        </div>
      </template>
    </AutoComplete>
  </AppDialog>
</template>

<style scoped>
.one {
  display: grid;
  min-height: 30px;
}
</style>
