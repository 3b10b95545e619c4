<script setup lang="ts">
import type { AmountRule, Quantity, Sheet, SheetDuty, WaterLimit } from '@kobrin/core'
import { floorRuleOf } from '@kobrin/core'
import { computed } from 'vue'
import YearPicture from './YearPicture.vue'
import ClimatePicture from './ClimatePicture.vue'
import {
  care,
  housingLines,
  lightLines,
  sayHeldFloor,
  sayHousing,
  sayTarget,
  sayZone,
  span,
  sheetParts,
} from '../words/care.ts'
import { words } from '../words/en.ts'
import { sayGrams, sayIn } from '../words/measures.ts'
import { sayTrigger } from '../words/sayTrigger.ts'
import { terms } from '../words/terms.ts'
import { sayQuantity, sayWaterLimit } from '../words/readings.ts'
import { t } from './words.ts'
import { sayCadence } from '../words/cadence.ts'

const { sheet } = defineProps<{ sheet: Sheet }>()

function facts(pairs: readonly [string, string | null | undefined][]): [string, string][] {
  return pairs.filter((pair): pair is [string, string] => Boolean(pair[1]))
}

const grown = computed(() => {
  const { adult, growth, ecdysis, together } = sheet
  const skin = Object.entries(ecdysis?.days ?? {}).map(([stage, days]): [string, string | null] => [
    `${ecdysis?.what === 'shed' ? t('sheds') : t('molts')}, ${stage}`,
    span(days, 'days'),
  ])
  return facts([
    [adult?.part ? t('grown', { part: words.part[adult.part] }) : t('grown2'), span(adult?.mm, 'mm')],
    [t('weight'), span(adult?.grams, 'g')],
    [t('lives'), span(adult?.years, 'years')],
    [t('grownAfter'), span(growth?.adultDays, 'days')],
    [t('company'), together ? care.together[together.rule] : null],
    ...skin,
  ])
})

const breeding = computed(() => {
  const { breeding: how } = sheet
  if (!how) return []
  return facts([
    [care.bears[how.bears], span(how.clutch, t('atATime'))],
    [t('betweenClutches'), span(how.intervalDays, 'days')],
    ...(how.incubation ?? []).map(({ celsius, days }): [string, string | null] => [
      t('eggsAtC', { celsius: sayIn(celsius, '°C') }),
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
      return span(amount.count, t('aMeal')) ?? ''
    case 'massShare':
      return (
        span(
          amount.share.map((share) => Math.round(share * 100)),
          t('ofItsWeight'),
        ) ?? ''
      )
    case 'width':
      return t('noWiderThanIts', { factor: amount.factor, part: words.part[amount.part] })
    case 'portion':
      return t('aboutGFollowsWhat', { grams: sayGrams(amount.grams) })
  }
}

function sentence(text: string): string {
  return `${text.charAt(0).toUpperCase()}${text.slice(1)}`
}

function saysHold({ days, worryAfter }: Sheet['holds'][number]): string {
  const says = days === undefined ? t('untilItIsOver') : t('usuallyDays', { count: days })
  return worryAfter === undefined ? says : t('afterSomebodyLooks', { says, count: worryAfter })
}

function saysDuty({ label, does, cadence, foods, amount }: SheetDuty): string {
  const name = label ?? words.duty[does]
  const food = foods?.map(({ item, weeklyCap }) => (weeklyCap ? t('atMostAWeek', { item, weeklyCap }) : item))
  const offered = food ? `: ${food.join(', ')}` : ''
  return `${name}${offered}. ${sentence(sayCadence(cadence))}${amount ? `, ${saysAmount(amount)}` : ''}.`
}

function saysEnd(until: Sheet['stages'][number]['until']): string {
  const ends = Object.entries(until ?? {}) as [keyof typeof terms.trigger, number][]
  return ends.map(([trigger, value]) => sayTrigger(trigger, value)).join(' or ')
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
    const about = part === 'stages' ? stageNames.value.get(stage) : sheetParts[part]
    return { field, says: about ? `${about}: ${why}` : why }
  }),
)
</script>

<template>
  <div class="pages">
    <section v-if="sheet.cautions.length > 0 || sheet.licence || sheet.quarantineDays" class="block">
      <h2>{{ t('careful') }}</h2>
      <ul>
        <li v-for="caution in sheet.cautions" :key="caution">{{ caution }}</li>
        <li v-if="sheet.licence">{{ sheet.licence }}</li>
        <li v-if="sheet.competence">{{ t('onlyForSomebodyCleared', { competence: sheet.competence }) }}</li>
        <li v-if="sheet.quarantineDays">
          {{ t('newcomersStayInQuarantine', { count: sheet.quarantineDays }) }}
          {{ sheet.quarantine?.why }}
          <template v-if="sheet.quarantine && sheet.quarantine.tests.length > 0">
            {{ t('quarantineTests', { tests: sheet.quarantine.tests.join('; ') }) }}
          </template>
        </li>
        <li v-if="sheet.undusted">{{ t('undusted', { why: sheet.undusted }) }}</li>
        <li v-if="sheet.people === 2">{{ t('neverAloneTwoPeople') }}</li>
      </ul>
      <p class="quiet">{{ care.trusted }}</p>
    </section>
    <section class="block">
      <h2>{{ t('climate') }}</h2>
      <table>
        <thead>
          <tr>
            <th scope="col">{{ t('zone') }}</th>
            <th scope="col">{{ t('dayC') }}</th>
            <th scope="col">{{ t('nightC') }}</th>
            <th scope="col">{{ t('humidity') }}</th>
            <th scope="col">{{ t('neverBelow') }}</th>
            <th scope="col">{{ t('neverAbove') }}</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="zone in sheet.targets" :key="zone.zone">
            <th scope="row">{{ sayZone(zone) }}</th>
            <td>{{ span(zone.celsius, '°C') ?? '' }}</td>
            <td>{{ span(zone.nightCelsius, '°C') ?? '' }}</td>
            <td>{{ span(zone.humidity, '%') ?? '' }}</td>
            <td class="harm">
              {{ zone.neverBelowCelsius === undefined ? '' : sayIn(zone.neverBelowCelsius, '°C') }}
            </td>
            <td class="harm">
              {{ zone.ceilingCelsius === undefined ? '' : sayIn(zone.ceilingCelsius, '°C') }}
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
      <p v-if="sheet.coolLoving">{{ t('lovesTheCoolNo') }}</p>
      <dl class="facts">
        <template v-for="{ term, says } in lightLines(sheet.light)" :key="term">
          <dt>{{ term }}</dt>
          <dd>{{ says }}</dd>
        </template>
      </dl>
    </section>
    <section v-if="sheet.housing" class="block">
      <h2>{{ t('enclosureGrown') }}</h2>
      <dl class="facts">
        <template v-for="(value, field) in sheet.housing" :key="field">
          <dt>{{ housingLines[field] }}</dt>
          <dd>{{ sayHousing(field, value) }}</dd>
        </template>
      </dl>
      <p v-if="sheet.floor">
        {{
          t('floorByVolume', {
            parts: sheet.floor.parts.map(({ material, parts }) => `${parts} ${material}`).join(', '),
            note: sheet.floor.note,
          })
        }}
      </p>
      <p v-if="sheet.heldFloor">{{ t('oldFloor', { heldFloor: sayHeldFloor(floorRuleOf(sheet)) }) }}</p>
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
          <dt>{{ housingLines[field] }}</dt>
          <dd>{{ sayHousing(field, value) }}</dd>
        </template>
      </dl>
      <p v-if="stage.until" class="quiet">{{ t('until', { saysEnd: saysEnd(stage.until) }) }}</p>
    </section>
    <section v-if="sheet.never.length > 0" class="block">
      <h2>{{ t('never') }}</h2>
      <ul>
        <li v-for="item in sheet.never" :key="item">{{ item }}</li>
      </ul>
    </section>
    <section class="block">
      <h2>{{ t('life') }}</h2>
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
      <h2>{{ t('healthSigns') }}</h2>
      <ul>
        <li v-for="sign in sheet.signs" :key="sign.sign" :class="sign.severity">
          <strong>{{ sign.sign }}{{ saysStages(sign.stages) }}</strong>
          <p class="quiet">
            {{ sign.severity === 'urgent' ? '' : `${sentence(terms.severity[sign.severity])}. `
            }}{{ sign.first }}
          </p>
        </li>
      </ul>
      <p class="quiet">{{ t('signsNotDiagnosesWho') }}</p>
    </section>
    <section v-if="doubts.length > 0" class="block">
      <h2>{{ t('notSure') }}</h2>
      <p v-for="{ field, says } in doubts" :key="field" class="ask">{{ says }}</p>
    </section>
    <section v-if="sheet.holds.length > 0" class="block">
      <h2>{{ t('leaveInPeace') }}</h2>
      <ul>
        <li v-for="rule in sheet.holds" :key="rule.hold">
          {{ words.hold[rule.hold] }}{{ saysStages(rule.stages) }}: {{ saysHold(rule) }}.
        </li>
      </ul>
    </section>
    <section v-if="breeding.length > 0" class="block">
      <h2>{{ t('young') }}</h2>
      <dl class="facts">
        <template v-for="[term, says] in breeding" :key="term">
          <dt>{{ term }}</dt>
          <dd>{{ says }}</dd>
        </template>
      </dl>
      <p v-if="sheet.breeding?.caution" class="quiet">{{ sheet.breeding.caution }}</p>
    </section>
    <section v-if="sheet.setup" class="block">
      <h2>{{ t('settingUp') }}</h2>
      <ul>
        <li v-for="item in sheet.setup.before" :key="item">{{ t('before', { item }) }}</li>
        <li v-for="item in sheet.setup.daily" :key="item">{{ t('daily', { item }) }}</li>
        <li v-for="item in sheet.setup.weekly" :key="item">{{ t('weekly', { item }) }}</li>
      </ul>
    </section>
    <section class="block">
      <h2>{{ t('sources') }}</h2>
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
