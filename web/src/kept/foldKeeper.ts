import type { Bookmark, KeptEntry } from '@kobrin/contract'
import type { Ledger } from '../entries/ledger.ts'
import type { KeptStore } from './keptStore.ts'
import type { Lately } from './lately.ts'

/** What is heard meanwhile is written together: a storm of entries costs few writes. */
const GATHER_MS = 3000

export interface KeeperOptions {
  ledger: Pick<Ledger, 'keptFold'>
  /** How far the feed was read. */
  head: () => Bookmark
  /** One tab of a browser writes for all of them. */
  mayKeep: () => boolean
  store: Pick<KeptStore, 'keepFolds'>
  /** What was said of late is written down before the place in the feed that it reaches to. */
  lately: Lately
  gatherMs?: number
}

/** Keeps folds on this device as they change, with their place in the feed: after a restart only the difference
 * has to come. */
export function createFoldKeeper(options: KeeperOptions) {
  const { ledger, head, mayKeep, store, lately, gatherMs = GATHER_MS } = options
  const changed = new Set<string>()
  let timer: ReturnType<typeof setTimeout> | undefined

  async function keep(subjects: Iterable<string>, anew: boolean): Promise<void> {
    const upTo = head()
    await lately.flush()
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

  /** Something became known about a subject. */
  function touched(subject: string): void {
    changed.add(subject)
    timer ??= setTimeout(() => void flush(), gatherMs)
  }

  return {
    touched,
    heard(entry: KeptEntry): void {
      lately.hear(entry)
      touched(entry.subject)
    },
    /** The page stands: what else there is comes onto this device by and by. */
    begin: lately.begin,
    /** Everything was told again. */
    all: (subjects: Iterable<string>) => keep(subjects, true),
    flush,
    stop(): void {
      clearTimeout(timer)
      lately.stop()
    },
  }
}
