import type { Page } from '@playwright/test'
import { choose, expect, test } from './keeper.ts'

/** Puts something on the pan of the balance that stands in. */
async function put(page: Page, load: { grams: number; tub?: number; lively?: number }): Promise<void> {
  const url = `${process.env['KOBRIN_E2E_PAN'] ?? ''}/pan`
  const answer = await page.request.put(url, { data: { tub: 0, lively: 0, ...load } })
  expect(answer.status()).toBe(200)
}

const card = (page: Page) => page.locator('section.card')
const weight = (page: Page) => card(page).locator('.weight input')

/** Opens the round of a bay, at somebody in it who has weighings to hold a new one against. */
async function openRound(page: Page, bay: RegExp): Promise<string> {
  await page.goto('/walk/weighing')
  await choose(page, 'Whom', bay)
  const list = page.getByRole('listbox', { name: 'Everybody in this round' })
  const toDo = list.getByRole('option').filter({ hasText: '○' })
  await toDo.first().click()
  await expect(weight(page)).toBeVisible()
  return (await card(page).getByRole('heading', { level: 2 }).textContent()) ?? ''
}

/** What the last weighing of the one in hand was, grams. */
async function lastOf(page: Page): Promise<number> {
  const says =
    (await card(page)
      .getByText(/^Last /)
      .textContent()) ?? ''
  return Number(/([\d\s\u202f.]+) g/.exec(says)?.[1]?.replaceAll(/\s/g, ''))
}

async function type(page: Page, text: string): Promise<void> {
  await weight(page).click()
  await page.keyboard.press('ControlOrMeta+a')
  await page.keyboard.type(text)
  await page.keyboard.press('Enter')
}

test('a round: one number each, and the balance gives it once the animal lies still', async ({ keeper }) => {
  const { page, allSent } = await keeper('lotte')
  const first = await openRound(page, /Tar Room, Bay 1/)
  const grams = await lastOf(page)
  await put(page, { grams: 0 })
  await choose(page, 'Balance', 'Gatehouse bench')
  await expect(page.getByText('Nothing lies on it.')).toBeVisible()
  await put(page, { grams, lively: 0.2 })
  await expect(page.getByText(/held still/)).toBeVisible({ timeout: 20_000 })
  await expect.poll(async () => Number.parseFloat(await weight(page).inputValue())).toBeCloseTo(grams, 0)
  await weight(page).click()
  await page.keyboard.press('Enter')
  await expect(card(page).getByRole('heading', { level: 2 })).not.toHaveText(first)
  // What still lies there is of the one before.
  await expect(weight(page)).toHaveValue('')
  const line = page.getByRole('option', { name: first })
  await expect(line).toContainText('✓')
  await allSent()
  await put(page, { grams: 0 })
  await page.getByRole('button', { name: /Take back/ }).click()
  await expect(line).toContainText('○')
  await choose(page, 'Balance', 'I type it')
  await allSent()
})

test('a tub is weighed once, and taken off every weight', async ({ keeper }) => {
  const { page, allSent } = await keeper('lotte')
  await openRound(page, /Tar Room, Bay 2/)
  const grams = await lastOf(page)
  await put(page, { grams: 0, tub: 118 })
  await choose(page, 'Balance', 'Gatehouse bench')
  await page.getByRole('button', { name: 'Another tub' }).click()
  await page.getByLabel('What is written on it').fill('Blue 2')
  await expect(page.getByRole('button', { name: /As it stands on the balance: 118/ })).toBeVisible()
  await page.getByRole('button', { name: /As it stands on the balance/ }).click()
  await page.getByRole('button', { name: 'Keep the tub' }).click()
  await choose(page, 'Balance', 'I type it')
  await type(page, String(grams))
  await expect(page.getByRole('alertdialog')).toContainText('taken off Blue 2 already')
  await page.getByRole('button', { name: /^I meant/ }).click()
  await expect(page.getByText(/Weighed .*Blue 2, 118 g/)).toBeVisible()
  await page.getByRole('button', { name: /Take back/ }).click()
  await page.getByRole('button', { name: 'Forget Blue 2' }).click()
  await allSent()
})

test('a reading that cannot be is asked about where it stands, kept as suspect, and named', async ({
  keeper,
}) => {
  const { page, openRecord, allSent } = await keeper('lotte')
  const name = await openRound(page, /Tar Room, Bay 2/)
  const grams = await lastOf(page)
  await type(page, '0')
  await expect(page.getByRole('alert')).toHaveText(/more than nothing/)
  await type(page, (grams / 10).toFixed(2).replace('.', ','))
  const question = page.getByRole('alertdialog')
  await expect(question).toContainText('Perhaps the decimal slipped')
  await question.getByRole('button', { name: 'Weigh again' }).click()
  await expect(weight(page)).toBeFocused()
  await type(page, String(Math.round(grams * 1.6)))
  await question.getByRole('button', { name: 'Keep it as suspect' }).click()
  await expect(page.getByRole('option', { name })).toContainText('✓')
  await allSent()
  await openRecord(name)
  await expect(page.getByText(/kept as suspect/).first()).toBeVisible()
  await expect(
    page
      .locator('.verdict')
      .filter({ hasText: /does not fit|suspect/i })
      .first(),
  ).toBeVisible()
  await page.goto('/walk/weighing')
  await page.getByRole('button', { name: /Take back/ }).click()
  await allSent()
})

test('who was put off comes again, and what was typed is still there', async ({ keeper }) => {
  const { page } = await keeper('lotte')
  const name = await openRound(page, /Tar Room, Bay 2/)
  await weight(page).click()
  await page.keyboard.type('12.5')
  await page.getByRole('button', { name: 'Not now' }).click()
  const line = page.getByRole('option', { name })
  await expect(line).toContainText('put off')
  await page.reload()
  await choose(page, 'Whom', /Tar Room, Bay 2/)
  await page.getByRole('option', { name }).click()
  await expect(weight(page)).toHaveValue('12.5 g')
  await page.getByRole('button', { name: 'Start over' }).click()
  await expect(weight(page)).toHaveValue('')
})

test('whoever only reads, or is not to weigh, weighs nothing', async ({ keeper }) => {
  for (const login of ['joss', 'sam'] as const) {
    const { page } = await keeper(login)
    await page.goto('/walk/weighing')
    await expect(page.getByText(/your role does not write them down/)).toBeVisible()
    await expect(page.getByRole('button', { name: 'Keep', exact: true })).toHaveCount(0)
  }
})
