export type DilutionInput =
  | { by: 'parts'; parts: readonly number[]; totalMl: number }
  | { by: 'percent'; stockPercent: number; targetPercent: number; totalMl: number }
  | { by: 'solution'; percent: number; per: 'weight' | 'volume'; total: number }

export type Dilution =
  | { by: 'parts'; ml: number[] }
  | { by: 'percent'; stockMl: number; waterMl: number }
  /** `total` grams by weight, millilitres by volume. */
  | { by: 'solution'; soluteGrams: number; water: number; waterUnit: 'g' | 'mlUpTo' }

/** Millilitres of each part; of a stock and water for a weaker one (C₁V₁ = C₂V₂); or grams of a solid
 * for a solution: percent by weight in so many grams, or grams to 100 ml filled up with water.
 * Null where there is no such dilution: nothing to divide, or stronger than the stock. */
export function dilution(input: DilutionInput): Dilution | null {
  switch (input.by) {
    case 'parts': {
      const all = input.parts.reduce((sum, part) => sum + part, 0)
      if (all <= 0 || input.totalMl <= 0) return null
      return { by: 'parts', ml: input.parts.map((part) => (input.totalMl * part) / all) }
    }
    case 'percent': {
      const { stockPercent, targetPercent, totalMl } = input
      if (stockPercent <= 0 || targetPercent > stockPercent || totalMl <= 0) return null
      const stockMl = (totalMl * targetPercent) / stockPercent
      return { by: 'percent', stockMl, waterMl: totalMl - stockMl }
    }
    case 'solution': {
      const { percent, per, total } = input
      if (total <= 0 || (per === 'weight' && percent >= 100)) return null
      const soluteGrams = (total * percent) / 100
      return per === 'weight'
        ? { by: 'solution', soluteGrams, water: total - soluteGrams, waterUnit: 'g' }
        : { by: 'solution', soluteGrams, water: total, waterUnit: 'mlUpTo' }
    }
  }
}
