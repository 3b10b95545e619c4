<script setup lang="ts">
import type { StandingBox } from '@kobrin/core'
import { ArrowDown, ArrowLeft, ArrowRight, ArrowUp } from '@lucide/vue'
import Button from 'primevue/button'
import { computed } from 'vue'
import SureNumber from '../fields/SureNumber.vue'
import { useResidents } from '../residents/useResidents.ts'
import type { BayWork } from './useBay.ts'
import { t } from './words.ts'

const SIDES = [
  { side: 'widthMm', label: t('width') },
  { side: 'depthMm', label: t('depth') },
  { side: 'heightMm', label: t('height') },
] as const

/** The box in hand. */
const { box, work } = defineProps<{
  box: StandingBox
  work: BayWork
}>()
const residents = useResidents()
const living = computed(() => residents.livingIn(box.id).map(({ name }) => name))
</script>

<template>
  <fieldset class="box">
    <legend>{{ t('boxInHand') }}</legend>
    <div class="pair">
      <SureNumber
        v-for="{ side, label } in SIDES"
        :key="side"
        :model-value="box[side]"
        :label="label"
        unit="mm"
        whole
        @update:model-value="work.resize({ [side]: $event })"
      />
    </div>
    <div class="row">
      <Button severity="secondary" :aria-label="t('left')" @click="work.nudge({ column: -1 })"
        ><ArrowLeft aria-hidden="true"
      /></Button>
      <Button severity="secondary" :aria-label="t('right')" @click="work.nudge({ column: 1 })"
        ><ArrowRight aria-hidden="true"
      /></Button>
      <Button severity="secondary" :aria-label="t('up')" @click="work.nudge({ shelf: -1 })"
        ><ArrowUp aria-hidden="true"
      /></Button>
      <Button severity="secondary" :aria-label="t('down')" @click="work.nudge({ shelf: 1 })"
        ><ArrowDown aria-hidden="true"
      /></Button>
      <Button severity="secondary" @click="work.copy()">{{ t('oneMore') }}</Button>
      <Button severity="secondary" :disabled="living.length > 0" @click="work.takeAway()">{{
        t('takeBoxAway')
      }}</Button>
    </div>
    <p v-if="living.length > 0" class="quiet">{{ t('livesHere', { names: living.join(', ') }) }}</p>
    <p class="quiet">{{ t('byKeys') }}</p>
  </fieldset>
</template>

<style scoped>
.box {
  display: grid;
  gap: 8px;
}
</style>
