import type { BatchAnswer, Proof, Receipt } from '@kobrin/contract'
import type { Entry, PostedEntry } from '@kobrin/core'
import type { Waiting } from './waitingStore.ts'

/** What an error of a post means: try again later, or never with these entries, or only perhaps. */
export type Hope = 'later' | 'never' | 'perhaps'

export interface DeliveryOptions {
  post: (entries: readonly PostedEntry[], proofs: Record<string, Proof>) => Promise<BatchAnswer>
  hopeFor: (error: unknown) => Hope
  onReceipt: (receipt: Receipt, waiting: Waiting) => Promise<void>
}

/** Something the server stumbled over, that may go another time. */
export interface Stumble {
  over: readonly Waiting[]
  error: unknown
}

/** How often a single doing that the server stumbles over is tried before it is set aside. */
const STUMBLES_MOST = 3

export function posted({ day: _day, ...entry }: Entry): PostedEntry {
  return entry
}

/** Delivers entries to the server, doing by doing. */
export function createDelivery({ post, hopeFor, onReceipt }: DeliveryOptions) {
  const stumbles = new Map<string, number>()

  async function receive(receipt: Receipt, one: Waiting): Promise<void> {
    stumbles.delete(one.entry.uid)
    await onReceipt(receipt, one)
  }

  async function postAll(doings: readonly Waiting[][]): Promise<void> {
    const waiting = doings.flat()
    const proofs = waiting.flatMap(({ entry, proof }) => (proof ? [[entry.uid, proof] as const] : []))
    const { receipts } = await post(
      waiting.map(({ entry }) => posted(entry)),
      Object.fromEntries(proofs),
    )
    const byUid = new Map(receipts.map((receipt) => [receipt.uid, receipt]))
    for (const one of waiting) {
      const receipt = byUid.get(one.entry.uid)
      if (!receipt) throw new Error('The server answered without a receipt.')
      await receive(receipt, one)
    }
  }

  /** The server can do nothing with these, however often they are sent. */
  async function setAside(doing: readonly Waiting[], error: unknown): Promise<void> {
    const message = error instanceof Error ? error.message : String(error)
    for (const one of doing)
      await receive({ uid: one.entry.uid, status: 'refused', code: 'cannot_be_stored', message }, one)
  }

  function hasStumbled(doing: readonly Waiting[]): boolean {
    const uid = doing[0]?.entry.uid ?? ''
    const count = (stumbles.get(uid) ?? 0) + 1
    stumbles.set(uid, count)
    return count >= STUMBLES_MOST
  }

  /** Sends a batch; one that fails without hope is halved until what is to blame is alone. Answers what the
   * server stumbled over, to be tried again; throws what can only be waited for. */
  return async function deliver(doings: readonly Waiting[][]): Promise<Stumble[]> {
    try {
      await postAll(doings)
      return []
    } catch (error) {
      const hope = hopeFor(error)
      if (hope === 'later') throw error
      const [first] = doings
      if (doings.length > 1) {
        const half = Math.ceil(doings.length / 2)
        const before = await deliver(doings.slice(0, half))
        return [...before, ...(await deliver(doings.slice(half)))]
      }
      if (!first) return []
      if (hope === 'perhaps' && !hasStumbled(first)) return [{ over: first, error }]
      await setAside(first, error)
      return []
    }
  }
}
