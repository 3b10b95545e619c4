export interface Material {
  /** Loose and dry. */
  kgPerLitre: number
  /** Water it holds at field capacity, litres to a loose litre. */
  waterPerLitre: number
  /** Loose litres from one litre as sold, for what is pressed into bricks or pellets. */
  swelling?: number | undefined
}

export interface MixPart extends Material {
  material: string
  parts: number
  /** Litres of one bag, or of one brick as sold. */
  packLitres?: number | undefined
}

export interface MixInput {
  lengthMm: number
  widthMm: number
  /** Depth of the finished floor; for a slope, at its shallow and its deep end. */
  depthMm: number
  deepMm?: number | undefined
  /** Share of the loose volume lost when it settles. */
  settling?: number | undefined
  parts: readonly MixPart[]
  /** Enclosure, furniture, water bowl. */
  otherKg?: number | undefined
  shelfLimitKg?: number | undefined
}

export interface MixItem {
  material: string
  /** Loose litres that go in. */
  litres: number
  /** Litres as sold: less than that where it swells. */
  soldLitres: number
  packs: number | null
  dryKg: number
  waterLitres: number
}

export interface Mix {
  /** Of the finished floor. */
  finishedLitres: number
  /** To be mixed, before it settles. */
  looseLitres: number
  items: MixItem[]
  waterLitres: number
  dryKg: number
  wetKg: number
  shelf: { loadKg: number; limitKg: number; holds: boolean } | null
}

const LITRE_MM3 = 1e6

function itemOf(part: MixPart, looseLitres: number, allParts: number): MixItem {
  const litres = (looseLitres * part.parts) / allParts
  const soldLitres = litres / (part.swelling ?? 1)
  return {
    material: part.material,
    litres,
    soldLitres,
    // A hair of a litre over a full bag does not open another one.
    packs: part.packLitres === undefined ? null : Math.ceil(soldLitres / part.packLitres - 1e-9),
    dryKg: litres * part.kgPerLitre,
    waterLitres: litres * part.waterPerLitre,
  }
}

/** A floor by parts of volume: floor area × mean depth, divided by 1 − settling, shared out by parts.
 * Water is what the loose volume holds at field capacity (damp in the hand, no drip), 1 kg to the litre.
 * Millimetres in, litres and kilograms out. Null when there is nothing to mix. */
export function mix({
  lengthMm,
  widthMm,
  depthMm,
  deepMm = depthMm,
  settling = 0,
  parts,
  otherKg = 0,
  shelfLimitKg,
}: MixInput): Mix | null {
  const allParts = parts.reduce((sum, part) => sum + part.parts, 0)
  const finishedLitres = (lengthMm * widthMm * (depthMm + deepMm)) / 2 / LITRE_MM3
  if (allParts <= 0 || finishedLitres <= 0 || settling >= 1) return null
  const looseLitres = finishedLitres / (1 - settling)
  const items = parts.map((part) => itemOf(part, looseLitres, allParts))
  const dryKg = items.reduce((sum, item) => sum + item.dryKg, 0)
  const waterLitres = items.reduce((sum, item) => sum + item.waterLitres, 0)
  const wetKg = dryKg + waterLitres
  const loadKg = wetKg + otherKg
  const shelf =
    shelfLimitKg === undefined ? null : { loadKg, limitKg: shelfLimitKg, holds: loadKg <= shelfLimitKg }
  return { finishedLitres, looseLitres, items, waterLitres, dryKg, wetKg, shelf }
}
