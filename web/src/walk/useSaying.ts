import type { Draft, Doubt, Severity } from '@kobrin/core'
import { doubtAbout } from '@kobrin/core'
import type { MaybeRefOrGetter } from 'vue'
import { computed, shallowRef, toValue } from 'vue'
import { useRecord } from '../entries/useRecord.ts'
import { useSite } from '../site/useSite.ts'
import type { Exception } from './exceptions.ts'
import { exceptionsFor } from './exceptions.ts'
import { useRound } from './useRound.ts'

/** A number as keepers type it: comma or point, spaces between thousands. */
export function readNumber(text: string): number | null {
  const cleaned = text.replaceAll(/[\s\u202f]/g, '').replace(',', '.')
  if (!/^\d+(\.\d+)?$|^\.\d+$/.test(cleaned)) return null
  const value = Number(cleaned)
  return value > 0 ? value : null
}

export interface Question {
  doubt: Doubt
  keep: Draft
}

function withConfirmed(draft: Draft): Draft {
  return { ...draft, payload: { ...draft.payload, confirmed: true } } as Draft
}

/** Saying something other than "as planned": which exception, what it asks, and the doubts about it. */
export function useSaying(residentId: MaybeRefOrGetter<string | null>, onSaid: () => void) {
  const site = useSite()
  const record = useRecord()
  const round = useRound()
  const open = shallowRef<Exception | null>(null)
  const typed = shallowRef('')
  const complaint = shallowRef('')
  const question = shallowRef<Question | null>(null)

  const resident = computed(() => site.residents.get(toValue(residentId) ?? ''))
  const exceptions = computed<Exception[]>(() => {
    const one = resident.value
    if (!one) return []
    const group = site.species.get(one.sheet)?.group ?? 'lizard'
    const all = exceptionsFor({ residentId: one.id, group, day: round.dayOf(one.id) })
    return all.filter(({ ask }) => round.allowed(sampleOf(ask)))
  })

  function reset(): void {
    open.value = null
    typed.value = ''
    complaint.value = ''
    question.value = null
  }

  function say(draft: Draft, words: string): void {
    record.keep([draft], `${resident.value?.name ?? ''}: ${words}`)
    reset()
    onSaid()
  }

  function choose(exception: Exception): void {
    reset()
    if (exception.ask.type === 'nothing') say(exception.ask.draft, exception.label.toLowerCase())
    else open.value = exception
  }

  function option(key: string): void {
    const ask = open.value?.ask
    if (ask?.type !== 'choice') return
    const found = ask.options.find((one) => one.key === key)
    if (found) say(found.draft, found.label.toLowerCase())
  }

  function submitNumber(): void {
    const one = resident.value
    const ask = open.value?.ask
    if (ask?.type !== 'number' || !one) return
    const value = readNumber(typed.value)
    if (value === null) {
      complaint.value = `"${typed.value}" is not a number of ${ask.unit}. Digits only, for example 42.5.`
      return
    }
    const draft = ask.draft(value)
    const doubt = doubtAbout(draft, record.stateOf(one.id), site.planOf(one))
    complaint.value = ''
    if (doubt) question.value = { doubt, keep: withConfirmed(draft) }
    else say(draft, `${value} ${ask.unit}`)
  }

  /** The keeper looked again and it is so. */
  function insist(): void {
    const ask = open.value?.ask
    if (question.value && ask?.type === 'number')
      say(question.value.keep, `${question.value.doubt.value} ${ask.unit}`)
  }

  function takeInstead(value: number): void {
    const ask = open.value?.ask
    if (ask?.type === 'number') say(ask.draft(value), `${value} ${ask.unit}`)
  }

  function typeAgain(): void {
    question.value = null
  }

  function submitText(severity?: Severity): void {
    const ask = open.value?.ask
    const text = typed.value.trim()
    if (ask?.type !== 'text') return
    if (text === '') {
      complaint.value = 'Write a word or two first.'
      return
    }
    say(severity && ask.severity ? ask.severity(text, severity) : ask.draft(text), text)
  }

  return {
    open,
    typed,
    complaint,
    question,
    exceptions,
    choose,
    option,
    submitNumber,
    insist,
    takeInstead,
    typeAgain,
    submitText,
    reset,
  }
}

/** A draft an exception would make, to ask whether this role may. */
function sampleOf(ask: Exception['ask']): Draft {
  switch (ask.type) {
    case 'nothing':
      return ask.draft
    case 'number':
      return ask.draft(1)
    case 'text':
      return ask.draft('…')
    case 'choice':
      return ask.options[0]?.draft ?? { residentId: '', kind: 'noted', payload: { text: '…' } }
  }
}
