import { addressOf, ROUTES } from '@kobrin/contract'
import type { KeptEntry } from '@kobrin/contract'
import type { FactKind, Payload } from '@kobrin/core'
import type { House } from '@kobrin/server'
import { BROWSER, standWith } from '@kobrin/e2e/browser'
import type { Browser, Page } from '@playwright/test'
import { chromium } from '@playwright/test'
import { v7 as uuidv7 } from 'uuid'
import type { Figure } from './figures.ts'
import { ms, quantile } from './figures.ts'
import { openSession, residentsOf } from './session.ts'
import { signIn } from './signIn.ts'

const POINTS = 20_000
const YEARS = 12
const DAY_MS = 86_400_000
const THROTTLE = 4
/** The first, when everything is compiled, are not counted. */
const FIRST = 6
const ZOOMS = 40
const PAUSE_MS = 350

type Said = { [K in FactKind]: { kind: K; payload: Payload<K> } }[FactKind]

/** What is written down of one animal, again and again. */
function saidAt(index: number): Said {
  const turn = index % 40
  if (turn === 0) return { kind: 'ecdysis', payload: { stage: 'shed', how: 'whole' } }
  if (turn === 20) return { kind: 'noted', payload: { text: 'As always' } }
  if (turn % 10 === 5) return { kind: 'weighed', payload: { grams: 60 + (index % 13) / 10 } }
  if (turn % 2 === 0) return { kind: 'looked', payload: { seen: true } }
  return { kind: 'fed', payload: { item: 'crickets', outcome: turn % 7 === 0 ? 'refused' : 'taken' } }
}

/** Twelve years of one animal. */
function longLife(subject: string, author: string, nowMs: number): KeptEntry[] {
  const step = (YEARS * 365 * DAY_MS) / POINTS
  return Array.from({ length: POINTS }, (_, index) => {
    const at = nowMs - (POINTS - index) * step
    const occurredAt = new Date(at).toISOString()
    const placed = { stream: 1, seq: index + 1, recordedAt: occurredAt }
    const entry: Said & Omit<KeptEntry, 'kind' | 'payload'> = {
      ...saidAt(index),
      ...placed,
      uid: uuidv7(),
      subject,
      author,
      occurredAt,
      day: Math.floor(at / DAY_MS),
    }
    return entry
  })
}

/** From the moment the browser has the turn of the wheel to the frame in which the picture was drawn again. */
function watchZooms(): void {
  const samples: number[] = []
  Reflect.set(globalThis, 'samples', samples)
  let since: number | null = null
  const pen = CanvasRenderingContext2D.prototype
  const clear = Reflect.get<typeof pen, 'clearRect'>(pen, 'clearRect')
  pen.clearRect = function (...box) {
    Reflect.apply(clear, this, box)
    const began = since
    if (began === null) return
    since = null
    requestAnimationFrame(() => {
      const { port1, port2 } = new MessageChannel()
      port1.onmessage = () => samples.push(performance.now() - began)
      port2.postMessage(null)
    })
  }
  addEventListener('wheel', ({ timeStamp }) => (since = timeStamp), { capture: true, passive: true })
}

async function openRecord(browser: Browser, house: House): Promise<Page> {
  const session = await openSession(house.url, 1)
  const [subject = ''] = residentsOf(session.site)
  const author = session.site.people[0]?.id ?? ''
  session.close()
  const context = await browser.newContext({ viewport: { width: 1280, height: 800 } })
  await standWith(context, house.aheadMs)
  const page = await context.newPage()
  await page.addInitScript(watchZooms)
  const entries = longLife(subject, author, Date.now() + house.aheadMs)
  await page.route(`**${addressOf(ROUTES.record.url, { subject })}`, (route) =>
    route.fulfill({ json: { entries } }),
  )
  await page.goto(house.url)
  await signIn(page)
  await page.getByRole('link', { name: 'Walk' }).waitFor()
  const throttle = await context.newCDPSession(page)
  await throttle.send('Emulation.setCPUThrottlingRate', { rate: THROTTLE })
  await page.goto(`${house.url}/residents/${subject}`)
  await page.locator('.lifeline canvas').first().waitFor({ timeout: 60_000 })
  await page.waitForTimeout(5000)
  return page
}

/** Zooming the lifeline of twelve years, 20,000 points, on a slow tablet. */
export async function lifelineFigures(house: House): Promise<Figure[]> {
  const browser = await chromium.launch(BROWSER.launchOptions)
  try {
    const page = await openRecord(browser, house)
    const box = await page.locator('.lifeline canvas').first().boundingBox()
    if (!box) throw new Error('There is no lifeline.')
    await page.mouse.move(box.x + box.width / 2, box.y + 130)
    // Out until all twelve years are in sight, then in and out.
    for (let zoom = 0; zoom < FIRST + ZOOMS; zoom += 1) {
      await page.mouse.wheel(0, zoom < ZOOMS / 2 || zoom % 2 === 0 ? 120 : -120)
      await page.waitForTimeout(PAUSE_MS)
    }
    const samples = (await page.evaluate(() => Reflect.get(globalThis, 'samples') as number[])).slice(FIRST)
    if (samples.length < ZOOMS / 2) throw new Error(`Only ${samples.length} zooms were drawn.`)
    const p50 = quantile(samples, 0.5)
    return [
      {
        name: 'lifeline-20000-zoom-p50-ms',
        value: p50,
        limit: 200,
        about: `at ${THROTTLE}×; p95 ${ms(quantile(samples, 0.95))}, ${samples.length} zooms`,
      },
    ]
  } finally {
    await browser.close()
  }
}
