import type { Site } from '@kobrin/contract'
import type { PostedEntry } from '@kobrin/core'
import { v7 as uuidv7 } from 'uuid'
import { residentsOf } from './session.ts'

type Watering = Extract<PostedEntry, { kind: 'watered' }>

interface Said {
  subject: string
  author: string
  atMs: number
  litres?: number
}

/** The plainest entry there is, as a tablet posts it. */
export function watering({ subject, author, atMs, litres = 0.2 }: Said): Watering {
  return {
    uid: uuidv7(),
    subject,
    kind: 'watered',
    occurredAt: new Date(atMs).toISOString(),
    author,
    payload: { duty: 'water', litres },
  }
}

/** Waterings from resident to resident through a whole house whose clock is so far ahead. */
export function waterings(site: Site, aheadMs: number): () => Watering {
  const residents = residentsOf(site)
  const author = site.people[0]?.id ?? ''
  let made = 0
  return () => {
    made += 1
    const subject = residents[made % residents.length] ?? ''
    return watering({ subject, author, atMs: Date.now() + aheadMs })
  }
}
