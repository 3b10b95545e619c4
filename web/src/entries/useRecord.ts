import type { Bookmark } from '@kobrin/contract'
import { defineStore } from 'pinia'
import { shallowRef } from 'vue'
import { usePeople } from '../people/usePeople.ts'
import { useRegister } from '../residents/useRegister.ts'
import { useSite } from '../site/useSite.ts'
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
  const reloadSite = () => gatherSite('site')

  function needWriter(): Writer {
    if (!writer) throw new Error('Nothing can have been written or heard yet.')
    return writer
  }

  async function loadStates(of?: readonly string[], anew = false): Promise<Bookmark> {
    const asked = Date.now()
    const { head, folds, now } = await fetchFolds(of)
    site.setClock(now, asked, Date.now())
    if (anew) ledger.startOver()
    for (const [subject, fold] of folds) ledger.load(subject, fold)
    return head
  }

  const intake = createIntake({
    ledger,
    undelivered,
    reload: (subject) => reload(subject),
    reloadSite,
    answered: () => (link.unkept.value = ''),
  })

  /** The record was put back to an earlier state: everything is asked for anew. */
  async function startOver(): Promise<void> {
    intake.readFrom(await loadStates(undefined, true))
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
    const [, head] = await Promise.all([site.load(), loadStates()])
    intake.readFrom(head)
    link.needsSignIn.value = false
    doings.recallActs()
    ready.value = true
    ;(await opening).openLine()
  }

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

  function close(): void {
    writer?.close()
    ready.value = false
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
    held: link.held,
    needsSignIn: link.needsSignIn,
    ready,
    open,
    close,
    forgetRefused,
    retryRefused,
  }
})
