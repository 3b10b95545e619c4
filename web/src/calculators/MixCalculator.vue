<script setup lang="ts">
import { MATERIALS, mix, withUsual } from '@kobrin/core'
import Button from 'primevue/button'
import { computed, reactive } from 'vue'
import { sayIn } from '../words/measures.ts'
import { tidy } from './tidy.ts'
import CalculatorFrame from './CalculatorFrame.vue'
import ChoiceField from '../fields/ChoiceField.vue'
import { choicesFrom } from '../fields/choicesOf.ts'
import SureNumber from '../fields/SureNumber.vue'
import { t } from './words.ts'

const { box, recipe } = defineProps<{
  /** Starts from an enclosure and a sheet's recipe where it stands beside them. */
  box?: { widthMm: number; depthMm: number }
  recipe?: readonly { material: string; parts: number }[] | undefined
}>()

const bed = reactive({
  lengthMm: box?.widthMm ?? 1200,
  widthMm: box?.depthMm ?? 600,
  depthMm: 80,
  deepMm: 120,
  settling: 10,
  otherKg: 20,
  shelfLimitKg: 200,
})
const PACK_LITRES = 20
const USUAL = [
  { material: 'topsoil', parts: 3 },
  { material: 'sand', parts: 2 },
]
const parts = reactive((recipe ?? USUAL).map((part) => ({ ...part, packLitres: PACK_LITRES })))
const materials = choicesFrom(Object.keys(MATERIALS))

const made = computed(() =>
  mix({
    ...bed,
    settling: bed.settling / 100,
    parts: parts.flatMap((part) => withUsual(part) ?? []),
  }),
)
</script>

<template>
  <CalculatorFrame
    class="tall"
    :title="t('mixAFloor')"
    :formula="t('litresLengthWidthMean')"
    :careful="t('wetSoilIsHeavy')"
  >
    <div class="pair">
      <SureNumber v-model="bed.lengthMm" :label="t('length')" unit="mm" />
      <SureNumber v-model="bed.widthMm" :label="t('width')" unit="mm" />
      <SureNumber v-model="bed.depthMm" :label="t('depthShallowEnd')" unit="mm" />
      <SureNumber v-model="bed.deepMm" :label="t('deepEnd')" unit="mm" />
      <SureNumber v-model="bed.settling" :label="t('settles')" unit="%" />
      <SureNumber v-model="bed.otherKg" :label="t('everythingElse')" unit="kg" />
      <SureNumber v-model="bed.shelfLimitKg" :label="t('shelfHolds')" unit="kg" />
    </div>
    <div v-for="(part, index) in parts" :key="index" class="pair">
      <ChoiceField v-model="part.material" :label="t('material')" :options="materials" />
      <SureNumber v-model="part.parts" :label="t('parts')" />
      <SureNumber v-model="part.packLitres" :label="t('bagOrBrick')" unit="l" />
      <Button
        severity="secondary"
        :aria-label="t('leaveOut', { material: part.material })"
        @click="parts.splice(index, 1)"
      >
        {{ t('leaveOut2') }}
      </Button>
    </div>
    <Button severity="secondary" @click="parts.push({ material: t('leafLitter'), parts: 1, packLitres: 10 })">
      {{ t('oneMoreMaterial') }}
    </Button>
    <template #answer>
      <p v-if="!made">{{ t('nothingToMixNo') }}</p>
      <template v-else>
        <p>
          <strong>{{ sayIn(made.looseLitres, 'l', tidy) }}</strong>
          {{ t('toMixForL', { finished: sayIn(made.finishedLitres, 'l', tidy) }) }}
          <strong>{{ sayIn(made.waterLitres, 'l', tidy) }}</strong> {{ t('water') }}
        </p>
        <p v-for="(item, index) in made.items" :key="index">
          {{ item.material }} {{ sayIn(item.litres, 'l', tidy)
          }}<template v-if="item.soldLitres < item.litres">{{
            t('lAsSold', { sold: sayIn(item.soldLitres, 'l', tidy) })
          }}</template
          ><template v-if="item.packs !== null">{{
            t('ofL', { packs: item.packs, pack: sayIn(parts[index]?.packLitres ?? 0, 'l') })
          }}</template>
        </p>
        <p v-if="made.shelf" :class="{ wrong: !made.shelf.holds }">
          {{
            t('wetKgOnThe', {
              wet: sayIn(made.wetKg, 'kg', tidy),
              load: sayIn(made.shelf.loadKg, 'kg', tidy),
              limit: sayIn(made.shelf.limitKg, 'kg'),
              holds: made.shelf.holds ? t('itHolds') : t('tooHeavyForThis'),
            })
          }}
        </p>
      </template>
    </template>
  </CalculatorFrame>
</template>

<style scoped>
.tall {
  grid-row: span 2;
}
</style>
