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
import { call } from '../wire/call.ts'
import { useTold } from '../wire/queries.ts'
import { care } from '../words/care.ts'
import OptionalMm from './OptionalMm.vue'

const { enclosure } = defineProps<{ enclosure: Enclosure }>()
const emit = defineEmits<{ close: [] }>()

const today = useToday()
const { busy, complaint, told } = useTold((body: KeepEnclosure) =>
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
  { value: undefined, label: 'none' },
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
  if (!(await told(sends()))) return
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
      <legend>Inside</legend>
      <SureNumber v-model="box.widthMm" name="widthMm" label="Width" unit="mm" whole />
      <SureNumber v-model="box.depthMm" name="depthMm" label="Depth" unit="mm" whole />
      <SureNumber v-model="box.heightMm" name="heightMm" label="Height" unit="mm" whole />
    </fieldset>
    <fieldset>
      <legend>Floor, from the bottom</legend>
      <div v-for="(layer, index) in build.layers" :key="index" class="pair">
        <TextField
          v-model="layer.material"
          :name="`build.layers.${index}.material`"
          label="Material"
          maxlength="80"
        />
        <SureNumber v-model="layer.mm" :name="`build.layers.${index}.mm`" label="Depth" unit="mm" />
        <Button severity="secondary" @click="build.layers.splice(index, 1)">
          Leave out layer {{ index + 1 }}
        </Button>
      </div>
      <Button severity="secondary" @click="build.layers.push({ material: 'coir', mm: 50 })">
        One more layer
      </Button>
      <OptionalMm v-model="build.slopeMm" label="Deeper at one end by" />
      <ChoiceField v-model="build.dampEnd" name="build.dampEnd" label="Damp end" :options="ENDS" />
    </fieldset>
    <fieldset>
      <legend>In it</legend>
      <div v-for="(piece, index) in build.furniture" :key="index" class="pair">
        <ChoiceField
          v-model="piece.what"
          :name="`build.furniture.${index}.what`"
          label="What"
          :options="furniture"
        />
        <OptionalMm
          v-if="piece.what === 'perch' || piece.what === 'climbing'"
          v-model="piece.freeBelowMm"
          label="Free below"
        />
        <Button severity="secondary" @click="build.furniture.splice(index, 1)">
          Take out {{ care.furniture[piece.what].toLowerCase() }}
        </Button>
      </div>
      <Button severity="secondary" @click="addFurniture">One more piece</Button>
    </fieldset>
    <fieldset>
      <legend>Heat and light</legend>
      <div v-for="(heater, index) in build.heaters" :key="`h${index}`" class="pair">
        <TextField
          v-model="heater.what"
          :name="`build.heaters.${index}.what`"
          label="Heater"
          maxlength="80"
        />
        <TickField v-model="heater.thermostat" label="Thermostat" />
        <TextField
          v-model="heater.probeAt"
          :name="`build.heaters.${index}.probeAt`"
          label="Probe at"
          maxlength="80"
        />
        <Button severity="secondary" @click="build.heaters.splice(index, 1)">
          Take out {{ heater.what }}
        </Button>
      </div>
      <div v-for="(lamp, index) in build.lamps" :key="`l${index}`" class="pair">
        <ChoiceField v-model="lamp.what" :name="`build.lamps.${index}.what`" label="Lamp" :options="lamps" />
        <OptionalMm v-model="lamp.lengthMm" label="Length" />
        <OptionalMm v-model="lamp.distanceMm" label="To the back" />
        <Button severity="secondary" @click="lamp.fittedOn = today.day">New today</Button>
        <Button severity="secondary" @click="build.lamps.splice(index, 1)">
          Take out {{ care.lamp[lamp.what] }}
        </Button>
      </div>
      <div class="row">
        <Button severity="secondary" @click="build.heaters.push({ what: 'Heater', thermostat: true })">
          One more heater
        </Button>
        <Button severity="secondary" @click="build.lamps.push({ what: 'uvb', fittedOn: today.day })">
          One more lamp
        </Button>
      </div>
    </fieldset>
    <fieldset>
      <legend>Shut and whole</legend>
      <TickField v-model="build.lock" label="Lock" />
      <TextField
        v-model="build.vents"
        name="build.vents"
        label="Vents"
        maxlength="120"
        placeholder="two, under the lid"
      />
      <OptionalMm v-model="build.meshMm" label="Widest opening of mesh and vents" />
      <TextField
        v-model="form.crew"
        name="build.crew"
        label="Clean-up crew"
        placeholder="springtails, isopods"
      />
      <div v-for="(part, index) in build.parts" :key="`p${index}`" class="pair">
        <TextField v-model="part.what" :name="`build.parts.${index}.what`" label="Part" maxlength="80" />
        <TextField
          v-model="part.defect"
          :name="`build.parts.${index}.defect`"
          label="Defect"
          maxlength="200"
        />
        <DayField
          :model-value="part.replaceBy"
          label="Replace by"
          @update:model-value="(day) => replaceBy(part, day)"
        />
        <Button severity="secondary" @click="build.parts.splice(index, 1)"> Mended: {{ part.what }} </Button>
      </div>
      <Button severity="secondary" @click="build.parts.push({ what: 'Vent', since: today.day })">
        One more defect
      </Button>
    </fieldset>
    <div class="row">
      <Button type="submit" :disabled="busy">Keep</Button>
      <Button severity="secondary" @click="emit('close')">Keep nothing</Button>
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
