import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { MATERIALS } from './materials.ts'
import { mix } from './mix.ts'

const bed = { lengthMm: 1000, widthMm: 500, depthMm: 100 }
const part = (material: string, parts: number, packLitres?: number) => {
  const { kgPerLitre, waterPerLitre, swelling } = MATERIALS[material] ?? {}
  return {
    material,
    parts,
    kgPerLitre: kgPerLitre ?? 0,
    waterPerLitre: waterPerLitre ?? 0,
    swelling,
    packLitres,
  }
}

describe('mixing a floor', () => {
  it('shares the volume out by parts', () => {
    const made = mix({ ...bed, parts: [part('topsoil', 3), part('sand', 2)] })
    expect(made?.finishedLitres).toBeCloseTo(50)
    expect(made?.items.map(({ litres }) => litres)).toEqual([30, 20])
    expect(made?.dryKg).toBeCloseTo(30 * 1.1 + 20 * 1.5)
  })

  it('takes the mean depth of a slope', () => {
    expect(mix({ ...bed, deepMm: 200, parts: [part('sand', 1)] })?.finishedLitres).toBeCloseTo(75)
  })

  it('mixes more than the finished volume where it settles', () => {
    expect(mix({ ...bed, settling: 0.2, parts: [part('compost', 1)] })?.looseLitres).toBeCloseTo(62.5)
  })

  it('buys fewer litres of what swells, in whole packs', () => {
    const made = mix({ ...bed, parts: [part('coir', 1, 3)] })
    expect(made?.items[0]).toMatchObject({ soldLitres: 6.25, packs: 3 })
  })

  it('opens no further bag for a hair of a litre', () => {
    const made = mix({ ...bed, parts: [part('topsoil', 1, 50 - 1e-11)] })
    expect(made?.items[0]?.packs).toBe(1)
  })

  it('weighs the wet floor against the shelf', () => {
    const made = mix({ ...bed, parts: [part('topsoil', 1)], otherKg: 10, shelfLimitKg: 80 })
    expect(made?.waterLitres).toBeCloseTo(17.5)
    expect(made?.shelf).toEqual({ loadKg: 55 + 17.5 + 10, limitKg: 80, holds: false })
  })

  it('makes nothing of nothing', () => {
    expect(mix({ ...bed, depthMm: 0, parts: [part('sand', 1)] })).toBeNull()
  })

  it('keeps every litre: the parts add up to the whole', () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.record({
            material: fc.constantFrom(...Object.keys(MATERIALS)),
            parts: fc.integer({ min: 1, max: 9 }),
          }),
          { minLength: 1, maxLength: 6 },
        ),
        fc.integer({ min: 10, max: 400 }),
        (parts, depthMm) => {
          const made = mix({
            ...bed,
            depthMm,
            parts: parts.map(({ material, parts: share }) => part(material, share)),
          })
          const sum = made?.items.reduce((all, { litres }) => all + litres, 0) ?? 0
          expect(sum).toBeCloseTo(made?.looseLitres ?? NaN, 6)
        },
      ),
    )
  })
})
