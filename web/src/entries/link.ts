import type { Bookmark, KeptEntry } from '@kobrin/contract'
import { ROUTES } from '@kobrin/contract'
import { computed, shallowRef } from 'vue'
import { ApiProblem, call } from '../api/call.ts'
import { followFeed } from './feed.ts'
import { hopeFor } from './hopeFor.ts'
import type { Line } from './line.ts'

interface Leading {
  tell: Line['tell']
  intake: {
    /** How far the feed was read in this tab. */
    read: () => Bookmark
    hear: (entry: KeptEntry) => void
  }
  /** What a subject adds up to is to be asked of the server. */
  reload: (subject: string) => void
  reloadSite: () => void
  startOver: () => void
  /** Sends what waits. */
  send: () => void
}

/** What is heard on the line is done in this tab, and told to the others. */
function hearing({ tell, intake, reload, reloadSite, startOver }: Leading) {
  return {
    onEntry(entry: KeptEntry): void {
      intake.hear(entry)
      tell({ type: 'heard', entry })
    },
    onAnew(subjects: string[]): void {
      subjects.forEach(reload)
      tell({ type: 'anew', subjects })
    },
    onChange(): void {
      reloadSite()
      tell({ type: 'changed' })
    },
    onStartOver(): void {
      startOver()
      tell({ type: 'startOver' })
    },
  }
}

/** Whether there is a line to the server, and whether it still knows who is here. */
export function createLink({ onBack }: { onBack: () => Promise<unknown> }) {
  const linked = shallowRef(true)
  /** Since when there is none. */
  const cutSince = shallowRef<string | null>(null)
  const needsSignIn = shallowRef(false)
  /** Why it did not keep what was sent from here, in its own words; empty once it did. */
  const unkept = shallowRef('')
  /** Why it says that it can keep nothing from anybody; empty while it can. */
  const standstill = shallowRef('')
  const held = computed(() => unkept.value || standstill.value)

  function become(is: boolean): void {
    const isBack = is && !linked.value
    linked.value = is
    if (isBack) onBack().catch(() => askToSignIn())
    if (is) cutSince.value = null
    else cutSince.value ??= new Date().toISOString()
  }

  function askToSignIn(tell: Line['tell'] = () => undefined): void {
    needsSignIn.value = true
    tell({ type: 'signInNeeded' })
  }

  function onTrouble(error: unknown, tell?: Line['tell']): void {
    if (error instanceof ApiProblem && error.status === 401) askToSignIn(tell)
    if (error instanceof ApiProblem && error.status === 503) {
      unkept.value = error.message
      tell?.({ type: 'unkept', why: error.message })
    }
    if (hopeFor(error) !== 'later') console.error(error)
  }

  /** Whether the server closed the line because nobody is signed in here any more. */
  async function onClosed(tell: Line['tell']): Promise<void> {
    const presence = await call(ROUTES.presence).catch(() => null)
    if (presence && !presence.me) askToSignIn(tell)
  }

  /** Holds feed and outbox for all tabs of this browser. Answers how to let go of them. */
  function lead(leading: Leading): () => void {
    const { tell, intake, send } = leading
    const stop = followFeed({
      after: intake.read,
      ...hearing(leading),
      onStandstill: (problem) => {
        const why = problem?.message ?? ''
        standstill.value = why
        tell({ type: 'standstill', why })
      },
      onLink: (is) => {
        become(is)
        tell({ type: 'link', linked: is })
        if (is) send()
      },
      onClosed: () => void onClosed(tell),
    })
    globalThis.addEventListener('online', send)
    send()
    return () => {
      stop()
      globalThis.removeEventListener('online', send)
    }
  }

  return {
    shown: { linked, cutSince, held, needsSignIn },
    linked,
    become,
    unkept,
    standstill,
    askToSignIn,
    onTrouble,
    lead,
  }
}
