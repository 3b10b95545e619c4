import { describe, expect, it } from 'vitest'
import { entryOn, FIRST_DAY, told } from '../../testing/histories.ts'
import { partsLeft } from '../../facts/skin/skinState.ts'

const sign = (
  day: number,
  stage: 'dull' | 'inBlue' | 'premolt' | 'molted' | 'soft' | 'hardened' | 'sealedIn',
) => entryOn(day, 'ecdysis', { stage })

describe('sheds and molts', () => {
  it('a clearer sign does not restart the clock', () => {
    expect(told([sign(0, 'dull'), sign(3, 'inBlue')]).skin.sign).toMatchObject({
      stage: 'inBlue',
      since: FIRST_DAY,
    })
  })

  it('a molt leaves the animal soft until somebody says it hardened', () => {
    const molted = [sign(0, 'premolt'), sign(9, 'molted')]
    expect(told(molted).skin).toMatchObject({
      sheds: [{ day: FIRST_DAY + 9 }],
      sign: { stage: 'soft', since: FIRST_DAY + 9 },
    })
    expect(told([...molted, sign(20, 'hardened')]).skin.sign).toBeNull()
  })

  it('soft seen again does not restart its clock', () => {
    expect(told([sign(9, 'molted'), sign(12, 'soft')]).skin.sign).toMatchObject({
      stage: 'soft',
      since: FIRST_DAY + 9,
    })
    expect(told([sign(0, 'premolt'), sign(12, 'soft')]).skin.sign?.since).toBe(FIRST_DAY + 12)
  })

  it('sealing in is not a sighting', () => {
    const { seenOn } = told([entryOn(0, 'looked', { seen: true }), sign(4, 'sealedIn')]).looking
    expect(seenOn).toBe(FIRST_DAY)
  })
})

describe('old skin', () => {
  const shed = entryOn(0, 'ecdysis', { stage: 'shed', how: 'inPieces', retained: ['eyeCaps', 'toes'] })

  it('stays on the record until the next shed', () => {
    expect(partsLeft(told([shed]).skin)).toEqual(['eyeCaps', 'toes'])
    expect(told([shed, entryOn(40, 'ecdysis', { stage: 'shed', how: 'whole' })]).skin.retained).toEqual([])
  })

  it('is off when somebody says so, part by part or all of it, without a shed that did not happen', () => {
    const parts = told([shed, entryOn(3, 'skinCleared', { parts: ['toes'] })]).skin
    expect(parts).toMatchObject({ retained: [{ part: 'eyeCaps' }], sheds: [{ day: FIRST_DAY }] })
    expect(told([shed, entryOn(3, 'skinCleared', {})]).skin.retained).toEqual([])
  })
})
