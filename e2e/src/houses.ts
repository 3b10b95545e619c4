import { judgeHouses } from '@kobrin/demo'
import { readLibrary } from '@kobrin/server/library'
import { expect, test } from '@playwright/test'

/** Days since 1970: other lives every day. */
const TODAY = Math.floor(Date.now() / 86_400_000)

test('other lives every day are judged right in every house, however it keeps its records', () => {
  test.setTimeout(600_000)
  for (const score of judgeHouses(readLibrary(), { seed: TODAY, each: 8, firstDay: 20_000 })) {
    const about = `${score.house}, seed ${TODAY}: ${score.kinds}`
    expect(score.found, about).toBeGreaterThanOrEqual(0.85)
    expect(score.wrongAct, about).toBeLessThanOrEqual(1)
    expect(score.wrongWatch, about).toBeLessThanOrEqual(6)
  }
})
