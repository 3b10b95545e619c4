<script setup lang="ts">
import { kindOf } from '@kobrin/core'
import Button from 'primevue/button'
import { reactive } from 'vue'
import * as z from 'zod/mini'
import AppDialog from '../app/AppDialog.vue'
import { useDraft } from '../drafts/useDraft.ts'
import { useRecord } from '../entries/useRecord.ts'
import SchemaForm from '../fields/SchemaForm.vue'
import DescriptionFields from '../residents/DescriptionFields.vue'
import { describedAs, emptied, newlySaid } from '../residents/description.ts'
import { useResidents } from '../residents/useResidents.ts'
import { t } from './words.ts'

/** More of who somebody is, learnt since it came. */
const { residentId } = defineProps<{ residentId: string }>()
const emit = defineEmits<{ close: [] }>()
const record = useRecord()
const residents = useResidents()

const before = describedAs(record.stateOf(residentId).identity ?? {})
const form = reactive({ ...before })
const draft = useDraft(`description ${residentId}`, form)
const schema = z.object({ described: kindOf('described').payload })
const said = () => newlySaid(form, before)
const also = () =>
  Object.fromEntries(emptied(form, before).map((field) => [`described.${field}`, t('sayItOtherwise')]))

function keep(): void {
  const payload = said()
  const name = residents.nameOf(residentId)
  if (Object.keys(payload).length > 0)
    record.keep([{ subject: residentId, kind: 'described', payload }], t('described', { name }))
  draft.drop()
  emit('close')
}
</script>

<template>
  <AppDialog :title="t('whoItIs')" @close="emit('close')">
    <SchemaForm
      :schema="schema"
      :sends="() => ({ described: said() })"
      :also="also"
      :draft="draft"
      @keep="keep"
    >
      <DescriptionFields
        v-model:origin="form.origin"
        v-model:marks="form.marks"
        v-model:chip="form.chip"
        v-model:pale="form.pale"
      />
      <template #buttons
        ><p class="row">
          <Button type="submit">{{ t('keepIt') }}</Button>
        </p></template
      >
    </SchemaForm>
  </AppDialog>
</template>
