<script setup lang="ts">
import { computed, reactive, shallowRef } from 'vue'
import { v7 as newUid } from 'uuid'
import { useRecord } from '../entries/useRecord.ts'
import { useSite } from '../site/useSite.ts'
import { usePeople } from '../people/usePeople.ts'
import Because from '../words/Because.vue'
import { sayVerdict } from '../words/cell.ts'
import { useTeller } from '../words/useTeller.ts'
import { usePlacesLeft } from './usePlacesLeft.ts'

/** What a place waits for since somebody moved out, and what closes it. */
const { enclosureId } = defineProps<{ enclosureId: string }>()
const record = useRecord()
const people = usePeople()
const site = useSite()
const places = usePlacesLeft()
const teller = useTeller()
const form = reactive({ at: '' })
const complaint = shallowRef('')
const verdicts = computed(() => places.verdictsOf(enclosureId))
const waits = computed(() => record.waitingPlaces.get(enclosureId))
const name = computed(() => site.placeName(enclosureId))

function cleaned(): void {
  record.keep(
    [{ subject: enclosureId, kind: 'readied', payload: { floor: 'cleaned' } }],
    `${name.value}: cleaned`,
  )
}

function keepFloor(): void {
  const at = form.at.trim()
  const of = waits.value?.resident
  if (at === '' || of === undefined) complaint.value = 'Say where the old floor is kept.'
  else
    record.keep(
      [
        { subject: newUid(), kind: 'floorKept', payload: { of, at, from: enclosureId } },
        { subject: enclosureId, kind: 'readied', payload: { floor: 'kept' } },
      ],
      `${name.value}: old floor kept`,
      { together: true },
    )
}
</script>

<template>
  <section v-for="verdict in verdicts" :key="verdict.what.code" class="block">
    <h2>{{ sayVerdict(verdict, teller) }}</h2>
    <p v-if="waits" class="quiet">{{ places.leftBy(enclosureId) }}.</p>
    <Because :reasons="verdict.because" :label="sayVerdict(verdict, teller)" />
    <form v-if="people.mayWrite" class="form" @submit.prevent="keepFloor">
      <button type="button" class="primary" @click="cleaned">It is cleaned</button>
      <label>Old floor kept at <input v-model="form.at" class="field" maxlength="120" /></label>
      <p v-if="complaint" class="wrong" role="alert">{{ complaint }}</p>
      <button type="submit" class="plain">Floor is kept</button>
    </form>
  </section>
</template>
