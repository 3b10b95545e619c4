<script setup lang="ts">
import { quarantineOn } from '@kobrin/core'
import Button from 'primevue/button'
import { computed } from 'vue'
import { RouterLink } from 'vue-router'
import '../app/page.css'
import { useRecord } from '../entries/useRecord.ts'
import { usePlans } from '../plans/usePlans.ts'
import { useResidents } from '../residents/useResidents.ts'
import { useSite } from '../site/useSite.ts'
import { useToday } from '../time/useToday.ts'
import { care } from '../words/care.ts'
import { sayDate } from '../words/numbers.ts'
import { doorCardOf } from './doorCard.ts'
import { t } from './words.ts'

const { id } = defineProps<{ id: string }>()
const site = useSite()
const plans = usePlans()
const residents = useResidents()
const record = useRecord()
const today = useToday()

const cards = computed(() =>
  residents.livingIn(id).flatMap((resident) => {
    const plan = plans.planOf(resident)
    const sheet = site.species.get(resident.sheet)
    if (!sheet) return []
    const { holds } = residents.dayOf(resident.id)
    const quarantine = quarantineOn(today.day, plan, record.stateOf(resident.id))
    const card = doorCardOf({ plan, sheet, quarantine, holds, today: today.day })
    return [{ resident, sheet, card, count: residents.countOf(resident.id) }]
  }),
)

function print(): void {
  window.print()
}
</script>

<template>
  <main class="reading">
    <header class="no-print">
      <h1>{{ t('doorCard') }}</h1>
      <p class="quiet">
        {{ t('cutAlongTheLine') }}
      </p>
      <Button @click="print">{{ t('print') }}</Button>
      <RouterLink :to="{ name: 'enclosure', params: { id } }">{{ t('backToTheEnclosure') }}</RouterLink>
    </header>
    <p v-if="cards.length === 0" class="good">{{ t('itStandsEmpty') }}</p>
    <article v-for="{ resident, sheet, card, count } in cards" :key="resident.id" class="card">
      <header class="head">
        <div>
          <h2>{{ resident.name }}</h2>
          <p>
            {{ sheet.common }} <i>{{ sheet.latin }}</i>
          </p>
        </div>
        <p class="where">
          {{ resident.accession }}<br />
          <template v-if="resident.lives === 'colony'">{{
            count ? t('about', { count }) : t('notCounted')
          }}</template>
        </p>
      </header>
      <ul v-if="card.stops.length > 0" class="stops">
        <li v-for="stop in card.stops" :key="stop">{{ stop }}</li>
      </ul>
      <p v-if="card.limits" class="limits">{{ card.limits }}</p>
      <ul v-if="card.cautions.length > 0" class="cautions">
        <li v-for="caution in card.cautions" :key="caution">{{ caution }}</li>
      </ul>
      <p v-if="card.never.length > 0">
        <strong>{{ t('never') }}</strong> {{ card.never.join('; ') }}
      </p>
      <section v-if="card.urgent.length > 0" class="urgent">
        <h3>{{ t('nobodyWaitsWithThese') }}</h3>
        <dl>
          <template v-for="{ sign, first } in card.urgent" :key="sign">
            <dt>{{ sign }}</dt>
            <dd>{{ first }}</dd>
          </template>
        </dl>
      </section>
      <footer>
        <p>{{ care.trusted }}</p>
        <p>{{ t('asOf', { place: site.placeName(id), date: sayDate(today.day, today.day) }) }}</p>
      </footer>
    </article>
  </main>
</template>

<style scoped>
.card {
  display: grid;
  gap: 10px;
  max-width: 640px;
  padding: 18px 20px;
  border: 2px dashed var(--edge);
  break-inside: avoid;
}

.head {
  display: flex;
  gap: 16px;
  justify-content: space-between;
}

.head h2 {
  font-size: 1.75rem;
}

.where {
  text-align: right;
  white-space: nowrap;
}

.stops {
  display: grid;
  gap: 4px;
  font-size: 1.125rem;
  font-weight: 700;
}

.stops li {
  padding: 6px 10px;
  border: 2px solid currentcolor;
}

.limits {
  color: var(--late);
  font-size: 1.125rem;
  font-weight: 700;
}

.cautions li {
  padding: 3px 0 3px 12px;
  border-left: 5px dotted var(--held);
}

.urgent h3 {
  padding-bottom: 2px;
  border-bottom: 2px solid var(--edge);
}

.urgent dt {
  padding-top: 4px;
  font-weight: 700;
}

footer {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 16px;
  justify-content: space-between;
  color: var(--soft);
  font-size: 0.8125rem;
}

@media print {
  .card {
    max-width: none;
    border-color: black;
  }
}
</style>
