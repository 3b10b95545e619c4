<script setup lang="ts">
import type { GivenCode, StaffLine } from '@kobrin/contract'
import { KeepPerson, OFFICE_ROUTES } from '@kobrin/contract'
import Button from 'primevue/button'
import { computed, reactive, shallowRef } from 'vue'
import AppDialog from '../app/AppDialog.vue'
import ChoiceField from '../fields/ChoiceField.vue'
import { choicesFrom, choicesOf } from '../fields/choicesOf.ts'
import SchemaForm from '../fields/SchemaForm.vue'
import SeveralOf from '../fields/SeveralOf.vue'
import TextField from '../fields/TextField.vue'
import Wrong from '../fields/Wrong.vue'
import { useSite } from '../site/useSite.ts'
import { useToday } from '../time/useToday.ts'
import { call } from '../api/call.ts'
import { answersChanged } from '../api/changes.ts'
import { useSending } from '../api/queries.ts'
import { sayDate } from '../words/numbers.ts'
import { terms } from '../words/terms.ts'
import { t } from './words.ts'

/** One of the staff; nobody yet for somebody new. */
const { line } = defineProps<{ line: StaffLine | null }>()
const emit = defineEmits<{ close: [] }>()
const site = useSite()
const today = useToday()
/** As they were when this was opened: what a colleague changes meanwhile does not change what is typed here. */
const before = line
const form = reactive<KeepPerson>({
  name: before?.name ?? '',
  login: before?.login ?? '',
  initials: before?.initials ?? '',
  role: before?.role ?? 'keeper',
  competences: [...(before?.competences ?? [])],
})
const given = shallowRef<GivenCode | null>(null)
/** What the care sheets ask training for, and what they are cleared for already. */
const competences = computed(() => {
  const asked = [...site.species.values()].flatMap(({ competence }) => competence ?? [])
  return choicesFrom([...new Set([...asked, ...(before?.competences ?? [])])].sort())
})

const own = () => ({ params: { id: before?.id ?? '' } })

async function done(): Promise<void> {
  await answersChanged.trigger(null)
}

const keeping = useSending(async () => {
  if (before) await call(OFFICE_ROUTES.keepPerson, { ...own(), body: form })
  else given.value = await call(OFFICE_ROUTES.addPerson, { body: form })
  await done()
})
const coding = useSending(async () => {
  given.value = await call(OFFICE_ROUTES.giveCode, own())
  await done()
})
const going = useSending(async () => {
  await call(before?.active ? OFFICE_ROUTES.letGo : OFFICE_ROUTES.letBack, own())
  await done()
})

async function keep(): Promise<void> {
  if ((await keeping.send()) && before) emit('close')
}

async function go(): Promise<void> {
  if (await going.send()) emit('close')
}
</script>

<template>
  <AppDialog :title="before?.name ?? t('newPerson')" @close="emit('close')">
    <section v-if="given" class="good" role="status">
      <h3>{{ t('codeOf', { name: form.name }) }}</h3>
      <p class="code">{{ given.code }}</p>
      <p>{{ t('codeHow', { date: sayDate(today.dayOf(given.until), today.day) }) }}</p>
    </section>
    <SchemaForm
      v-if="before || !given"
      :schema="KeepPerson"
      :sends="() => form"
      :complaint="keeping.complaint.value"
      @keep="keep"
    >
      <div class="pair">
        <TextField v-model="form.name" name="name" :label="t('name')" />
        <TextField v-model="form.initials" name="initials" :label="t('initials')" maxlength="4" />
      </div>
      <div class="pair">
        <TextField
          v-model="form.login"
          name="login"
          :label="t('signInName')"
          autocapitalize="none"
          spellcheck="false"
        />
        <ChoiceField v-model="form.role" name="role" :label="t('role')" :options="choicesOf(terms.role)" />
      </div>
      <SeveralOf
        v-if="competences.length > 0"
        v-model="form.competences"
        name="competences"
        :label="t('clearedFor')"
        :options="competences"
      />
      <Button type="submit" :disabled="keeping.busy.value">{{ before ? t('keep') : t('add') }}</Button>
    </SchemaForm>
    <template v-if="before">
      <section v-if="before.active" class="act">
        <p class="quiet">{{ t('codeWhy') }}</p>
        <Wrong :says="coding.complaint.value" />
        <Button severity="secondary" :disabled="coding.busy.value" @click="coding.send()">{{
          t('giveCode')
        }}</Button>
      </section>
      <section class="act">
        <p v-if="before.active" class="quiet">{{ t('leavesWhy') }}</p>
        <Wrong :says="going.complaint.value" />
        <Button severity="secondary" :disabled="going.busy.value" @click="go">{{
          before.active ? t('leaves') : t('returns')
        }}</Button>
      </section>
    </template>
  </AppDialog>
</template>

<style scoped>
.code {
  font-weight: 700;
  font-size: 1.75rem;
  letter-spacing: 0.06em;
}

.act {
  display: grid;
  gap: 6px;
  justify-items: start;
  padding-top: 10px;
  border-top: 1px solid var(--line);
}
</style>
