import { defineStore } from 'pinia'
import { shallowRef, watch } from 'vue'
import { createFoldKeeper } from '../kept/foldKeeper.ts'
import { kept } from '../kept/keptStore.ts'
import { usePeople } from '../people/usePeople.ts'
import { useRegister } from '../residents/useRegister.ts'
import { useSite } from '../site/useSite.ts'
import { answersChanged, historyChanged } from '../wire/queries.ts'
import { useToday } from '../time/useToday.ts'
import { answerTabs } from './answerTabs.ts'
import { createBeliefs } from './beliefs.ts'
import { createDoings } from './doings.ts'
import { fetchFolds } from './fetchFolds.ts'
import { gatherReloads } from './gatherReloads.ts'
import { createIntake } from './intake.ts'
import { createLink } from './link.ts'
import { createUndelivered } from './undelivered.ts'
import type { WriterOptions } from './writer.ts'
import { openWriter } from './writer.ts'

type Writer = Awaited<ReturnType<typeof openWriter>>

/** The shared record as this device knows it: what is kept, what waits, what others just did. */
export const useRecord = defineStore('record', () => {
  const people = usePeople()
  const site = useSite()
  const register = useRegister()
  const today = useToday()
  let writer: Writer | null = null
  let opening: Promise<Writer> | null = null
  const ready = shallowRef(false)

  const link = createLink()
  const undelivered = createUndelivered()
  const { ledger, ...beliefs } = createBeliefs({ folding: needWriter, onRegister: register.put })
  const reload = gatherReloads((of) => loadStates(of))
  const gatherSite = gatherReloads(() => site.load())
  const reloadSite = () => {
    gatherSite('site')
    // Plans, sheets, boxes or schools: what was answered about any of them may be another answer now.
    answersChanged()
  }

  function needWriter(): Writer {
    if (!writer) throw new Error('Nothing can have been written or heard yet.')
    return writer
  }

  async function loadStates(of: readonly string[]): Promise<void> {
    const asked = Date.now()
    const { folds, now } = await fetchFolds(of)
    site.setClock(now, asked, Date.now())
    for (const [subject, fold] of folds) {
      ledger.load(subject, fold)
      keeper.touched(subject)
    }
  }

  /** Everything is asked of the server, and from then on lies on this device. */
  async function loadAll(anew = false): Promise<void> {
    const asked = Date.now()
    const { head, folds, now } = await fetchFolds()
    site.setClock(now, asked, Date.now())
    if (anew) ledger.startOver()
    for (const [subject, fold] of folds) ledger.load(subject, fold)
    intake.readFrom(head)
    void keeper.all(folds.map(([subject]) => subject))
  }

  /** Takes up what lies on this device: the house is there at once, with or without a link, and the feed brings
   * what came since. False where not all of it is there. */
  async function recallKept(): Promise<boolean> {
    const [folds, head, sent, hasSite] = await Promise.all([
      kept.folds(),
      kept.thing('head'),
      kept.sent(),
      site.recall(),
    ])
    if (!hasSite || !head) return false
    // What was sent from here and is in no fold yet is folded like what is heard.
    if (sent.length > 0) await opening
    for (const { subject, ...fold } of folds) ledger.load(subject, fold)
    intake.readFrom(head)
    for (const entry of sent) ledger.heard(entry)
    for (const { subject, stale } of folds) if (stale) reload(subject)
    // The clock, while nobody waits for it.
    loadStates([]).catch(() => undefined)
    return true
  }

  const intake = createIntake({
    ledger,
    undelivered,
    reload: (subject) => reload(subject),
    reloadSite,
    touched(subject) {
      keeper.touched(subject)
      historyChanged(subject)
    },
    answered: () => (link.unkept.value = ''),
  })
  const keeper = createFoldKeeper({
    ledger,
    head: intake.read,
    mayKeep: () => writer?.isLeading() ?? false,
    store: kept,
  })

  /** The record was put back to an earlier state: everything is asked for anew. */
  async function startOver(): Promise<void> {
    await loadAll(true)
    reloadSite()
  }

  const writing: WriterOptions = {
    shift: () => people.me?.shift,
    onMessage: answerTabs({
      intake,
      link,
      writer: () => writer,
      reloadSite,
      startOver: () => void startOver(),
    }),
    onReceipt: intake.receive,
    onTrouble: link.onTrouble,
    onUnstored: (count) => (undelivered.unstored.value = count),
    lead: ({ tell, send }) =>
      link.lead({
        tell,
        send,
        after: intake.read,
        hear: intake.hear,
        onChange: reloadSite,
        onStartOver: () => void startOver(),
      }),
  }

  async function prepareWriter(): Promise<Writer> {
    writer = await openWriter(writing)
    intake.added(undelivered.recall(await writer.left()))
    return writer
  }

  /** Loads the site and everyone's state, takes up what waited here, and follows the feed. */
  async function open(): Promise<void> {
    opening ??= prepareWriter()
    opening.catch(() => (opening = null))
    if (!(await recallKept())) await Promise.all([site.load(), loadAll()])
    link.needsSignIn.value = false
    doings.recallActs()
    ready.value = true
    ;(await opening).openLine()
  }

  watch(link.linked, (is) => {
    if (is) people.tellTaken().catch(() => link.askToSignIn())
  })

  const doings = createDoings({
    author: () => people.person?.id,
    moment: () => today.moment(),
    whenReady(act) {
      if (writer) act(writer.newUid)
      else
        void opening?.then(
          ({ newUid }) => act(newUid),
          () => undefined,
        )
    },
    put(entries) {
      intake.added(entries)
      needWriter().put(entries)
    },
  })

  /** Whoever was here leaves: what waits stays, and what lies here of the house where others may take over. */
  async function close(): Promise<void> {
    writer?.close()
    keeper.stop()
    ready.value = false
    if (people.team.length === 0) await kept.clear()
  }

  async function forgetRefused(uid: string): Promise<void> {
    await writer?.forget(uid)
    undelivered.takeRefused(uid)
  }

  async function retryRefused(uid: string): Promise<void> {
    await needWriter().retry(uid)
    const one = undelivered.takeRefused(uid)
    if (one) intake.added([one.entry])
  }

  return {
    ...beliefs,
    ...doings,
    waiting: undelivered.waiting,
    waitingCount: undelivered.waitingCount,
    refused: undelivered.refused,
    unstored: undelivered.unstored,
    linked: link.linked,
    cutSince: link.cutSince,
    held: link.held,
    needsSignIn: link.needsSignIn,
    ready,
    open,
    close,
    forgetRefused,
    retryRefused,
  }
})
