import type { Completion, CompletionContext, CompletionResult } from '@codemirror/autocomplete'
import { fieldsAt, valuesAt } from './sheetFields.ts'
import { placeAt } from './yamlPlace.ts'

/** Offers the fields, or the words, that can stand where the cursor is. */
export function completeSheet(context: CompletionContext): CompletionResult | null {
  const word = context.matchBefore(/[\w-]*/)
  if (!word || (word.from === word.to && !context.explicit)) return null
  const { path, field } = placeAt(context.state, context.pos)
  const options: Completion[] =
    field === null
      ? fieldsAt(path).map(({ name, required }) => ({
          label: name,
          apply: `${name}: `,
          type: 'property',
          ...(required && { detail: 'required', boost: 1 }),
        }))
      : valuesAt([...path, field]).map((label) => ({ label, type: 'enum' }))
  return options.length > 0 ? { from: word.from, options, validFor: /^[\w-]*$/ } : null
}
