import { HighlightStyle, syntaxHighlighting } from '@codemirror/language'
import { EditorView } from '@codemirror/view'
import { tags } from '@lezer/highlight'

const MONO = 'ui-monospace, monospace'

/** The text of a sheet in the colors of the house, by day and in the dim. */
export const sheetTheme = [
  EditorView.theme({
    '&': {
      border: '1px solid var(--control-line)',
      borderRadius: '3px',
      backgroundColor: 'var(--glass)',
      color: 'var(--ink)',
      fontSize: '0.875rem',
    },
    '&.cm-focused': { outline: '3px solid var(--focus)', outlineOffset: '1px' },
    '.cm-scroller': { fontFamily: MONO, lineHeight: '1.45' },
    '.cm-content': { caretColor: 'var(--ink)' },
    '.cm-cursor': { borderLeftColor: 'var(--ink)', borderLeftWidth: '2px' },
    '.cm-gutters': {
      borderRight: '1px solid var(--line)',
      backgroundColor: 'var(--chip)',
      color: 'var(--soft)',
    },
    '.cm-activeLine, .cm-activeLineGutter': { backgroundColor: 'var(--wash)' },
    '&.cm-focused > .cm-scroller > .cm-selectionLayer .cm-selectionBackground, .cm-selectionBackground': {
      backgroundColor: 'color-mix(in srgb, var(--focus) 30%, transparent)',
    },
    '.cm-tooltip': { border: '1px solid var(--control-line)', backgroundColor: 'var(--paper)' },
    '.cm-tooltip-autocomplete > ul > li': { fontFamily: MONO, lineHeight: '1.9' },
    '.cm-tooltip-autocomplete ul li[aria-selected]': {
      backgroundColor: 'var(--focus)',
      color: 'var(--on-focus)',
    },
    '.cm-completionDetail': { color: 'inherit' },
    '.cm-panels': { backgroundColor: 'var(--chip)', color: 'var(--ink)' },
    '.cm-lintRange-error': { backgroundImage: 'none', borderBottom: '3px double var(--late)' },
    '.cm-diagnostic-error': { borderLeftColor: 'var(--late)' },
    '.cm-insertedLine, .cm-changedLine': {
      backgroundColor: 'color-mix(in srgb, var(--done) 22%, transparent) !important',
    },
    '.cm-deletedChunk': { backgroundColor: 'color-mix(in srgb, var(--late) 16%, transparent)' },
    '.cm-changedText': { background: 'none', textDecoration: 'underline', textDecorationThickness: '2px' },
    '.cm-deletedText': { background: 'none' },
    '.cm-changeGutter': { width: '5px' },
    '.cm-changedLineGutter': { background: 'var(--done)' },
    '.cm-deletedLineGutter': { background: 'var(--late)' },
    '.cm-collapsedLines': { background: 'var(--chip)', color: 'var(--soft)' },
    '.cm-collapsedLines::before, .cm-collapsedLines::after': { content: '"…"' },
  }),
  syntaxHighlighting(
    HighlightStyle.define([
      { tag: tags.definition(tags.propertyName), color: 'var(--focus)', fontWeight: '700' },
      { tag: tags.propertyName, color: 'var(--focus)', fontWeight: '700' },
      { tag: tags.comment, color: 'var(--soft)', fontStyle: 'italic' },
      { tag: [tags.separator, tags.punctuation, tags.squareBracket, tags.brace], color: 'var(--soft)' },
    ]),
  ),
]
