import { describe, expect, it } from 'vitest'
import { entryOn, FIRST_DAY, told, uidOf } from '../../testing/histories.ts'
import { planOf } from '../../testing/plans.ts'
import { holdsOn } from '../../judging/holds/holdsOn.ts'

const arrived = entryOn(0, 'arrived', { enclosure: uidOf(1) })
type Entries = Parameters<typeof told>[0]
const holdsAfter = (entries: Entries, day = 3) =>
  holdsOn(FIRST_DAY + day, told([arrived, ...entries]), planOf(), 1000).map(({ hold }) => hold)

describe('lifting a hold', () => {
  it.each(['dull', 'inBlue', 'clear'] as const)('that %s set ends it, and the sign with it', (stage) => {
    const signed = entryOn(2, 'ecdysis', { stage })
    expect(holdsAfter([signed])).toContain('inBlue')
    const lifted = [signed, entryOn(3, 'released', { hold: 'inBlue' })]
    expect(holdsAfter(lifted)).not.toContain('inBlue')
    expect(holdsAfter([...lifted, entryOn(5, 'ecdysis', { stage })], 6)).toContain('inBlue')
  })

  it('of settling in lasts until the next move', () => {
    expect(holdsAfter([])).toContain('settling')
    const lifted = [entryOn(2, 'released', { hold: 'settling' })]
    expect(holdsAfter(lifted)).not.toContain('settling')
    expect(holdsAfter([...lifted, entryOn(3, 'moved', { to: uidOf(2) })])).toContain('settling')
  })

  it('of digesting lasts until the next meal', () => {
    const meal = (day: number) => entryOn(day, 'fed', { item: 'rat', grams: 100, outcome: 'taken' })
    const lifted = [meal(2), entryOn(2, 'released', { hold: 'digesting' }, { minute: 900 })]
    expect(holdsAfter([meal(2)])).toContain('digesting')
    expect(holdsAfter(lifted)).not.toContain('digesting')
    expect(holdsAfter([...lifted, meal(3)])).toContain('digesting')
  })
})
