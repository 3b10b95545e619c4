import { choose, expect, test } from './keeper.ts'

test('a wrong passphrase is said plainly, and the name stays', async ({ browser }) => {
  const page = await browser.newPage({ baseURL: process.env['KOBRIN_E2E_URL'] ?? '' })
  await page.goto('/')
  await page.getByLabel('Name').fill('lotte')
  await page.getByLabel('Passphrase').fill('not it')
  await page.getByRole('button', { name: 'Sign in' }).click()
  await expect(page.getByRole('alert')).toHaveText('That name and passphrase do not belong together.')
  await expect(page.getByLabel('Name')).toHaveValue('lotte')
  await page.close()
})

test('a shared tablet changes hands by PIN', async ({ keeper }) => {
  const { page } = await keeper('kelechi')
  await page.getByRole('button', { name: 'Kelechi I.' }).click()
  await page.getByLabel('Name of this tablet').fill('Cellar tablet')
  await page.getByRole('button', { name: 'Set up this tablet' }).click()
  await page.getByRole('button', { name: 'Hand over to somebody else' }).click()
  await page.getByRole('button', { name: /Sam Penhallow/ }).click()
  await page.getByLabel('PIN of Sam Penhallow').fill('0000')
  await page.getByRole('button', { name: 'Take over this tablet' }).click()
  await expect(page.getByRole('alert')).toHaveText('That PIN is not right.')
  await page.getByLabel('PIN of Sam Penhallow').fill('1806')
  await page.getByRole('button', { name: 'Take over this tablet' }).click()
  await expect(page.getByRole('button', { name: 'Sam P.' })).toBeVisible()
})

test('a volunteer is offered what a volunteer may record', async ({ keeper }) => {
  const { page, walkTo, cells } = await keeper('sam')
  await walkTo('Spinning Hall')
  await cells.first().locator('.tape').click()
  await expect(page.locator('.side').getByRole('button', { name: /^Refused(?!,)/ })).toBeVisible()
  await expect(page.locator('.side').getByRole('button', { name: /^Weigh/ })).toHaveCount(0)
})

test('whoever likes ounces reads and types them; the record keeps grams', async ({ keeper }) => {
  const { page, walkTo, cells, cell, allSent } = await keeper('tomas')
  const measure = async (units: string) => {
    await page.getByRole('button', { name: 'Tomas B.' }).click()
    await choose(page, 'Read and type in', units)
    await expect(page.getByRole('combobox', { name: 'Read and type in' })).toHaveText(units)
    await page.getByRole('dialog').getByRole('button', { name: 'Close' }).click()
    await expect(page.getByRole('dialog')).toHaveCount(0)
  }
  await measure('oz and lb, inches, °F, gallons')
  await walkTo('Tar Room')
  const name = (await cells.first().locator('.tape').textContent()) ?? ''
  await cell(name).locator('.tape').click()
  await page.keyboard.press('w')
  await page.keyboard.type('32')
  await expect(page.getByRole('spinbutton', { name: 'Weight' })).toHaveValue(/^32 oz$/)
  await page.keyboard.press('Enter')
  const asked = page.getByRole('alertdialog', { name: 'Is this right?' })
  await expect(asked).toContainText('2 lb')
  const posted = page.waitForRequest((one) => one.method() === 'POST' && one.url().endsWith('/api/entries'))
  await asked.getByRole('button', { name: /2 lb/ }).click()
  expect((await posted).postData()).toContain('"grams":907.185')
  await allSent()
  // On another browser they are measured so too.
  const again = await keeper('tomas')
  await again.openRecord(name)
  await expect(again.page.locator('ol > li').filter({ hasText: 'Weighed 2 lb' })).toBeVisible()
  await measure('g and kg, mm, °C, l')
  await again.page.reload()
  await expect(again.page.locator('ol > li').filter({ hasText: 'Weighed 907 g' })).toBeVisible()
  // It was no weighing: nobody is to find it.
  await page.getByRole('button', { name: 'Take back' }).click()
  await allSent()
})
