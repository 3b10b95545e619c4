<script setup lang="ts">
import { choicesOf } from '../fields/choicesOf.ts'
import OneOf from '../fields/OneOf.vue'
import TextField from '../fields/TextField.vue'
import type { PlaceLeft } from './placeLeft.ts'
import { t } from './words.ts'

/** What becomes of the place somebody leaves, unless others live on in it. */
const { others } = defineProps<{ others: readonly { name: string }[] }>()
const leaves = defineModel<PlaceLeft['leaves']>('leaves', { required: true })
const floorAt = defineModel<string>('floorAt', { required: true })

const LEAVES = choicesOf<PlaceLeft['leaves']>({
  toClean: t('toClean'),
  toHold: t('keepTheOldFloor'),
  nothing: t('isAlreadySeenTo'),
})
</script>

<template>
  <template v-if="others.length === 0">
    <OneOf v-model="leaves" :label="t('thePlaceItLeaves')" :options="LEAVES" />
    <TextField
      v-if="leaves === 'toHold'"
      v-model="floorAt"
      name="at"
      :label="t('whereTheFloorIs')"
      maxlength="120"
      :placeholder="t('larderLowestShelfLidded')"
    />
  </template>
  <p v-else class="quiet">
    {{ t('staysInTheOld', { others: others.map((one) => one.name).join(', ') }) }}
  </p>
</template>
