<script setup lang="ts">
import type { Enclosure } from '@kobrin/contract'
import { ROUTES } from '@kobrin/contract'
import type { Build } from '@kobrin/core'
import { dayFromIso, isoDay } from '@kobrin/core'
import { reactive } from 'vue'
import { useDoing } from '../app/useAnswer.ts'
import NumberField from '../calculators/NumberField.vue'
import { useSite } from '../site/useSite.ts'
import { useToday } from '../time/useToday.ts'
import { call } from '../wire/call.ts'
import { care } from '../words/care.ts'
import OptionalMm from './OptionalMm.vue'

const { enclosure } = defineProps<{ enclosure: Enclosure }>()
const emit = defineEmits<{ close: [] }>()

const site = useSite()
const today = useToday()
const { busy, complaint, run } = useDoing()
const { widthMm, depthMm, heightMm } = enclosure
const box = reactive({ widthMm, depthMm, heightMm })
const build = reactive(structuredClone(enclosure.build))
const crew = reactive({ text: build.crew.join(', ') })

type Furniture = Build['furniture'][number]

function replaceBy(part: Build['parts'][number], date: string): void {
  if (date === '') delete part.replaceBy
  else part.replaceBy = dayFromIso(date)
}

function addFurniture(): void {
  build.furniture.push({ what: 'hide' } satisfies Furniture)
}

async function keep(): Promise<void> {
  const kept = await run(async () => {
    const crewNames = crew.text.split(',').map((name) => name.trim())
    await call(ROUTES.keepEnclosure, {
      params: { enclosureId: enclosure.id },
      body: {
        ...box,
        build: { ...(JSON.parse(JSON.stringify(build)) as Build), crew: crewNames.filter(Boolean) },
      },
    })
    await site.load()
  })
  if (kept) emit('close')
}
</script>

<template>
  <form class="form narrow" @submit.prevent="keep">
    <fieldset class="pair">
      <legend>Inside</legend>
      <NumberField v-model="box.widthMm" label="Width" unit="mm" />
      <NumberField v-model="box.depthMm" label="Depth" unit="mm" />
      <NumberField v-model="box.heightMm" label="Height" unit="mm" />
    </fieldset>
    <fieldset>
      <legend>Floor, from the bottom</legend>
      <div v-for="(layer, index) in build.layers" :key="index" class="pair">
        <label>Material <input v-model="layer.material" class="field" maxlength="80" required /></label>
        <NumberField v-model="layer.mm" label="Depth" unit="mm" />
        <button type="button" class="plain" @click="build.layers.splice(index, 1)">
          Leave out layer {{ index + 1 }}
        </button>
      </div>
      <button type="button" class="plain" @click="build.layers.push({ material: 'coir', mm: 50 })">
        One more layer
      </button>
      <OptionalMm v-model="build.slopeMm" label="Deeper at one end by" />
      <label>
        Damp end
        <select v-model="build.dampEnd" class="field">
          <option :value="undefined">none</option>
          <option v-for="end in ['left', 'right', 'front', 'back']" :key="end">{{ end }}</option>
        </select>
      </label>
    </fieldset>
    <fieldset>
      <legend>In it</legend>
      <div v-for="(piece, index) in build.furniture" :key="index" class="pair">
        <label>
          What
          <select v-model="piece.what" class="field">
            <option v-for="(name, what) in care.furniture" :key="what" :value="what">{{ name }}</option>
          </select>
        </label>
        <OptionalMm
          v-if="piece.what === 'perch' || piece.what === 'climbing'"
          v-model="piece.freeBelowMm"
          label="Free below"
        />
        <button type="button" class="plain" @click="build.furniture.splice(index, 1)">
          Take out {{ care.furniture[piece.what].toLowerCase() }}
        </button>
      </div>
      <button type="button" class="plain" @click="addFurniture">One more piece</button>
    </fieldset>
    <fieldset>
      <legend>Heat and light</legend>
      <div v-for="(heater, index) in build.heaters" :key="`h${index}`" class="pair">
        <label>Heater <input v-model="heater.what" class="field" maxlength="80" required /></label>
        <label class="tick"><input v-model="heater.thermostat" type="checkbox" /> Thermostat</label>
        <label>Probe at <input v-model="heater.probeAt" class="field" maxlength="80" /></label>
        <button type="button" class="plain" @click="build.heaters.splice(index, 1)">
          Take out {{ heater.what }}
        </button>
      </div>
      <div v-for="(lamp, index) in build.lamps" :key="`l${index}`" class="pair">
        <label>
          Lamp
          <select v-model="lamp.what" class="field">
            <option v-for="(name, what) in care.lamp" :key="what" :value="what">{{ name }}</option>
          </select>
        </label>
        <OptionalMm v-model="lamp.lengthMm" label="Length" />
        <OptionalMm v-model="lamp.distanceMm" label="To the back" />
        <button type="button" class="plain" @click="lamp.fittedOn = today.day">New today</button>
        <button type="button" class="plain" @click="build.lamps.splice(index, 1)">
          Take out {{ care.lamp[lamp.what] }}
        </button>
      </div>
      <div class="row">
        <button type="button" class="plain" @click="build.heaters.push({ what: 'Heater', thermostat: true })">
          One more heater
        </button>
        <button type="button" class="plain" @click="build.lamps.push({ what: 'uvb', fittedOn: today.day })">
          One more lamp
        </button>
      </div>
    </fieldset>
    <fieldset>
      <legend>Shut and whole</legend>
      <label class="tick"><input v-model="build.lock" type="checkbox" /> Lock</label>
      <label
        >Vents <input v-model="build.vents" class="field" maxlength="120" placeholder="two, under the lid"
      /></label>
      <OptionalMm v-model="build.meshMm" label="Widest opening of mesh and vents" />
      <label
        >Clean-up crew <input v-model="crew.text" class="field" placeholder="springtails, isopods"
      /></label>
      <div v-for="(part, index) in build.parts" :key="`p${index}`" class="pair">
        <label>Part <input v-model="part.what" class="field" maxlength="80" required /></label>
        <label>Defect <input v-model="part.defect" class="field" maxlength="200" /></label>
        <label>
          Replace by
          <input
            class="field"
            type="date"
            :value="part.replaceBy === undefined ? '' : isoDay(part.replaceBy)"
            @change="replaceBy(part, ($event.target as HTMLInputElement).value)"
          />
        </label>
        <button type="button" class="plain" @click="build.parts.splice(index, 1)">
          Mended: {{ part.what }}
        </button>
      </div>
      <button type="button" class="plain" @click="build.parts.push({ what: 'Vent', since: today.day })">
        One more defect
      </button>
    </fieldset>
    <p v-if="complaint" class="wrong" role="alert">{{ complaint }}</p>
    <div class="row">
      <button type="submit" class="primary" :disabled="busy">Keep</button>
      <button type="button" class="plain" @click="emit('close')">Leave it</button>
    </div>
  </form>
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
