<script setup lang="ts">
import type { SheetFault } from '@kobrin/contract'
import { OFFICE_ROUTES } from '@kobrin/contract'
import { Form } from '@primevue/forms'
import Button from 'primevue/button'
import type { FileUploadUploaderEvent } from 'primevue/fileupload'
import FileUpload from 'primevue/fileupload'
import { computed, reactive, shallowRef, useTemplateRef } from 'vue'
import BegunBefore from '../drafts/BegunBefore.vue'
import { useDraft } from '../drafts/useDraft.ts'
import TextField from '../fields/TextField.vue'
import Wrong from '../fields/Wrong.vue'
import { call } from '../api/call.ts'
import { useSending } from '../api/queries.ts'
import { saySheetFault } from '../words/sheetFaults.ts'
import SheetText from './SheetText.vue'
import { t } from './words.ts'

const { sheetId, yaml, version } = defineProps<{
  /** Of the sheet in force; a new one says its own in the text. */
  sheetId?: string
  yaml: string
  version: number
}>()
const emit = defineEmits<{ kept: [sheetId: string]; close: [] }>()

const form = reactive({ text: yaml, why: '', basedOn: version })
const draft = useDraft(`sheet ${sheetId ?? ''}`, form)
const faults = shallowRef<readonly SheetFault[]>([])
const questions = shallowRef<readonly SheetFault[]>([])
const overtaken = shallowRef<number | null>(null)
const { busy, complaint, send } = useSending(({ named, confirmed }: { named: string; confirmed: boolean }) =>
  call(OFFICE_ROUTES.keepSheet, {
    params: { sheetId: named },
    body: { yaml: form.text, why: form.why.trim(), confirmed, basedOn: overtaken.value ?? form.basedOn },
  }),
)
const writing = useTemplateRef<{ goTo: (line: number) => void }>('writing')
const changed = computed(() => form.text !== yaml)
/** What is changed is shown beside what was. */
const comparing = shallowRef(false)
const marks = computed(() =>
  [...faults.value, ...questions.value].flatMap((fault) =>
    fault.line === null ? [] : [{ line: fault.line, says: saySheetFault(fault) }],
  ),
)

async function keep(confirmed: boolean): Promise<void> {
  const named = sheetId ?? /^id:\s*(\S+)/m.exec(form.text)?.[1] ?? 'unnamed'
  const answer = (await send({ named, confirmed }))?.got
  if (!answer) return
  faults.value = answer.status === 'faulty' ? answer.faults : []
  questions.value = answer.status === 'asked' ? answer.questions : []
  overtaken.value = answer.status === 'overtaken' ? answer.version : null
  if (answer.status !== 'kept') return
  draft.drop()
  emit('kept', named)
}

async function take({ files }: FileUploadUploaderEvent): Promise<void> {
  const [file] = [files].flat()
  if (file) form.text = await file.text()
}
</script>

<template>
  <Form class="form no-print" @submit="keep(false)">
    <div class="row">
      <h2>{{ sheetId ? t('editTheSheet') : t('aNewSheet') }}</h2>
      <FileUpload
        mode="basic"
        accept=".yaml,.yml,text/yaml"
        :choose-label="t('takeAFile')"
        :choose-button-props="{ severity: 'secondary' }"
        auto
        custom-upload
        @uploader="take"
      />
      <Button severity="secondary" :disabled="!changed" @click="comparing = !comparing">
        {{ comparing ? t('showAllOfIt') : t('showWhatIsChanged') }}
      </Button>
      <Button severity="secondary" @click="emit('close')">{{ t('close') }}</Button>
    </div>
    <BegunBefore :draft="draft" />
    <SheetText
      ref="writing"
      v-model="form.text"
      :label="t('careSheetAsYaml')"
      :marks="marks"
      :against="comparing ? yaml : undefined"
    />
    <ul v-if="faults.length > 0" class="wrong" role="alert">
      <li v-for="(fault, index) in faults" :key="index">
        <Button v-if="fault.line !== null" severity="secondary" @click="writing?.goTo(fault.line)">
          {{ t('line', { line: fault.line }) }}
        </Button>
        <strong>{{ fault.field }}</strong> {{ saySheetFault(fault) }}
      </li>
      <li>{{ t('versionStaysInForce', { version }) }}</li>
    </ul>
    <div v-if="questions.length > 0" class="ask" role="alert">
      <p v-for="(question, index) in questions" :key="index">
        <Button v-if="question.line !== null" severity="secondary" @click="writing?.goTo(question.line)">
          {{ t('line', { line: question.line }) }}
        </Button>
        {{ saySheetFault(question) }}
      </p>
      <Button severity="secondary" :disabled="busy" @click="keep(true)"> {{ t('itIsMeantSo') }} </Button>
    </div>
    <p v-if="overtaken !== null" class="ask" role="alert">
      {{ t('somebodyKeptVersionWhile', { overtaken }) }}
    </p>
    <Wrong :says="complaint" />
    <TextField v-model="form.why" :label="t('why')" maxlength="400" :placeholder="t('whatWasReadOr')" />
    <Button type="submit" :disabled="busy || !changed">
      {{ t('keepAsVersion', { overtaken: (overtaken ?? version) + 1 }) }}
    </Button>
  </Form>
</template>
