import type { Doubt, EntryKind, FactKind, Severity } from '@kobrin/core'
import { doubtAbout, kindOf } from '@kobrin/core'
import type { MaybeRefOrGetter } from 'vue'
import { shallowRef, toValue, watch } from 'vue'
import { useRouter } from 'vue-router'
import { useDrafts } from '../drafts/useDrafts.ts'
import { useRecord } from '../entries/useRecord.ts'
import { usePlans } from '../plans/usePlans.ts'
import { useResidents } from '../residents/useResidents.ts'
import { useSite } from '../site/useSite.ts'
import type { When } from '../time/useToday.ts'
import { useToday } from '../time/useToday.ts'
import { sayDraft } from '../words/entry.ts'
import { useTeller } from '../words/useTeller.ts'
import type { Ask, Exception } from './ask.ts'
import { confirmed } from './confirmed.ts'
import type { Said } from './readAsk.ts'
import { checkAgainst } from '../fields/checkAgainst.ts'
import type { Complaint } from './readAnswers.ts'
import { readAsk } from './readAsk.ts'
import { useAsked } from './useAsked.ts'
import { useOffered } from './useOffered.ts'

export interface Question {
  doubt: Doubt
  keep: Said
}

function insisted([draft, ...rest]: Said, doubt: Doubt): Said {
  return [confirmed(draft, doubt), ...rest]
}

/** Whether anything has to be said beside the board. */
export function asksHere({ type }: Ask): boolean {
  return type !== 'nothing' && type !== 'page'
}

/** The server will hold it against the same schema. */
function wrongWith([{ kind, payload }]: Said): Complaint | null {
  const [wrong] = Object.values(checkAgainst(kindOf(kind as FactKind).payload, payload)).flat()
  return wrong ? { complaint: wrong.message } : null
}

/** Saying something other than "as planned": which exception, what it asks, and the doubts about it. */
export function useException(residentId: MaybeRefOrGetter<string>, onSaid: (kind: EntryKind) => void) {
  const site = useSite()
  const plans = usePlans()
  const record = useRecord()
  const residents = useResidents()
  const teller = useTeller()
  const router = useRouter()
  const today = useToday()
  const exceptions = useOffered(residentId)
  const open = shallowRef<Exception | null>(null)
  /** Whom the question is about: the eye may have moved on before it is answered. */
  let about = ''
  /** When what is said of it happened; null is now. */
  const when = shallowRef<When>(null)
  const question = shallowRef<Question | null>(null)
  const drafts = useDrafts()
  const { put, drop, answer, ...asked } = useAsked()
  const { ask, typed, answers, complaint } = asked

  /** Turns away without saying anything; what was typed is there again on coming back. */
  function reset(): void {
    open.value = null
    question.value = null
    put(null)
  }

  /** Whether something was typed about this one and not said. */
  function isBegun({ id }: Exception): boolean {
    return drafts.isBegun(`${toValue(residentId)} ${id} `)
  }

  function say(drafts: Said): void {
    const [first] = drafts
    record.keep(drafts, `${residents.nameOf(about)}: ${sayDraft(first, teller)}`, {
      together: true,
      when: when.value,
    })
    drop()
    startOver()
    onSaid(first.kind)
    if (first.kind === 'floorChecked' && first.payload.became === 'resident')
      void router.push({ name: 'newResident', query: { of: about, count: first.payload.count } })
  }

  function goTo(next: Ask): void {
    question.value = null
    if (next.type === 'page') void router.push(next.to)
    else if (next.type === 'nothing') say([next.draft])
    else put(next, `${about} ${open.value?.id ?? ''}`)
  }

  function choose(exception: Exception): void {
    reset()
    about = toValue(residentId)
    open.value = asksHere(exception.ask) ? exception : null
    goTo(exception.ask)
  }

  /** Chooses by key. False when no option has it. */
  function option(key: string): boolean {
    const found = ask.value?.type === 'choice' && ask.value.options.find((one) => one.key === key)
    if (!found) return false
    goTo(found.then)
    return true
  }

  /** Says what was typed, unless it does not fit what came before: then asks first. */
  function submit(severity?: Severity): void {
    const read = ask.value && readAsk(ask.value, typed.value, answers.value, severity)
    if (!read) return
    complaint.value = 'complaint' in read ? read : wrongWith(read.said)
    if ('complaint' in read || complaint.value) return
    const one = site.residents.get(about)
    const doubt = one
      ? doubtAbout(read.said[0], {
          day: when.value?.day ?? today.day,
          state: record.stateOf(one.id),
          plan: plans.planOf(one),
        })
      : null
    if (doubt) question.value = { doubt, keep: insisted(read.said, doubt) }
    else say(read.said)
  }

  /** The keeper looked again and it is so. */
  function insist(): void {
    if (question.value) say(question.value.keep)
  }

  function takeInstead(value: number): void {
    if (ask.value?.type === 'number') say([ask.value.draft(value)])
  }

  function typeAgain(): void {
    question.value = null
  }

  function startOver(): void {
    reset()
    when.value = null
  }

  watch(() => toValue(residentId), startOver)

  return {
    ...asked,
    open,
    question,
    exceptions,
    when,
    isBegun,
    choose,
    option,
    answer,
    submit,
    insist,
    takeInstead,
    typeAgain,
    reset,
  }
}
