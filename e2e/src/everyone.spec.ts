import AxeBuilder from '@axe-core/playwright'
import type { Page } from '@playwright/test'
import { expect, test } from './keeper.ts'
import { PAGES } from './pagesHere.ts'

const RULES = ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa', 'best-practice']

/** What a theme can break; the rest is the same in both. */
const OF_COLOUR = ['color-contrast', 'link-in-text-block']

type Theme = 'day' | 'dim'

interface Looking {
  theme: Theme
  /** Only there: the rest was looked at a step before. */
  within?: string
}

/** A dialog on its way in is paler than it will be. */
async function stoodStill(page: Page): Promise<void> {
  await page.evaluate(() =>
    Promise.allSettled(
      document
        .getAnimations()
        .filter(({ effect }) => effect?.getComputedTiming().endTime !== Infinity)
        .map(({ finished }) => finished),
    ),
  )
}

async function violationsOf(page: Page, where: string, { theme, within }: Looking): Promise<string[]> {
  await stoodStill(page)
  const axe = new AxeBuilder({ page })
  if (within) axe.include(within)
  const { violations } = await (theme === 'day' ? axe.withTags(RULES) : axe.withRules(OF_COLOUR)).analyze()
  return violations.map(({ id, nodes }) => `${where}: ${id} at ${nodes[0]?.target.join(' ')}`)
}

/** Everything this app has ever kept in a browser, by the word it was kept under. */
const KEPT =
  'columns listColumns tubs tub toWeigh round theme letters opensFirst letterSize startPage balance baud'

test('whatever lies in the stores of the browser, every page has something on it', async ({ keeper }) => {
  const { page } = await keeper('maren')
  const broke: string[] = []
  page.on('pageerror', ({ message }) => broke.push(message))
  await page.evaluate((words) => {
    for (const storage of [localStorage, sessionStorage]) {
      const kept = Object.keys(storage).filter((key) => key.startsWith('kobrin.'))
      for (const key of new Set([...kept, ...words.split(' ').map((word) => `kobrin.${word}`)]))
        storage.setItem(key, '{"0":{"header":"Name"}}')
    }
  }, KEPT)
  for (const path of PAGES) {
    await page.goto(path)
    await expect(page.getByRole('main').first()).toContainText(/\w{3}/)
  }
  await page.goto('/residents')
  await expect(page.getByRole('columnheader', { name: 'Species' })).toBeVisible()
  await expect(page.getByRole('row').nth(3)).toBeVisible()
  expect(broke).toEqual([])
})

for (const theme of ['day', 'dim'] as const) {
  test(`nothing stands in anybody's way, ${theme} theme`, async ({ keeper }) => {
    test.slow()
    const expectAccessible = async (on: Page, where: string, within?: string) => {
      expect(await violationsOf(on, where, { theme, ...(within && { within }) })).toEqual([])
    }
    const { page, walkTo, cells } = await keeper('maren')
    await page.evaluate((name) => localStorage.setItem('kobrin.theme', name), theme)
    await page.reload()
    await walkTo('Tar Room')
    await cells.first().locator('.tape').click()
    await page.keyboard.press('b')
    await expectAccessible(page, 'walk')
    await page.keyboard.press('h')
    await expectAccessible(page, 'holds', '.side')
    await page.keyboard.press('Escape')
    await page.keyboard.press('a')
    await expectAccessible(page, 'form', '.side')
    await page.keyboard.press('Escape')
    await page.keyboard.press('?')
    await expect(page.getByRole('dialog', { name: 'Keys and touch' })).toBeVisible()
    await expectAccessible(page, 'keys')
    await page.keyboard.press('Escape')
    await page.locator('.carry').click()
    await expect(page.getByRole('dialog', { name: /carr/i })).toBeVisible()
    await expectAccessible(page, 'carry')
    await page.keyboard.press('Escape')
    await page
      .getByRole('navigation', { name: "Today's walk" })
      .getByRole('button', { name: 'Gatehouse' })
      .last()
      .click()
    await expectAccessible(page, 'gate')
    await page.getByRole('link', { name: 'Residents' }).click()
    await expect(page.getByRole('row').nth(3)).toBeVisible()
    await expectAccessible(page, 'residents')
    await page.getByRole('row').nth(1).getByRole('link').click()
    await expect(page.locator('.lifeline canvas').first()).toBeVisible()
    await expectAccessible(page, 'record')
    await page.getByRole('button', { name: 'Correct', exact: true }).first().click()
    await expectAccessible(page, 'correct')
    await page.keyboard.press('Escape')
    await page.getByRole('link', { name: /^Enclosure/ }).click()
    await expect(page.getByRole('heading', { name: 'As it stands' })).toBeVisible()
    await expectAccessible(page, 'enclosure')
    await page.getByRole('link', { name: 'Door card' }).click()
    await expect(page.getByRole('article')).toBeVisible()
    await expectAccessible(page, 'door card')
    await page.goBack()
    await page.goBack()
    for (const [name, ready] of DESK) {
      await page
        .getByRole('link', { name, exact: true })
        .or(page.getByRole('tab', { name, exact: true }))
        .first()
        .click()
      await expect(page.getByText(ready).first()).toBeVisible()
      await expectAccessible(page, name)
    }
    await page.getByRole('button', { name: 'Lotte' }).click()
    await expect(page.getByRole('dialog')).toBeVisible()
    await expectAccessible(page, 'one of the staff')
    await page.keyboard.press('Escape')
    await page.getByRole('button', { name: 'Maren O.' }).click()
    await expectAccessible(page, 'person')
    await page.getByRole('button', { name: /Sign out/ }).click()
    await expect(page.getByLabel('Passphrase')).toBeVisible()
    await expectAccessible(page, 'sign in')
    await page.getByRole('button', { name: 'I was given a code' }).click()
    await expect(page.getByLabel('Code')).toBeVisible()
    await expectAccessible(page, 'a code')
  })
}

/** The pages of the desk, each reached from the one before, and what shows that it stands. */
const DESK = [
  ['Leaves or died …', 'What happened'],
  ['Leave it as it is', 'Entries'],
  ['Plan', 'In force'],
  ['Care sheet', 'Can we keep this?'],
  ['Schools', 'Housed alone, or together?'],
  ['Calculators', 'Mix a floor'],
  ['Handover', 'Plans changed'],
  ['Paper round', 'What to write'],
  ['Handover', 'Plans changed'],
  ['Weighing round', 'Whom'],
  ['Residents', 'Somebody new …'],
  ['Somebody new …', 'Look at both sides first'],
  ['Office', 'Rooms and their bays'],
  ['Caterpillar bench', 'Add a shelf'],
  ['House', 'What it is called'],
  ['Bring in', 'A list you kept until now'],
  ['Backup', 'By hand'],
  ['Audit', 'Looking back'],
  ['People', 'Tablets and browsers'],
] as const

const SCREENS = [
  { name: 'a phone', viewport: { width: 360, height: 740 }, hasTouch: true },
  { name: 'a tablet upright', viewport: { width: 820, height: 1180 }, hasTouch: true },
  { name: 'a tablet flat', viewport: { width: 1180, height: 820 }, hasTouch: true },
  { name: 'a desktop', viewport: { width: 1280, height: 800 }, hasTouch: false },
]

for (const { name, viewport, hasTouch } of SCREENS) {
  test(`the walk works on ${name}`, async ({ keeper }) => {
    const { page, walkTo, cells, allSent } = await keeper('lotte', { viewport, hasTouch })
    await walkTo('Spinning Hall')
    const act = async (target: ReturnType<typeof page.locator>) => (hasTouch ? target.tap() : target.click())
    const sideways = () =>
      page.evaluate(() => document.documentElement.scrollWidth - document.documentElement.clientWidth)
    expect(await sideways()).toBe(0)
    const size = await cells.first().boundingBox()
    expect(Math.min(size?.width ?? 0, size?.height ?? 0)).toBeGreaterThanOrEqual(44)

    await act(cells.first().locator('.tape'))
    const note = page.getByRole('button', { name: /^Note for the next shift/ })
    await note.scrollIntoViewIfNeeded()
    await act(note)
    await page.getByLabel('Note').fill(`Said on ${name}`)
    await act(page.getByRole('button', { name: 'Keep' }))
    await expect(cells.first()).toContainText(`Said on ${name}`)
    await allSent()

    await act(page.getByRole('link', { name: 'Residents' }))
    await expect(page.getByRole('row').nth(1)).toBeVisible()
    expect(await sideways()).toBe(0)
    await act(page.getByRole('row').nth(1).getByRole('link'))
    await expect(page.locator('.lifeline canvas').first()).toBeVisible()
    expect(await sideways()).toBe(0)
  })
}
