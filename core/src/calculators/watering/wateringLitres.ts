/** Litres that bring a floor from one share of its field capacity to another; 0 when it is damp enough.
 * Field capacity in litres of water to a litre of floor. */
export function wateringLitres(
  floorLitres: number,
  waterPerLitre: number,
  fromShare: number,
  toShare: number,
): number {
  return Math.max(0, floorLitres * waterPerLitre * (toShare - fromShare))
}
