import { FULL_CLEAN } from '../../facts/cleaning/cleaned.ts'
import { litresOf } from '../../facts/enclosures/box.ts'
import type { Housing } from '../sheet/housing.ts'
import type { Duty } from './duty.ts'
import type { Plan } from './plan.ts'

/** Something a plan asks for that the smallest enclosure it allows cannot bear. */
export type Impossible =
  /** More water than floor, bowl or tank can take; litres. */
  | { why: 'tooWet' | 'bowlTooLarge' | 'tankEmptied'; duty: string; asks: number; most: number }
  /** A bowl to fill, or a clean-up crew to look after, where the housing has none. */
  | { why: 'noBowl' | 'noCrew'; duty: string }
  /** A floor taken out whole that lives and is to stay. */
  | { why: 'livingFloorOut'; duty: string }
  /** Room that one animal alone does not have: cm² or litres. */
  | { why: 'noFloorForOne' | 'noVolumeForOne'; asks: number; most: number }

/** A floor that takes up more than a quarter of its volume at once stands under water. */
const SOAK_SHARE = 0.25
/** Without a floor that holds it, water runs down and stands. */
const MIST_SHARE = 0.03
/** Thinner than this, mm, a floor holds nothing. */
const HOLDS_WATER = 20
/** A bowl larger than a tenth of the box leaves no dry ground in a small one, and drowns. */
const BOWL_SHARE = 0.1
/** More than this of its water changed at once is another water. */
const TANK_SHARE = 0.6
/** A living floor is turned and topped up; taken out more often than this, days, it is none. */
const FLOOR_LIVES = 90

const CM2 = 100
const LITRE = 1e6

/** The smallest enclosure of a plan. */
interface Box extends Housing {
  litres: number
  floorCm2: number
}

function boxOf({ housing }: Plan): Box | null {
  const { lengthMm, depthMm, heightMm } = housing ?? {}
  if (lengthMm === undefined || depthMm === undefined || heightMm === undefined) return null
  const litres = litresOf({ widthMm: lengthMm, depthMm, heightMm })
  return { ...housing, litres, floorCm2: (lengthMm * depthMm) / CM2 }
}

function mostOf({ does }: Duty, { litres, floorCm2, floorDepthMm }: Box, isTank: boolean) {
  if (does === 'water')
    return isTank
      ? ({ why: 'tankEmptied', most: litres * TANK_SHARE } as const)
      : ({ why: 'bowlTooLarge', most: litres * BOWL_SHARE } as const)
  const [floor = 0] = floorDepthMm ?? []
  const soaked = (floorCm2 * CM2 * floor * SOAK_SHARE) / LITRE
  return { why: 'tooWet', most: floor >= HOLDS_WATER ? soaked : litres * MIST_SHARE } as const
}

function wetness(duty: Duty, box: Box, isTank: boolean): Impossible[] {
  const { id, does, litres, effects } = duty
  if (litres === undefined || effects?.includes('bathing')) return []
  if (does !== 'water' && does !== 'dampen') return []
  const { why, most } = mostOf(duty, box, isTank)
  return litres > most ? [{ why, duty: id, asks: litres, most }] : []
}

function fittings(
  { id, does, label, cadence, effects }: Duty,
  { bowl, crew }: Box,
  isTank: boolean,
): Impossible[] {
  if (does === 'water' && label === undefined && !isTank && !effects?.includes('bathing') && !bowl)
    return [{ why: 'noBowl', duty: id }]
  if (id === 'crew' && !crew) return [{ why: 'noCrew', duty: id }]
  if (id === FULL_CLEAN && crew && cadence.type === 'every' && cadence.days < FLOOR_LIVES)
    return [{ why: 'livingFloorOut', duty: id }]
  return []
}

function room({ litres, floorCm2, floorPerAnimalCm2 = 0, litresPerAnimal = 0 }: Box): Impossible[] {
  return [
    ...(floorPerAnimalCm2 > floorCm2
      ? [{ why: 'noFloorForOne', asks: floorPerAnimalCm2, most: floorCm2 } as const]
      : []),
    ...(litresPerAnimal > litres
      ? [{ why: 'noVolumeForOne', asks: litresPerAnimal, most: litres } as const]
      : []),
  ]
}

/** What a plan asks for that cannot be carried out in the smallest enclosure its own housing allows. Empty where the
 * housing does not say how large that is. The shares are rules of thumb of ours, on the generous side: what is beyond
 * them is a slip or was written for another stage. */
export function impossibleOf(plan: Plan): Impossible[] {
  const box = boxOf(plan)
  if (!box) return []
  const isTank = plan.targets.some(({ measures }) => measures === 'water')
  return [
    ...plan.duties.flatMap((duty) => [...wetness(duty, box, isTank), ...fittings(duty, box, isTank)]),
    ...room(box),
  ]
}
