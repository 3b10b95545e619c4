import type {
  Draft,
  DutyKind,
  EntryKind,
  KeptFloor,
  Point,
  ResidentDay,
  ResidentState,
  Severity,
  SheetGroup,
  Task,
} from '@kobrin/core'
import type { RouteLocationRaw } from 'vue-router'

/** One thing a form wants to know. Values are kept as typed, so that nothing is lost when one is wrong. */
export type Field =
  | {
      name: string
      label: string
      type: 'text'
      value: string
      suggestions?: readonly string[]
      required?: true
    }
  | {
      name: string
      label: string
      type: 'number'
      value: string
      unit: string
      whole?: true
      /** None of them is an answer too. */
      orNone?: true
      required?: true
    }
  | { name: string; label: string; type: 'tick'; value: 'yes' | '' }
  | {
      name: string
      label: string
      type: 'select'
      value: string
      options: readonly { value: string; label: string }[]
    }

/** What a form's fields say, as read: numbers are numbers, what was left empty is absent. */
export interface Answers {
  text: (name: string) => string | undefined
  number: (name: string) => number | undefined
  ticked: (name: string) => boolean
}

export interface Option {
  key: string
  label: string
  then: Ask
}

/** What has to be known before something can be recorded. */
export type Ask =
  | { type: 'nothing'; draft: Draft }
  /** A page of its own asks, and records this. */
  | { type: 'page'; to: RouteLocationRaw; kind: EntryKind }
  | { type: 'choice'; options: readonly Option[] }
  | { type: 'number'; label: string; unit: string; draft: (value: number) => Draft }
  | { type: 'text'; prompt: string; draft: (text: string) => Draft }
  | { type: 'graded'; prompt: string; draft: (text: string, severity: Severity) => Draft }
  | {
      type: 'form'
      fields: readonly Field[]
      /** Several entries are one doing. */
      draft: (answers: Answers) => Draft | readonly [Draft, ...Draft[]]
    }

/** Something that can be said besides "as planned", on one key. */
export interface Exception {
  id: string
  key: string
  label: string
  ask: Ask
}

/** A resident something can be said of, as it is known now. */
export interface ExceptionsFor {
  residentId: string
  group: SheetGroup
  day: ResidentDay
  today: number
  state: ResidentState
  /** Old floors of it that are kept. */
  floors: readonly KeptFloor[]
  lives: 'individual' | 'colony'
  /** The box that stands empty once it is gone; null while others live in it. */
  boxLeft: string | null
  /** Where it lives, and what is read there. */
  home: string | null
  points: readonly Point[]
}

export function nothing(draft: Draft): Ask {
  return { type: 'nothing', draft }
}

/** Options on the keys 1, 2, 3 … */
export function choice(options: readonly { label: string; then: Ask }[]): Ask {
  return { type: 'choice', options: options.map((option, index) => ({ key: String(index + 1), ...option })) }
}

const NO_ANSWERS: Answers = { text: () => undefined, number: () => undefined, ticked: () => false }

export function draftsOf(said: Draft | readonly [Draft, ...Draft[]]): readonly [Draft, ...Draft[]] {
  return 'kind' in said ? [said] : said
}

/** The kind of entry an ask would make, to see whether a role may make it. */
export function kindAsked(ask: Ask): EntryKind {
  switch (ask.type) {
    case 'nothing':
      return ask.draft.kind
    case 'page':
      return ask.kind
    case 'number':
      return ask.draft(1).kind
    case 'text':
      return ask.draft('…').kind
    case 'graded':
      return ask.draft('…', 'info').kind
    case 'form':
      return draftsOf(ask.draft(NO_ANSWERS))[0].kind
    case 'choice': {
      const [first] = ask.options
      if (!first) throw new Error('A choice needs options.')
      return kindAsked(first.then)
    }
  }
}

/** The duty something is said about, where the plan has one. */
export function taskFor(day: ResidentDay, does: DutyKind): Task | undefined {
  return day.tasks.find(({ duty }) => duty.does === does)
}
