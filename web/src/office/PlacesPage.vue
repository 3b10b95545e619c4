<script setup lang="ts">
import type { Bay, Room } from '@kobrin/contract'
import { may, OFFICE_ROUTES } from '@kobrin/contract'
import Button from 'primevue/button'
import { computed, shallowRef } from 'vue'
import { RouterLink } from 'vue-router'
import '../app/page.css'
import Wrong from '../fields/Wrong.vue'
import { usePeople } from '../people/usePeople.ts'
import { useSite } from '../site/useSite.ts'
import { call } from '../api/call.ts'
import { useSending } from '../api/queries.ts'
import { words } from '../words/en.ts'
import { sayRangeIn } from '../words/measures.ts'
import NewBayForm from './NewBayForm.vue'
import OfficeTabs from './OfficeTabs.vue'
import OrderButtons from './OrderButtons.vue'
import RoomDialog from './RoomDialog.vue'
import { t } from './words.ts'

const site = useSite()
const people = usePeople()
/** Whose dialog is open; `new` for none yet. */
const open = shallowRef<Room | 'new' | null>(null)

const rooms = computed(() =>
  [...site.rooms.values()].sort((a, b) => a.order - b.order).map((room) => ({ room, bays: baysOf(room) })),
)

function baysOf({ id }: Room): Bay[] {
  return [...site.bays.values()].filter(({ roomId }) => roomId === id).sort((a, b) => a.order - b.order)
}

function boxesIn({ id }: Bay): number {
  return [...site.enclosures.values()].filter(({ bayId, retired }) => bayId === id && !retired).length
}

const putting = useSending(({ id, at, what }: { id: string; at: number; what: 'putRoom' | 'putBay' }) =>
  call(OFFICE_ROUTES[what], { params: { id }, body: { at } }),
)
</script>

<template>
  <main class="reading">
    <header>
      <h1>{{ t('places') }}</h1>
      <OfficeTabs />
      <p class="quiet">{{ t('inTheOrderOf') }}</p>
    </header>
    <p v-if="!may(people.role, 'editPlaces')" class="ask">{{ t('onlySeniors') }}</p>
    <template v-else>
      <Wrong :says="putting.complaint.value" />
      <p v-if="rooms.length === 0" class="ask">{{ t('beginWithARoom') }}</p>
      <section v-for="({ room, bays }, index) in rooms" :key="room.id" class="block narrow">
        <h2 class="row">
          {{ room.name }}
          <span class="quiet"
            >{{ words.barrier[room.barrier]
            }}{{ room.celsius ? ` · ${t('air', { range: sayRangeIn(room.celsius, '°C') })}` : '' }}</span
          >
          <span class="row tools">
            <OrderButtons
              :name="room.name"
              :at="index"
              :of="rooms.length"
              @put="(at) => putting.send({ id: room.id, at, what: 'putRoom' })"
            />
            <Button
              severity="secondary"
              :aria-label="t('changeRoom', { name: room.name })"
              @click="open = room"
              >{{ t('change') }}</Button
            >
          </span>
        </h2>
        <ul>
          <li v-for="(bay, at) in bays" :key="bay.id" class="row">
            <RouterLink :to="{ name: 'bay', params: { id: bay.id } }">{{ bay.name }}</RouterLink>
            <span class="quiet">{{ t('boxes', { count: boxesIn(bay) }) }}</span>
            <span v-if="bay.barrier !== null" class="quiet">{{ words.barrier[bay.barrier] }}</span>
            <span class="row tools">
              <OrderButtons
                :name="bay.name"
                :at="at"
                :of="bays.length"
                @put="(to) => putting.send({ id: bay.id, at: to, what: 'putBay' })"
              />
            </span>
          </li>
        </ul>
        <NewBayForm :room="room" />
      </section>
      <Button class="new" @click="open = 'new'">{{ t('newRoom') }}</Button>
      <RoomDialog
        v-if="open"
        :room="open === 'new' ? null : open"
        :is-empty="open !== 'new' && baysOf(open).length === 0"
        @close="open = null"
      />
    </template>
  </main>
</template>

<style scoped>
.tools {
  margin-left: auto;
}

.new {
  justify-self: start;
}

h2 .quiet {
  font-weight: 400;
  font-size: 0.875rem;
}
</style>
