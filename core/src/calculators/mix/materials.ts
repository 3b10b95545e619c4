import type { Material, MixPart } from './mix.ts'

/** Usual figures of floor materials, loose and dry: kilograms and litres of water held to a litre.
 * Common horticultural practice; bags differ, so each can be changed in the calculator. */
export const MATERIALS: Readonly<Record<string, Material>> = {
  topsoil: { kgPerLitre: 1.1, waterPerLitre: 0.35 },
  sand: { kgPerLitre: 1.5, waterPerLitre: 0.15 },
  clay: { kgPerLitre: 1.2, waterPerLitre: 0.4 },
  coir: { kgPerLitre: 0.09, waterPerLitre: 0.6, swelling: 8 },
  compost: { kgPerLitre: 0.5, waterPerLitre: 0.5 },
  'wood pellets': { kgPerLitre: 0.22, waterPerLitre: 0.45, swelling: 3 },
  'flake soil': { kgPerLitre: 0.3, waterPerLitre: 0.5 },
  'leaf litter': { kgPerLitre: 0.06, waterPerLitre: 0.1 },
  'orchid bark': { kgPerLitre: 0.25, waterPerLitre: 0.2 },
  charcoal: { kgPerLitre: 0.3, waterPerLitre: 0.2 },
  'crushed shell': { kgPerLitre: 1.2, waterPerLitre: 0.1 },
  vermiculite: { kgPerLitre: 0.12, waterPerLitre: 0.5 },
  'sphagnum moss': { kgPerLitre: 0.03, waterPerLitre: 0.4 },
}

/** A part with the usual figures of its material where none are given. Null when neither is known. */
export function withUsual({
  kgPerLitre,
  waterPerLitre,
  swelling,
  ...part
}: Omit<MixPart, keyof Material> & { [K in keyof Material]?: Material[K] | undefined }): MixPart | null {
  const usual = MATERIALS[part.material]
  const kilograms = kgPerLitre ?? usual?.kgPerLitre
  const water = waterPerLitre ?? usual?.waterPerLitre
  if (kilograms === undefined || water === undefined) return null
  return { ...part, kgPerLitre: kilograms, waterPerLitre: water, swelling: swelling ?? usual?.swelling }
}
