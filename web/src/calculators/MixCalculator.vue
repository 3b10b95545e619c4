<script setup lang="ts">
import { MATERIALS, mix, withUsual } from '@kobrin/core'
import Button from 'primevue/button'
import { computed, reactive } from 'vue'
import { tidy } from './tidy.ts'
import CalculatorFrame from './CalculatorFrame.vue'
import ChoiceField from '../fields/ChoiceField.vue'
import { choicesFrom } from '../fields/choicesOf.ts'
import SureNumber from '../fields/SureNumber.vue'

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
  shelfLimitKg: 120,
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
    title="Mix a floor"
    formula="Litres = length × width × mean depth ÷ (1 − settling), shared out by parts; sold litres = litres ÷ swelling; water is what the mix holds at field capacity: damp in the hand, no drip."
    careful="Wet soil is heavy: two people lift, and the shelf is rated for the wet weight. Hollow heavy furniture in to the bottom; it stands on the base, never on soil."
  >
    <div class="pair">
      <SureNumber v-model="bed.lengthMm" label="Length" unit="mm" />
      <SureNumber v-model="bed.widthMm" label="Width" unit="mm" />
      <SureNumber v-model="bed.depthMm" label="Depth, shallow end" unit="mm" />
      <SureNumber v-model="bed.deepMm" label="Deep end" unit="mm" />
      <SureNumber v-model="bed.settling" label="Settles" unit="%" />
      <SureNumber v-model="bed.otherKg" label="Everything else" unit="kg" />
      <SureNumber v-model="bed.shelfLimitKg" label="Shelf holds" unit="kg" />
    </div>
    <div v-for="(part, index) in parts" :key="index" class="pair">
      <ChoiceField v-model="part.material" label="Material" :options="materials" />
      <SureNumber v-model="part.parts" label="Parts" />
      <SureNumber v-model="part.packLitres" label="Bag or brick" unit="l" />
      <Button severity="secondary" :aria-label="`Leave out ${part.material}`" @click="parts.splice(index, 1)">
        Leave out
      </Button>
    </div>
    <Button severity="secondary" @click="parts.push({ material: 'leaf litter', parts: 1, packLitres: 10 })">
      One more material
    </Button>
    <template #answer>
      <p v-if="!made">Nothing to mix: no depth, or no parts.</p>
      <template v-else>
        <p>
          <strong>{{ tidy(made.looseLitres) }} l</strong> to mix for {{ tidy(made.finishedLitres) }} l
          settled, <strong>{{ tidy(made.waterLitres) }} l</strong> water
        </p>
        <p v-for="(item, index) in made.items" :key="index">
          {{ item.material }} {{ tidy(item.litres) }} l<template v-if="item.soldLitres < item.litres"
            >, {{ tidy(item.soldLitres) }} l as sold</template
          ><template v-if="item.packs !== null"
            >: {{ item.packs }} of {{ parts[index]?.packLitres }} l</template
          >
        </p>
        <p v-if="made.shelf" :class="{ wrong: !made.shelf.holds }">
          Wet {{ tidy(made.wetKg) }} kg, on the shelf {{ tidy(made.shelf.loadKg) }} kg of
          {{ made.shelf.limitKg }} kg: {{ made.shelf.holds ? 'it holds' : 'too heavy for this shelf' }}
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
