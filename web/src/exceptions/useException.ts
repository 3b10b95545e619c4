import type { Doubt, Draft, Severity } from '@kobrin/core'
import { doubtAbout } from '@kobrin/core'
import type { MaybeRefOrGetter } from 'vue'
import { computed, shallowRef, toValue, watch } from 'vue'
import { useRouter } from 'vue-router'
import { useRecord } from '../entries/useRecord.ts'
import { usePlans } from '../plans/usePlans.ts'
import { useKeptFloors } from '../keptFloor/useKeptFloors.ts'
import { useSite } from '../site/useSite.ts'
import { useToday } from '../time/useToday.ts'
import { useResidents } from '../residents/useResidents.ts'
import { usePeople } from '../people/usePeople.ts'
import { sayDraft } from '../words/entry.ts'
import type { Ask, Exception } from './ask.ts'
import { draftsOf, sampleOf } from './ask.ts'
import { exceptionsFor } from './exceptions.ts'
import { readAnswers, readNumber } from './readAnswers.ts'
import { useUnsaid } from './useUnsaid.ts'

type Said = readonly [Draft, ...Draft[]]

export interface Question {
  doubt: Doubt
  keep: Said
}

function withConfirmed([draft, ...rest]: Said): Said {
  return [{ ...draft, payload: { ...draft.payload, confirmed: true } } as Draft, ...rest]
}

/** Saying something other than "as planned": which exception, what it asks, and the doubts about it. */
export function useException(residentId: MaybeRefOrGetter<string>, onSaid: () => void) {
  const site = useSite()
  const plans = usePlans()
  const record = useRecord()
  const keptFloors = useKeptFloors()
  const residents = useResidents()
  const people = usePeople()
  const today = useToday()
  const unsaid = useUnsaid()
  const router = useRouter()
  const open = shallowRef<Exception | null>(null)
  /** Whom the question is about: the eye may have moved on before it is answered. */
  let about = ''
  /** What is asked now: the exception's own question, or the one its chosen option leads to. */
  const ask = shallowRef<Ask | null>(null)
  const typed = shallowRef('')
  const answers = shallowRef<Readonly<Record<string, string>>>({})
  const complaint = shallowRef('')
  const question = shallowRef<Question | null>(null)

  const resident = computed(() => site.residents.get(toValue(residentId)))
  const exceptions = computed<Exception[]>(() => {
    const one = resident.value
    if (!one) return []
    const all = exceptionsFor({
      residentId: one.id,
      group: site.species.get(one.sheet)?.group ?? 'lizard',
      day: residents.dayOf(one.id),
      today: today.day,
      state: record.stateOf(one.id),
      floors: keptFloors.of(one.id),
      lives: one.lives,
      boxLeft: residents.boxLeftBy(one.id),
    })
    return all.filter((exception) => people.maySay(sampleOf(exception.ask)))
  })

  function keyOf(now: Ask): string {
    const which = now.type === 'number' ? now.label : now.type
    return `${about} ${open.value?.id ?? ''} ${which}`
  }

  function put(next: Ask | null): void {
    const before = next && unsaid.recall(keyOf(next))
    ask.value = next
    typed.value = before?.typed ?? ''
    complaint.value = ''
    question.value = null
    const fresh = next?.type === 'form' ? next.fields.map(({ name, value }) => [name, value] as const) : []
    answers.value = { ...Object.fromEntries(fresh), ...before?.answers }
  }

  function leave(): void {
    open.value = null
    put(null)
  }

  /** Turns away without saying anything; what was typed is there again on coming back. */
  function reset(): void {
    const now = ask.value
    const changed =
      typed.value !== '' ||
      (now?.type === 'form' && now.fields.some(({ name, value }) => answers.value[name] !== value))
    if (now && changed) unsaid.stash(keyOf(now), { typed: typed.value, answers: answers.value })
    leave()
  }

  function say(drafts: Said): void {
    const [first] = drafts
    record.keep(drafts, `${residents.nameOf(about)}: ${sayDraft(first, today.day)}`, { together: true })
    if (ask.value) unsaid.drop(keyOf(ask.value))
    leave()
    onSaid()
    if (first.kind === 'floorChecked' && first.payload.became === 'resident')
      void router.push({ name: 'newResident', query: { of: about, count: first.payload.count } })
  }

  /** Says it, unless it does not fit what came before: then asks first. */
  function sayUnlessDoubtful(drafts: Said): void {
    const one = site.residents.get(about)
    const doubt = one ? doubtAbout(drafts[0], record.stateOf(one.id), plans.planOf(one)) : null
    complaint.value = ''
    if (doubt) question.value = { doubt, keep: withConfirmed(drafts) }
    else say(drafts)
  }

  function goTo(next: Ask): void {
    if (next.type === 'nothing') say([next.draft])
    else put(next)
  }

  function choose(exception: Exception): void {
    reset()
    about = toValue(residentId)
    open.value = exception.ask.type === 'nothing' ? null : exception
    goTo(exception.ask)
  }

  /** Chooses by key. False when no option has it. */
  function option(key: string): boolean {
    const found = ask.value?.type === 'choice' && ask.value.options.find((one) => one.key === key)
    if (!found) return false
    goTo(found.then)
    return true
  }

  function submit(severity?: Severity): void {
    const now = ask.value
    switch (now?.type) {
      case 'number': {
        const value = readNumber(typed.value)
        if (value !== null) return sayUnlessDoubtful([now.draft(value)])
        complaint.value = `"${typed.value}" is not a number of ${now.unit}. Digits only, for example 42.5.`
        return
      }
      case 'text':
      case 'graded': {
        const text = typed.value.trim()
        if (text === '') complaint.value = 'Write a word or two first.'
        else if (now.type === 'text') say([now.draft(text)])
        else if (severity) say([now.draft(text, severity)])
        return
      }
      case 'form': {
        const read = readAnswers(now.fields, answers.value)
        if ('complaint' in read) complaint.value = read.complaint
        else sayUnlessDoubtful(draftsOf(now.draft(read)))
        return
      }
      default:
        return
    }
  }

  function answer(name: string, value: string): void {
    answers.value = { ...answers.value, [name]: value }
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

  watch(() => toValue(residentId), reset)

  return {
    open,
    ask,
    typed,
    answers,
    complaint,
    question,
    exceptions,
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
