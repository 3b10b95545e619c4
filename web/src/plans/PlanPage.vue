<script setup lang="ts">
import type { EndOverride } from '@kobrin/contract'
import { may, ROUTES } from '@kobrin/contract'
import { isBefore, isInForce, own } from '@kobrin/core'
import Button from 'primevue/button'
import Tag from 'primevue/tag'
import { computed, shallowRef } from 'vue'
import { RouterLink } from 'vue-router'
import '../app/page.css'
import ConditionScale from '../condition/ConditionScale.vue'
import SchoolChoice from '../library/SchoolChoice.vue'
import { useRecord } from '../entries/useRecord.ts'
import { usePeople } from '../people/usePeople.ts'
import { usePlans } from './usePlans.ts'
import type { Signed } from './inForce.ts'
import { inForce } from './inForce.ts'
import { useSite } from '../site/useSite.ts'
import { useToday } from '../time/useToday.ts'
import { call } from '../api/call.ts'
import { useSending } from '../api/queries.ts'
import { dutyName } from '../words/cell.ts'
import { housingLines, lightLines, sayHousing, sayTarget, sayZone } from '../words/care.ts'
import { sayOverride } from '../words/changes.ts'
import { sayDate } from '../words/numbers.ts'
import { saySource } from '../words/reasons.ts'
import { useTeller } from '../words/useTeller.ts'
import ChangeForm from './ChangeForm.vue'
import PreviewTable from './PreviewTable.vue'
import StageChange from './StageChange.vue'
import type { Preview } from './usePreview.ts'
import { usePreview } from './usePreview.ts'
import { t } from './words.ts'
import { sayCadence } from '../words/cadence.ts'

const { id } = defineProps<{ id: string }>()
const site = useSite()
const plans = usePlans()
const people = usePeople()
const today = useToday()
const record = useRecord()
const teller = useTeller()
const { busy, complaint, send } = useSending((body: Pick<EndOverride, 'target' | 'number'>) =>
  call(ROUTES.endOverride, { body: { ...body, reason: t('endedOnThePlan') } }),
)

const resident = computed(() => site.residents.get(id))
const plan = computed(() => resident.value && plans.planOf(resident.value))
const sheet = computed(() => site.species.get(resident.value?.sheet ?? ''))
/** Every change signed for it or for everyone on its sheet. */
const signedChanges = computed(() =>
  (site.book?.overrides ?? []).filter(({ target }) => target === id || target === resident.value?.sheet),
)
const maySign = computed(() => may(people.role, 'signPlans'))
const isHere = computed(() => record.stateOf(id).stay.arrivedOn !== null)
/** What is asked for now: getting the place ready is behind those who are here. */
const editable = computed(() => plan.value?.duties.filter((one) => !isBefore(one) || !isHere.value) ?? [])

const preview = shallowRef<Preview | null>(null)
const previewOf = usePreview()

function lookAtStage(stage: string): void {
  preview.value = resident.value ? previewOf(resident.value, { stage }) : null
}

function saysSigned({ target, change: { by, on, until, reason } }: Signed): string {
  const signed = {
    whom: target === id ? t('forThisOne') : t('forEveryoneOnThe'),
    who: site.nameOf(by),
    date: sayDate(on, today.day),
    reason,
  }
  return until === undefined
    ? t('signedBy', signed)
    : t('signedByUntil', { ...signed, until: sayDate(until, today.day) })
}

/** Why a change says nothing now. */
function saysNoForce({ change: { on, until } }: Signed): string {
  if (on > today.day) return t('notYetInForce')
  return until !== undefined && until < today.day ? t('isOver') : t('anotherInForce')
}

const force = computed(() => inForce(signedChanges.value, id, today.day))
</script>

<template>
  <main v-if="resident && plan" class="reading">
    <header>
      <h1>
        {{ t('planOf') }} <span class="tape">{{ resident.name }}</span>
      </h1>
      <p class="quiet">
        <RouterLink :to="{ name: 'record', params: { id } }">{{ t('record') }}</RouterLink> ·
        <RouterLink :to="{ name: 'sheet', params: { id: resident.sheet } }">{{ t('careSheet') }}</RouterLink>
      </p>
    </header>
    <p v-if="complaint" class="wrong" role="alert">{{ complaint }}</p>
    <div class="columns">
      <section class="block">
        <h2>{{ t('inForce') }}</h2>
        <ul>
          <li v-for="line in editable" :key="line.id">
            <strong>{{ dutyName({ duty: line }) }}</strong>, {{ sayCadence(line.cadence) }}
            <p class="quiet">{{ saySource(line.source, teller) }}</p>
          </li>
          <li v-for="line in plan.targets" :key="line.zone">
            <strong>{{ sayZone(line) }}</strong>
            {{ sayTarget(line) }}
            <p v-if="line.source" class="quiet">{{ saySource(line.source, teller) }}</p>
          </li>
          <li v-for="(value, field) in plan.housing" :key="field">
            <strong>{{ housingLines[field] }}</strong> {{ sayHousing(field, value) }}
            <p v-if="plan.sources?.[field]" class="quiet">{{ saySource(plan.sources[field], teller) }}</p>
          </li>
          <li v-for="{ field, term, says } in lightLines(plan.light)" :key="term">
            <strong>{{ term }}</strong> {{ says }}
            <p v-if="plan.sources?.[field]" class="quiet">{{ saySource(plan.sources[field], teller) }}</p>
          </li>
        </ul>
      </section>
      <section class="block">
        <h2>{{ t('changeIt') }}</h2>
        <ChangeForm v-if="maySign" :resident="resident" :plan="plan" :duties="editable" />
        <p v-else class="quiet">{{ t('aSeniorKeeperSigns') }}</p>
        <PreviewTable v-if="preview" :preview="preview" />
        <template v-if="signedChanges.length > 0">
          <h3>{{ t('signed') }}</h3>
          <ul>
            <li v-for="one in signedChanges" :key="`${one.target} ${one.number}`">
              <strong>{{ sayOverride(one.change) }}</strong>
              {{ ' ' }}<Tag v-if="force.has(one)" :value="t('inForceNow')" />
              <p class="quiet">{{ saysSigned(one) }}</p>
              <p v-if="!force.has(one)" class="quiet">{{ saysNoForce(one) }}</p>
              <Button
                v-if="maySign && isInForce(one.change, today.day)"
                severity="secondary"
                :disabled="busy"
                :aria-label="t('end', { override: sayOverride(one.change) })"
                @click="send({ target: one.target, number: one.number })"
              >
                {{ t('endIt') }}
              </Button>
            </li>
          </ul>
        </template>
        <StageChange v-if="sheet" :resident="resident" :sheet="sheet" @look="lookAtStage" />
      </section>
      <ConditionScale v-if="resident.lives === 'individual'" :resident-id="id" />
      <template v-if="sheet">
        <SchoolChoice
          v-for="school in sheet.schools"
          :key="school.id"
          :sheet-id="resident.sheet"
          :school="school"
          :chosen="
            own(resident.schools, school.id) ?? own(own(site.book?.schools ?? {}, sheet.id) ?? {}, school.id)
          "
          :resident-id="id"
        />
      </template>
    </div>
  </main>
  <main v-else class="reading">
    <h1>{{ t('nobodyByThatNumber') }}</h1>
  </main>
</template>
