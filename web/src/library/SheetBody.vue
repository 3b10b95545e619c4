<script setup lang="ts">
import type { AmountRule, Quantity, Sheet, SheetDuty, WaterLimit } from '@kobrin/core'
import { floorRuleOf } from '@kobrin/core'
import { computed } from 'vue'
import YearPicture from './YearPicture.vue'
import ClimatePicture from './ClimatePicture.vue'
import { care, lightLines, sayHeldFloor, sayHousing, sayTarget, sayZone, span } from '../words/care.ts'
import { words } from '../words/en.ts'
import { terms } from '../words/terms.ts'
import { spaced } from '../words/numbers.ts'
import { sayQuantity, sayWaterLimit } from '../words/readings.ts'

const { sheet } = defineProps<{ sheet: Sheet }>()

function facts(pairs: readonly [string, string | null | undefined][]): [string, string][] {
  return pairs.filter((pair): pair is [string, string] => Boolean(pair[1]))
}

const grown = computed(() => {
  const { adult, growth, ecdysis, together } = sheet
  const skin = Object.entries(ecdysis?.days ?? {}).map(([stage, days]): [string, string | null] => [
    `${ecdysis?.what === 'shed' ? 'Sheds' : 'Molts'}, ${stage}`,
    span(days, 'days'),
  ])
  return facts([
    [adult?.part ? `Grown, ${terms.part[adult.part]}` : 'Grown', span(adult?.mm, 'mm')],
    ['Weight', span(adult?.grams, 'g')],
    ['Lives', span(adult?.years, 'years')],
    ['Grown after', span(growth?.adultDays, 'days')],
    ['Company', together ? care.together[together.rule] : null],
    ...skin,
  ])
})

const breeding = computed(() => {
  const { breeding: how } = sheet
  if (!how) return []
  return facts([
    [care.bears[how.bears], span(how.clutch, 'at a time')],
    ['Between clutches', span(how.intervalDays, 'days')],
    ...(how.incubation ?? []).map(({ celsius, days }): [string, string | null] => [
      `Eggs at ${celsius} °C`,
      span(days, 'days'),
    ]),
    ...Object.entries(how.stageDays ?? {}).map(([stage, days]): [string, string | null] => [
      stage,
      span(days, 'days'),
    ]),
  ])
})

function saysAmount(amount: AmountRule): string {
  switch (amount.by) {
    case 'count':
      return span(amount.count, 'a meal') ?? ''
    case 'massShare':
      return (
        span(
          amount.share.map((share) => Math.round(share * 100)),
          '% of its weight',
        ) ?? ''
      )
    case 'width':
      return `no wider than ${amount.factor} × its ${terms.part[amount.part]}`
    case 'portion':
      return `about ${amount.grams} g, follows what is left`
  }
}

function sentence(text: string): string {
  return `${text.charAt(0).toUpperCase()}${text.slice(1)}`
}

function saysDuty({ label, does, cadence, foods, amount }: SheetDuty): string {
  const name = label ?? words.duty[does]
  const food = foods?.map(
    ({ item, weeklyCap }) => `${item}${weeklyCap ? ` (at most ${weeklyCap} a week)` : ''}`,
  )
  const offered = food ? `: ${food.join(', ')}` : ''
  return `${name}${offered}. ${sentence(terms.cadence(cadence))}${amount ? `, ${saysAmount(amount)}` : ''}.`
}

function saysEnd(until: Sheet['stages'][number]['until']): string {
  const ends = Object.entries(until ?? {}) as [keyof typeof terms.trigger, number][]
  return ends.map(([trigger, value]) => `${spaced(value)} ${terms.trigger[trigger]}`).join(' or ')
}

/** The zones of its life, and those of a rest that is one of the sides. */
const climates = computed(() => [
  ...sheet.targets,
  ...sheet.schools.flatMap(({ options }) =>
    options.flatMap(({ targets }) => targets.filter(({ during }) => during !== undefined)),
  ),
])

const stageNames = computed(() => new Map(sheet.stages.map(({ id, name }) => [id, name])))

/** The stages something is about, in brackets; nothing where it is about all. */
function saysStages(stages: readonly string[] | undefined): string {
  return stages ? ` (${stages.map((id) => stageNames.value.get(id) ?? id).join(', ')})` : ''
}

const water = computed(() => {
  const limits = Object.entries(sheet.water ?? {}) as [Quantity, WaterLimit][]
  return limits.map(([what, limit]) => ({
    what: sentence(sayQuantity(what)),
    says: sayWaterLimit(what, limit),
  }))
})

const doubts = computed(() =>
  sheet.unsure.map(({ field, why }) => {
    const [part = '', stage = ''] = field.split('.')
    const about = part === 'stages' ? stageNames.value.get(stage) : care.sheetPart[part]
    return { field, says: about ? `${about}: ${why}` : why }
  }),
)
</script>

<template>
  <div class="pages">
    <section v-if="sheet.cautions.length > 0 || sheet.licence || sheet.quarantineDays" class="block">
      <h2>Careful</h2>
      <ul>
        <li v-for="caution in sheet.cautions" :key="caution">{{ caution }}</li>
        <li v-if="sheet.licence">{{ sheet.licence }}</li>
        <li v-if="sheet.competence">Only for somebody cleared for {{ sheet.competence }}.</li>
        <li v-if="sheet.quarantineDays">
          Newcomers stay in quarantine for {{ sheet.quarantineDays }} days at least, and until they are
          cleared.
        </li>
        <li v-if="sheet.people === 2">Never alone: two people.</li>
      </ul>
      <p class="quiet">{{ care.trusted }}</p>
    </section>
    <section class="block">
      <h2>Climate</h2>
      <table>
        <thead>
          <tr>
            <th scope="col">Zone</th>
            <th scope="col">Day °C</th>
            <th scope="col">Night °C</th>
            <th scope="col">Humidity %</th>
            <th scope="col">Never below</th>
            <th scope="col">Never above</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="zone in sheet.targets" :key="zone.zone">
            <th scope="row">{{ sayZone(zone) }}</th>
            <td>{{ zone.celsius?.join('–') ?? '' }}</td>
            <td>{{ zone.nightCelsius?.join('–') ?? '' }}</td>
            <td>{{ zone.humidity?.join('–') ?? '' }}</td>
            <td class="harm">
              {{ zone.neverBelowCelsius === undefined ? '' : `${zone.neverBelowCelsius} °C` }}
            </td>
            <td class="harm">
              {{ zone.ceilingCelsius === undefined ? '' : `${zone.ceilingCelsius} °C` }}
            </td>
          </tr>
        </tbody>
      </table>
      <ClimatePicture :targets="climates" />
      <YearPicture :sheet="sheet" />
      <dl v-if="water.length > 0" class="facts">
        <template v-for="{ what, says } in water" :key="what">
          <dt>{{ what }}</dt>
          <dd>{{ says }}</dd>
        </template>
      </dl>
      <p v-if="sheet.coolLoving">Loves the cool: no heater, whatever is wrong.</p>
      <dl class="facts">
        <template v-for="{ term, says } in lightLines(sheet.light)" :key="term">
          <dt>{{ term }}</dt>
          <dd>{{ says }}</dd>
        </template>
      </dl>
    </section>
    <section v-if="sheet.housing" class="block">
      <h2>Enclosure, grown</h2>
      <dl class="facts">
        <template v-for="(value, field) in sheet.housing" :key="field">
          <dt>{{ care.housing[field] }}</dt>
          <dd>{{ sayHousing(field, value) }}</dd>
        </template>
      </dl>
      <p v-if="sheet.floor">
        Floor: {{ sheet.floor.parts.map(({ material, parts }) => `${parts} ${material}`).join(', ') }} by
        volume.
        {{ sheet.floor.note }}
      </p>
      <p v-if="sheet.heldFloor">Old floor: {{ sayHeldFloor(floorRuleOf(sheet)) }}</p>
    </section>
    <section v-for="stage in sheet.stages" :key="stage.id" class="block">
      <h2>{{ stage.name }}</h2>
      <ul>
        <li v-for="duty in stage.duties" :key="duty.id">{{ saysDuty(duty) }}</li>
      </ul>
      <dl v-if="stage.targets.length > 0" class="facts">
        <template v-for="target in stage.targets" :key="target.zone">
          <dt>{{ sentence(sayZone(target)) }}</dt>
          <dd>{{ sayTarget(target) }}</dd>
        </template>
      </dl>
      <dl v-if="stage.housing" class="facts">
        <template v-for="(value, field) in stage.housing" :key="field">
          <dt>{{ care.housing[field] }}</dt>
          <dd>{{ sayHousing(field, value) }}</dd>
        </template>
      </dl>
      <p v-if="stage.until" class="quiet">Until {{ saysEnd(stage.until) }}.</p>
    </section>
    <section v-if="sheet.never.length > 0" class="block">
      <h2>Never</h2>
      <ul>
        <li v-for="item in sheet.never" :key="item">{{ item }}</li>
      </ul>
    </section>
    <section class="block">
      <h2>Life</h2>
      <dl class="facts">
        <template v-for="[term, says] in grown" :key="term">
          <dt>{{ term }}</dt>
          <dd>{{ says }}</dd>
        </template>
      </dl>
      <p v-if="sheet.together" class="quiet">{{ sheet.together.note }}</p>
      <p v-if="sheet.ecdysis?.note" class="quiet">{{ sheet.ecdysis.note }}</p>
    </section>
    <section v-if="sheet.signs.length > 0" class="block">
      <h2>Health signs</h2>
      <ul>
        <li v-for="sign in sheet.signs" :key="sign.sign" :class="sign.severity">
          <strong>{{ sign.sign }}{{ saysStages(sign.stages) }}</strong>
          <p class="quiet">
            {{ sign.severity === 'urgent' ? '' : `${sentence(terms.severity[sign.severity])}. `
            }}{{ sign.first }}
          </p>
        </li>
      </ul>
      <p class="quiet">Signs, not diagnoses: who treats is the vet.</p>
    </section>
    <section v-if="doubts.length > 0" class="block">
      <h2>Not sure</h2>
      <p v-for="{ field, says } in doubts" :key="field" class="ask">{{ says }}</p>
    </section>
    <section v-if="sheet.holds.length > 0" class="block">
      <h2>Leave in peace</h2>
      <ul>
        <li v-for="rule in sheet.holds" :key="rule.hold">
          {{ words.hold[rule.hold] }}{{ saysStages(rule.stages) }}:
          {{ rule.days === undefined ? 'until it is over' : `usually ${rule.days} days`
          }}{{ rule.worryAfter === undefined ? '' : `; after ${rule.worryAfter} somebody looks` }}.
        </li>
      </ul>
    </section>
    <section v-if="breeding.length > 0" class="block">
      <h2>Young</h2>
      <dl class="facts">
        <template v-for="[term, says] in breeding" :key="term">
          <dt>{{ term }}</dt>
          <dd>{{ says }}</dd>
        </template>
      </dl>
      <p v-if="sheet.breeding?.caution" class="quiet">{{ sheet.breeding.caution }}</p>
    </section>
    <section v-if="sheet.setup" class="block">
      <h2>Setting up</h2>
      <ul>
        <li v-for="item in sheet.setup.before" :key="item">Before: {{ item }}</li>
        <li v-for="item in sheet.setup.daily" :key="item">Daily: {{ item }}</li>
        <li v-for="item in sheet.setup.weekly" :key="item">Weekly: {{ item }}</li>
      </ul>
    </section>
    <section class="block">
      <h2>Sources</h2>
      <ul>
        <li v-for="source in sheet.sources" :key="source">{{ source }}</li>
      </ul>
    </section>
  </div>
</template>

<style scoped>
.pages {
  columns: 340px;
  column-gap: 28px;
}

.block {
  margin-bottom: 18px;
  break-inside: avoid;
}

table {
  width: 100%;
  border-collapse: collapse;
}

th,
td {
  padding: 4px 8px 4px 0;
  border-bottom: 1px solid var(--line);
  text-align: left;
  vertical-align: top;
}

thead th {
  color: var(--soft);
  font-size: 0.8125rem;
  font-weight: 400;
}

td {
  white-space: nowrap;
}

.harm {
  color: var(--late);
  font-weight: 700;
}
</style>
