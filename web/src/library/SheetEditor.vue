<script setup lang="ts">
import type { SheetFault } from '@kobrin/contract'
import { ROUTES } from '@kobrin/contract'
import { Form } from '@primevue/forms'
import Button from 'primevue/button'
import Textarea from 'primevue/textarea'
import type { FileUploadUploaderEvent } from 'primevue/fileupload'
import FileUpload from 'primevue/fileupload'
import { computed, shallowRef, useTemplateRef } from 'vue'
import TextField from '../fields/TextField.vue'
import Wrong from '../fields/Wrong.vue'
import { call } from '../wire/call.ts'
import { useTold } from '../wire/queries.ts'
import { saySheetFault } from '../words/sheetFaults.ts'

const { sheetId, yaml, version } = defineProps<{
  /** Of the sheet in force; a new one says its own in the text. */
  sheetId?: string
  yaml: string
  version: number
}>()
const emit = defineEmits<{ kept: [sheetId: string]; close: [] }>()

const text = shallowRef(yaml)
const why = shallowRef('')
const faults = shallowRef<readonly SheetFault[]>([])
const questions = shallowRef<readonly SheetFault[]>([])
const overtaken = shallowRef<number | null>(null)
const { busy, complaint, told } = useTold(({ named, confirmed }: { named: string; confirmed: boolean }) =>
  call(ROUTES.keepSheet, {
    params: { sheetId: named },
    body: { yaml: text.value, why: why.value.trim(), confirmed, basedOn: overtaken.value ?? version },
  }),
)
const area = useTemplateRef<{ $el: HTMLTextAreaElement }>('area')
const changed = computed(() => text.value !== yaml)

async function keep(confirmed: boolean): Promise<void> {
  const named = sheetId ?? /^id:\s*(\S+)/m.exec(text.value)?.[1] ?? 'unnamed'
  const answer = (await told({ named, confirmed }))?.got
  if (!answer) return
  faults.value = answer.status === 'faulty' ? answer.faults : []
  questions.value = answer.status === 'asked' ? answer.questions : []
  overtaken.value = answer.status === 'overtaken' ? answer.version : null
  if (answer.status === 'kept') emit('kept', named)
}

/** Puts the cursor on the line that is wrong. */
function goTo(line: number | null): void {
  const field = area.value?.$el
  if (!field || line === null) return
  const before = text.value.split('\n').slice(0, line - 1)
  const from = before.reduce((sum, { length }) => sum + length + 1, 0)
  const length = text.value.slice(from).indexOf('\n')
  field.focus()
  field.setSelectionRange(from, from + (length === -1 ? text.value.length : length))
  field.scrollTop = Math.max(0, (line - 4) * 20)
}

async function take({ files }: FileUploadUploaderEvent): Promise<void> {
  const [file] = [files].flat()
  if (file) text.value = await file.text()
}
</script>

<template>
  <Form class="form no-print" @submit="keep(false)">
    <div class="row">
      <h2>{{ sheetId ? 'Edit the sheet' : 'A new sheet' }}</h2>
      <FileUpload
        mode="basic"
        accept=".yaml,.yml,text/yaml"
        choose-label="Take a file"
        :choose-button-props="{ severity: 'secondary' }"
        auto
        custom-upload
        @uploader="take"
      />
      <Button severity="secondary" @click="emit('close')">Close</Button>
    </div>
    <Textarea ref="area" v-model="text" class="yaml" spellcheck="false" aria-label="Care sheet as YAML" />
    <ul v-if="faults.length > 0" class="wrong" role="alert">
      <li v-for="(fault, index) in faults" :key="index">
        <Button v-if="fault.line !== null" severity="secondary" @click="goTo(fault.line)">
          Line {{ fault.line }}
        </Button>
        <strong>{{ fault.field }}</strong> {{ saySheetFault(fault) }}
      </li>
      <li>Version {{ version }} stays in force.</li>
    </ul>
    <div v-if="questions.length > 0" class="ask" role="alert">
      <p v-for="(question, index) in questions" :key="index">{{ saySheetFault(question) }}</p>
      <Button severity="secondary" :disabled="busy" @click="keep(true)"> It is meant so: keep it </Button>
    </div>
    <p v-if="overtaken !== null" class="ask" role="alert">
      Somebody kept version {{ overtaken }} while you wrote. Your text is still here: look at theirs first,
      then keep yours on top.
    </p>
    <Wrong :says="complaint" />
    <TextField v-model="why" label="Why" maxlength="400" placeholder="What was read or seen" />
    <Button type="submit" :disabled="busy || !changed">
      Keep as version {{ (overtaken ?? version) + 1 }}
    </Button>
  </Form>
</template>

<style scoped>
.yaml {
  min-height: 440px;
  font:
    14px/20px ui-monospace,
    monospace;
  white-space: pre;
}
</style>
