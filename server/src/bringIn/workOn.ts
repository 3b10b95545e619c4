import { BringIn } from '@kobrin/contract'
import '@kobrin/contract/english'
import type { Author } from '../changes/author.ts'
import type { DatabaseAddress } from '../database/connect.ts'
import { connect } from '../database/connect.ts'
import { authorOfEntry } from '../entries/queries.ts'
import { KobrinProblem } from '../errors/problem.ts'
import type { SignedIn } from '../people/sessions.ts'
import { createSiteBook } from '../site/siteBook.ts'
import { createOwnStream } from '../streams/ownStream.ts'
import { bringIn } from './bringIn.ts'
import { takeBack } from './lists.ts'

export type ListTask = { do: 'bringIn'; text: Uint8Array } | { do: 'takeBack'; list: string; why: string }

/** What is done with a list, apart from everybody else's work. */
export type ListWork = {
  address: DatabaseAddress
  author: Author
  zone: string
  nowMs: number
  who: SignedIn
} & ListTask

export type ListTold =
  | { told: 'written' }
  | { told: 'done'; answer: unknown }
  /** The list is none that could be read. */
  | { told: 'badInput'; message: string }
  | { told: 'problem'; code: KobrinProblem['code'] }
  | { told: 'failed'; message: string }

function readList(text: Uint8Array): BringIn | Extract<ListTold, { told: 'badInput' }> {
  let json: unknown
  try {
    json = JSON.parse(new TextDecoder().decode(text))
  } catch {
    return { told: 'badInput', message: 'Input: cannot be read' }
  }
  const read = BringIn.safeParse(json)
  if (read.success) return read.data
  const [issue] = read.error.issues
  const field = issue?.path.join('.') ?? ''
  return { told: 'badInput', message: `${field || 'Input'}: ${issue?.message ?? 'cannot be read'}` }
}

async function done(work: ListWork, tell: (told: ListTold) => void): Promise<ListTold> {
  const list = work.do === 'bringIn' ? readList(work.text) : null
  if (list && 'told' in list) return list
  const { address, author, zone, nowMs, who } = work
  const { db, close } = await connect(address, 2)
  const stream = createOwnStream(db)
  const by = {
    db,
    stream,
    author,
    sheets: createSiteBook(db).sheets,
    onWritten: () => tell({ told: 'written' }),
  }
  const posting = {
    who,
    zone,
    nowMs,
    proofs: {},
    shift: () => Promise.resolve(null),
    authorOf: (uid: string) => authorOfEntry(db, uid),
    // A list is signed by the person who brings it in.
    roleOf: () => Promise.resolve(who.person.role),
  }
  try {
    if (list) return { told: 'done', answer: await bringIn({ ...by, posting }, list) }
    if (work.do === 'takeBack') return { told: 'done', answer: await takeBack(by, work.list, work.why) }
    return { told: 'failed', message: 'nothing to do' }
  } finally {
    await stream.close()
    await close()
  }
}

/** Does one piece of work and tells how it went. */
export async function workOn(work: ListWork, tell: (told: ListTold) => void): Promise<void> {
  try {
    tell(await done(work, tell))
  } catch (error) {
    if (error instanceof KobrinProblem) tell({ told: 'problem', code: error.code })
    else
      tell({
        told: 'failed',
        message: error instanceof Error ? (error.stack ?? error.message) : String(error),
      })
  }
}
