import type { Bookmark } from '@kobrin/contract'
import type { Ledger } from '../entries/ledger.ts'
import type { KeptStore } from './keptStore.ts'

/** What is heard meanwhile is written together: a storm of entries costs few writes. */
const GATHER_MS = 3000

interface KeeperOptions {
  ledger: Pick<Ledger, 'keptFold'>
  /** How far the feed was read. */
  head: () => Bookmark
  /** One tab of a browser writes for all of them. */
  mayKeep: () => boolean
  store: Pick<KeptStore, 'keepFolds'>
  gatherMs?: number
}

/** Keeps folds on this device as they change, with their place in the feed: after a restart only the difference
 * has to come. */
export function createFoldKeeper({ ledger, head, mayKeep, store, gatherMs = GATHER_MS }: KeeperOptions) {
  const changed = new Set<string>()
  let timer: ReturnType<typeof setTimeout> | undefined

  async function keep(subjects: Iterable<string>, anew: boolean): Promise<void> {
    const upTo = head()
    const folds = [...subjects].flatMap((subject) => ledger.keptFold(subject, upTo) ?? [])
    await store.keepFolds(folds, upTo, { anew })
  }

  async function flush(): Promise<void> {
    timer = undefined
    if (!mayKeep()) return
    const subjects = [...changed]
    changed.clear()
    await keep(subjects, false)
  }

  return {
    /** Something was heard about a subject. */
    touched(subject: string): void {
      changed.add(subject)
      timer ??= setTimeout(() => void flush(), gatherMs)
    },
    /** Everything was told anew. */
    all: (subjects: Iterable<string>) => keep(subjects, true),
    flush,
    stop: () => clearTimeout(timer),
  }
}
