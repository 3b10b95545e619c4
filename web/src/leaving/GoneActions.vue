<script setup lang="ts">
import type { Disposal, Draft, FactKind, Verdict } from '@kobrin/core'
import { kindOf, mayRecord } from '@kobrin/core'
import Button from 'primevue/button'
import { computed, reactive } from 'vue'
import PlaceSelect from '../enclosures/PlaceSelect.vue'
import { useFit } from '../enclosures/useFit.ts'
import { useRecord } from '../entries/useRecord.ts'
import ChoiceField from '../fields/ChoiceField.vue'
import { choicesOf } from '../fields/choicesOf.ts'
import SchemaForm from '../fields/SchemaForm.vue'
import TextField from '../fields/TextField.vue'
import { useHeldPlaces } from '../moving/useFreePlaces.ts'
import { usePeople } from '../people/usePeople.ts'
import { useResidents } from '../residents/useResidents.ts'
import { useSite } from '../site/useSite.ts'
import { terms } from '../words/terms.ts'
import { t } from './words.ts'

/** What is still to be seen to of somebody who died or is lent. */
const { what, residentId } = defineProps<{ what: Verdict['what']; residentId: string }>()
const site = useSite()
const record = useRecord()
const people = usePeople()
const residents = useResidents()
const heldPlaces = useHeldPlaces()
const { fitOf } = useFit()

const form = reactive({ found: '', disposal: 'frozen' as Disposal, enclosure: '' })
const BODIES = choicesOf<Disposal>(terms.disposal).filter(({ value }) => value !== 'notYet')
const resident = computed(() => site.residents.get(residentId))
const places = computed(() => {
  const one = resident.value
  return one ? heldPlaces(one, (box) => fitOf(box, one)) : []
})

/** Some of a colony that are lent, and the entry by which they went. */
const some = computed(() =>
  what.code === 'dueBack' && what.count !== undefined && what.uid !== undefined
    ? { count: what.count, uid: what.uid }
    : null,
)

const draft = computed((): Draft => {
  const subject = residentId
  if (some.value)
    return { subject, kind: 'gained', payload: { count: some.value.count, returns: some.value.uid } }
  if (what.code === 'dueBack') return { subject, kind: 'arrived', payload: { enclosure: form.enclosure } }
  const payload = what.code === 'bodyWaits' ? { disposal: form.disposal } : { found: form.found.trim() }
  return { subject, kind: 'examined', payload }
})
const kind = computed(() => draft.value.kind as FactKind)
const schema = computed(() => kindOf(kind.value).payload)

function keep(): void {
  const name = residents.nameOf(residentId)
  record.keep([draft.value], what.code === 'dueBack' ? t('isBack2', { name }) : t('writtenDown', { name }))
}
</script>

<template>
  <SchemaForm v-if="mayRecord(people.role, kind)" :schema="schema" :sends="() => draft.payload" @keep="keep">
    <ChoiceField
      v-if="what.code === 'bodyWaits'"
      v-model="form.disposal"
      name="disposal"
      :label="t('body')"
      :options="BODIES"
    />
    <TextField
      v-else-if="what.code === 'postMortemOpen'"
      v-model="form.found"
      name="found"
      :label="t('whatWasFound')"
      :lines="2"
      maxlength="4000"
    />
    <PlaceSelect
      v-else-if="!some"
      v-model="form.enclosure"
      name="enclosure"
      :label="t('whereTo')"
      :places="places"
    />
    <Button type="submit" severity="secondary">{{
      some ? t('areBack') : what.code === 'dueBack' ? t('isBack') : t('keepIt')
    }}</Button>
  </SchemaForm>
</template>
