<script setup lang="ts">
import { autocompletion } from '@codemirror/autocomplete'
import { yaml } from '@codemirror/lang-yaml'
import type { Diagnostic } from '@codemirror/lint'
import { lintGutter, setDiagnostics } from '@codemirror/lint'
import { unifiedMergeView } from '@codemirror/merge'
import { Compartment, EditorState } from '@codemirror/state'
import { EditorView } from '@codemirror/view'
import { basicSetup } from 'codemirror'
import { onMounted, onUnmounted, useTemplateRef, watch } from 'vue'
import { nonceOf } from '../app/nonce.ts'
import { completeSheet } from './completeSheet.ts'
import { sheetTheme } from './sheetTheme.ts'

/** The text of a care sheet: to be written, or to be read beside an older one. */
const {
  label,
  against,
  marks = [],
  reading = false,
} = defineProps<{
  label: string
  /** The text it is laid over: what is other is shown. */
  against?: string | undefined
  /** What is wrong, by line. */
  marks?: readonly { line: number; says: string }[]
  /** Nothing of it can be changed. */
  reading?: boolean
}>()
const text = defineModel<string>({ required: true })
const frame = useTemplateRef<HTMLElement>('frame')
const difference = new Compartment()
let view: EditorView | null = null

function differenceTo(original: string | undefined) {
  if (original === undefined) return []
  return unifiedMergeView({
    original,
    mergeControls: false,
    syntaxHighlightDeletions: false,
    collapseUnchanged: { margin: 2, minSize: 6 },
  })
}

function diagnosticsOf(at: EditorView): Diagnostic[] {
  return marks
    .filter(({ line }) => line >= 1 && line <= at.state.doc.lines)
    .map(({ line, says }) => {
      const { from, to } = at.state.doc.line(line)
      return { from, to, severity: 'error', message: says }
    })
}

onMounted(() => {
  if (!frame.value) return
  view = new EditorView({
    parent: frame.value,
    doc: text.value,
    extensions: [
      EditorView.cspNonce.of(nonceOf() ?? ''),
      basicSetup,
      yaml(),
      lintGutter(),
      autocompletion({ override: [completeSheet], icons: false }),
      sheetTheme,
      EditorView.lineWrapping,
      EditorView.contentAttributes.of({ 'aria-label': label }),
      EditorState.readOnly.of(reading),
      difference.of(differenceTo(against)),
      EditorView.updateListener.of(({ docChanged, state }) => {
        if (docChanged) text.value = state.doc.toString()
      }),
    ],
  })
})
onUnmounted(() => view?.destroy())

watch(text, (next) => {
  if (!view || next === view.state.doc.toString()) return
  view.dispatch({ changes: { from: 0, to: view.state.doc.length, insert: next } })
})
watch(
  () => against,
  (original) => view?.dispatch({ effects: difference.reconfigure(differenceTo(original)) }),
)
watch(
  () => marks,
  () => view?.dispatch(setDiagnostics(view.state, diagnosticsOf(view))),
)

/** Puts the cursor on a line, in the middle of what is seen. */
function goTo(number: number): void {
  if (!view) return
  const { from, to } = view.state.doc.line(Math.min(number, view.state.doc.lines))
  view.dispatch({
    selection: { anchor: from, head: to },
    effects: EditorView.scrollIntoView(from, { y: 'center' }),
  })
  view.focus()
}

defineExpose({ goTo })
</script>

<template>
  <div ref="frame" class="text" />
</template>

<style scoped>
.text :deep(.cm-editor) {
  height: min(62vh, 36rem);
}
</style>
