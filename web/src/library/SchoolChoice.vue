<script setup lang="ts">
import { ChooseSchool, may, ROUTES } from '@kobrin/contract'
import type { School } from '@kobrin/core'
import Button from 'primevue/button'
import Tag from 'primevue/tag'
import { computed, shallowRef, watch } from 'vue'
import SchemaForm from '../fields/SchemaForm.vue'
import TextField from '../fields/TextField.vue'
import { usePeople } from '../people/usePeople.ts'
import PreviewTable from '../plans/PreviewTable.vue'
import { useRecord } from '../entries/useRecord.ts'
import type { Preview } from '../plans/usePreview.ts'
import { usePreview } from '../plans/usePreview.ts'
import { useSite } from '../site/useSite.ts'
import { call } from '../api/call.ts'
import { useSending } from '../api/queries.ts'
import { sayTarget, sayZone } from '../words/care.ts'
import { saySeason } from '../words/numbers.ts'
import { sayNeeds } from '../words/reasons.ts'
import { sayRest } from '../words/restRule.ts'
import { words } from '../words/en.ts'
import { t } from './words.ts'
import { sayCadence } from '../words/cadence.ts'

const { sheetId, school, chosen, residentId, example } = defineProps<{
  sheetId: string
  school: School
  /** Chosen here; the sheet's default where nothing is. */
  chosen: string | undefined
  /** Chosen for one resident rather than for the sheet. */
  residentId?: string
  /** Somebody on the sheet, to show what a choice would mean. */
  example?: { id: string; name: string } | undefined
}>()

const people = usePeople()
const { busy, complaint, send } = useSending((body: ChooseSchool) => call(ROUTES.chooseSchool, { body }))
const wanted = shallowRef<string | null>(null)
const reason = shallowRef('')
const preview = shallowRef<Preview | null>(null)
const site = useSite()
const record = useRecord()
const previewOf = usePreview()

const inForce = computed(() => chosen ?? school.default)
const maySign = computed(() => may(people.role, 'signPlans'))
const consequences = (option: School['options'][number]) => [
  ...option.duties.map((duty) => {
    if ('drop' in duty) return t('noLonger', { id: duty.id })
    const name = duty.label ?? (duty.does ? words.duty[duty.does] : duty.id)
    return duty.cadence ? `${name}, ${sayCadence(duty.cadence)}` : t('changed', { name })
  }),
  ...option.targets.map((target) => `${sayZone(target)}: ${sayTarget(target)}`),
  ...(option.housing ? ['enclosure'] : []),
  ...(option.light ? ['light'] : []),
]

/** "In force only with ultraviolet; at Adult; from 15 May to 5 June." */
function conditions({ needs, stages, season }: School['options'][number]): string {
  const known = site.species.get(sheetId)?.stages
  const names = stages?.map((stage) => known?.find(({ id }) => id === stage)?.name ?? stage)
  const parts = [
    ...(needs ? [sayNeeds(needs)] : []),
    ...(names ? [t('at', { names: names.join(', ') })] : []),
    ...(season ? [t('from', { season: saySeason(season) })] : []),
  ]
  return t('inForce', { parts: parts.join('; ') })
}

watch(wanted, () => (preview.value = null))

function look(): void {
  const option = wanted.value
  const whose = site.residents.get(residentId ?? example?.id ?? '')
  if (option === null || !whose) return
  const chosenSo = { [school.id]: option }
  preview.value = previewOf(whose, residentId ? { schools: chosenSo } : { siteSchools: chosenSo })
}

const sends = () => ({ sheet: sheetId, school: school.id, option: wanted.value, reason: reason.value })

/** For one resident it is a fact of that resident; for a sheet, a change of the site's. */
async function keepChoice(option: string): Promise<boolean> {
  const why = reason.value.trim()
  if (!residentId) return (await send({ sheet: sheetId, school: school.id, option, reason: why })) !== null
  record.keep(
    [{ subject: residentId, kind: 'schooled', payload: { school: school.id, option, why } }],
    `${site.residents.get(residentId)?.name ?? ''}: ${school.question}`,
  )
  return true
}

async function choose(): Promise<void> {
  if (wanted.value === null || !(await keepChoice(wanted.value))) return
  wanted.value = null
  reason.value = ''
}
</script>

<template>
  <section class="block school">
    <h3>{{ school.question }}</h3>
    <ul>
      <li v-for="option in school.options" :key="option.id" :class="{ on: option.id === inForce }">
        <div class="row">
          <strong>{{ option.name }}</strong>
          <Tag v-if="option.id === inForce">{{ t('inForceHere') }}</Tag>
          <span v-if="option.id === school.default" class="quiet">{{ t('shippedDefault') }}</span>
          <Button
            v-if="maySign && option.id !== inForce && wanted !== option.id"
            severity="secondary"
            class="no-print"
            :aria-label="t('choose', { name: option.name, question: school.question })"
            @click="wanted = option.id"
          >
            {{ t('choose2') }}
          </Button>
        </div>
        <p>{{ option.reason }}</p>
        <p v-if="option.needs || option.stages || option.season" class="quiet">{{ conditions(option) }}</p>
        <p v-if="option.rest">{{ sayRest(option.rest) }}</p>
        <p v-if="consequences(option).length > 0" class="quiet">
          {{ t('changes', { consequences: consequences(option).join('; ') }) }}
        </p>
        <SchemaForm
          v-if="wanted === option.id"
          class="no-print"
          :schema="ChooseSchool"
          :sends="sends"
          :complaint="complaint"
          @keep="choose"
        >
          <TextField v-model="reason" name="reason" :label="t('whyHere')" maxlength="400" />
          <template #buttons>
            <div class="row">
              <Button type="submit" :disabled="busy">{{ t('choose3', { name: option.name }) }}</Button>
              <Button v-if="residentId || example" severity="secondary" :disabled="busy" @click="look">
                {{ example ? t('beforeAndAfterFor', { name: example.name }) : t('beforeAndAfter') }}
              </Button>
              <Button severity="secondary" @click="wanted = null">{{ t('leaveItAsIt') }}</Button>
            </div>
          </template>
        </SchemaForm>
        <PreviewTable v-if="preview && wanted === option.id" :preview="preview" />
      </li>
    </ul>
    <p v-if="school.why" class="quiet">{{ t('shippedSoBecause', { why: school.why }) }}</p>
  </section>
</template>

<style scoped>
.on {
  padding-left: 8px;
  border-left: 5px solid var(--focus);
}
</style>
