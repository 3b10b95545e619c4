import { FOLD_REVISION, OTHER_SHAPE_UNTIL, UNSAID_REVISION } from '@kobrin/core'
import type { KeptFold } from '../kept/keptStore.ts'
import { kept } from '../kept/keptStore.ts'
import { newVersion } from '../kept/newVersion.ts'
import type { createFoldKeeper } from '../kept/foldKeeper.ts'
import type { Whose } from './fetchFolds.ts'
import { fetchFolds } from './fetchFolds.ts'
import type { createIntake } from './intake.ts'
import type { Ledger } from './ledger.ts'

interface LoadingOptions {
  ledger: Ledger
  intake: Pick<ReturnType<typeof createIntake>, 'readFrom'>
  keeper: Pick<ReturnType<typeof createFoldKeeper>, 'touched' | 'all'>
  reload: (subject: string) => void
  clock: (serverMs: number, askedMs: number, answeredMs: number) => void
  /** Takes up the building that lies on this device. False where it does not. */
  recallSite: () => Promise<boolean>
  /** Entries can be folded here. */
  ready: () => Promise<unknown> | null
}

/** Brings what everybody's record adds up to into this page: from the server, or from this device. */
export function createLoading({ ledger, intake, keeper, reload, clock, recallSite, ready }: LoadingOptions) {
  /** What lies here was folded by an earlier version, and everything is to be asked for once there is a link. */
  let owed = false

  async function ask(whose: Whose) {
    const asked = Date.now()
    const { head, folds, now, revision } = await fetchFolds(whose)
    clock(now, asked, Date.now())
    if (revision > FOLD_REVISION) newVersion.outgrown()
    return { head, folds }
  }

  async function all(anew = false): Promise<void> {
    const { head, folds } = await ask('open')
    owed = false
    if (anew) ledger.startOver()
    for (const [subject, fold] of folds) ledger.load(subject, fold)
    intake.readFrom(head)
    void keeper.all(folds.map(([subject]) => subject))
  }

  /** Folds as they lie here, those of an earlier version as far as they can be told without the entries. */
  async function lyingHere(): Promise<KeptFold[] | null> {
    const [folds, made = UNSAID_REVISION] = await Promise.all([kept.folds(), kept.thing('revision')])
    if (made === FOLD_REVISION || folds.length === 0) return folds
    if (made > FOLD_REVISION) return null
    owed = true
    if (made > OTHER_SHAPE_UNTIL) return folds.map((fold) => ({ ...fold, stale: true }))
    const { fromRevision3 } = await import('../kept/earlierFolds.ts')
    return folds.map((fold) => ({ ...fold, state: fromRevision3(fold.family, fold.state), stale: true }))
  }

  async function some(of: readonly string[]): Promise<void> {
    for (const [subject, fold] of (await ask(of)).folds) {
      ledger.load(subject, fold)
      keeper.touched(subject)
    }
  }

  /** What nothing more may come of: it is looked at, and does not lie on this device. */
  async function closed(): Promise<void> {
    for (const [subject, fold] of (await ask('closed')).folds) ledger.load(subject, fold)
  }

  return {
    some,
    closed,
    /** Everything that is open is asked of the server, and from then on lies on this device. */
    all,
    /** Asks for everything where that is still owed. */
    settle(): void {
      // Cut off again: the next time.
      if (owed) void all(true).catch(() => undefined)
    },
    /** Takes up what lies on this device: the house is there at once, with or without a link, and the feed brings
     * what came since. False where not all of it is there. */
    async recall(): Promise<boolean> {
      const [folds, head, sent, hasSite] = await Promise.all([
        lyingHere(),
        kept.thing('head'),
        kept.sent(),
        recallSite(),
      ])
      if (!hasSite || !head || !folds) return false
      // What was sent from here and is in no fold yet is folded like what is heard.
      if (sent.length > 0) await ready()
      for (const { subject, ...fold } of folds) ledger.load(subject, fold)
      intake.readFrom(head)
      for (const entry of sent) ledger.heard(entry)
      if (owed) void all(true).catch(() => undefined)
      else for (const { subject, stale } of folds) if (stale) reload(subject)
      // The clock, while nobody waits for it.
      some([]).catch(() => undefined)
      return true
    },
  }
}
