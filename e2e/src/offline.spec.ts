import { allHere } from './allHere.ts'
import { expect, test } from './keeper.ts'

const ABLE = { serviceWorkers: 'allow' } as const

test('without a link the walk opens after a reload, is written in, and is sent once the link is back', async ({
  keeper,
}) => {
  const { page, walkTo, cell, toDo, allSent } = await keeper('lotte', ABLE)
  const state = page.locator('header.top button.state')
  await allHere(page)
  await page.context().setOffline(true)
  await expect(state).toHaveText(/^No link since \d\d:\d\d$/)
  await page.reload()
  await walkTo('Yarn Loft')
  await expect(state).toHaveText(/^No link since \d\d:\d\d$/)
  const [first = ''] = await toDo()
  await cell(first).locator('.tape').click()
  await page.keyboard.press('t')
  await page.getByLabel('Note').fill('Said in the cellar')
  await page.getByRole('button', { name: 'Keep' }).click()
  await expect(cell(first)).toContainText('Said in the cellar')
  await expect(state).toHaveText(/ · 1 waiting$/)
  await page.reload()
  await walkTo('Yarn Loft')
  await expect(cell(first)).toContainText('Said in the cellar')
  await page.context().setOffline(false)
  await allSent()
  await page.context().setOffline(true)
  await page.reload()
  await walkTo('Yarn Loft')
  await expect(cell(first)).toContainText('Said in the cellar')
  const colleague = await keeper('priya')
  await colleague.walkTo('Yarn Loft')
  await expect(colleague.cell(first)).toContainText('Said in the cellar')
})

test('pages that were looked at before open without a link; of others it is said that they are not here', async ({
  keeper,
}) => {
  const { page, openRecord } = await keeper('priya', ABLE)
  await openRecord('Tamsin')
  await expect(page.locator('ol > li').first()).toBeVisible()
  await page.goto('/library/kingsnake')
  await expect(page.getByRole('heading', { name: 'Climate' })).toBeVisible()
  await allHere(page)
  await page.context().setOffline(true)
  await page.reload()
  await expect(page.getByRole('heading', { name: 'Climate' })).toBeVisible()
  await page.goto('/library/calculators')
  await expect(page.getByRole('heading', { name: 'Units' })).toBeVisible()
  await openRecord('Tamsin')
  await expect(page.locator('ol > li').first()).toBeVisible()
  await openRecord('Jib')
  await expect(page.getByRole('alert')).toContainText('cannot be reached')
  await expect(page.getByRole('complementary', { name: 'Plan in force' })).toBeVisible()
})

test('two who fed the same animals without a link are both on record, each once', async ({ keeper }) => {
  const one = await keeper('lotte', ABLE)
  const other = await keeper('priya', ABLE)
  for (const { page } of [one, other]) await allHere(page)
  for (const { page } of [one, other]) await page.context().setOffline(true)
  const names: string[] = []
  for (const { walkTo, page, cells } of [one, other]) {
    await walkTo('Hemp Cellar')
    const name = (await cells.nth(1).locator('.tape').textContent()) ?? ''
    names.push(name)
    await cells.nth(1).locator('.tape').click()
    await page.keyboard.press('z')
    await expect(page.locator('.undo')).toContainText(`${name}: Looked, not seen`)
  }
  expect(names[0]).toBe(names[1])
  for (const { page } of [one, other]) await page.context().setOffline(false)
  for (const { allSent } of [one, other]) await allSent()
  for (const { openRecord, page } of [one, other]) {
    await openRecord(names[0] ?? '')
    const today = page
      .locator('ol > li')
      .filter({ hasText: 'Looked, not seen' })
      .filter({ hasText: '16 Jun' })
    await expect(today).toHaveCount(2)
    await expect(today.filter({ hasText: 'LV' })).toHaveCount(1)
    await expect(today.filter({ hasText: 'PR' })).toHaveCount(1)
  }
})

test('a tablet changes hands without a link, among those who gave their PIN on it', async ({ keeper }) => {
  const { page, walkTo, cells, allSent } = await keeper('tomas', ABLE)
  await page.getByRole('button', { name: 'Tomas B.' }).click()
  await page.getByLabel('Name of this tablet').fill('Loft tablet')
  await page.getByRole('button', { name: 'Set up this tablet' }).click()
  const handOver = async (to: RegExp, pin: string) => {
    await page.getByRole('button', { name: to }).click()
    await page.getByLabel(/^PIN of/).fill(pin)
    await page.getByRole('button', { name: 'Take over this tablet' }).click()
  }
  const leave = async () => page.getByRole('button', { name: 'Hand over to somebody else' }).click()
  await leave()
  await handOver(/Sam Penhallow/, '1806')
  await expect(page.getByRole('button', { name: 'Sam P.' })).toBeVisible()
  await allHere(page)
  await page.context().setOffline(true)
  await page.getByRole('button', { name: 'Sam P.' }).click()
  await leave()
  await handOver(/Ines Caldeira/, '1807')
  await expect(page.getByRole('alert')).toContainText('only those can take over who have given their PIN')
  await handOver(/Sam Penhallow/, '0000')
  await expect(page.getByRole('alert')).toHaveText('That PIN is not right.')
  await handOver(/Sam Penhallow/, '1806')
  await walkTo('Yarn Loft')
  await cells.first().locator('.tape').click()
  await page.keyboard.press('z')
  await expect(page.locator('.undo')).toContainText('Looked, not seen')
  await page.context().setOffline(false)
  await allSent()
  await expect(page.getByRole('button', { name: 'Sam P.' })).toBeVisible()
})
