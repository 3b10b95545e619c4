import type { Proof, Receipt, Shift } from '@kobrin/contract'
import { ROUTES } from '@kobrin/contract'
import type { Entry, PostedEntry } from '@kobrin/core'
import { kept } from '../kept/keptStore.ts'
import { call } from '../api/call.ts'
import type { DeliveryOptions } from './deliver.ts'
import { hopeFor } from './hopeFor.ts'
import type { Line, LineMessage } from './line.ts'
import type { Waiting } from './waitingStore.ts'

interface Leading {
  tell: Line['tell']
  send: () => void
}

export interface WriterOptions {
  /** The key of this sign-in, with which what is made here is stamped. */
  shift: () => Shift | undefined
  onMessage: (message: LineMessage) => void
  onReceipt: (receipt: Receipt, entry: Entry) => void
  onTrouble: (error: unknown, tell: Line['tell']) => void
  onUnstored: (count: number) => void
  /** This tab holds feed and outbox from now on. Answers how to let go of them. */
  lead: (leading: Leading) => () => void
}

/** Posts entries after what they speak of was sent: anyone who hears of a picture can see it. */
function postAfter(send: (entries: readonly PostedEntry[]) => Promise<void>): DeliveryOptions['post'] {
  return async (entries, proofs) => {
    await send(entries)
    return call(ROUTES.append, { body: { entries: [...entries], proofs } })
  }
}

/** An entry with the proof that its author was at work, where there is one. */
async function proven(entry: Entry, proving: Promise<Proof | null> | undefined): Promise<Waiting> {
  const proof = await proving?.catch(() => null)
  return proof ? { entry, proof } : { entry }
}

/** What is needed to write and to hear others; it comes while the walk is already drawn. */
export async function openWriter({ shift, lead, onMessage, onReceipt, ...on }: WriterOptions) {
  const { createOutbox, createSending, createWaitingStore, openLine, newUid, posted, stamped, ...folding } =
    await import('./writing.ts')
  const store = createWaitingStore()
  const { send, forget, clearUp } = createSending(store)
  let line: Line | null = null
  let putting = Promise.resolve()

  function tell(message: LineMessage): void {
    line?.tell(message)
  }

  const isLeading = () => line?.isLeading() ?? false
  const lying = () => store.all().catch((): Waiting[] => [])
  const outbox = createOutbox({
    store,
    post: postAfter(send),
    hopeFor,
    onReceipt(receipt, entry) {
      if (receipt.status === 'accepted') void forget(entry)
      onReceipt(receipt, entry)
      tell({ type: 'receipt', receipt, entry })
    },
    onTrouble: (error) => on.onTrouble(error, tell),
    onUnstored: on.onUnstored,
    onKept: kept.keepSent,
    mayEmpty: isLeading,
  })

  /** On this device before anything else, stamped with the key of this sign-in, and on its way. */
  async function putNow(entries: readonly Entry[], by: Shift | undefined): Promise<void> {
    await outbox.add(
      await Promise.all(entries.map((entry) => proven(entry, by && stamped(posted(entry), by)))),
    )
    // Another tab may hold the line: it sends what lies in the store now.
    tell({ type: 'made', entries: [...entries] })
  }

  return {
    ...folding,
    newUid,
    tell,
    isLeading,
    /** What lay in the store when the page was opened. */
    async left(): Promise<Waiting[]> {
      const waiting = await lying()
      void clearUp(waiting)
      return waiting
    },
    // Stamping takes a moment: what was said first is sent first all the same.
    put(entries: readonly Entry[]): void {
      const by = shift()
      // What is said next is kept all the same.
      putting = putting.then(() => putNow(entries, by)).catch((error: unknown) => on.onTrouble(error, tell))
    },
    sendIfLeading(): void {
      if (isLeading()) void outbox.send()
    },
    openLine(): void {
      line?.close()
      line = openLine({ onMessage, onLead: () => lead({ tell, send: () => void outbox.send() }) })
      void outbox.send()
    },
    async forget(uid: string): Promise<void> {
      const gone = (await lying()).find(({ entry }) => entry.uid === uid)
      await store.remove(uid).catch(() => undefined)
      if (gone) await forget(gone.entry)
    },
    async retry(uid: string): Promise<void> {
      await store.retry(uid)
      void outbox.send()
    },
    close(): void {
      line?.close()
      outbox.stop()
    },
  }
}
