<script setup lang="ts">
import type { FormInstance } from '@primevue/forms'
import { Form } from '@primevue/forms'
import '../app/page.css'
import { nextTick, shallowRef, useTemplateRef } from 'vue'
import type * as z from 'zod/mini'
import BegunBefore from '../drafts/BegunBefore.vue'
import type { FormDraft } from '../drafts/useDraft.ts'
import Wrong from './Wrong.vue'
import type { Errors } from './checkAgainst.ts'
import { checkAgainst } from './checkAgainst.ts'

/** A form held against the schema that the server holds it against: what it would send is checked, and what is
 * wrong stands at the field it is about. */
const { schema, sends, also, complaint, draft } = defineProps<{
  schema: z.ZodMiniType
  /** What would be sent, as the fields stand now. */
  sends: () => unknown
  /** What no schema can know: what is wrong, by field. */
  also?: () => Readonly<Record<string, string>>
  /** What the server said about it. */
  complaint?: string
  /** What was typed here is there again when it was not kept. */
  draft?: FormDraft
}>()
const emit = defineEmits<{ keep: []; wrong: [field: string] }>()
const form = useTemplateRef<FormInstance>('form')
const frame = useTemplateRef<HTMLElement>('frame')
/** Nobody is told that something is wrong before they say that it is right. */
const tried = shallowRef(false)
/** What is wrong and has no field of its own. */
const elsewhere = shallowRef<readonly string[]>([])

function check(): Errors {
  const wrong = Object.entries(also?.() ?? {}).map(([path, message]) => [path, [{ message }]])
  return { ...checkAgainst(schema, sends()), ...(Object.fromEntries(wrong) as Errors) }
}

/** What the form found when it last looked. */
let errors: Errors = {}

function resolver() {
  errors = check()
  return { values: {}, errors }
}

async function submitted(): Promise<void> {
  tried.value = true
  elsewhere.value = Object.entries(errors).flatMap(([path, [one]]) =>
    form.value?.getFieldState(path) || !one ? [] : [one.message],
  )
  const [first] = Object.keys(errors)
  if (first === undefined) return emit('keep')
  emit('wrong', first)
  await nextTick()
  frame.value?.querySelector<HTMLElement>('[aria-invalid="true"]')?.focus()
}
</script>

<template>
  <div ref="frame">
    <Form
      ref="form"
      class="form"
      :resolver="resolver"
      :validate-on-blur="false"
      :validate-on-value-update="tried"
      @submit="submitted"
    >
      <BegunBefore v-if="draft" :draft="draft" />
      <slot />
      <Wrong v-for="one in elsewhere" :key="one" :says="one" />
      <Wrong :says="complaint" />
      <slot name="buttons" />
    </Form>
  </div>
</template>
