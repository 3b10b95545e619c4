import { fileURLToPath } from 'node:url'
import type { Page } from '@playwright/test'
import { choose, expect, test } from './keeper.ts'
import { emptyHouse } from './server.ts'

const FOLDER = fileURLToPath(new URL('../../docs/screenshots', import.meta.url))

async function picture(page: Page, name: string): Promise<void> {
  await page.waitForTimeout(400)
  await page.screenshot({ path: `${FOLDER}/${name}.png` })
}

async function dim(page: Page): Promise<void> {
  await page.getByRole('button', { name: /^Theme/ }).click()
}

test('the walk', async ({ keeper }) => {
  const { page, walkTo, cells, toDo, cell } = await keeper('lotte')
  await walkTo('Tar Room')
  const [name = ''] = await toDo()
  await cell(name).click()
  await picture(page, 'walk-day')
  await page.keyboard.press('w')
  await page.keyboard.type('16')
  await page.keyboard.press('Enter')
  await picture(page, 'walk-exception')
  await page.keyboard.press('Escape')
  await page.keyboard.press('Escape')
  await dim(page)
  await cells.nth(2).locator('.tape').click()
  await picture(page, 'walk-dim')
  await dim(page)
})

test('the walk on a phone', async ({ keeper }) => {
  const { page, walkTo } = await keeper('lotte', { viewport: { width: 360, height: 740 }, hasTouch: true })
  await walkTo('Spinning Hall')
  await picture(page, 'walk-phone')
})

test('residents and a record', async ({ keeper }) => {
  const { page } = await keeper('priya')
  await page.getByRole('link', { name: 'Residents' }).click()
  await expect(page.getByRole('row').nth(5)).toBeVisible()
  await choose(page, 'Which of them', 'Who is losing weight')
  await page.mouse.move(0, 0)
  await picture(page, 'residents')
  await page.getByRole('row').nth(1).getByRole('link').click()
  await expect(page.locator('.lifeline canvas').first()).toBeVisible()
  await page.mouse.move(0, 0)
  await picture(page, 'record-day')
})

/** An animal drawn on paper, since the invented have no camera: the older it is, the rounder. */
async function drawn(page: Page, girth: number): Promise<Buffer> {
  const data = await page.evaluate((round) => {
    const canvas = document.createElement('canvas')
    canvas.width = 900
    canvas.height = 640
    const pen = canvas.getContext('2d')
    if (!pen) return ''
    pen.fillStyle = '#8a7a58'
    pen.fillRect(0, 0, 900, 640)
    pen.fillStyle = '#3d4a2c'
    pen.beginPath()
    pen.ellipse(450, 330, 210, 60 + round, 0.1, 0, 2 * Math.PI)
    pen.ellipse(690, 330, 80, 52, 0.2, 0, 2 * Math.PI)
    pen.fill()
    pen.lineWidth = 34
    pen.strokeStyle = '#3d4a2c'
    pen.lineCap = 'round'
    pen.beginPath()
    pen.moveTo(260, 320)
    pen.quadraticCurveTo(120, 250, 90, 420)
    for (const [x, y] of [
      [360, 470],
      [560, 480],
      [360, 190],
      [570, 185],
    ] as const) {
      pen.moveTo(x, 330)
      pen.lineTo(x + 30, y)
    }
    pen.stroke()
    return canvas.toDataURL('image/png').split(',')[1] ?? ''
  }, girth)
  return Buffer.from(data, 'base64')
}

test('a weighing round', async ({ keeper }) => {
  const { page } = await keeper('lotte')
  const pan = `${process.env['KOBRIN_E2E_PAN'] ?? ''}/pan`
  await page.goto('/walk/weighing')
  await choose(page, 'Whom', /Tar Room, Bay 2/)
  await page.getByRole('option').filter({ hasText: '○' }).nth(1).click()
  const says =
    (await page
      .locator('section.card')
      .getByText(/^Last /)
      .textContent()) ?? ''
  const grams = Number(/([\d.]+) g/.exec(says)?.[1])
  await page.request.put(pan, { data: { grams: grams * 1.25, tub: 0, lively: 0.2 } })
  await choose(page, 'Balance', 'Gatehouse bench')
  await expect(page.getByText(/held still/)).toBeVisible({ timeout: 20_000 })
  await page.getByRole('button', { name: 'Keep', exact: true }).click()
  await expect(page.getByRole('alertdialog')).toBeVisible()
  await page.mouse.move(0, 0)
  await picture(page, 'weighing')
  await page.getByRole('button', { name: 'Weigh again' }).click()
  await page.request.put(pan, { data: { grams: 0, tub: 0, lively: 0 } })
})

test('photos', async ({ keeper }) => {
  const { page, openRecord } = await keeper('priya')
  await openRecord('Painter')
  const photos = page.getByRole('region', { name: 'Photos' })
  for (const girth of [10, 55]) {
    const buffer = await drawn(page, girth)
    const file = { name: 'it.png', mimeType: 'image/png', buffer }
    await photos.locator('input[type=file]').last().setInputFiles(file)
    await page.waitForTimeout(1500)
  }
  await photos
    .getByRole('button', { name: /^Photo of/ })
    .first()
    .click()
  await choose(page, 'Beside it', /today|Jun/)
  await expect(page.getByRole('dialog').getByRole('figure')).toHaveCount(2)
  await picture(page, 'photos')
})

test('the library', async ({ keeper }) => {
  const { page } = await keeper('kelechi')
  await page.goto('/library/bearded-dragon')
  await expect(page.getByRole('heading', { name: 'Can we keep this?' })).toBeVisible()
  await picture(page, 'sheet')
  await page.getByRole('link', { name: 'Handover' }).click()
  await expect(page.getByRole('heading', { name: 'Plans changed' })).toBeVisible()
  await picture(page, 'handover')
})

test('a plan, a fit and a move', async ({ keeper }) => {
  const { page, openRecord } = await keeper('kelechi')
  await openRecord('Caulk')
  await page.getByRole('link', { name: 'Plan', exact: true }).click()
  await choose(page, 'What to change', 'Feed')
  await page.getByLabel('Every', { exact: true }).fill('18')
  await page.keyboard.press('Tab')
  await page.getByRole('button', { name: 'Before and after', exact: true }).click()
  await expect(page.locator('.only').first()).toBeVisible()
  await picture(page, 'plan')
  await openRecord('Zebra B')
  await page.getByRole('link', { name: 'Move …' }).click()
  await choose(page, 'Where to')
  await page.getByLabel('Why').fill('Floor worn out')
  await picture(page, 'move')
  await openRecord('Dunlin')
  await page.getByRole('link', { name: /^Enclosure/ }).click()
  await expect(page.locator('.findings')).toBeVisible()
  await picture(page, 'fit')
  await openRecord('Forest A')
  await page.getByRole('link', { name: /^Enclosure/ }).click()
  await page.getByRole('link', { name: 'Door card' }).click()
  await expect(page.getByRole('article')).toBeVisible()
  await picture(page, 'door')
})

test('the office', async ({ keeper, browser }) => {
  const { page } = await keeper('maren')
  await page.getByRole('link', { name: 'Office' }).click()
  await page.getByRole('link', { name: 'North wall' }).first().click()
  await page.getByRole('list', { name: 'Shelf 2 from the top' }).getByRole('button').nth(1).click()
  await picture(page, 'places')
  await page.getByRole('tab', { name: 'People' }).click()
  await expect(page.getByRole('heading', { name: 'Tablets and browsers' })).toBeVisible()
  await picture(page, 'people')

  const house = await emptyHouse()
  const first = await browser.newPage({ baseURL: house.url, timezoneId: 'Europe/London' })
  await first.goto('/set-up#ABCDE-23456')
  await first.getByLabel('Name of the house').fill('Long Lane Rescue')
  await picture(first, 'set-up')
  await first.close()
  await house.close()
})

test('somebody goes, and a list comes in', async ({ keeper }) => {
  const { page, openRecord } = await keeper('maren')
  await openRecord('Fid')
  await page.getByRole('link', { name: 'Leaves or died' }).click()
  await page.getByLabel('What is known of why').fill('Found stretched out in the morning')
  await picture(page, 'out')
  await page.goto('/office/bring-in')
  const list = [
    'Our animals, spring',
    '',
    'Name;What;M/F;Where;Here since;Weight;Fed',
    'Pepper;Leo;1.0;Knot Room;spring 2020;62g 12/5;✓ 13/6',
    'Ginger;leopard geko;f?;";2021;~60;refused Sat',
    'Nutmeg;ball python;♀;";03/2019;3 lb 4 oz;rat weaner 9/6',
    'SNAKES OF THE BACK ROOM;;;;;;',
    'Sorrel;P. regius;m;Attic;2024;1,5 kg;',
  ].join('\n')
  const buffer = Buffer.from(list)
  await page
    .locator('input[type=file]')
    .setInputFiles({ name: 'our animals.csv', mimeType: 'text/csv', buffer })
  await page.getByRole('heading', { name: 'What it leaves open' }).waitFor()
  await page
    .getByText('Your list, and what each column becomes')
    .evaluate((heading) => heading.scrollIntoView())
  await picture(page, 'bring-in')
})
