<script setup lang="ts">
import type { PreviewAnswer } from '@kobrin/contract'
import { may } from '@kobrin/contract'
import type { Override } from '@kobrin/core'
import { isBefore } from '@kobrin/core'
import { computed, shallowRef } from 'vue'
import { RouterLink } from 'vue-router'
import '../app/page.css'
import { useAnswer, useDoing } from '../app/useAnswer.ts'
import ConditionScale from '../condition/ConditionScale.vue'
import SchoolChoice from '../library/SchoolChoice.vue'
import { useRecord } from '../entries/useRecord.ts'
import { usePeople } from '../people/usePeople.ts'
import { useSite } from '../site/useSite.ts'
import { useToday } from '../time/useToday.ts'
import { careApi } from '../wire/careApi.ts'
import { care, lightLines, sayHousing, sayTarget } from '../words/care.ts'
import { words } from '../words/en.ts'
import { terms } from '../words/terms.ts'
import { sayDate } from '../words/numbers.ts'
import { saySource } from '../words/reasons.ts'
import { useTeller } from '../words/useTeller.ts'
import ChangeForm from './ChangeForm.vue'
import PreviewTable from './PreviewTable.vue'

const { id } = defineProps<{ id: string }>()
const site = useSite()
const people = usePeople()
const today = useToday()
const record = useRecord()
const teller = useTeller()
const { busy, complaint, run } = useDoing()

const resident = computed(() => site.residents.get(id))
const plan = computed(() => resident.value && site.planOf(resident.value))
const { answer: sources, again } = useAnswer(
  () => careApi.planSources(id),
  () => id,
)
const { answer: library } = useAnswer(
  () => careApi.sheet(resident.value?.sheet ?? ''),
  () => resident.value?.sheet,
)
const maySign = computed(() => may(people.role, 'signPlans'))
const mayStage = computed(() => may(people.role, 'setStage'))
const isHere = computed(() => record.stateOf(id).arrivedOn !== null)
/** What is asked for now: getting the place ready is behind those who are here. */
const editable = computed(() => plan.value?.duties.filter((one) => !isBefore(one) || !isHere.value) ?? [])

const preview = shallowRef<PreviewAnswer | null>(null)

async function refresh(): Promise<void> {
  await Promise.all([site.load(), again()])
}

async function end(target: string, number: number): Promise<void> {
  await run(async () => {
    await careApi.endOverride({ target, number, reason: 'Ended on the plan page' })
    await refresh()
  })
}

async function setStage(stage: string): Promise<void> {
  await run(async () => {
    await careApi.setStage(id, { stage, reason: 'Set on the plan page' })
    await refresh()
  })
}

async function lookAtStage(stage: string): Promise<void> {
  await run(async () => {
    preview.value = await careApi.preview({ resident: id, stage })
  })
}

function isOver({ until, on }: Override): boolean {
  return (until !== undefined && until < today.day) || on > today.day
}

function saysChange({ patch, target, housing, light }: Override): string {
  if (patch) {
    if ('drop' in patch) return `${patch.id}: no longer`
    return `${patch.id}: ${patch.cadence ? terms.cadence(patch.cadence) : Object.keys(patch).slice(1).join(', ')}`
  }
  return [target && `climate, ${target.zone}`, housing && 'enclosure', light && 'light']
    .filter(Boolean)
    .join(', ')
}
</script>

<template>
  <main v-if="resident && plan" class="reading">
    <header>
      <h1>
        Plan of <span class="tape">{{ resident.name }}</span>
      </h1>
      <p class="quiet">
        <RouterLink :to="{ name: 'record', params: { id } }">Record</RouterLink> ·
        <RouterLink :to="{ name: 'sheet', params: { id: resident.sheet } }">Care sheet</RouterLink>
      </p>
    </header>
    <p v-if="complaint" class="wrong" role="alert">{{ complaint }}</p>
    <div class="columns">
      <section class="block">
        <h2>In force</h2>
        <ul>
          <li v-for="line in editable" :key="line.id">
            <strong>{{ line.label ?? words.duty[line.does] }}</strong>, {{ terms.cadence(line.cadence) }}
            <p class="quiet">{{ saySource(line.source, teller) }}</p>
          </li>
          <li v-for="line in plan.targets" :key="line.zone">
            <strong>{{ line.zone }}</strong>
            {{ sayTarget(line) }}
            <p v-if="line.source" class="quiet">{{ saySource(line.source, teller) }}</p>
          </li>
          <li v-for="(value, field) in plan.housing" :key="field">
            <strong>{{ care.housing[field] }}</strong> {{ sayHousing(field, value) }}
            <p v-if="plan.sources?.[field]" class="quiet">{{ saySource(plan.sources[field], teller) }}</p>
          </li>
          <li v-for="{ field, term, says } in lightLines(plan.light)" :key="term">
            <strong>{{ term }}</strong> {{ says }}
            <p v-if="plan.sources?.[field]" class="quiet">{{ saySource(plan.sources[field], teller) }}</p>
          </li>
        </ul>
      </section>
      <section class="block">
        <h2>Change it</h2>
        <ChangeForm v-if="maySign" :resident="resident" :plan="plan" :duties="editable" @signed="refresh" />
        <p v-else class="quiet">A senior keeper signs changes to a plan.</p>
        <PreviewTable v-if="preview" :preview="preview" />
        <template v-if="sources && sources.overrides.length > 0">
          <h3>Signed</h3>
          <ul>
            <li v-for="{ target, number, change: signed } in sources.overrides" :key="`${target} ${number}`">
              <strong>{{ saysChange(signed) }}</strong>
              <p class="quiet">
                {{ target === id ? 'for this one' : 'for everyone on the sheet' }},
                {{ site.nameOf(signed.by) }} {{ sayDate(signed.on, today.day)
                }}{{ signed.until === undefined ? '' : ` until ${sayDate(signed.until, today.day)}` }}:
                {{ signed.reason }}
              </p>
              <button
                v-if="maySign && !isOver(signed)"
                type="button"
                class="plain"
                :disabled="busy"
                :aria-label="`End: ${saysChange(signed)}`"
                @click="end(target, number)"
              >
                End it
              </button>
            </li>
          </ul>
        </template>
        <template v-if="library">
          <h3>Stage</h3>
          <ul>
            <li v-for="stage in library.sheet.stages" :key="stage.id" class="row">
              <strong>{{ stage.name }}</strong>
              <span v-if="stage.id === resident.stage" class="quiet">now</span>
              <template v-else>
                <button type="button" class="plain" :disabled="busy" @click="lookAtStage(stage.id)">
                  Before and after {{ stage.name }}
                </button>
                <button
                  v-if="mayStage"
                  type="button"
                  class="plain"
                  :disabled="busy"
                  @click="setStage(stage.id)"
                >
                  Confirm {{ stage.name }}
                </button>
              </template>
            </li>
          </ul>
        </template>
      </section>
      <ConditionScale v-if="resident.lives === 'individual'" :resident-id="id" />
      <template v-if="library && sources">
        <SchoolChoice
          v-for="school in library.sheet.schools"
          :key="school.id"
          :sheet-id="resident.sheet"
          :school="school"
          :chosen="sources.ownSchools[school.id] ?? sources.siteSchools[school.id]"
          :resident-id="id"
          @chosen="refresh"
        />
      </template>
    </div>
  </main>
  <main v-else class="reading"><h1>Nobody by that number</h1></main>
</template>
