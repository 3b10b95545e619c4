import { createHmac, timingSafeEqual } from 'node:crypto'
import type { EntryEnvelope, ErrorCode, Receipt } from '@kobrin/contract'
import { may, provenText } from '@kobrin/contract'
import type { Entry, Role } from '@kobrin/core'
import { civil, isAmendment, mayRecord, PostedEntry } from '@kobrin/core'
import type { core } from 'zod'
import type { SignedIn, WorkedShift } from '../people/sessions.ts'
import { refusalOf } from './turn.ts'

/** A tablet's clock may run this far ahead before its entries are questioned. */
const CLOCK_SLACK_MS = 10 * 60_000

export interface PostingContext {
  who: SignedIn
  zone: string
  nowMs: number
  proofs: NonNullable<EntryEnvelope['proofs']>
  /** A sign-in by its name. */
  shift: (id: string) => Promise<WorkedShift | null>
  authorOf: (uid: string) => Promise<string | null>
  roleOf: (personId: string) => Promise<Role | null>
}

type Raw = EntryEnvelope['entries'][number]

function isStampedWith(key: string, raw: Raw, mac: string): boolean {
  const own = createHmac('sha256', key).update(provenText(raw)).digest()
  return timingSafeEqual(own, Buffer.from(mac, 'hex'))
}

/** Whether the author of what somebody else sends was at work when it was made, and made it. */
async function isProven(entry: PostedEntry, raw: Raw, { proofs, shift }: PostingContext): Promise<boolean> {
  const proof = proofs[entry.uid]
  const worked = proof && (await shift(proof.shift))
  if (!worked || worked.personId !== entry.author) return false
  const at = Date.parse(entry.writtenAt ?? entry.occurredAt)
  if (at < worked.fromMs - CLOCK_SLACK_MS || at > worked.untilMs + CLOCK_SLACK_MS) return false
  return isStampedWith(worked.key, raw, proof.mac)
}

async function objection(entry: PostedEntry, raw: Raw, context: PostingContext): Promise<ErrorCode | null> {
  const { who } = context
  const mine = entry.author === who.person.id
  if (!mine && !(await isProven(entry, raw, context))) return 'not_yours'
  const role = mine ? who.person.role : await context.roleOf(entry.author)
  if (!role || !mayRecord(role, entry.kind)) return 'not_allowed'
  const happened = Date.parse(entry.occurredAt)
  const written = Date.parse(entry.writtenAt ?? entry.occurredAt)
  if (Math.max(happened, written) > context.nowMs + CLOCK_SLACK_MS) return 'in_future'
  if (happened > written) return 'before_it_happened'
  if (!isAmendment(entry)) return null
  // What a role may not record it may not bring about by a correction either.
  if (entry.kind === 'corrected' && !mayRecord(role, entry.payload.to.kind)) return 'not_allowed'
  if (may(role, 'amendOthers')) return null
  const author = await context.authorOf(entry.payload.target)
  return author !== null && author !== entry.author ? 'not_allowed' : null
}

function unreadable(posted: Raw, { issues: [issue] }: core.$ZodError): Receipt {
  const field = issue?.path.join('.') || 'entry'
  return refusalOf(posted.uid, 'bad_input', `${field}: ${issue?.message ?? 'cannot be read'}`)
}

/** The entry to append, or the receipt that says why it cannot be. */
export async function checked(posted: Raw, context: PostingContext): Promise<Entry | Receipt> {
  const read = PostedEntry.safeParse(posted)
  if (!read.success) return unreadable(posted, read.error)
  const code = await objection(read.data, posted, context)
  if (code) return refusalOf(posted.uid, code)
  const { day } = civil(Date.parse(read.data.occurredAt), context.zone)
  return { ...read.data, day }
}

export function isReceipt(result: Entry | Receipt): result is Receipt {
  return 'status' in result
}
