<script setup lang="ts">
import { pointsOf } from '@kobrin/core'
import { computed } from 'vue'
import { useRecord } from '../entries/useRecord.ts'
import { usePlans } from '../plans/usePlans.ts'
import { useResidents } from '../residents/useResidents.ts'
import { useSite } from '../site/useSite.ts'
import { useToday } from '../time/useToday.ts'
import { sayDay } from '../words/numbers.ts'
import { sayPoint, sayValue } from '../words/readings.ts'
import { t } from './words.ts'

/** What was last read in an enclosure, and what was never. */
const { enclosureId } = defineProps<{ enclosureId: string }>()
const site = useSite()
const plans = usePlans()
const record = useRecord()
const residents = useResidents()
const today = useToday()

const lines = computed(() => {
  const read = Object.values(record.readings.get(enclosureId) ?? {})
  const [tenant] = residents.livingIn(enclosureId)
  const asked = tenant ? pointsOf(plans.planOf(tenant)) : []
  const never = asked.filter(({ zone, what }) => !read.some((one) => one.zone === zone && one.what === what))
  const beyond = tenant ? residents.dayOf(tenant.id).verdicts.map(({ what }) => what) : []
  return [
    ...read.map(({ zone, what, value, day, by }) => ({
      point: sayPoint({ zone, what }),
      told: `${sayValue(what, value)}, ${sayDay(day, today.day)}, ${site.nameOf(by)}`,
      harms: beyond.some(
        (one) => one.code === 'reading' && one.harms && one.zone === zone && one.what === what,
      ),
    })),
    ...never.map((point) => ({ point: sayPoint(point), told: t('notReadYet'), harms: false })),
  ]
})
</script>

<template>
  <section v-if="lines.length > 0" class="block">
    <h2>{{ t('readThere') }}</h2>
    <dl class="facts">
      <template v-for="{ point, told, harms } in lines" :key="point">
        <dt>{{ point }}</dt>
        <dd :class="{ harms }">{{ told }}{{ harms ? t('itHarms') : '' }}</dd>
      </template>
    </dl>
  </section>
</template>

<style scoped>
.harms {
  color: var(--late);
  font-weight: 700;
}
</style>
