import type { ErrorCode, Receipt } from '@kobrin/contract'
import { ERRORS, may, mayRecord, PostedEntry } from '@kobrin/contract'
import type { Entry } from '@kobrin/core'
import { civil, isAmendment } from '@kobrin/core'
import type { SignedIn } from '../people/sessions.ts'

/** A tablet's clock may run this far ahead before its entries are questioned. */
const CLOCK_SLACK_MS = 10 * 60_000

export interface PostingContext {
  who: SignedIn
  zone: string
  nowMs: number
  /** Whether a person was signed in on this device at a moment: what was typed before a colleague
   * took the tablet over is sent after. */
  wasHere: (personId: string, at: string) => Promise<boolean>
  authorOf: (uid: string) => Promise<string | null>
  enclosureExists: (id: string) => Promise<boolean>
  roleOf: (personId: string) => Promise<SignedIn['person']['role'] | null>
}

function refusal(uid: string, code: ErrorCode, message: string = ERRORS[code].message): Receipt {
  return { uid, status: 'refused', code, message }
}

function enclosureNamed(entry: PostedEntry): string | null {
  if (entry.kind === 'moved') return entry.payload.to
  return entry.kind === 'arrived' || entry.kind === 'expected' ? entry.payload.enclosure : null
}

async function objection(entry: PostedEntry, context: PostingContext): Promise<ErrorCode | null> {
  const { who } = context
  const mine = entry.author === who.person.id
  if (!mine && !(await context.wasHere(entry.author, entry.occurredAt))) return 'not_yours'
  const role = mine ? who.person.role : await context.roleOf(entry.author)
  if (!role || !mayRecord(role, entry.kind)) return 'not_allowed'
  if (Date.parse(entry.occurredAt) > context.nowMs + CLOCK_SLACK_MS) return 'in_future'
  const place = enclosureNamed(entry)
  if (place !== null && !(await context.enclosureExists(place))) return 'unknown_place'
  if (isAmendment(entry as Entry) && !may(role, 'amendOthers')) {
    const { target } = (entry as Extract<PostedEntry, { kind: 'retracted' }>).payload
    const author = await context.authorOf(target)
    if (author !== null && author !== entry.author) return 'not_allowed'
  }
  return null
}

function unreadable(posted: { uid: string }): Receipt {
  const { error } = PostedEntry.safeParse(posted)
  const issue = error?.issues[0]
  const field = issue?.path.join('.') || 'entry'
  return refusal(posted.uid, 'bad_input', `${field}: ${issue?.message ?? 'cannot be read'}`)
}

/** The entry to append, or the receipt that says why it cannot be. */
export async function checked(posted: { uid: string }, context: PostingContext): Promise<Entry | Receipt> {
  const read = PostedEntry.safeParse(posted)
  if (!read.success) return unreadable(posted)
  const code = await objection(read.data, context)
  if (code) return refusal(posted.uid, code)
  const { day } = civil(Date.parse(read.data.occurredAt), context.zone)
  return { ...read.data, day }
}

export function isReceipt(result: Entry | Receipt): result is Receipt {
  return 'status' in result
}
