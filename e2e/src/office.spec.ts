import { stat } from 'node:fs/promises'
import type { Page } from '@playwright/test'
import { standWith } from './browser.ts'
import { choose, expect, test } from './keeper.ts'
import { emptyHouse } from './server.ts'

const ZONE = 'Europe/Berlin'
const PHRASE = 'many words in a row'

/** Sets the house up, as anyone who reads the code where it was started. */
async function setUp(page: Page): Promise<void> {
  await page.goto('/set-up#ABCDE-23456')
  await page.getByLabel('Name of the house').fill('Long Lane Rescue')
  await expect(page.getByRole('combobox', { name: 'Units' })).toHaveText('g and kg, mm, °C, l')
  await page.getByLabel('Your name').fill('Ada Brook')
  await page.getByLabel('Passphrase: a few words').fill(PHRASE)
  await page.getByLabel('The same again').fill('another')
  await page.getByRole('button', { name: 'Begin' }).click()
  await expect(page.getByRole('alert')).toHaveText('These two are not the same.')
  await page.getByLabel('The same again').fill(PHRASE)
  await page.getByRole('button', { name: 'Begin' }).click()
  await expect(page.getByText('Nobody lives here yet.')).toBeVisible()
}

async function newRoom(page: Page, name: string, level: string): Promise<void> {
  await page.getByRole('button', { name: 'New room …' }).click()
  const dialog = page.getByRole('dialog')
  await dialog.getByLabel('Name').fill(name)
  await choose(page, 'Barrier level', level)
  await dialog.getByRole('button', { name: 'Keep' }).click()
  await expect(page.getByRole('heading', { name })).toBeVisible()
}

async function newBay(page: Page, room: string, name: string): Promise<void> {
  const block = page.locator('section').filter({ has: page.getByRole('heading', { name: room }) })
  await block.getByLabel(`New bay in ${room}`).fill(name)
  await block.getByRole('button', { name: 'Add' }).click()
  await expect(page.getByRole('heading', { name })).toBeVisible()
}

test('from an empty record to a first meal on record', async ({ browser }) => {
  const house = await emptyHouse()
  const context = await browser.newContext({ baseURL: house.url, timezoneId: ZONE })
  try {
    await standWith(context, house.aheadMs)
    const page = await context.newPage()
    await setUp(page)
    expect(page.url()).not.toContain('ABCDE')

    await page.getByRole('link', { name: 'Office' }).click()
    await newRoom(page, 'Gate room', 'Quarantine')
    await newBay(page, 'Gate room', 'Rack A')
    await page.getByRole('button', { name: 'Add a shelf' }).click()
    await page.getByLabel('Boxes for shelf 1').fill('a few')
    await page.getByRole('button', { name: 'Add them' }).click()
    await expect(page.getByRole('alert')).toContainText('12 of 300 × 200 × 200')
    await page.getByLabel('Boxes for shelf 1').fill('3 of 900 x 500 x 500')
    await page.getByRole('button', { name: 'Add them' }).click()
    await page.getByRole('button', { name: 'Keep as drawn' }).click()
    await expect(page.getByRole('status').filter({ hasText: 'Kept.' })).toBeVisible()

    await page.getByRole('link', { name: 'Residents' }).click()
    await page.getByRole('link', { name: 'Somebody new …' }).click()
    await choose(page, 'Species', 'Leopard gecko')
    await choose(page, 'Stage', 'Adult')
    await page.getByLabel('Name or label').fill('Marlin')
    await choose(page, 'Place', 'Rack A')
    await choose(page, 'How it comes', 'was brought and is here')
    await page.getByRole('button', { name: 'Put on record' }).click()
    await expect(page.getByRole('heading', { name: 'Marlin' })).toBeVisible()
    await page.getByRole('button', { name: 'Show on the walk' }).click()
    await page.locator('.gate button').click()
    const cell = page.locator('[data-resident]')
    await expect(cell).toHaveCount(1)
    await cell.click()
    await expect(page.locator('.undo')).toContainText('Marlin:')
    await expect(page.locator('header.top button.state')).toHaveText('All sent')
  } finally {
    await context.close()
    await house.close()
  }
})

test('boxes are dragged to another shelf, and two who furnish a bay lose nothing of either', async ({
  keeper,
}) => {
  const open = async (login: 'maren' | 'tomas') => {
    const { page } = await keeper(login)
    await page.getByRole('link', { name: 'Office' }).click()
    await page.getByRole('link', { name: 'Caterpillar bench' }).click()
    await expect(page.getByRole('heading', { name: 'Caterpillar bench' })).toBeVisible()
    return page
  }
  const [one, other] = [await open('maren'), await open('tomas')]
  const shelf = (page: Page, number: number) =>
    page.getByRole('list', { name: `Shelf ${number} from the top` })
  const before = await shelf(one, 1).getByRole('listitem').count()
  const there = await shelf(one, 2).getByRole('listitem').count()
  await shelf(one, 1).getByRole('button').first().dragTo(shelf(one, 2).getByRole('button').first())
  await expect(shelf(one, 1).getByRole('listitem')).toHaveCount(before - 1)
  await expect(shelf(one, 2).getByRole('listitem')).toHaveCount(there + 1)

  // By keys, on the other tablet.
  await shelf(other, 1).getByRole('button').first().focus()
  await other.keyboard.press('Alt+ArrowDown')
  await expect(shelf(other, 2).getByRole('listitem')).toHaveCount(there + 1)
  await other.getByRole('button', { name: 'Take the last step back' }).click()
  await shelf(other, 1).getByRole('button').first().click()
  await other.getByRole('button', { name: 'One more like it' }).click()

  await one.getByRole('button', { name: 'Keep as drawn' }).click()
  await expect(one.getByText('Kept. The walk draws it so')).toBeVisible()
  await expect(other.getByText('Somebody else kept this bay')).toBeVisible()
  await other.getByRole('button', { name: 'Keep as drawn' }).click()
  await expect(other.getByRole('alert')).toContainText('Somebody else changed this')
  await other.getByRole('button', { name: 'Keep mine in place of theirs' }).click()
  await expect(other.getByText('Kept. The walk draws it so')).toBeVisible()
  await expect(shelf(one, 1).getByRole('listitem')).toHaveCount(before + 1)

  // As it stood before either of them, and so again.
  await other.getByRole('button', { name: 'Draw it so again' }).last().click()
  await expect(shelf(other, 1).getByRole('listitem')).toHaveCount(before)
  await other.getByRole('button', { name: 'Keep as drawn' }).click()
  await expect(shelf(one, 1).getByRole('listitem')).toHaveCount(before)
  await expect(shelf(one, 2).getByRole('listitem')).toHaveCount(there)
})

test('somebody new comes in with a code; whoever leaves is out at once, also on another tablet', async ({
  keeper,
  browser,
}) => {
  const { page } = await keeper('maren')
  await page.getByRole('link', { name: 'Office' }).click()
  await page.getByRole('tab', { name: 'People' }).click()
  await page.getByRole('button', { name: 'Somebody new …' }).click()
  const dialog = page.getByRole('dialog')
  await dialog.getByLabel('Name', { exact: true }).fill('Nia Newcomer')
  await dialog.getByLabel('Initials').fill('nn')
  await dialog.getByLabel('Sign-in name').fill('lotte')
  await dialog.getByRole('button', { name: 'Add, and give a code' }).click()
  await expect(dialog.getByText('Somebody here signs in with that name already.')).toBeVisible()
  await dialog.getByLabel('Sign-in name').fill('nia')
  await dialog.getByRole('button', { name: 'Add, and give a code' }).click()
  const code = (await dialog.locator('.code').textContent()) ?? ''
  await page.keyboard.press('Escape')

  const context = await browser.newContext({ baseURL: process.env['KOBRIN_E2E_URL'] ?? '' })
  await standWith(context, Number(process.env['KOBRIN_E2E_AHEAD_MS']))
  const tablet = await context.newPage()
  await tablet.goto('/')
  await tablet.getByRole('button', { name: 'I was given a code' }).click()
  await tablet.getByLabel('Name').fill('nia')
  await tablet.getByLabel('Code').fill(code.toLowerCase())
  await tablet.getByLabel('A passphrase of your own').fill(PHRASE)
  await tablet.getByLabel('The same again').fill(PHRASE)
  await tablet.getByRole('button', { name: 'Come in' }).click()
  await expect(tablet.getByRole('link', { name: 'Walk' })).toBeVisible()
  await expect(tablet.getByRole('link', { name: 'Office' })).toHaveCount(0)

  await page.getByRole('button', { name: 'Nia Newcomer' }).click()
  await dialog.getByRole('button', { name: 'Comes in no more' }).click()
  await expect(page.getByRole('row', { name: /Nia Newcomer/ })).toContainText('no longer')
  await expect(tablet.getByText('The session of Nia Newcomer has ended.')).toBeVisible({ timeout: 20_000 })
  await context.close()

  // Nobody else answers for the house.
  await page.getByRole('button', { name: 'Maren Oyelaran' }).click()
  await dialog.getByRole('button', { name: 'Comes in no more' }).click()
  await expect(dialog.getByText('this is its last curator')).toBeVisible()
})

test('a list with something wrong is mended and brought in, and again changes nothing', async ({
  keeper,
}) => {
  const { page } = await keeper('maren')
  const list = [
    'Animal;Datum/Date;Weight (kg);Food;Result',
    'Bollard;17/04/2026;0,41;;',
    'Bollard;18/04/2026;410;;',
    'Nobody Here;18/04/2026;0,2;;',
    'Fid;18/04/2026;;mouse;refused',
  ].join('\n')
  const bring = async () => {
    await page.goto('/office/bring-in')
    await page
      .locator('input[type=file]')
      .setInputFiles({ name: 'old list.csv', mimeType: 'text/csv', buffer: Buffer.from(list) })
    await expect(page.getByText('2 rows have something wrong')).toBeVisible()
    const rows = page.getByRole('table').last().getByRole('row')
    await rows.filter({ hasText: '410' }).getByRole('textbox').fill('0,41')
    await page.keyboard.press('Tab')
    await expect(page.getByText('1 row has something wrong')).toBeVisible()
    await rows.filter({ hasText: 'Nobody Here' }).getByRole('button', { name: 'Leave out' }).click()
    await expect(page.getByText('Nothing is wrong with it.')).toBeVisible()
    await page.getByRole('button', { name: 'Bring all of it in' }).click()
  }
  await bring()
  await expect(page.getByText('3 facts are on record now. 0 were on record already.')).toBeVisible()
  await bring()
  await expect(page.getByText('0 facts are on record now. 3 were on record already.')).toBeVisible()
  await page.goto('/office/audit')
  await expect(page.getByText('brought in, 3 facts')).toHaveCount(1)
})

test('a list as people write it comes in by a few answers, and is taken back as a whole', async ({
  keeper,
}) => {
  const { page } = await keeper('maren')
  const list = [
    'Our animals, spring;;;;;;',
    ';;;;;;',
    'Name;What;M/F;Where;Here since;Weight;Notes',
    'Quillfire;leopard geko;1.0;Knot Room;spring 2020;62g 12/5;shy',
    'Emberly;leopard geko;f?;";2021;~60;',
    'EVERYBODY ELSE;;;;;;',
  ].join('\n')
  await page.goto('/office/bring-in')
  await page
    .locator('input[type=file]')
    .setInputFiles({ name: 'ours.csv', mimeType: 'text/csv', buffer: Buffer.from(list) })
  const ask = page.getByRole('listitem').filter({ hasText: 'leopard geko' })
  await expect(ask).toContainText('in 2 rows')
  await ask.getByRole('button', { name: 'Leopard gecko' }).click()
  await page
    .getByRole('listitem')
    .filter({ hasText: 'EVERYBODY ELSE' })
    .getByRole('button', { name: 'Leave this row out' })
    .click()
  await page.getByRole('button', { name: 'By weight, size and age, where the sheet can tell' }).click()
  await page
    .getByRole('listitem')
    .filter({ hasText: '62g 12/5' })
    .getByRole('button', { name: 'day, month, year' })
    .click()
  await expect(page.getByText('Nothing is wrong with it.')).toBeVisible()
  await expect(page.getByText('3 rows · 2 newcomers')).toBeVisible()
  await page.getByRole('button', { name: 'Bring all of it in' }).click()
  await expect(page.getByText('facts are on record now')).toBeVisible()
  const mine = page.getByRole('listitem').filter({ hasText: 'ours.csv' })
  await mine.getByRole('link', { name: 'Emberly' }).click()
  await expect(page.getByRole('main')).toContainText('probably female')
  await page.goto('/office/bring-in')
  await mine.getByRole('button', { name: 'Take it back' }).click()
  await mine.getByRole('textbox', { name: 'Why it is taken back' }).fill('The wrong file')
  await mine.getByRole('button', { name: /^Take all/ }).click()
  await expect(page.getByText('count no more')).toBeVisible()
  await expect(mine).toContainText('taken back')
  await expect(mine.getByRole('link')).toHaveCount(0)
})

test('a species without a sheet comes in with one of a few words, which says that nobody has read it', async ({
  keeper,
}) => {
  const { page } = await keeper('maren')
  const list = ['Name;Species;Place', 'Sootwing;Gargoyle newt;Knot Room'].join('\n')
  await page.goto('/office/bring-in')
  await page
    .locator('input[type=file]')
    .setInputFiles({ name: 'newts.csv', mimeType: 'text/csv', buffer: Buffer.from(list) })
  await page.getByRole('button', { name: 'It has no sheet yet' }).click()
  const dialog = page.getByRole('dialog')
  await expect(dialog.getByLabel('Name', { exact: true })).toHaveValue('Gargoyle newt')
  await choose(page, 'What it is', 'Salamander')
  await dialog.getByLabel('Fed every').fill('3')
  await dialog.getByLabel('Fresh water every').fill('2')
  await dialog.getByRole('button', { name: 'Make the sheet' }).click()
  // What was not said is asked for, and nothing typed is lost.
  await expect(dialog.getByLabel('Fed every')).toHaveValue('3')
  await dialog.getByLabel('What it is fed').fill('earthworms')
  await dialog.getByRole('button', { name: 'Make the sheet' }).click()
  await expect(dialog).toHaveCount(0)
  await expect(page.getByText('Nothing is wrong with it.')).toBeVisible()
  await page.getByRole('button', { name: 'Leave all of them out' }).waitFor({ state: 'detached' })
  await page.goto('/library/gargoyle-newt')
  await expect(page.getByText('Nobody has read this sheet against a source')).toBeVisible()
})

test('a list that was stopped on its way is gone on with as it was left', async ({ keeper }) => {
  const { page } = await keeper('maren')
  const list = ['Animal;Date;Weight (kg)', 'Fid;19/04/2026;0,4', 'Bollard;19/04/2026;410'].join('\n')
  await page.goto('/office/bring-in')
  await page
    .locator('input[type=file]')
    .setInputFiles({ name: 'stopped.csv', mimeType: 'text/csv', buffer: Buffer.from(list) })
  await expect(page.getByText('1 row has something wrong')).toBeVisible()
  const rows = page.getByRole('table').last().getByRole('row')
  await rows.filter({ hasText: '410' }).getByRole('textbox').fill('0,41')
  await page.keyboard.press('Tab')
  await expect(page.getByText('Nothing is wrong with it.')).toBeVisible()
  const bring = page.getByRole('button', { name: 'Bring all of it in' })
  // The server takes its time.
  await page.route('**/api/bring-in', () => new Promise(() => undefined))
  await bring.click()
  await page.getByRole('button', { name: 'Stop', exact: true }).click()
  await expect(page.getByText('Stopped. What had arrived')).toBeVisible()
  await expect(bring).toHaveCount(0)
  await page.unroute('**/api/bring-in')
  await page.getByRole('button', { name: 'Go on with it' }).click()
  await expect(page.getByText('Nothing is wrong with it.')).toBeVisible()
  await bring.click()
  await expect(page.getByText('2 facts are on record now.')).toBeVisible()
})

test('everything is taken out in one file', async ({ keeper }) => {
  const { page } = await keeper('maren')
  await page.goto('/office/backup')
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('link', { name: 'Take everything out' }).click(),
  ])
  expect(download.suggestedFilename()).toBe('kobrin.zip')
  const { size } = await stat(await download.path())
  expect(size).toBeGreaterThan(100_000)
})
