import { answersChanged, historiesChanged } from '../api/changes.ts'
import { gatherReloads } from './gatherReloads.ts'

interface ReloadsOptions {
  some: (subjects: readonly string[]) => Promise<unknown>
  site: () => Promise<unknown>
}

/** Asks again for what turned out to be otherwise than it is known here, gathered. */
export function createReloads({ some, site }: ReloadsOptions) {
  const gatherSite = gatherReloads(() => {
    void answersChanged.trigger()
    return site()
  })
  return {
    /** What a subject adds up to. */
    reload: gatherReloads(some),
    reloadSite: () => gatherSite('site'),
    rereadHistory: gatherReloads(historiesChanged.trigger),
  }
}
