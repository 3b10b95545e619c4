import { collection } from '@kobrin/demo'
import { BROWSER } from '@kobrin/e2e/browser'
import { readLibrary } from '@kobrin/server'
import type { Page } from '@playwright/test'
import { chromium } from '@playwright/test'
import type { Figure } from './figures.ts'
import { median, ms } from './figures.ts'
import { withHouse } from './largeHouse.ts'
import { PAGES, signedIn } from './pages.ts'
import { HOUSE_AT } from './sizes.ts'

const RESIDENTS = 10_000
const DAYS = 10
/** Everybody is judged in the first; the others are of what is known. No two in a row list as many. */
const QUESTIONS = [
  'Who is due to be weighed',
  'Who was not seen',
  'Who changes prey or box within a month',
  'Who was not seen',
  'Who is due to be weighed',
  'Who refuses',
]

/** From the touch that chooses a question to the frame in which another number of residents is told. */
function watchLists(): void {
  addEventListener(
    'pointerdown',
    ({ timeStamp, target }) => {
      if (!(target instanceof Element) || !target.closest('[role=option]')) return
      const status = document.querySelector('main header [role=status]')
      const before = status?.textContent
      const looking = setInterval(() => {
        if (status?.textContent === before) return
        clearInterval(looking)
        requestAnimationFrame(() => Reflect.set(globalThis, 'listed', performance.now() - timeStamp))
      }, 4)
    },
    { capture: true },
  )
}

/** Chooses a question. Answers how long its list took, ms. */
async function ask(page: Page, question: string): Promise<number> {
  await page.getByRole('combobox', { name: 'Which of them' }).click()
  await page.evaluate(() => Reflect.deleteProperty(globalThis, 'listed'))
  await page.getByRole('option', { name: question, exact: true }).click()
  await page.waitForFunction(() => Reflect.has(globalThis, 'listed'))
  const time = await page.evaluate(() => Number(Reflect.get(globalThis, 'listed')))
  await page.waitForTimeout(1000)
  return time
}

/** Lists that answer a question about ten thousand residents: everybody judged again, and out of what is known. */
export async function listFigures(): Promise<Figure[]> {
  const seed = collection({ sheets: readLibrary(), residents: RESIDENTS, days: DAYS, nowMs: HOUSE_AT })
  return withHouse(
    seed,
    async (house) => {
      const browser = await chromium.launch(BROWSER.launchOptions)
      try {
        const page = await signedIn(browser, house)
        page.setDefaultTimeout(60_000)
        await page.getByRole('link', { name: 'Residents' }).click()
        await page.getByRole('row').nth(5).waitFor({ timeout: 120_000 })
        await page.evaluate(watchLists)
        const [first = NaN, ...kept] = await inTurnAsked(page)
        return [
          {
            name: 'lists-10000-judged-anew-s',
            value: first / 1000,
            limit: 60,
            about: 'the first list, for which everybody is judged, in the browser',
          },
          {
            name: 'lists-10000-kept-ms',
            value: median(kept),
            limit: 500,
            about: kept.map((time) => ms(time)).join(', '),
          },
        ]
      } finally {
        await browser.close()
      }
    },
    { pages: PAGES },
  )
}

async function inTurnAsked(page: Page): Promise<number[]> {
  const times: number[] = []
  for (const question of QUESTIONS) times.push(await ask(page, question))
  return times
}
