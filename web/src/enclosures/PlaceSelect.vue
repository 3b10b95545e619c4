<script setup lang="ts">
import type { Finding } from '@kobrin/core'
import { computed } from 'vue'
import { usePlacesLeft } from '../places/usePlacesLeft.ts'
import FindingList from './FindingList.vue'
import { sayFit } from './useFit.ts'

/** One of the places that stand empty, and how it is held against whoever would move in. */
const { label, places } = defineProps<{
  label: string
  places: readonly { id: string; label: string; findings: Finding[] }[]
}>()
const chosen = defineModel<string>({ required: true })
const left = usePlacesLeft()
const findings = computed(() => places.find(({ id }) => id === chosen.value)?.findings)
</script>

<template>
  <label>
    {{ label }}
    <select v-model="chosen" class="field">
      <option value="" disabled>{{ places.length }} places stand empty</option>
      <option v-for="place in places" :key="place.id" :value="place.id">
        {{ place.label }}: {{ sayFit(place.findings)
        }}{{ left.left.has(place.id) ? ', to be cleaned first' : '' }}
      </option>
    </select>
  </label>
  <FindingList v-if="findings" :findings="findings" />
</template>
