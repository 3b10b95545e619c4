import { existsSync, statSync } from 'node:fs'
import { join } from 'node:path'
import type { Browser, BrowserContext, BrowserContextOptions, Locator, Page } from '@playwright/test'
import { test as base, expect } from '@playwright/test'
import { standWith } from './browser.ts'

export type Login = 'maren' | 'kelechi' | 'tomas' | 'lotte' | 'priya' | 'sam' | 'ines' | 'joss'

export interface Keeper {
  page: Page
  /** Goes to a stop of the walk by its name, acknowledging whatever barrier lies before it. */
  walkTo: (stop: string) => Promise<void>
  /** Waits for something of the walk, acknowledging whatever barrier lies before it. */
  passGate: (awaited: Locator) => Promise<void>
  /** Finds a resident by name from anywhere, and opens the record. */
  openRecord: (name: string) => Promise<void>
  /** The cells of the stop in front of us. */
  cells: Locator
  cell: (name: string) => Locator
  /** Names of the residents here that one touch would do something for. */
  toDo: () => Promise<string[]>
  /** Waits until the server has everything. */
  allSent: () => Promise<void>
  /** Another tab of the same browser. */
  anotherTab: () => Promise<Keeper>
}

/** Chooses from a list by what is written there; without that, the first that can be chosen. */
export async function choose(page: Page, label: string, option: string | RegExp = /./): Promise<void> {
  await page.getByRole('combobox', { name: label, exact: true }).click()
  await page.locator('.p-select-option').filter({ hasText: option }).first().click()
  // Until it has gone its options are lines like any other.
  await expect(page.locator('.p-select-overlay')).toHaveCount(0)
}

type Stored = Awaited<ReturnType<BrowserContext['storageState']>>['cookies']

/** Cookies of those who signed in before, by house: the server lets nobody try names and phrases all day. */
const cookies = new Map<string, Stored>()

async function signIn(page: Page, login: Login): Promise<void> {
  const walk = page.getByRole('link', { name: 'Walk' })
  const passphrase = page.getByLabel('Passphrase')
  const key = `${process.env['KOBRIN_E2E_URL'] ?? ''} ${login}`
  await page.context().addCookies(cookies.get(key) ?? [])
  await page.goto('/')
  await expect(walk.or(passphrase)).toBeVisible()
  if (await walk.isVisible()) return
  await page.getByLabel('Name').fill(login)
  await passphrase.fill(`ropewalk ${login}`)
  await page.getByRole('button', { name: 'Sign in' }).click()
  await expect(walk).toBeVisible()
  cookies.set(key, await page.context().cookies())
}

function keeperAt(page: Page): Keeper {
  const cells = page.locator('[data-resident]')
  const state = page.locator('header.top button.state')
  async function passGate(awaited: Locator): Promise<void> {
    const gate = page.locator('.gate button')
    await expect(awaited.or(gate).first()).toBeVisible()
    if (await gate.isVisible()) await gate.click()
    await expect(awaited).toBeVisible()
  }
  return {
    page,
    cells,
    cell: (name) => cells.filter({ has: page.locator('.tape', { hasText: new RegExp(`^${name}$`) }) }),
    async walkTo(stop) {
      const rail = page.getByRole('navigation', { name: "Today's walk" })
      const named = page.locator('.name', { hasText: new RegExp(`^${stop}$`) })
      await rail.getByRole('button').filter({ has: named }).click()
      await passGate(cells.first())
    },
    passGate,
    async openRecord(name) {
      await page.getByRole('link', { name: 'Walk' }).click()
      await page.keyboard.press('/')
      await page.getByRole('combobox', { name: 'Name, number, species or place' }).fill(name)
      await page.getByRole('option', { name }).first().click()
      await expect(page.getByRole('heading', { name, exact: true })).toBeVisible()
    },
    async toDo() {
      const some = cells.filter({
        has: page
          .locator('.mark.due, .mark.late')
          .and(page.getByRole('img', { name: /^(?!Weigh|Measure|Read)/ })),
      })
      // The shelf may only just be on its way.
      await some
        .first()
        .waitFor({ timeout: 5_000 })
        .catch(() => undefined)
      return some.locator('.tape').allTextContents()
    },
    allSent: () => expect(state).toHaveText('All sent', { timeout: 10_000 }),
    async anotherTab() {
      const tab = await page.context().newPage()
      await tab.goto('/')
      return keeperAt(tab)
    },
  }
}

interface ScreenOptions extends BrowserContextOptions {
  /** A folder with the interface of another version, in place of the one that the house serves. */
  pages?: string
}

interface Fixtures {
  /** Somebody at a screen, signed in. Errors in the page fail the test. */
  keeper: (login: Login, options?: ScreenOptions) => Promise<Keeper>
}

/** A house that is closed behind the last line of a test has nothing left to fetch from. */
const HOUSE_CLOSED = /dynamically imported module|Unable to preload CSS/
/** What the network says while it is cut is no error of ours. */
const CUT = /net::ERR_|status of (4|5)\d\d/

/** Answers what is not of the record from a folder. */
async function serveFrom(context: BrowserContext, folder: string): Promise<void> {
  await context.route(
    (url) => !url.pathname.startsWith('/api/'),
    (route) => {
      const path = join(folder, new URL(route.request().url()).pathname)
      const isFile = existsSync(path) && statSync(path).isFile()
      return route.fulfill({ path: isFile ? path : join(folder, 'index.html') })
    },
  )
}

async function screen(
  browser: Browser,
  { pages, ...options }: ScreenOptions,
  errors: string[],
): Promise<Page> {
  const context = await browser.newContext({
    baseURL: process.env['KOBRIN_E2E_URL'] ?? '',
    viewport: { width: 1280, height: 800 },
    // Brought onto the device by those tests that go on without a link.
    serviceWorkers: 'block',
    ...options,
  })
  await standWith(context, Number(process.env['KOBRIN_E2E_AHEAD_MS']))
  if (pages !== undefined) await serveFrom(context, pages)
  const page = await context.newPage()
  page.on('pageerror', ({ message }) => {
    if (!HOUSE_CLOSED.test(message)) errors.push(message)
  })
  page.on('console', (message) => {
    const isError = message.type() === 'error' && !HOUSE_CLOSED.test(message.text())
    if (isError && !CUT.test(message.text())) errors.push(message.text())
  })
  return page
}

export const test = base.extend<Fixtures>({
  keeper: async ({ browser }, use) => {
    const errors: string[] = []
    const pages: Page[] = []
    await use(async (login, options = {}) => {
      const page = await screen(browser, options, errors)
      pages.push(page)
      await signIn(page, login)
      return keeperAt(page)
    })
    for (const page of pages) await page.context().close()
    expect(errors).toEqual([])
  },
})

export { expect }
