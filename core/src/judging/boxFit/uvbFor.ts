import type { Light } from '../../plans/sheet/housing.ts'

export interface UvbFor {
  /** Shortest and longest tube, mm. */
  tubeMm: [number, number]
  distanceMm: [number, number]
  /** Height above the floor of the enclosure at which the tube hangs, mm. */
  hangsAtMm: [number, number]
}

/** The tube for an enclosure: the sheet's share of its length, hung so that the back of the basking
 * animal is at the sheet's distance. Millimetres. */
export function uvbFor(uvb: NonNullable<Light['uvb']>, lengthMm: number, baskingHeightMm: number): UvbFor {
  const [near, far] = uvb.distanceMm
  return {
    tubeMm: [uvb.share[0] * lengthMm, uvb.share[1] * lengthMm],
    distanceMm: [near, far],
    hangsAtMm: [baskingHeightMm + near, baskingHeightMm + far],
  }
}
