import { defineStore } from 'pinia'
import * as z from 'zod/mini'
import { useStored } from '../kept/useStored.ts'
import { usePeople } from '../people/usePeople.ts'
import { useToday } from '../time/useToday.ts'

/** What somebody typed and has not kept. */
const Typed = z.readonly(
  z.object({
    /** When it was last touched, ISO. */
    at: z.string(),
    value: z.readonly(z.record(z.string(), z.unknown())),
  }),
)
export type Typed = z.infer<typeof Typed>

const ByForm = z.readonly(z.record(z.string(), Typed))

/** Anyone who does not come back to something within two weeks does not mean it any more. */
const LASTS_MS = 14 * 86_400_000

/** What was typed and not yet kept, by the form it was typed into: turning away, a reload or another session
 * loses nothing of it, and nobody else at this tablet is shown it. */
export const useDrafts = defineStore('drafts', () => {
  const people = usePeople()
  const today = useToday()
  const typed = useStored<z.infer<typeof ByForm>>(
    () => `kobrin.drafts.${people.person?.id ?? ''}`,
    ByForm,
    {},
    // Where there is no room, what was typed lasts as long as the page.
    { shallow: true, onError: () => undefined },
  )

  function isLasting({ at }: Typed): boolean {
    return Date.parse(today.moment().at) - Date.parse(at) < LASTS_MS
  }

  function recall(form: string): Typed | undefined {
    const one = typed.value[form]
    return one && isLasting(one) ? one : undefined
  }

  function without(form: string): Record<string, Typed> {
    return Object.fromEntries(
      Object.entries(typed.value).filter(([key, one]) => key !== form && isLasting(one)),
    )
  }

  function stash(form: string, value: Typed['value']): void {
    typed.value = { ...without(form), [form]: { at: today.moment().at, value } }
  }

  function drop(form: string): void {
    if (form in typed.value) typed.value = without(form)
  }

  /** Whether something was begun in any form whose name begins so. */
  function isBegun(prefix: string): boolean {
    return Object.entries(typed.value).some(([form, one]) => form.startsWith(prefix) && isLasting(one))
  }

  return { recall, stash, drop, isBegun }
})
