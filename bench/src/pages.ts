import { fileURLToPath } from 'node:url'
import { collection } from '@kobrin/demo'
import { BROWSER, standWith } from '@kobrin/e2e/browser'
import { foldsHere } from '@kobrin/e2e/foldsHere'
import type { House } from '@kobrin/server'
import { readLibrary } from '@kobrin/server'
import type { Browser, CDPSession, Page } from '@playwright/test'
import { chromium } from '@playwright/test'
import type { Figure } from './figures.ts'
import { median, ms } from './figures.ts'
import { withHouse } from './largeHouse.ts'
import { signIn } from './signIn.ts'
import { HOUSE_AT } from './sizes.ts'

export const PAGES = fileURLToPath(new URL('../../web/dist', import.meta.url))
const STARTS = 7
const FEW = 20
const MANY = 200
const LARGE = 10_000
/** Of a large house folds are written for a while after they came. */
const KEPT_MS = 120_000

/** Notes how far what stands on the page jumps, and when the first box was drawn. */
function watchPage(): void {
  Reflect.set(globalThis, 'shifted', 0)
  new PerformanceObserver((list) => {
    for (const entry of list.getEntries() as (PerformanceEntry & {
      value: number
      hadRecentInput: boolean
    })[])
      if (!entry.hadRecentInput)
        Reflect.set(globalThis, 'shifted', Number(Reflect.get(globalThis, 'shifted')) + entry.value)
  }).observe({ type: 'layout-shift', buffered: true })
  const looking = setInterval(() => {
    if (!document.querySelector('[data-resident], .gate')) return
    clearInterval(looking)
    requestAnimationFrame(() => Reflect.set(globalThis, 'drawnAt', performance.now()))
  }, 4)
}

const told = (page: Page, name: string) =>
  page.evaluate((key) => Number(Reflect.get(globalThis, key) ?? NaN), name)

export async function signedIn(
  browser: Browser,
  { url, aheadMs }: Pick<House, 'url' | 'aheadMs'>,
): Promise<Page> {
  const context = await browser.newContext({ baseURL: url, viewport: { width: 1280, height: 800 } })
  await standWith(context, aheadMs)
  const page = await context.newPage()
  await page.addInitScript(watchPage)
  await page.goto('/')
  await signIn(page)
  await page.locator('[data-resident], .gate').first().waitFor({ timeout: KEPT_MS })
  return page
}

/** Milliseconds from opening the page to the first box that is drawn. */
async function start(page: Page): Promise<number> {
  await page.goto('/walk')
  await page.waitForFunction(() => Number.isFinite(Reflect.get(globalThis, 'drawnAt')))
  return told(page, 'drawnAt')
}

/** The interface and so many folds lie on the device. */
async function brought(page: Page, folds: number): Promise<void> {
  for (const until = Date.now() + KEPT_MS; (await foldsHere(page)) < folds;) {
    if (Date.now() > until) throw new Error(`Fewer than ${folds} folds came onto the device.`)
    await page.waitForTimeout(500)
  }
  // The first visit was not the device's yet.
  await page.reload()
  await page.waitForFunction(() => navigator.serviceWorker.controller !== null)
}

async function shifts(page: Page): Promise<Figure> {
  const jumps: [string, number][] = []
  const id = await page.locator('[data-resident]').first().getAttribute('data-resident')
  for (const path of [
    '/walk',
    '/residents',
    `/residents/${id ?? ''}`,
    '/library',
    '/library/kingsnake',
    '/handover',
  ]) {
    await page.goto(path)
    await page.waitForTimeout(2500)
    jumps.push([path.replace(id ?? '', ':id'), await told(page, 'shifted')])
  }
  return {
    name: 'layout-shift-worst-page',
    value: Math.max(...jumps.map(([, jump]) => jump)),
    limit: 0.05,
    about: jumps.map(([path, jump]) => `${path} ${jump.toFixed(3)}`).join(', '),
  }
}

async function starts(page: Page): Promise<Figure> {
  const online: number[] = []
  const offline: number[] = []
  for (let round = 0; round < STARTS; round += 1) {
    online.push(await start(page))
    await page.context().setOffline(true)
    offline.push(await start(page))
    await page.context().setOffline(false)
  }
  return {
    name: 'start-offline-over-online',
    value: median(offline) / median(online),
    limit: 1,
    about: `first box drawn after ${ms(median(offline))} without a link, ${ms(median(online))} with one`,
  }
}

async function heldMb(session: CDPSession): Promise<number> {
  await session.send('HeapProfiler.collectGarbage')
  const { metrics } = await session.send('Performance.getMetrics')
  return (metrics.find(({ name }) => name === 'JSHeapUsedSize')?.value ?? NaN) / 1e6
}

async function memory(page: Page): Promise<Figure> {
  const session = await page.context().newCDPSession(page)
  await session.send('Performance.enable')
  const places = ['Residents', 'Library', 'Handover', 'Walk']
  const change = async (times: number) => {
    for (let count = 0; count < times; count += 1) {
      const place = places[count % places.length] ?? ''
      await page.getByRole('navigation', { name: 'Places' }).getByRole('link', { name: place }).click()
      await page.getByRole('main').getByRole('heading').first().waitFor({ state: 'attached' })
    }
  }
  await change(FEW)
  const before = await heldMb(session)
  await change(MANY - FEW)
  const after = await heldMb(session)
  return {
    name: 'page-memory-200-changes-over-20',
    value: after / before,
    limit: 1.2,
    about: `${after.toFixed(1)} MB after ${MANY} changes of page, ${before.toFixed(1)} MB after ${FEW}`,
  }
}

/** What a page does to anyone who looks at it: how far it jumps, how soon it stands, what it holds on to. */
export async function pageFigures(house: House): Promise<Figure[]> {
  const browser = await chromium.launch(BROWSER.launchOptions)
  try {
    const page = await signedIn(browser, house)
    const gate = page.locator('.gate button')
    if (await gate.isVisible()) await gate.click()
    await brought(page, 1)
    return [await shifts(page), await starts(page), await memory(page)]
  } finally {
    await browser.close()
  }
}

/** How soon a house of ten thousand stands on a tablet that has it, and no link. */
export async function largeFigures(): Promise<Figure[]> {
  const seed = collection({ sheets: readLibrary(), residents: LARGE, days: 3, nowMs: HOUSE_AT })
  return withHouse(
    seed,
    async (house) => {
      const browser = await chromium.launch(BROWSER.launchOptions)
      try {
        const page = await signedIn(browser, house)
        await brought(page, LARGE)
        await page.context().setOffline(true)
        const times: number[] = []
        for (let round = 0; round < 3; round += 1) times.push(await start(page))
        return [
          {
            name: 'start-10000-from-device-s',
            value: median(times) / 1000,
            limit: 2,
            about: `first stop drawn after ${times.map((time) => ms(time)).join(', ')}`,
          },
        ]
      } finally {
        await browser.close()
      }
    },
    { pages: PAGES },
  )
}
