import type { EntryKind, Severity } from '@kobrin/core'
import { doubtAbout } from '@kobrin/core'
import type { MaybeRefOrGetter } from 'vue'
import { computed, toValue, watch } from 'vue'
import { useRouter } from 'vue-router'
import { useDrafts } from '../drafts/useDrafts.ts'
import { useRecord } from '../entries/useRecord.ts'
import { faultIn } from '../fields/faultIn.ts'
import { useMachine } from '../machines/useMachine.ts'
import { usePlans } from '../plans/usePlans.ts'
import { useResidents } from '../residents/useResidents.ts'
import { useSite } from '../site/useSite.ts'
import { useToday } from '../time/useToday.ts'
import { sayDraft } from '../words/entry.ts'
import { useTeller } from '../words/useTeller.ts'
import type { Exception } from './ask.ts'
import type { Complaint } from './readAnswers.ts'
import type { Said } from './readAsk.ts'
import type { Judges, SayingDeed, SayingEvent, Unsaid } from './saying.ts'
import { keyOf, nothingAsked, say, unsaidIn } from './saying.ts'
import { useOffered } from './useOffered.ts'

function wrongWith(said: Said): Complaint | null {
  const complaint = faultIn(said)
  return complaint ? { complaint } : null
}

/** What is said at the board is held against what came before, and against what lies half typed on this device. */
function useJudges(): Judges {
  const site = useSite()
  const plans = usePlans()
  const record = useRecord()
  const today = useToday()
  const drafts = useDrafts()
  return {
    wrongWith,
    unsaidOf: (key) => drafts.recall(key)?.value,
    doubtOf(draft, about, when) {
      const one = site.residents.get(about)
      const day = when?.day ?? today.day
      return one ? doubtAbout(draft, { day, state: record.stateOf(one.id), plan: plans.planOf(one) }) : null
    },
  }
}

/** Saying something other than "as planned" of the resident that is looked at. */
export function useException(residentId: MaybeRefOrGetter<string>, onSaid: (kind: EntryKind) => void) {
  const record = useRecord()
  const residents = useResidents()
  const teller = useTeller()
  const router = useRouter()
  const drafts = useDrafts()
  const judges = useJudges()
  const exceptions = useOffered(residentId)

  function keep(said: Said): void {
    const { about, when } = now.value
    const [first] = said
    record.keep(said, `${residents.nameOf(about)}: ${sayDraft(first, teller)}`, { together: true, when })
    drafts.drop(keyOf(now.value))
    tell({ type: 'leftOff' })
    onSaid(first.kind)
    if (first.kind === 'floorChecked' && first.payload.became === 'resident')
      void router.push({ name: 'newResident', query: { of: about, count: first.payload.count } })
  }

  function act(deed: SayingDeed): void {
    if ('say' in deed) keep(deed.say)
    else void router.push(deed.goTo)
  }

  const { now, tell } = useMachine(
    nothingAsked,
    (before, event: SayingEvent) => say(before, event, judges),
    act,
  )

  /** Keeps what was typed for when somebody comes back to it. */
  function type(part: Partial<Unsaid>): void {
    tell({ type: 'typed', ...part })
    const key = keyOf(now.value)
    const unsaid = unsaidIn(now.value)
    if (key === '') return
    if (unsaid) drafts.stash(key, { ...unsaid })
    else drafts.drop(key)
  }

  /** Chooses by key. False when no option has it. */
  function option(key: string): boolean {
    const { ask } = now.value
    const found = ask?.type === 'choice' && ask.options.find((one) => one.key === key)
    if (found) tell({ type: 'led', to: found.then })
    return Boolean(found)
  }

  watch(
    () => toValue(residentId),
    () => tell({ type: 'leftOff' }),
  )

  return {
    exceptions,
    open: computed(() => now.value.open),
    ask: computed(() => now.value.ask),
    answers: computed(() => now.value.answers),
    complaint: computed(() => now.value.complaint),
    question: computed(() => now.value.question),
    typed: computed({ get: () => now.value.typed, set: (typed) => type({ typed }) }),
    when: computed({ get: () => now.value.when, set: (when) => tell({ type: 'dated', when }) }),
    /** Whether something was typed about this one and not said. */
    isBegun: ({ id }: Exception) => drafts.isBegun(`${toValue(residentId)} ${id} `),
    choose: (exception: Exception) => tell({ type: 'chosen', exception, about: toValue(residentId) }),
    option,
    answer: (name: string, value: string) => type({ answers: { ...now.value.answers, [name]: value } }),
    submit: (severity?: Severity) => tell({ type: 'submitted', severity }),
    insist: () => tell({ type: 'insisted' }),
    takeInstead: (value: number) => tell({ type: 'tookInstead', value }),
    typeAgain: () => tell({ type: 'typesAgain' }),
    reset: () => tell({ type: 'turnedAway' }),
  }
}
