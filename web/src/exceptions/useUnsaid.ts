import { defineStore } from 'pinia'

export interface Unsaid {
  typed: string
  answers: Readonly<Record<string, string>>
}

/** What was typed and not yet kept, so that turning to another animal, or away, loses nothing. */
export const useUnsaid = defineStore('unsaid', () => {
  const kept = new Map<string, Unsaid>()
  return {
    stash: (key: string, unsaid: Unsaid) => kept.set(key, unsaid),
    recall: (key: string) => kept.get(key),
    drop: (key: string) => kept.delete(key),
  }
})
