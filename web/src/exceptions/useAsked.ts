import { shallowRef, watch } from 'vue'
import { useDrafts } from '../drafts/useDrafts.ts'
import type { Ask } from './ask.ts'
import type { Complaint } from './readAnswers.ts'

interface Unsaid {
  typed: string
  answers: Readonly<Record<string, string>>
}

/** What is asked now, and what was typed at it. */
export function useAsked() {
  const drafts = useDrafts()
  const ask = shallowRef<Ask | null>(null)
  const typed = shallowRef('')
  const answers = shallowRef<Readonly<Record<string, string>>>({})
  /** What is wrong with what was typed, and at which field. */
  const complaint = shallowRef<Complaint | null>(null)
  let key = ''

  /** Asks something; `of` names whom and what it is about. */
  function put(next: Ask | null, of = ''): void {
    key = next ? `${of} ${next.type === 'number' ? next.label : next.type}` : ''
    const before = drafts.recall(key)?.value as Partial<Unsaid> | undefined
    // What is filled in here was not typed.
    ask.value = null
    complaint.value = null
    typed.value = before?.typed ?? ''
    const fresh = next?.type === 'form' ? next.fields.map(({ name, value }) => [name, value] as const) : []
    answers.value = { ...Object.fromEntries(fresh), ...before?.answers }
    ask.value = next
  }

  /** Keeps what was typed for when somebody comes back to it. */
  function stash(): void {
    const now = ask.value
    if (!now) return
    const changed =
      typed.value !== '' ||
      (now.type === 'form' && now.fields.some(({ name, value }) => answers.value[name] !== value))
    if (changed) drafts.stash(key, { typed: typed.value, answers: answers.value })
    else drafts.drop(key)
  }

  function answer(name: string, value: string): void {
    answers.value = { ...answers.value, [name]: value }
  }

  watch([typed, answers], stash, { flush: 'sync' })

  return { ask, typed, answers, complaint, put, answer, drop: () => drafts.drop(key) }
}
