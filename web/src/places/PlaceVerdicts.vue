<script setup lang="ts">
import { kindOf } from '@kobrin/core'
import Button from 'primevue/button'
import { computed, shallowRef } from 'vue'
import { v7 as newUid } from 'uuid'
import { useRecord } from '../entries/useRecord.ts'
import SchemaForm from '../fields/SchemaForm.vue'
import TextField from '../fields/TextField.vue'
import { useSite } from '../site/useSite.ts'
import { usePeople } from '../people/usePeople.ts'
import Because from '../words/Because.vue'
import { sayVerdict } from '../words/cell.ts'
import { useTeller } from '../words/useTeller.ts'
import { usePlacesLeft } from './usePlacesLeft.ts'
import { t } from './words.ts'

/** What a place waits for since somebody moved out, and what closes it. */
const { enclosureId } = defineProps<{ enclosureId: string }>()
const record = useRecord()
const people = usePeople()
const site = useSite()
const places = usePlacesLeft()
const teller = useTeller()
const at = shallowRef('')
const verdicts = computed(() => places.verdictsOf(enclosureId))
const waits = computed(() => record.waitingPlaces.get(enclosureId))
const name = computed(() => site.placeName(enclosureId))

function cleaned(): void {
  record.keep(
    [{ subject: enclosureId, kind: 'readied', payload: { floor: 'cleaned' } }],
    t('cleaned', { name: name.value }),
  )
}

const kept = kindOf('floorKept').payload
const floor = () => ({ of: waits.value?.resident ?? '', at: at.value.trim(), from: enclosureId })

function keepFloor(): void {
  record.keep(
    [
      { subject: newUid(), kind: 'floorKept', payload: floor() },
      { subject: enclosureId, kind: 'readied', payload: { floor: 'kept' } },
    ],
    t('oldFloorKept', { name: name.value }),
    { together: true },
  )
}
</script>

<template>
  <section v-for="verdict in verdicts" :key="verdict.what.code" class="block">
    <h2>{{ sayVerdict(verdict, teller) }}</h2>
    <p v-if="waits" class="quiet">{{ places.leftBy(enclosureId) }}.</p>
    <Because :reasons="verdict.because" :label="sayVerdict(verdict, teller)" />
    <SchemaForm v-if="people.mayWrite" :schema="kept" :sends="floor" @keep="keepFloor">
      <Button @click="cleaned">{{ t('itIsCleaned') }}</Button>
      <TextField v-model="at" name="at" :label="t('oldFloorKeptAt')" maxlength="120" />
      <Button type="submit" severity="secondary">{{ t('floorIsKept') }}</Button>
    </SchemaForm>
  </section>
</template>
