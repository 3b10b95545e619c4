import type { Register } from '../residents/register.ts'
import type { CountState, HowMany } from './countState.ts'

/** How many there are as somebody is put on record. Without a number it is one animal, unless it is said that it is
 * a colony, which nobody has counted then. */
export function howManyAtFirst({
  count,
  countAbout,
  colony,
}: Pick<Register, 'count' | 'countAbout' | 'colony'>): HowMany {
  if (count !== null) return { is: 'known', count, day: null, ...(countAbout && { about: countAbout }) }
  if (colony) return { is: 'uncounted', atLeast: 1 }
  return colony === false ? { is: 'one', sure: true } : { is: 'one' }
}

/** So many more than there were. A number of what was put on record without any shows that it is no single animal. */
export function more(howMany: HowMany, many: number, day: number): HowMany {
  switch (howMany.is) {
    case 'one':
      return howMany.sure ? { is: 'known', count: 1 + many, day } : { is: 'uncounted', atLeast: many }
    case 'known':
      return { ...howMany, count: howMany.count + many, day }
    case 'uncounted':
      return { is: 'uncounted', atLeast: howMany.atLeast + many }
  }
}

/** So many fewer than there were; null where none is left. When more go than were there, it were more than anybody
 * knew: how many are left is not known any more. */
export function fewer(howMany: HowMany, many: number, day: number): HowMany | null {
  switch (howMany.is) {
    case 'one':
      return howMany.sure ? null : { is: 'uncounted', atLeast: 0 }
    case 'known':
      if (many === howMany.count && !howMany.about) return null
      if (many >= howMany.count) return { is: 'uncounted', atLeast: 0 }
      return { ...howMany, count: howMany.count - many, day }
    case 'uncounted':
      return { is: 'uncounted', atLeast: Math.max(0, howMany.atLeast - many) }
  }
}

/** Animals, where that is known; null of a colony that nobody has counted, and of one animal. */
export function countOf({ count: { howMany } }: { count: CountState }): number | null {
  return howMany.is === 'known' ? howMany.count : null
}
