import type { BodyPart, Doubt, Draft, Tub, WeighingDoubt, WeightContext } from '@kobrin/core'
import type { Turn } from '../machines/useMachine.ts'
import type { Settled } from './typedDrafts.ts'
import { typedDrafts, WEIGHT } from './typedDrafts.ts'
import { t } from './words.ts'

export interface WeighingForm {
  /** As the balance shows it, with the tub where there is one. */
  shown: number | null
  mm: Partial<Record<BodyPart, number | null>>
  score: string
  context: string[]
}

interface Question {
  /** What it is asked about: the weight, or a part. */
  about: string
  doubt: Doubt | WeighingDoubt
}

/** One animal at the balance: what was typed, and what has to be asked before it is kept. */
export interface Weighing {
  form: WeighingForm
  /** Why it cannot be kept as it stands. */
  complaint: string
  question: Question | null
  /** What was asked about and settled. */
  settled: ReadonlyMap<string, Settled>
}

export type WeighingEvent =
  | { type: 'typed'; part: Partial<WeighingForm> }
  | { type: 'submitted' }
  /** It was looked at again and is so, or it is kept and not believed. */
  | { type: 'settled'; as: Settled }
  /** It is weighed once more. */
  | { type: 'again' }
  /** In place of what is asked about. */
  | { type: 'meant'; value: number }
  /** What was typed was kept. */
  | { type: 'kept' }

/** What is known of an animal that lies at the balance. */
export interface AtBalance {
  subject: string
  tub: Tub | null
  duty: string | undefined
  /** What of it is to be measured. */
  parts: readonly BodyPart[]
  isGone: boolean
  /** What can be asked for to explain a weight, g. */
  contextsOf: (grams: number) => readonly WeightContext[]
  /** What to ask about something before it is kept. */
  doubtOf: (said: Draft) => Doubt | WeighingDoubt | null
  /** What the server would not keep of it, in words; empty where it keeps all. */
  faultIn: (said: readonly Draft[]) => string
}

type ToKeep = readonly [Draft, ...Draft[]]

const EMPTY: WeighingForm = { shown: null, mm: {}, score: '', context: [] }

/** A difference of two readings has digits that no balance shows. */
const DIGITS = 1e4

export const notWeighed: Weighing = { form: EMPTY, complaint: '', question: null, settled: new Map() }

/** Without the tub, g; null where nothing was typed. */
export function gramsIn({ shown }: WeighingForm, tub: Tub | null): number | null {
  return shown === null ? null : Math.round((shown - (tub?.grams ?? 0)) * DIGITS) / DIGITS
}

/** What was typed, by what it is about. */
function draftsIn({ form, settled }: Weighing, known: AtBalance): Map<string, Draft> {
  const grams = gramsIn(form, known.tub)
  const asked: readonly string[] = grams === null ? [] : known.contextsOf(grams)
  return typedDrafts(known.subject, {
    grams,
    duty: known.duty,
    tub: known.tub,
    context: form.context.filter((one): one is WeightContext => asked.includes(one)),
    mm: new Map(known.parts.map((part) => [part, form.mm[part]])),
    score: form.score,
    settled,
  })
}

/** Why something that was typed cannot be kept at all. */
function impossible(grams: number | null, said: ReadonlyMap<string, Draft>, known: AtBalance): string {
  if (known.isGone) return t('notHereAnyMore')
  if (said.size === 0) return t('typeAWeight')
  if (grams !== null && grams <= 0) return known.tub ? t('lighterThanTub') : t('aboveNothing')
  return known.faultIn([...said.values()])
}

/** The first thing that has to be asked before it is kept. */
function questionIn(
  said: ReadonlyMap<string, Draft>,
  { settled }: Weighing,
  known: AtBalance,
): Question | null {
  for (const [about, draft] of said) {
    const doubt = settled.has(about) ? null : known.doubtOf(draft)
    if (doubt) return { about, doubt }
  }
  return null
}

/** A tub that was taken off twice leaves less than nothing: what to ask of it comes before why it cannot be. */
function isTaredTwice(said: ReadonlyMap<string, Draft>, { settled }: Weighing, known: AtBalance): boolean {
  const weight = said.get(WEIGHT)
  return weight !== undefined && !settled.has(WEIGHT) && known.doubtOf(weight)?.code === 'taredTwice'
}

function submitted(before: Weighing, known: AtBalance): Turn<Weighing, ToKeep> {
  const said = draftsIn(before, known)
  const complaint = isTaredTwice(said, before, known)
    ? ''
    : impossible(gramsIn(before.form, known.tub), said, known)
  const question = complaint ? null : questionIn(said, before, known)
  const now = { ...before, complaint, question }
  const [first, ...rest] = said.values()
  return complaint || question || !first ? { now } : { now, does: [first, ...rest] }
}

/** In place of what is asked about. */
function put({ form, question }: Weighing, value: number | null, tub: Tub | null): WeighingForm {
  if (!question) return form
  if (question.about !== WEIGHT) return { ...form, mm: { ...form.mm, [question.about]: value } }
  return { ...form, shown: value === null ? null : value + (tub?.grams ?? 0) }
}

/** Another number is a new question. */
function typed(before: Weighing, part: Partial<WeighingForm>): Weighing {
  const form = { ...before.form, ...part }
  if (form.shown === before.form.shown) return { ...before, form }
  const settled = new Map([...before.settled].filter(([about]) => about !== WEIGHT))
  const question = before.question?.about === WEIGHT ? null : before.question
  return { form, complaint: '', question, settled }
}

/** What an event makes of a weighing, and what of it is to be kept. */
export function weigh(before: Weighing, event: WeighingEvent, known: AtBalance): Turn<Weighing, ToKeep> {
  const { question } = before
  switch (event.type) {
    case 'typed':
      return { now: typed(before, event.part) }
    case 'submitted':
      return submitted(before, known)
    case 'settled': {
      if (!question) return { now: before }
      const settled = new Map([...before.settled, [question.about, event.as]])
      return submitted({ ...before, settled }, known)
    }
    case 'again':
      return { now: { ...typed(before, put(before, null, known.tub)), question: null } }
    case 'meant':
      // What was meant is asked about like any other.
      return submitted({ ...before, form: put(before, event.value, known.tub), settled: new Map() }, known)
    case 'kept':
      return { now: notWeighed }
  }
}
