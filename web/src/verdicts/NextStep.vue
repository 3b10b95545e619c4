<script setup lang="ts">
import type { Verdict } from '@kobrin/core'
import { adviceOn } from '@kobrin/core'
import { computed } from 'vue'
import { usePlans } from '../plans/usePlans.ts'
import { useResidents } from '../residents/useResidents.ts'
import { useSite } from '../site/useSite.ts'
import { sayNext } from '../words/advice.ts'
import { useVerdicts } from './useVerdicts.ts'

/** What to do next about a verdict, for this animal as it is today. */
const { verdict, residentId } = defineProps<{ verdict: Verdict; residentId: string }>()
const site = useSite()
const plans = usePlans()
const residents = useResidents()
const { verdictsOf } = useVerdicts()

const next = computed(() => {
  const resident = site.residents.get(residentId)
  if (!resident) return null
  const { holds } = residents.dayOf(residentId)
  return adviceOn(verdict, verdictsOf(residentId), { plan: plans.planOf(resident), holds })
})
</script>

<template>
  <p v-if="next" class="next">{{ sayNext(next) }}</p>
</template>

<style scoped>
.next {
  max-width: 60ch;
  font-weight: 600;
}
</style>
