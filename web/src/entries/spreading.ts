import { isPast } from '@kobrin/contract'
import type { Echo, Entry } from '@kobrin/core'
import type { Page } from './page.ts'
import { isKept, isLong, isOwn } from './page.ts'

export interface SpreadOptions {
  /** What those of some entries about one subject that count say of others. */
  echoesIn: (entries: readonly Entry[]) => readonly Echo[]
  /** A subject heard something of an entry about another; not sure when only the server can tell what that adds up
   * to. */
  onEchoed?: (subject: string, isSure: boolean) => void
}

interface SpreadingOptions extends SpreadOptions {
  pages: ReadonlyMap<string, Page>
  /** False when only the server can tell what a page adds up to. */
  refold: (subject: string, page: Page) => boolean
}

/** With the place of its entry, so that it is known which folds hold it. */
function placed(echo: Echo, entry: Entry | undefined): Echo {
  if (!entry || !isKept(entry)) return echo
  const { stream, seq } = entry
  const place = { stream, seq }
  return { ...echo, ...place }
}

function keyOf({ uid, subject }: Echo): string {
  return `${uid} ${subject}`
}

/** Tells subjects what entries about others say of them, and tells it again when these change. One that is not on this
 * device is told nothing: anyone who asks for it is told by the server. */
export function createSpreading({ pages, refold, echoesIn, onEchoed }: SpreadingOptions) {
  /** What was told, by the subject whose entries say it. */
  const echoed = new Map<string, Map<string, Echo>>()

  function put(subject: string, change: (page: Page) => boolean): void {
    const page = pages.get(subject)
    const isHere = page && (page.base !== null || page.since.some(isOwn))
    if (isHere && change(page)) onEchoed?.(subject, refold(subject, page) && !isLong(page))
  }

  function tell(echo: Echo): void {
    put(echo.subject, (page) => {
      if (isKept(echo) && isPast(page.upTo, echo)) return false
      page.since = [...page.since.filter(({ uid }) => uid !== echo.uid), echo]
      return true
    })
  }

  function untell({ subject, uid }: Echo): void {
    put(subject, (page) => {
      page.since = page.since.filter((one) => one.uid !== uid)
      return true
    })
  }

  /** What nothing can be told of here, the server can: a newer version wrote it. */
  function said(entries: readonly Entry[]): readonly Echo[] {
    try {
      return echoesIn(entries)
    } catch (error) {
      console.error(error)
      return []
    }
  }

  return {
    /** One entry that the fold of its subject holds already. */
    of(entry: Entry): void {
      for (const echo of said([entry])) tell(placed(echo, entry))
    },
    /** The entries about a subject are others now. */
    from(subject: string, page: Page): void {
      const own = page.since.filter(isOwn)
      const before = echoed.get(subject)
      if (own.length === 0 && !before) return
      const byUid = new Map(own.map((entry) => [entry.uid, entry]))
      const now = new Map(said(own).map((echo) => [keyOf(echo), placed(echo, byUid.get(echo.uid))] as const))
      if (now.size > 0) echoed.set(subject, now)
      else echoed.delete(subject)
      for (const [key, echo] of before ?? []) if (!now.has(key)) untell(echo)
      for (const [key, echo] of now) if (JSON.stringify(before?.get(key)) !== JSON.stringify(echo)) tell(echo)
    },
    /** A newer fold holds what some of the entries about a subject say: of them nothing changes any more here. */
    forget(subject: string, page: Page): void {
      const before = echoed.get(subject)
      if (!before) return
      const left = [...before].filter(([, { uid }]) => page.since.some((one) => one.uid === uid))
      if (left.length > 0) echoed.set(subject, new Map(left))
      else echoed.delete(subject)
    },
    /** What entries that are still here say of a subject. */
    about: (subject: string): Echo[] =>
      [...echoed.values()].flatMap((echoes) =>
        [...echoes.values()].filter((echo) => echo.subject === subject),
      ),
    clear: () => echoed.clear(),
  }
}
