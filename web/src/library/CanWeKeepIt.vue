<script setup lang="ts">
import type { Condition, Sheet } from '@kobrin/core'
import { acceptance } from '@kobrin/core'
import { computed, shallowRef } from 'vue'
import { useSite } from '../site/useSite.ts'
import { usePlans } from '../plans/usePlans.ts'
import { useToday } from '../time/useToday.ts'
import { useFreePlaces } from '../moving/useFreePlaces.ts'
import NumberField from '../fields/NumberField.vue'
import ChoiceField from '../fields/ChoiceField.vue'
import { choicesNamed } from '../fields/choicesOf.ts'
import { care } from '../words/care.ts'
import { terms } from '../words/terms.ts'
import { sayFinding } from '../words/fit.ts'
import { sayIn } from '../words/measures.ts'
import { t } from './words.ts'

const { sheet } = defineProps<{ sheet: Sheet }>()
const site = useSite()
const today = useToday()
const plans = usePlans()
const freePlaces = useFreePlaces()
const stage = shallowRef(sheet.stages.at(-1)?.id ?? '')
/** How many would come, of those kept in numbers. */
const count = shallowRef<number | null>(null)

const conditions = computed<Condition[]>(() => {
  const plan = plans.planForNewcomer(sheet, stage.value)
  if (!plan) return []
  const free = freePlaces.value.flatMap(({ id }) => {
    const box = site.enclosures.get(id)
    const room = box && site.bays.get(box.bayId)?.roomId
    return box && room ? [{ id, room, box, build: box.build }] : []
  })
  const means = {
    rooms: [...site.rooms.values()],
    free,
    people: [...site.people.values()],
    count: count.value ?? undefined,
  }
  return acceptance(sheet, plan, means, today.day)
})

const roomNames = (ids: readonly string[]) => ids.map((id) => site.rooms.get(id)?.name ?? '').join(', ')

function says(condition: Condition): string {
  switch (condition.about) {
    case 'room': {
      const { fitting, unread, ceiling, neverBelow } = condition
      const above = neverBelow === null ? '' : t('aboveCAnd', { neverBelow: sayIn(neverBelow, '°C') })
      const limit = ceiling === null ? '' : t('belowCAllYear', { above, ceiling: sayIn(ceiling, '°C') })
      if (fitting.length > 0)
        return t('heatStays', { roomNames: roomNames(fitting), count: fitting.length, limit })
      return unread.length > 0
        ? t('heatNoRoomIs', { limit, roomNames: roomNames(unread) })
        : t('heatNoRoomStays', { limit })
    }
    case 'place':
      return condition.ready.length > 0
        ? t('spaceStandsReady', { ready: condition.ready.map((id) => site.placeName(id)).join('; ') })
        : t('spaceNoEnclosureStands')
    case 'competence':
      return condition.people.length > 0
        ? t('competenceIn', {
            competence: condition.competence,
            people: condition.people.map((id) => site.nameOf(id)).join(', '),
          })
        : t('nobodyHereIsCleared', { competence: condition.competence })
    case 'people':
      return t('twoPeopleAtA', { has: condition.has, needs: condition.needs })
    case 'quarantine':
      return t('quarantineDaysAtLeast', { count: condition.days })
    case 'licence':
      return condition.reminder
  }
}

const answer = computed(() => {
  const gravest = conditions.value[0]?.severity
  if (gravest === 'act' || gravest === 'urgent') return t('notYet')
  return gravest === 'watch' ? t('yesWhenThisIs') : t('yes')
})
</script>

<template>
  <section class="block">
    <h2>{{ t('canWeKeepThis') }}</h2>
    <div class="row">
      <strong role="status">{{ answer }}</strong>
      <ChoiceField
        v-if="sheet.stages.length > 1"
        v-model="stage"
        class="no-print"
        :label="t('as')"
        :options="choicesNamed(sheet.stages)"
      />
      <NumberField
        v-if="sheet.lives === 'colony'"
        v-model="count"
        class="no-print"
        :label="t('howManyCome')"
        whole
      />
    </div>
    <ul>
      <li v-for="condition in conditions" :key="condition.about" :class="condition.severity">
        {{ says(condition) }}
        <ul v-if="condition.about === 'place' && condition.ready.length === 0" class="nearly">
          <li v-for="place in condition.nearly" :key="place.id">
            {{ site.placeName(place.id) }}:
            {{ place.findings.map((finding) => sayFinding(finding).what).join('; ') }}
          </li>
        </ul>
        <span class="hidden-text">{{ terms.severity[condition.severity] }}</span>
      </li>
    </ul>
    <p class="quiet">{{ care.trusted }}</p>
  </section>
</template>

<style scoped>
.nearly {
  color: var(--soft);
  font-size: 0.875rem;
}
</style>
