import { ROUTES } from '@kobrin/contract'
import type { Draft, Entry } from '@kobrin/core'
import type { Moment, When } from '../time/useToday.ts'
import { call } from '../api/call.ts'
import { createActs } from './acts.ts'
import { t } from './words.ts'

interface DoingsOptions {
  /** Who is at work here; nobody, and nothing is kept. */
  author: () => string | undefined
  moment: (when?: When) => Moment
  /** Does something as soon as there is something to write with. */
  whenReady: (act: (newUid: () => string) => void) => void
  put: (entries: readonly Entry[]) => void
}

interface Keeping {
  /** They are one doing: kept together and taken back together. */
  together?: boolean
  /** It takes something back itself. */
  undoes?: boolean
  /** When it happened, where that was not now. */
  when?: When
}

function retractions(entries: readonly Pick<Entry, 'uid' | 'subject'>[], why: string): Draft[] {
  return entries.map(({ subject, uid }) => ({ subject, kind: 'retracted', payload: { target: uid, why } }))
}

/** What somebody says here becomes entries, and is taken back by entries. */
export function createDoings({ author, moment, whenReady, put }: DoingsOptions) {
  const acts = createActs({ author, today: () => moment().day })

  /** Keeps what somebody just said: on the screen at once, on this device before anything else,
   * on the server as soon as it can be reached. */
  function keep(
    drafts: readonly Draft[],
    says: string,
    { together = false, undoes = false, when = null }: Keeping = {},
  ): void {
    const by = author()
    if (!by || drafts.length === 0) return
    const said = drafts.map((draft) => {
      const { at: occurredAt, ...stamp } = moment(when)
      return { ...draft, occurredAt, ...stamp, author: by }
    })
    whenReady((newUid) => {
      const act = together && said.length > 1 ? { act: newUid() } : {}
      const entries = said.map((one) => ({ ...one, ...act, uid: newUid() }))
      if (!undoes) acts.done({ entries, says })
      put(entries)
    })
  }

  function takeBack(): void {
    const act = acts.undone()
    if (!act) return
    const together = act.entries.some((entry) => entry.act !== undefined)
    keep(retractions(act.entries, t('takenBack')), t('takenBack2', { says: act.says }), {
      together,
      undoes: true,
    })
  }

  /** Takes back one entry of the past, with everything that was done together with it. */
  async function takeBackEntry(entry: Entry, why: string, says: string): Promise<void> {
    if (entry.act === undefined) return keep(retractions([entry], why), says)
    const { entries } = await call(ROUTES.act, { params: { act: entry.act } })
    const facts = entries.filter(({ kind }) => kind !== 'retracted' && kind !== 'corrected')
    keep(retractions(facts, why), says, { together: true })
  }

  return {
    lastAct: acts.last,
    recallActs: acts.recall,
    keep,
    takeBack,
    takeBackEntry,
  }
}
