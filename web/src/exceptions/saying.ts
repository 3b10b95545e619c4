import type { Doubt, Draft, Severity } from '@kobrin/core'
import type { RouteLocationRaw } from 'vue-router'
import type { Turn } from '../machines/useMachine.ts'
import type { When } from '../time/useToday.ts'
import type { Ask, Exception } from './ask.ts'
import { confirmed } from './confirmed.ts'
import type { Complaint } from './readAnswers.ts'
import type { Said } from './readAsk.ts'
import { readAsk } from './readAsk.ts'

interface Question {
  doubt: Doubt
  /** What is kept where somebody insists. */
  keep: Said
}

/** What was typed and not said. */
export interface Unsaid {
  typed: string
  answers: Readonly<Record<string, string>>
}

/** Saying something other than "as planned": which exception, what it asks, and the doubts about it. */
export interface Saying extends Unsaid {
  /** Whom it is about: the eye may have moved on before it is answered. */
  about: string
  open: Exception | null
  /** What is asked now. */
  ask: Ask | null
  /** What is wrong with what was typed, and at which field. */
  complaint: Complaint | null
  question: Question | null
  /** When what is said of it happened; null is now. */
  when: When
}

export type SayingEvent =
  | { type: 'chosen'; exception: Exception; about: string }
  | { type: 'led'; to: Ask }
  | ({ type: 'typed' } & Partial<Unsaid>)
  | { type: 'dated'; when: When }
  | { type: 'submitted'; severity: Severity | undefined }
  /** The keeper looked again and it is so. */
  | { type: 'insisted' }
  | { type: 'tookInstead'; value: number }
  | { type: 'typesAgain' }
  /** Turned away without saying anything; what was typed is there again on coming back. */
  | { type: 'turnedAway' }
  /** It was said, or somebody else is looked at. */
  | { type: 'leftOff' }

/** What what is said is held against. */
export interface Judges {
  unsaidOf: (key: string) => Partial<Unsaid> | undefined
  /** The server will hold it against the same schema. */
  wrongWith: (said: Said) => Complaint | null
  doubtOf: (draft: Draft, about: string, when: When) => Doubt | null
}

export type SayingDeed = { say: Said } | { goTo: RouteLocationRaw }

type Turned = Turn<Saying, SayingDeed>

const NOTHING_TYPED: Unsaid = { typed: '', answers: {} }

export const nothingAsked: Saying = {
  ...NOTHING_TYPED,
  about: '',
  open: null,
  ask: null,
  complaint: null,
  question: null,
  when: null,
}

/** Whether anything has to be said beside the board. */
export function asksHere({ type }: Ask): boolean {
  return type !== 'nothing' && type !== 'page'
}

/** Under which what is typed about somebody is kept until it is said. */
export function keyOf({ about, open, ask }: Saying): string {
  return ask ? `${about} ${open?.id ?? ''} ${ask.type === 'number' ? ask.label : ask.type}` : ''
}

/** What a form comes filled in with was not typed. */
function filledIn(ask: Ask): Unsaid['answers'] {
  return ask.type === 'form' ? Object.fromEntries(ask.fields.map(({ name, value }) => [name, value])) : {}
}

/** What was typed at what is asked now; null where it stands as it came. */
export function unsaidIn({ ask, typed, answers }: Saying): Unsaid | null {
  const fresh = ask ? filledIn(ask) : {}
  const isTyped = typed !== '' || Object.entries(fresh).some(([name, value]) => answers[name] !== value)
  return isTyped ? { typed, answers } : null
}

function turnedAway({ about, when }: Saying): Saying {
  return { ...nothingAsked, about, when }
}

function led(before: Saying, to: Ask, { unsaidOf }: Judges): Turned {
  const now = { ...before, question: null }
  if (to.type === 'page') return { now, does: { goTo: to.to } }
  if (to.type === 'nothing') return { now, does: { say: [to.draft] } }
  const asked = { ...now, ...NOTHING_TYPED, ask: to, complaint: null }
  const unsaid = unsaidOf(keyOf(asked))
  return {
    now: { ...asked, typed: unsaid?.typed ?? '', answers: { ...filledIn(to), ...unsaid?.answers } },
  }
}

/** Says what was typed, unless it does not fit what came before: then asks first. */
function submitted(before: Saying, severity: Severity | undefined, { wrongWith, doubtOf }: Judges): Turned {
  const { ask, typed, answers, about, when } = before
  const read = ask && readAsk(ask, typed, answers, severity)
  if (!read) return { now: before }
  if ('complaint' in read) return { now: { ...before, complaint: read } }
  const now = { ...before, complaint: wrongWith(read.said) }
  if (now.complaint) return { now }
  const [first, ...rest] = read.said
  const doubt = doubtOf(first, about, when)
  return doubt
    ? { now: { ...now, question: { doubt, keep: [confirmed(first, doubt), ...rest] } } }
    : { now, does: { say: read.said } }
}

/** What an event makes of what is being said, and what is to be kept or shown then. */
export function say(before: Saying, event: SayingEvent, judges: Judges): Turned {
  switch (event.type) {
    case 'chosen': {
      const { exception, about } = event
      const open = asksHere(exception.ask) ? exception : null
      return led({ ...turnedAway(before), about, open }, exception.ask, judges)
    }
    case 'led':
      return led(before, event.to, judges)
    case 'typed': {
      const { typed = before.typed, answers = before.answers } = event
      return { now: { ...before, typed, answers } }
    }
    case 'dated':
      return { now: { ...before, when: event.when } }
    case 'submitted':
      return submitted(before, event.severity, judges)
    case 'insisted':
      return before.question ? { now: before, does: { say: before.question.keep } } : { now: before }
    case 'tookInstead':
      return before.ask?.type === 'number'
        ? { now: before, does: { say: [before.ask.draft(event.value)] } }
        : { now: before }
    case 'typesAgain':
      return { now: { ...before, question: null } }
    case 'turnedAway':
      return { now: turnedAway(before) }
    case 'leftOff':
      return { now: nothingAsked }
  }
}
