<script setup lang="ts">
import { may } from '@kobrin/contract'
import { RouterLink } from 'vue-router'
import { usePeople } from '../people/usePeople.ts'
import { useSite } from '../site/useSite.ts'
import { t } from './partWords.ts'

/** A house in which nobody lives yet: what to do first. */
const people = usePeople()
const site = useSite()
</script>

<template>
  <section class="begin">
    <p>{{ t('nobodyLivesHereYet') }}</p>
    <ol>
      <li v-if="may(people.role, 'editPlaces')">
        <RouterLink :to="{ name: 'places' }">{{ t('writeDownTheBuilding') }}</RouterLink>
        <span class="quiet">{{ t('roomsBaysBoxes', { count: site.standing.length }) }}</span>
      </li>
      <li v-if="may(people.role, 'editPeople')">
        <RouterLink :to="{ name: 'people' }">{{ t('nameWhoWorksHere') }}</RouterLink>
      </li>
      <li v-if="people.maySay({ kind: 'registered' })">
        <RouterLink :to="{ name: 'newResident' }">{{ t('putOnRecordWho') }}</RouterLink>
      </li>
    </ol>
  </section>
</template>

<style scoped>
.begin {
  display: grid;
  gap: 10px;
  max-width: 560px;
  padding: 10px 0;
}

ol {
  padding-left: 22px;
  list-style: decimal;
}

li {
  padding: 8px 0;
}

a {
  margin-right: 8px;
  font-weight: 700;
}
</style>
