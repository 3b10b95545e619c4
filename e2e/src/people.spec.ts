import { expect, test } from './keeper.ts'

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
  await expect(page.locator('.side').getByRole('button', { name: /^Refused/ })).toBeVisible()
  await expect(page.locator('.side').getByRole('button', { name: /^Weigh/ })).toHaveCount(0)
})
