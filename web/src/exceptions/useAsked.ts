import { shallowRef } from 'vue'
import type { Ask } from './ask.ts'
import type { Complaint } from './readAnswers.ts'
import { useUnsaid } from './useUnsaid.ts'

/** What is asked now, and what was typed at it. */
export function useAsked() {
  const unsaid = useUnsaid()
  const ask = shallowRef<Ask | null>(null)
  const typed = shallowRef('')
  const answers = shallowRef<Readonly<Record<string, string>>>({})
  /** What is wrong with what was typed, and at which field. */
  const complaint = shallowRef<Complaint | null>(null)
  let key = ''

  /** Asks something; `of` names whom and what it is about. */
  function put(next: Ask | null, of = ''): void {
    key = next ? `${of} ${next.type === 'number' ? next.label : next.type}` : ''
    const before = unsaid.recall(key)
    ask.value = next
    typed.value = before?.typed ?? ''
    complaint.value = null
    const fresh = next?.type === 'form' ? next.fields.map(({ name, value }) => [name, value] as const) : []
    answers.value = { ...Object.fromEntries(fresh), ...before?.answers }
  }

  /** Keeps what was typed for when somebody comes back to it. */
  function stash(): void {
    const now = ask.value
    const changed =
      typed.value !== '' ||
      (now?.type === 'form' && now.fields.some(({ name, value }) => answers.value[name] !== value))
    if (now && changed) unsaid.stash(key, { typed: typed.value, answers: answers.value })
  }

  function answer(name: string, value: string): void {
    answers.value = { ...answers.value, [name]: value }
  }

  return { ask, typed, answers, complaint, put, stash, answer, drop: () => unsaid.drop(key) }
}
