import type { Reactive } from 'vue'
import { shallowRef, watch } from 'vue'
import { useDrafts } from './useDrafts.ts'

/** Keeps what is typed into a form for as long as it is not kept, and puts it back when the form is opened again.
 * `form` names it, with whom or what it is about. */
export function useDraft<T extends object>(form: string, value: Reactive<T>) {
  const drafts = useDrafts()
  const fields = value as Record<string, unknown>
  const fresh = JSON.stringify(fields)
  const before = drafts.recall(form)
  /** When what stands here was typed, if that was before the form was opened. */
  const begunAt = shallowRef(before?.at ?? null)

  function fill(from: Readonly<Record<string, unknown>>): void {
    for (const name of Object.keys(fields)) if (name in from) fields[name] = from[name]
  }

  function drop(): void {
    begunAt.value = null
    drafts.drop(form)
  }

  if (before) fill(before.value)
  watch(value, () => {
    const now = JSON.stringify(fields)
    if (now === fresh) drop()
    else drafts.stash(form, JSON.parse(now) as Record<string, unknown>)
  })

  return {
    begunAt,
    /** It was kept. */
    drop,
    /** It is not wanted any more. */
    anew(): void {
      fill(JSON.parse(fresh) as Record<string, unknown>)
      drop()
    },
  }
}

export type FormDraft = ReturnType<typeof useDraft>
