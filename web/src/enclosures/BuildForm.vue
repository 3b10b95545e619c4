<script setup lang="ts">
import type { Enclosure } from '@kobrin/contract'
import { KeepEnclosure, ROUTES } from '@kobrin/contract'
import type { Build } from '@kobrin/core'
import Button from 'primevue/button'
import { computed, reactive } from 'vue'
import { useDraft } from '../drafts/useDraft.ts'
import { choicesFrom, choicesOf } from '../fields/choicesOf.ts'
import ChoiceField from '../fields/ChoiceField.vue'
import DayField from '../fields/DayField.vue'
import SchemaForm from '../fields/SchemaForm.vue'
import SureNumber from '../fields/SureNumber.vue'
import TextField from '../fields/TextField.vue'
import TickField from '../fields/TickField.vue'
import { useToday } from '../time/useToday.ts'
import { call } from '../api/call.ts'
import { useSending } from '../api/queries.ts'
import { care } from '../words/care.ts'
import OptionalMm from './OptionalMm.vue'
import { t } from './words.ts'

const { enclosure } = defineProps<{ enclosure: Enclosure }>()
const emit = defineEmits<{ close: [] }>()

const today = useToday()
const { busy, complaint, send } = useSending((body: KeepEnclosure) =>
  call(ROUTES.keepEnclosure, { params: { enclosureId: enclosure.id }, body }),
)
const { widthMm, depthMm, heightMm } = enclosure
const form = reactive({
  box: { widthMm, depthMm, heightMm },
  build: structuredClone(enclosure.build),
  /** Who lives in it besides, with commas between them. */
  crew: enclosure.build.crew.join(', '),
})
const draft = useDraft(`enclosure ${enclosure.id}`, form)
const box = computed(() => form.box)
const build = computed(() => form.build)

type Furniture = Build['furniture'][number]
type End = NonNullable<Build['dampEnd']>

const ENDS: { value: End | undefined; label: string }[] = [
  { value: undefined, label: t('none') },
  ...choicesFrom(['left', 'right', 'front', 'back'] as const),
]
const furniture = choicesOf(care.furniture)
const lamps = choicesOf(care.lamp)

function replaceBy(part: Build['parts'][number], day: number | null | undefined): void {
  if (typeof day === 'number') part.replaceBy = day
  else delete part.replaceBy
}

function addFurniture(): void {
  build.value.furniture.push({ what: 'hide' } satisfies Furniture)
}

/** As it would be kept; what was left empty is not written down. */
function sends(): KeepEnclosure {
  const crewNames = form.crew.split(',').map((name) => name.trim())
  const written = JSON.parse(
    JSON.stringify(build.value, (_, value: unknown) => (value === '' || value === null ? undefined : value)),
  ) as Build
  return { ...box.value, build: { ...written, crew: crewNames.filter(Boolean) } }
}

async function keep(): Promise<void> {
  if (!(await send(sends()))) return
  draft.drop()
  emit('close')
}
</script>

<template>
  <SchemaForm
    class="narrow"
    :schema="KeepEnclosure"
    :sends="sends"
    :complaint="complaint"
    :draft="draft"
    @keep="keep"
  >
    <fieldset class="pair">
      <legend>{{ t('inside') }}</legend>
      <SureNumber v-model="box.widthMm" name="widthMm" :label="t('width')" unit="mm" whole />
      <SureNumber v-model="box.depthMm" name="depthMm" :label="t('depth')" unit="mm" whole />
      <SureNumber v-model="box.heightMm" name="heightMm" :label="t('height')" unit="mm" whole />
    </fieldset>
    <fieldset>
      <legend>{{ t('floorFromTheBottom') }}</legend>
      <div v-for="(layer, index) in build.layers" :key="index" class="pair">
        <TextField
          v-model="layer.material"
          :name="`build.layers.${index}.material`"
          :label="t('material')"
          maxlength="80"
        />
        <SureNumber v-model="layer.mm" :name="`build.layers.${index}.mm`" :label="t('depth')" unit="mm" />
        <Button severity="secondary" @click="build.layers.splice(index, 1)">
          {{ t('leaveOutLayer', { index: index + 1 }) }}
        </Button>
      </div>
      <Button severity="secondary" @click="build.layers.push({ material: 'coir', mm: 50 })">
        {{ t('oneMoreLayer') }}
      </Button>
      <OptionalMm v-model="build.slopeMm" :label="t('deeperAtOneEnd')" />
      <ChoiceField v-model="build.dampEnd" name="build.dampEnd" :label="t('dampEnd')" :options="ENDS" />
    </fieldset>
    <fieldset>
      <legend>{{ t('inIt') }}</legend>
      <div v-for="(piece, index) in build.furniture" :key="index" class="pair">
        <ChoiceField
          v-model="piece.what"
          :name="`build.furniture.${index}.what`"
          :label="t('what')"
          :options="furniture"
        />
        <OptionalMm
          v-if="piece.what === 'perch' || piece.what === 'climbing'"
          v-model="piece.freeBelowMm"
          :label="t('freeBelow')"
        />
        <Button severity="secondary" @click="build.furniture.splice(index, 1)">
          {{ t('takeOut', { furniture: care.furniture[piece.what].toLowerCase() }) }}
        </Button>
      </div>
      <Button severity="secondary" @click="addFurniture">{{ t('oneMorePiece') }}</Button>
    </fieldset>
    <fieldset>
      <legend>{{ t('heatAndLight') }}</legend>
      <div v-for="(heater, index) in build.heaters" :key="`h${index}`" class="pair">
        <TextField
          v-model="heater.what"
          :name="`build.heaters.${index}.what`"
          :label="t('heater')"
          maxlength="80"
        />
        <TickField v-model="heater.thermostat" :label="t('thermostat')" />
        <TextField
          v-model="heater.probeAt"
          :name="`build.heaters.${index}.probeAt`"
          :label="t('probeAt')"
          maxlength="80"
        />
        <Button severity="secondary" @click="build.heaters.splice(index, 1)">
          {{ t('takeOut2', { what: heater.what }) }}
        </Button>
      </div>
      <div v-for="(lamp, index) in build.lamps" :key="`l${index}`" class="pair">
        <ChoiceField
          v-model="lamp.what"
          :name="`build.lamps.${index}.what`"
          :label="t('lamp')"
          :options="lamps"
        />
        <OptionalMm v-model="lamp.lengthMm" :label="t('length')" />
        <OptionalMm v-model="lamp.distanceMm" :label="t('toTheBack')" />
        <template v-if="lamp.what === 'basking'">
          <TickField v-model="lamp.guard" :label="t('guard')" />
          <TickField v-model="lamp.thermostat" :label="t('thermostat')" />
        </template>
        <Button severity="secondary" @click="lamp.fittedOn = today.day">{{ t('newToday') }}</Button>
        <Button severity="secondary" @click="build.lamps.splice(index, 1)">
          {{ t('takeOut3', { lamp: care.lamp[lamp.what] }) }}
        </Button>
      </div>
      <div class="row">
        <Button severity="secondary" @click="build.heaters.push({ what: 'Heater', thermostat: true })">
          {{ t('oneMoreHeater') }}
        </Button>
        <Button severity="secondary" @click="build.lamps.push({ what: 'uvb', fittedOn: today.day })">
          {{ t('oneMoreLamp') }}
        </Button>
      </div>
    </fieldset>
    <fieldset>
      <legend>{{ t('shutAndWhole') }}</legend>
      <TickField v-model="build.lock" :label="t('lock')" />
      <TextField
        v-model="build.vents"
        name="build.vents"
        :label="t('vents')"
        maxlength="120"
        :placeholder="t('twoUnderTheLid')"
      />
      <OptionalMm v-model="build.meshMm" :label="t('widestOpeningOfMesh')" />
      <TextField
        v-model="form.crew"
        name="build.crew"
        :label="t('cleanUpCrew')"
        :placeholder="t('springtailsIsopods')"
      />
      <div v-for="(part, index) in build.parts" :key="`p${index}`" class="pair">
        <TextField
          v-model="part.what"
          :name="`build.parts.${index}.what`"
          :label="t('part')"
          maxlength="80"
        />
        <TextField
          v-model="part.defect"
          :name="`build.parts.${index}.defect`"
          :label="t('defect')"
          maxlength="200"
        />
        <DayField
          :model-value="part.replaceBy"
          :label="t('replaceBy')"
          @update:model-value="(day) => replaceBy(part, day)"
        />
        <Button severity="secondary" @click="build.parts.splice(index, 1)">
          {{ t('mended', { what: part.what }) }}
        </Button>
      </div>
      <Button severity="secondary" @click="build.parts.push({ what: 'Vent', since: today.day })">
        {{ t('oneMoreDefect') }}
      </Button>
    </fieldset>
    <div class="row">
      <Button type="submit" :disabled="busy">{{ t('keep') }}</Button>
      <Button severity="secondary" @click="emit('close')">{{ t('keepNothing') }}</Button>
    </div>
  </SchemaForm>
</template>

<style scoped>
fieldset {
  display: grid;
  gap: 10px;
  padding: 10px 12px;
  border: 1px solid var(--line);
}

legend {
  padding: 0 6px;
  font-weight: 700;
}

.pair {
  align-items: end;
}
</style>
