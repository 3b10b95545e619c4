import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { Build } from '../../facts/enclosures/build.ts'
import type { HoldKind } from '../../facts/holds/holdKind.ts'
import type { ZoneTarget } from '../../plans/sheet/climate.ts'
import type { FitInput } from './finding.ts'
import { fit } from './fit.ts'

function of(more: Partial<Omit<FitInput, 'build'>> & { build?: object } = {}): FitInput {
  const { build, ...rest } = more
  return {
    box: { widthMm: 600, depthMm: 400, heightMm: 400 },
    tenant: { sizes: {}, count: 1 },
    day: 1000,
    ...rest,
    build: Build.parse(build ?? {}),
  }
}

const codes = (input: FitInput) => fit(input).map(({ code }) => code)

describe('space', () => {
  it('takes the longer side of the floor as its length, whichever way it stands', () => {
    const box = { widthMm: 400, depthMm: 900, heightMm: 400 }
    expect(codes(of({ box, housing: { lengthMm: 900, depthMm: 400 } }))).toEqual([])
  })

  it('lets the larger of a fixed and a grown minimum count, and says which', () => {
    const housing = { lengthMm: 500, times: { part: 'length', length: 1 } } as const
    const [short] = fit(of({ housing, tenant: { sizes: { length: 900 }, count: 1 } }))
    expect(short).toMatchObject({ code: 'short', needs: 900, has: 600, part: 'length', times: 1 })
    expect(codes(of({ housing, tenant: { sizes: { length: 450 }, count: 1 } }))).toEqual([])
  })

  it('says that it cannot judge what was never measured', () => {
    expect(fit(of({ housing: { times: { part: 'legSpan', length: 3 } } }))).toEqual([
      { code: 'unmeasured', severity: 'info', part: 'legSpan' },
    ])
  })

  it('finds a founding colony in too large a place, until it has the workers', () => {
    const housing = { notLarger: { litres: 5, untilCount: 50 } }
    expect(codes(of({ housing, tenant: { sizes: {}, count: 8 } }))).toEqual(['tooLarge'])
    expect(codes(of({ housing, tenant: { sizes: {}, count: 50 } }))).toEqual([])
  })

  it('counts the slope and every layer into the depth of the floor', () => {
    const housing = { floorDepthMm: [120, 200] as [number, number] }
    const layers = [
      { material: 'coir', mm: 60 },
      { material: 'leaves', mm: 20 },
    ]
    expect(codes(of({ housing, build: { layers } }))).toEqual(['floorShallow'])
    expect(codes(of({ housing, build: { layers, slopeMm: 40 } }))).toEqual([])
    expect(codes(of({ housing }))).toEqual(['floorUnknown'])
  })

  it('wants free height below the perch of one that hangs to molt', () => {
    const housing = { freeBelowPerch: { part: 'length', times: [2, 3] as [number, number] } } as const
    const tenant = { sizes: { length: 60 }, count: 1 }
    const perch = (freeBelowMm: number) => ({ furniture: [{ what: 'perch', freeBelowMm }] })
    expect(codes(of({ housing, tenant, build: perch(110) }))).toEqual(['hangsTooLow'])
    expect(codes(of({ housing, tenant, build: perch(120) }))).toEqual([])
  })

  it('counts on the length after the next molt, where it still grows', () => {
    const freeBelowPerch = { part: 'length', times: [2, 3] as [number, number], grows: 1.35 } as const
    const furniture = (freeBelowMm: number) => ({ furniture: [{ what: 'perch', freeBelowMm }] })
    const tenant = { sizes: { length: 60 }, count: 1 }
    const [low] = fit(of({ housing: { freeBelowPerch }, tenant, build: furniture(150) }))
    expect(low).toMatchObject({ code: 'hangsTooLow', part: 'length', times: 2.7, has: 150 })
    expect(low?.needs).toBeCloseTo(162)
    expect(codes(of({ housing: { freeBelowPerch }, tenant, build: furniture(163) }))).toEqual([])
  })

  it('lets nobody fall from too high: the smaller of a fixed height and one that grows with it', () => {
    const fall = { mm: 200, part: 'legSpan', times: 1.5 } as const
    const tall = { widthMm: 400, depthMm: 400, heightMm: 300 }
    const deep = (mm: number) => ({ layers: [{ material: 'soil', mm }] })
    const at = (legSpan: number, floorMm: number) =>
      codes(
        of({ box: tall, housing: { fall }, tenant: { sizes: { legSpan }, count: 1 }, build: deep(floorMm) }),
      )
    expect(at(150, 90)).toEqual(['fallsFar'])
    expect(at(150, 100)).toEqual([])
    expect(at(100, 140)).toEqual(['fallsFar'])
    expect(at(100, 150)).toEqual([])
    // Nobody wrote down how deep the floor is, nor how large the animal.
    expect(codes(of({ box: tall, housing: { fall } }))).toEqual(['fallsFar', 'unmeasured'])
  })

  it('gives each of a group the litres it needs', () => {
    const tank = { widthMm: 600, depthMm: 300, heightMm: 300 }
    const of30 = (count: number) =>
      codes(of({ box: tank, housing: { litresPerAnimal: 3 }, tenant: { sizes: {}, count } }))
    expect(of30(18)).toEqual([])
    expect(of30(30)).toEqual(['fewLitres'])
  })

  it('asks whether a snake can stretch along its gradient', () => {
    const targets = [
      { zone: 'warm', celsius: [30, 32] as [number, number] },
      { zone: 'cool', celsius: [24, 26] as [number, number] },
    ]
    expect(codes(of({ targets, tenant: { sizes: { length: 1100 }, count: 1 } }))).toEqual(['cannotStretch'])
  })
})

describe('light, heat and furniture', () => {
  const light = {
    uvb: { share: [0.5, 0.7] as [number, number], distanceMm: [250, 350] as [number, number] },
  }

  it.each([
    [{}, ['noUvb']],
    [{ lamps: [{ what: 'uvb', lengthMm: 360, distanceMm: 300, fittedOn: 900 }] }, []],
    [{ lamps: [{ what: 'uvb', lengthMm: 200, distanceMm: 500 }] }, ['uvbShort', 'uvbFar']],
    [{ lamps: [{ what: 'uvb', lengthMm: 360, distanceMm: 100 }] }, ['uvbNear']],
    [{ lamps: [{ what: 'uvb', lengthMm: 360, distanceMm: 300, fittedOn: 600 }] }, ['uvbOld']],
  ])('judges the tube of %j', (build, expected) => {
    expect(codes(of({ light, build }))).toEqual(expected)
  })

  it('finds a missing second hide, a missing lock and a heater without a thermostat', () => {
    const build = {
      furniture: [{ what: 'hide' }],
      heaters: [{ what: 'Heat mat', thermostat: false }],
    }
    expect(codes(of({ housing: { hides: 2, lock: true }, build })).sort()).toEqual([
      'fewHides',
      'noLock',
      'noThermostat',
    ])
  })

  it('wants a guard and a thermostat on a lamp that warms, and no mat under a deep floor', () => {
    const hot = (lamp: object) => codes(of({ build: { lamps: [{ what: 'basking', ...lamp }] } }))
    expect(hot({ guard: false, thermostat: false })).toEqual(['noGuard', 'noThermostat'])
    expect(hot({ guard: true, thermostat: true })).toEqual([])
    expect(fit(of({ build: { lamps: [{ what: 'basking' }] } }))).toMatchObject([
      { code: 'lampUnsaid', severity: 'info' },
    ])
    const mat = (mm: number) => ({
      layers: [{ material: 'topsoil', mm }],
      heaters: [{ what: 'Heat mat', thermostat: true }],
    })
    expect(codes(of({ build: mat(80) }))).toEqual(['matUnderFloor'])
    expect(codes(of({ build: mat(20) }))).toEqual([])
  })

  it('advises a heater from two degrees on, and to nobody whose ceiling is near', () => {
    const at = (low: number, ceilingCelsius: number, roomCelsius: [number, number]) =>
      codes(
        of({
          targets: [{ zone: 'air', measures: 'air', celsius: [low, low + 3], ceilingCelsius }],
          roomCelsius,
        }),
      )
    expect(at(24, 32, [20, 21])).toEqual(['noHeat'])
    expect(at(24, 32, [22, 23])).toEqual(['coolRoom'])
    expect(at(24, 28, [20, 25.5])).toEqual([])
    expect(at(27, 29, [20, 25])).toEqual(['coolRoom'])
  })

  it('holds the room against warmth and ceiling', () => {
    const targets = [{ zone: 'warm', celsius: [30, 32] as [number, number], ceilingCelsius: 35 }]
    expect(codes(of({ targets, roomCelsius: [20, 26] }))).toEqual(['noHeat'])
    expect(codes(of({ targets, roomCelsius: [30, 36] }))).toEqual(['roomTooWarm'])
  })

  it('takes no warm surface for the air of a room', () => {
    const targets: ZoneTarget[] = [
      { zone: 'basking', measures: 'surface', celsius: [32, 36], ceilingCelsius: 42 },
      { zone: 'cool end', measures: 'air', celsius: [20, 25], nightCelsius: [15, 20], ceilingCelsius: 33 },
    ]
    const build = { lamps: [{ what: 'basking', guard: true, thermostat: true }] }
    expect(codes(of({ targets, build, roomCelsius: [18, 41] }))).toEqual(['roomTooWarm'])
    expect(codes(of({ targets, build, roomCelsius: [18, 32] }))).toEqual([])
  })

  it('holds the day against the day and the night against the night', () => {
    const targets: ZoneTarget[] = [
      { zone: 'air', measures: 'air', celsius: [21, 26], nightCelsius: [18, 23], neverBelowCelsius: 12 },
    ]
    expect(codes(of({ targets, roomCelsius: [18, 24] }))).toEqual([])
    const [night] = fit(of({ targets, roomCelsius: [16, 24] }))
    expect(night).toMatchObject({ code: 'noHeat', needs: 18, has: 16 })
    const [byDay] = fit(of({ targets, roomCelsius: [18, 20] }))
    expect(byDay).toMatchObject({ code: 'coolRoom', severity: 'watch', needs: 21, has: 20 })
  })

  it('never wants a heater for one that loves the cool, but no frost either', () => {
    const targets: ZoneTarget[] = [
      { zone: 'floor', measures: 'floor', celsius: [12, 18], ceilingCelsius: 22, neverBelowCelsius: 3 },
    ]
    const cool = (roomCelsius: [number, number]) => codes(of({ targets, coolLoving: true, roomCelsius }))
    expect([cool([8, 16]), cool([4, 10]), cool([1, 10]), cool([8, 22])]).toEqual([
      [],
      [],
      ['roomTooCold'],
      ['roomTooWarm'],
    ])
  })

  it('wants the climate of a winter rest of whoever rests, and of nobody else', () => {
    const targets: ZoneTarget[] = [
      { zone: 'air', measures: 'air', celsius: [20, 25], ceilingCelsius: 33, neverBelowCelsius: 10 },
      { zone: 'rest', measures: 'air', during: 'winterRest', celsius: [4, 7], ceilingCelsius: 10 },
    ]
    const judged = (holds: HoldKind[], roomCelsius: [number, number]) =>
      codes(of({ targets, holds, roomCelsius }))
    expect([judged([], [18, 24]), judged(['winterRest'], [18, 24])]).toEqual([[], ['roomTooWarm']])
    expect(judged(['winterRest'], [4, 8])).toEqual([])
  })

  it('lists defects and parts past their day', () => {
    const parts = [{ what: 'Vent', defect: 'chewed' }, { what: 'Pump', replaceBy: 900 }, { what: 'Door' }]
    expect(codes(of({ build: { parts } }))).toEqual(['defect', 'replaceDue'])
  })
})

describe('laws', () => {
  const size = fc.integer({ min: 50, max: 3000 })

  it('a larger box never adds a finding about too little space', () => {
    fc.assert(
      fc.property(size, size, size, size, size, fc.nat(500), (w, d, h, l, m, extra) => {
        const housing = { lengthMm: l, depthMm: m, heightMm: m, floorPerAnimalCm2: 400 }
        const box = { widthMm: w, depthMm: d, heightMm: h }
        const larger = { widthMm: w + extra, depthMm: d + extra, heightMm: h + extra }
        expect(fit(of({ box: larger, housing })).length).toBeLessThanOrEqual(fit(of({ box, housing })).length)
      }),
    )
  })

  it('a plan that asks for nothing fits anywhere', () => {
    fc.assert(
      fc.property(size, size, size, (widthMm, depthMm, heightMm) => {
        expect(fit(of({ box: { widthMm, depthMm, heightMm } }))).toEqual([])
      }),
    )
  })
})
