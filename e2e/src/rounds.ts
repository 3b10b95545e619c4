import { appendFile, cp, mkdtemp, rm } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'
import type { KeptEntry } from '@kobrin/contract'
import { REVISION_HEADER } from '@kobrin/contract'
import { FOLD_REVISION } from '@kobrin/core'
import type { House } from '@kobrin/server'
import { allHere } from './allHere.ts'
import type { Keeper } from './keeper.ts'
import { expect, test } from './keeper.ts'
import { houseOn } from './server.ts'

const DAY = '2026-06-16'
const ABLE = { serviceWorkers: 'allow' } as const
const HOUR_MS = 3_600_000
const always = { tag: ['@always'] }

let house: House | null = null
test.beforeEach(async () => {
  house = await houseOn(DAY, 10 * 60 + 30)
})
test.afterEach(async () => {
  await house?.close()
  house = null
})

const stateOf = ({ page }: Keeper) => page.locator('header.top button.state')

/** Looks that are logged one by one, besides what was planned. */
const LOOKS = 140
const SETTLES_MS = 500

/** The name of the first shelf that one touch would do something for; null where there is none. What a touch would do
 * is worked out a moment after a shelf is drawn. */
async function nextShelf(page: Keeper['page']): Promise<string | null> {
  const shelf = page.getByRole('button', { name: /^Whole .* as planned/ }).first()
  const isThere = await shelf.waitFor({ timeout: SETTLES_MS }).then(
    () => true,
    () => false,
  )
  const name = isThere ? await shelf.getAttribute('aria-label') : null
  return name && name.replace(/: \d+$/, '')
}

/** Walks the whole house, touches every shelf as planned and looks again and again. Answers how many entries wait
 * then. */
async function round(keeper: Keeper): Promise<number> {
  const { page, passGate, cells } = keeper
  const stops = page.getByRole('navigation', { name: "Today's walk" }).getByRole('button')
  for (let at = 0; at < (await stops.count()); at += 1) {
    await stops.nth(at).click()
    await passGate(cells.first())
    for (let shelf = await nextShelf(page); shelf; shelf = await nextShelf(page)) {
      await page.getByRole('button', { name: shelf }).click()
      // A shelf that was touched has nothing left to touch.
      await expect(page.getByRole('button', { name: shelf })).toHaveCount(0)
    }
  }
  await cells.first().locator('.tape').click()
  for (let look = 0; look < LOOKS; look += 1) await page.keyboard.press('z')
  return waitingIn(keeper)
}

/** How many entries wait, once the last of them has been counted: the number follows the keys. */
async function waitingIn(keeper: Keeper): Promise<number> {
  const read = async () => Number(/· (\d+) waiting/.exec((await stateOf(keeper).textContent()) ?? '')?.[1])
  let before = NaN
  let now = await read()
  while (now !== before) {
    await keeper.page.waitForTimeout(SETTLES_MS)
    before = now
    now = await read()
  }
  return now
}

/** What was entered on a day, by whom: as a page of today is told it, for an older one would not know every kind. */
async function enteredOn({ page }: Keeper, day: number): Promise<KeptEntry[]> {
  const headers = { [REVISION_HEADER]: String(FOLD_REVISION) }
  const answer = await page.request.get(`/api/days/${day}/entries`, { headers })
  return ((await answer.json()) as { entries: KeptEntry[] }).entries
}

test(
  'two walk the whole house without a link: all of it arrives, each entry once, and both are told',
  always,
  async ({ keeper }) => {
    const today = Date.parse(DAY) / 86_400_000
    const one = await keeper('lotte', ABLE)
    const other = await keeper('priya', ABLE)
    for (const { page } of [one, other]) await allHere(page)
    const before = new Set((await enteredOn(one, today)).map(({ uid }) => uid))
    for (const { page } of [one, other]) await page.context().setOffline(true)
    const waiting = [await round(one), await round(other)]
    expect(Math.min(...waiting)).toBeGreaterThan(300)
    // The tablet ran flat.
    await one.page.reload()
    await expect(stateOf(one)).toHaveText(new RegExp(` · ${waiting[0] ?? 0} waiting$`))

    for (const { page } of [one, other]) await page.context().setOffline(false)
    for (const keeperHere of [one, other])
      await expect(stateOf(keeperHere)).toHaveText('All sent', { timeout: 60_000 })
    const said = (await enteredOn(one, today)).filter(({ uid }) => !before.has(uid))
    expect(new Set(said.map(({ uid }) => uid)).size).toBe(said.length)
    const authors = [...new Set(said.map(({ author }) => author))]
    expect(authors.map((author) => said.filter((entry) => entry.author === author).length).sort()).toEqual(
      [...waiting].sort(),
    )
    // In the order in which each of them said it.
    for (const author of authors) {
      const inFeed = said.filter((entry) => entry.author === author).sort((a, b) => a.seq - b.seq)
      const times = inFeed.map(({ occurredAt }) => occurredAt)
      expect(times).toEqual([...times].sort())
    }
    const fed = said.filter(({ kind }) => kind === 'fed')
    const twice = fed.find(({ subject, uid }) =>
      fed.some((entry) => entry.subject === subject && entry.uid !== uid),
    )
    for (const { page } of [one, other]) {
      await page.goto(`/residents/${twice?.subject ?? ''}`)
      await expect(page.getByRole('list', { name: 'What the record says' })).toContainText(
        /Fed twice today: (Lotte Verhaege and Priya Ramanathan|Priya Ramanathan and Lotte Verhaege)/,
      )
    }
  },
)

test(
  'the server stops in the middle of a round: it goes on, also after a reload and in another tab',
  always,
  async ({ keeper }) => {
    const here = await keeper('lotte', ABLE)
    const { page, walkTo, toDo, cell } = here
    await allHere(page)
    await house?.close()
    house = null
    await expect(stateOf(here)).toHaveText(/^No link since \d\d:\d\d$/, { timeout: 60_000 })
    await walkTo('Tar Room')
    const [first = ''] = await toDo()
    await cell(first).click()
    await expect(page.locator('.undo')).toContainText(`${first}:`)
    await expect(stateOf(here)).toHaveText(/ waiting$/)
    const waits = await stateOf(here).textContent()
    await page.reload()
    await expect(stateOf(here)).toHaveText(waits ?? '')
    const tab = await here.anotherTab()
    await tab.walkTo('Tar Room')
    await expect(tab.cell(first).locator('.mark.done').first()).toBeVisible()
  },
)

test(
  'a new version waits until it is taken, and what was entered meanwhile is there',
  always,
  async ({ keeper }) => {
    await house?.close()
    const pages = await mkdtemp(join(tmpdir(), 'kobrin-pages-'))
    await cp(fileURLToPath(new URL('../../web/dist', import.meta.url)), pages, { recursive: true })
    process.env['KOBRIN_E2E_PAGES'] = pages
    house = await houseOn(DAY, 10 * 60 + 30)
    delete process.env['KOBRIN_E2E_PAGES']
    const here = await keeper('lotte', ABLE)
    const { page, walkTo, toDo, cell, allSent } = here
    await allHere(page)
    await walkTo('Yarn Loft')
    const [first = ''] = await toDo()
    await cell(first).locator('.tape').click()
    await page.keyboard.press('t')
    await page.getByLabel('Note').fill('Half a sentence')

    await rm(join(pages, 'serviceWorker.js.br'), { force: true })
    await appendFile(join(pages, 'serviceWorker.js'), '\n// A newer version.\n')
    await page.evaluate(async () => (await navigator.serviceWorker.getRegistration())?.update())
    const take = page.getByRole('button', { name: 'New version: take it now' })
    await expect(take).toBeVisible({ timeout: 30_000 })
    // Nothing moved under the hand.
    await expect(page.getByLabel('Note')).toHaveValue('Half a sentence')
    await take.click()
    await expect(take).toHaveCount(0)
    await walkTo('Yarn Loft')
    await cell(first).locator('.tape').click()
    await page.keyboard.press('t')
    await expect(page.getByLabel('Note')).toHaveValue('Half a sentence')
    await page.getByRole('button', { name: 'Keep' }).click()
    await expect(cell(first)).toContainText('Half a sentence')
    await allSent()
    await rm(pages, { recursive: true, force: true })
  },
)

test('a device that is full says so, and what was entered is sent from the page', async ({ keeper }) => {
  const here = await keeper('lotte')
  const { page, walkTo, toDo, cell, allSent } = here
  await page.context().addInitScript(() => {
    const refuse = () => {
      throw new DOMException('Full.', 'QuotaExceededError')
    }
    IDBObjectStore.prototype.put = refuse
    IDBObjectStore.prototype.add = refuse
  })
  await page.reload()
  await walkTo('Yarn Loft')
  await page.context().setOffline(true)
  const [first = ''] = await toDo()
  await cell(first).click()
  await expect(stateOf(here)).toHaveText(/not stored here: keep this open$/)
  await expect(cell(first).locator('.mark.done').first()).toBeVisible()
  await page.context().setOffline(false)
  await allSent()
})

test('a tablet whose clock is an hour wrong writes the time of the house', async ({ keeper }) => {
  process.env['KOBRIN_E2E_AHEAD_MS'] = String((house?.aheadMs ?? 0) + HOUR_MS)
  const { page, walkTo, cells, openRecord, allSent } = await keeper('lotte')
  await walkTo('Yarn Loft')
  const name = (await cells.first().locator('.tape').textContent()) ?? ''
  await cells.first().locator('.tape').click()
  await page.keyboard.press('t')
  await page.getByLabel('Note').fill('What time is it')
  await page.getByRole('button', { name: 'Keep' }).click()
  await allSent()
  await openRecord(name)
  const line = page.locator('ol > li').filter({ hasText: 'What time is it' })
  await expect(line).toContainText(/16 Jun 10:\d\d/)
})
