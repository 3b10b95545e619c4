import { defineStore } from 'pinia'
import { shallowRef } from 'vue'
import { keepHere } from '../kept/keepHere.ts'
import { kept } from '../kept/keptStore.ts'
import { usePeople } from '../people/usePeople.ts'
import { useRegister } from '../residents/useRegister.ts'
import { useSite } from '../site/useSite.ts'
import { useToday } from '../time/useToday.ts'
import { answerTabs } from './answerTabs.ts'
import { createBeliefs } from './beliefs.ts'
import { createDoings } from './doings.ts'
import { createIntake } from './intake.ts'
import { createLoading } from './loading.ts'
import { createLink } from './link.ts'
import { createReloads } from './reloads.ts'
import { createRefusals } from './refusals.ts'
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

  const link = createLink({ onBack: () => (keeper.begin(), loading.settle(), people.tellTaken()) })
  const undelivered = createUndelivered()
  const { ledger, ...beliefs } = createBeliefs({
    folding: needWriter,
    onRegister: register.put,
    onEchoed(subject, isSure) {
      keeper.touched(subject)
      if (!isSure) reload(subject)
    },
  })
  const { reload, reloadSite, rereadHistory, need } = createReloads({
    isHere: (subject) => !ready.value || ledger.isBegun(subject),
    some: (of) => loading.some(of),
    site: () => site.load(),
  })

  function needWriter(): Writer {
    if (!writer) throw new Error('Nothing can have been written or heard yet.')
    return writer
  }

  const intake = createIntake({
    ledger,
    undelivered,
    reload,
    reloadSite,
    touched(entry) {
      keeper.heard(entry)
      rereadHistory(entry.subject)
    },
    answered: () => (link.unkept.value = ''),
  })
  const keeper = keepHere({
    ledger,
    head: intake.read,
    mayKeep: () => writer?.isLeading() ?? false,
    today: () => today.day,
  })

  const loading = createLoading({
    ledger,
    intake,
    keeper,
    reload,
    clock: site.setClock,
    recallSite: site.recall,
    ready: () => opening,
  })

  /** The record was put back to an earlier state: everything is fetched again. */
  const startOver = () => void loading.all(true).then(reloadSite)
  const asking = { reload, reloadSite, startOver }

  const writing: WriterOptions = {
    shift: () => people.me?.shift,
    onMessage: answerTabs({ intake, link, writer: () => writer, ...asking }),
    onReceipt: intake.receive,
    onTrouble: link.onTrouble,
    onUnstored: (count) => (undelivered.unstored.value = count),
    lead: (leading) => link.lead({ ...leading, ...asking, intake }),
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
    if (!(await loading.recall())) await Promise.all([site.load(), loading.all()])
    link.shown.needsSignIn.value = false
    doings.recallActs()
    ready.value = true
    ;(await opening).openLine()
    keeper.begin()
  }

  const doings = createDoings({
    author: () => people.person?.id,
    moment: today.moment,
    whenReady(act) {
      if (writer) act(writer.newUid)
      else
        void opening?.then(
          ({ newUid }) => act(newUid),
          () => undefined,
        )
    },
    // To the device first: what is said must not depend on what this page makes of it.
    put(entries) {
      needWriter().put(entries)
      intake.added(entries)
    },
  })

  /** The person here leaves: what waits stays, and what lies here of the house where others may take over. */
  async function close(): Promise<void> {
    writer?.close()
    keeper.stop()
    ready.value = false
    if (people.team.length === 0) await kept.clear()
  }

  const refusals = createRefusals({
    writer: () => writer,
    undelivered,
    again: (entry) => intake.added([entry]),
  })

  return {
    ...beliefs,
    ...doings,
    ...refusals,
    ...undelivered.shown,
    ...link.shown,
    ready,
    need,
    needClosed: loading.closed,
    open,
    close,
  }
})
