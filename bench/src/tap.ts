import type { House } from '@kobrin/server'
import type { Browser, Page } from '@playwright/test'
import { chromium } from '@playwright/test'
import { BROWSER, standWith } from '@kobrin/e2e/browser'
import type { Figure } from './figures.ts'
import { ms, quantile } from './figures.ts'
import { signIn } from './signIn.ts'
import { RESIDENTS } from './sizes.ts'

const ROUNDS = 5
const TAPS = 20
/** The first of a shift, when everything is read and compiled for the first time, are not counted. */
const FIRST = 10
/** Nobody taps faster than this from box to box. */
const PAUSE_MS = 250
const THROTTLE = 4

/** From the moment the browser has the click to the frame that shows what came of it. */
function watchTaps(): void {
  const samples: number[] = []
  Reflect.set(globalThis, 'samples', samples)
  addEventListener(
    'click',
    ({ timeStamp }) => {
      requestAnimationFrame(() => {
        const { port1, port2 } = new MessageChannel()
        port1.onmessage = () => samples.push(performance.now() - timeStamp)
        port2.postMessage(null)
      })
    },
    { capture: true },
  )
}

async function throttled(browser: Browser, aheadMs: number): Promise<Page> {
  const context = await browser.newContext({ viewport: { width: 1280, height: 800 } })
  await standWith(context, aheadMs)
  const page = await context.newPage()
  await page.addInitScript(watchTaps)
  const session = await context.newCDPSession(page)
  await session.send('Emulation.setCPUThrottlingRate', { rate: THROTTLE })
  return page
}

async function openBay(browser: Browser, { url, aheadMs }: House): Promise<Page> {
  const page = await throttled(browser, aheadMs)
  await page.goto(url)
  await signIn(page)
  const gate = page.locator('.gate button')
  await gate.click()
  await page
    .locator('[data-resident]')
    .nth(RESIDENTS - 1)
    .waitFor({ state: 'attached' })
  return page
}

async function openBare(browser: Browser): Promise<Page> {
  const page = await throttled(browser, 0)
  await page.goto('about:blank')
  await page.evaluate(watchTaps)
  await page.evaluate((count) => {
    for (let index = 0; index < count; index += 1) {
      const button = document.createElement('button')
      button.textContent = `Resident ${index}`
      button.addEventListener('click', () => (button.textContent = `Resident ${index}: done`))
      document.body.append(button)
    }
  }, RESIDENTS)
  return page
}

/** Selectors of the boxes in which something is due that one touch logs. */
async function toDo(page: Page): Promise<string[]> {
  const ids = await page
    .locator('[data-resident]:has(.mark:is(.due, .late):not(.weigh, .measure, .read))')
    .evaluateAll((cells) => cells.map((cell) => (cell as HTMLElement).dataset['resident']))
  return ids.map((id) => `[data-resident="${String(id)}"]`)
}

async function tap(page: Page, selectors: readonly string[]): Promise<number[]> {
  await page.evaluate(() => ((Reflect.get(globalThis, 'samples') as number[]).length = 0))
  for (const selector of selectors) {
    const target = page.locator(selector)
    const box = await target.boundingBox()
    if (!box || box.y < 60 || box.y + box.height > 700 || box.x < 240 || box.x + box.width > 960) {
      await target.scrollIntoViewIfNeeded()
      await page.waitForTimeout(PAUSE_MS)
    }
    const at = await target.boundingBox()
    if (!at) throw new Error(`${selector} is not on the screen.`)
    await page.mouse.click(at.x + at.width / 2, at.y + at.height * 0.55)
    await page.waitForTimeout(PAUSE_MS)
  }
  return page.evaluate(() => Reflect.get(globalThis, 'samples') as number[])
}

/** Tapping a cell "as planned" on a bay of 300, against tapping one of 300 bare buttons. */
export async function tapFigures(house: House): Promise<Figure[]> {
  const browser = await chromium.launch(BROWSER.launchOptions)
  try {
    const bay = await openBay(browser, house)
    const bare = await openBare(browser)
    const times = { bay: [] as number[], bare: [] as number[] }
    const cells = await toDo(bay)
    if (cells.length < FIRST + ROUNDS * TAPS) throw new Error(`Only ${cells.length} boxes have anything due.`)
    const buttons = cells.map((_, index) => `button:nth-of-type(${index + 1})`)
    await tap(bay, cells.slice(0, FIRST))
    await tap(bare, buttons.slice(0, FIRST))
    for (let round = 0; round < ROUNDS; round += 1) {
      const from = FIRST + round * TAPS
      times.bay.push(...(await tap(bay, cells.slice(from, from + TAPS))))
      times.bare.push(...(await tap(bare, buttons.slice(from, from + TAPS))))
    }
    const left = await toDo(bay)
    const logged = cells.slice(0, FIRST + ROUNDS * TAPS).filter((cell) => !left.includes(cell))
    if (logged.length < FIRST + ROUNDS * TAPS) throw new Error(`Only ${logged.length} taps logged anything.`)
    const [inBay, onBare] = [quantile(times.bay, 0.95), quantile(times.bare, 0.95)]
    return [
      {
        name: 'tap-to-paint-p95-over-bare',
        value: inBay / onBare,
        limit: 2,
        about: `p95 at ${THROTTLE}× ${ms(inBay)} on a bay of ${RESIDENTS} (median ${ms(quantile(times.bay, 0.5))}), ${ms(onBare)} on bare buttons; ${times.bay.length} taps`,
      },
    ]
  } finally {
    await browser.close()
  }
}
