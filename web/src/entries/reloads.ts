import { answersChanged, historiesChanged } from '../api/changes.ts'
import { gatherReloads } from './gatherReloads.ts'

interface ReloadsOptions {
  some: (subjects: readonly string[]) => Promise<unknown>
  site: () => Promise<unknown>
  /** What is believed of it is on this device, or on its way there. */
  isHere: (subject: string) => boolean
}

/** Asks again for what turned out to be otherwise than it is known here, gathered. */
export function createReloads({ some, site, isHere }: ReloadsOptions) {
  const gatherSite = gatherReloads(() => {
    void answersChanged.trigger()
    return site()
  })
  const reload = gatherReloads(some)
  /** Asked for, of those that are not handed out of themselves. */
  const needed = new Set<string>()

  return {
    /** What a subject adds up to. */
    reload,
    /** Somebody who is closed is looked at: what is believed of it comes, where there is a link. */
    need: (subject: string): void => {
      if (isHere(subject) || needed.has(subject)) return
      needed.add(subject)
      reload(subject)
    },
    reloadSite: () => gatherSite('site'),
    rereadHistory: gatherReloads(historiesChanged.trigger),
  }
}
