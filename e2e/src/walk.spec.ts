import { choose, expect, test } from './keeper.ts'

const TABLET = { viewport: { width: 820, height: 1180 }, hasTouch: true }

test('a whole shelf by touch, and taken back', async ({ keeper }) => {
  const { page, walkTo, allSent } = await keeper('lotte', TABLET)
  await walkTo('Knot Room')
  const whole = page.getByRole('button', { name: /^Whole shelf \d+ of Rack A as planned/ }).first()
  const shelf = page.locator('.shelf').filter({ has: page.locator('.cell') })
  const done = shelf.locator('.mark.done')
  const before = await done.count()
  const says = (await whole.textContent()) ?? ''
  const residents = Number(/(\d+)\s*$/.exec(says)?.[1])
  expect(residents).toBeGreaterThan(1)
  await whole.tap()
  await expect.poll(() => done.count()).toBeGreaterThanOrEqual(before + residents)
  await expect(page.locator('.undo')).toContainText(`Shelf: ${residents} as planned`)
  await allSent()
  await page.getByRole('button', { name: 'Take back' }).tap()
  await expect.poll(() => done.count()).toBe(before)
  await allSent()
})

test('one touch is as planned; press and hold is an exception, then one choice', async ({ keeper }) => {
  const { page, walkTo, toDo, cell, allSent } = await keeper('lotte', TABLET)
  await walkTo('Knot Room')
  const [first = '', second = ''] = await toDo()
  const shelf = page.locator('.shelf').filter({ has: cell(first) })
  const height = async () => (await shelf.boundingBox())?.height ?? 0
  const before = await height()
  await cell(first).tap()
  await expect(page.locator('.undo')).toContainText(`${first}:`)
  await expect(cell(first).locator('.mark.due, .mark.late')).toHaveCount(0)
  // What is done says less, and nothing slips away from under the finger.
  expect(before).toBeGreaterThan(0)
  expect(await height()).toBeGreaterThanOrEqual(before)
  await expect(cell(first).locator('.who')).toContainText('LV')

  const box = await cell(second).boundingBox()
  if (!box) throw new Error('No cell.')
  const touch = await page.context().newCDPSession(page)
  const point = { x: box.x + box.width / 2, y: box.y + box.height / 2 }
  await touch.send('Input.dispatchTouchEvent', { type: 'touchStart', touchPoints: [point] })
  await page.waitForTimeout(650)
  await touch.send('Input.dispatchTouchEvent', { type: 'touchEnd', touchPoints: [] })
  // Lifting the finger chose nothing of what opened under it.
  await page.waitForTimeout(400)
  await expect(page.locator('.say .head')).toHaveCount(0)
  await page.getByRole('button', { name: 'Looked, not seen' }).tap()
  await expect(page.locator('.undo')).toContainText(`${second}: Looked, not seen`)
  await allSent()
})

test('the walk by keys alone', async ({ keeper }) => {
  const { page, walkTo, cells, allSent } = await keeper('priya')
  await walkTo('Tar Room')
  const focused = page.locator('[data-resident][aria-selected="true"]')
  const name = () => focused.locator('.tape').textContent()
  await cells.first().focus()
  const first = await name()
  await page.keyboard.press('ArrowRight')
  const second = await name()
  expect(second).not.toBe(first)
  await page.keyboard.press('ArrowDown')
  expect(await name()).not.toBe(second)

  // Of some only a reading is left, which no touch can say.
  const touchable = focused.locator('.mark.due, .mark.late').filter({ hasNotText: /^R/ })
  await expect(async () => {
    await page.keyboard.press('j')
    await expect(touchable.first()).toBeVisible({ timeout: 1000 })
  }).toPass()
  const due = await name()
  await page.keyboard.press('Enter')
  await expect(page.locator('.undo')).toContainText(`${due ?? ''}:`)
  await page.keyboard.press('u')
  await expect(page.locator('.undo')).toHaveCount(0)

  // A weight: w, digits, Enter. The panel follows once the eye rests.
  await expect(page.locator('.side header')).toContainText((await name()) ?? '')
  const grams = /([\d\u202f]+(\.\d)?) g/.exec((await page.locator('.side header').textContent()) ?? '')?.[1]
  if (grams) {
    const typed = grams.replace('\u202f', '')
    await page.keyboard.press('w')
    await page.keyboard.type(typed)
    await page.keyboard.press('Enter')
    await expect(page.locator('.undo')).toContainText(`Weighed ${grams} g`)
    // Where others are due to be weighed the next one is in hand.
    await page.keyboard.press('Escape')
    await page.keyboard.press('u')
  }

  await page.keyboard.press('?')
  await expect(page.getByRole('dialog', { name: /Keys/i })).toBeVisible()
  await page.keyboard.press('Escape')
  await expect(page.getByRole('dialog')).toHaveCount(0)

  await page.keyboard.press('/')
  await page.keyboard.type('tamsin')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('heading', { name: 'Tamsin' })).toBeVisible()
  await allSent()
})

test('keys mean the box that has the focus, whatever brought it there', async ({ keeper }) => {
  const { page, walkTo, cells, cell } = await keeper('priya')
  await walkTo('Tar Room')
  await cells.nth(4).focus()
  await expect(cells.nth(4)).toHaveAttribute('aria-selected', 'true')
  const name = (await cells.nth(4).locator('.tape').textContent()) ?? ''
  await page.keyboard.press('z')
  await expect(page.locator('.undo')).toContainText(`${name}: Looked, not seen`)
  await page.keyboard.press('u')
  await expect(cell(name)).toHaveAttribute('aria-selected', 'true')
})

test('letters can be put to rest, and a touch can be told to open first', async ({ keeper }) => {
  const { page, walkTo, cells, cell, toDo } = await keeper('priya')
  await walkTo('Tar Room')
  await page.keyboard.press('?')
  const dialog = page.getByRole('dialog', { name: /Keys/ })
  await dialog.getByLabel('Single letters act').uncheck()
  await dialog.getByLabel('A touch opens the box first').check()
  await page.keyboard.press('Escape')
  await cells.nth(1).focus()
  for (const letter of ['z', 'f', '/', '?']) await page.keyboard.press(letter)
  await expect(page.getByRole('dialog')).toHaveCount(0)
  await expect(page.locator('.undo')).toHaveCount(0)

  const [name = ''] = await toDo()
  await cell(name).click()
  await expect(page.locator('.side').getByRole('heading', { name })).toBeVisible()
  await expect(page.locator('.undo')).toHaveCount(0)
  await cell(name).click()
  await expect(page.locator('.undo')).toContainText(`${name}:`)

  // Both stay with the device; under one's name they are given back.
  await page.reload()
  await walkTo('Tar Room')
  await page.locator('.me').click()
  await expect(page.getByLabel('Single letters act')).not.toBeChecked()
  await page.getByLabel('Single letters act').check()
  await page.getByLabel('A touch opens the box first').uncheck()
  await page.keyboard.press('Escape')
  await cells.first().focus()
  await page.keyboard.press('?')
  await expect(dialog).toBeVisible()
})

test('half a note is there after a reload, for whoever typed it', async ({ keeper }) => {
  const { page, walkTo, cells } = await keeper('lotte')
  await walkTo('Hemp Cellar')
  await cells.first().locator('.tape').click()
  await page.keyboard.press('t')
  await page.getByLabel('Note').fill('Half a')
  await page.reload()
  await walkTo('Hemp Cellar')
  await cells.first().locator('.tape').click()
  await expect(page.getByRole('button', { name: /Note for the next shift · begun/ })).toBeVisible()
  await page.keyboard.press('t')
  await expect(page.getByLabel('Note')).toHaveValue('Half a')
  await page.getByLabel('Note').fill('')
  await page.keyboard.press('Escape')
  await expect(page.getByRole('button', { name: /begun/ })).toHaveCount(0)
})

test('every mark opens to its because', async ({ keeper }) => {
  const { page, walkTo, cells } = await keeper('lotte')
  await walkTo('Spinning Hall')
  await cells.first().locator('.tape').click()
  await page.keyboard.press('b')
  const reasons = page.locator('.reasons li')
  await expect(reasons.first()).toBeVisible()
  await page.keyboard.press('Escape')
  await expect(reasons).toHaveCount(0)
  const task = page.locator('.side .tasks .because').first()
  await task.click()
  await expect(reasons.filter({ hasText: /^The plan: / }).first()).toBeVisible()
  await expect(reasons.filter({ hasText: /^Care sheet: .*, / }).first()).toBeVisible()
})

test('a stricter barrier is acknowledged before it is crossed, and there is no way back unasked', async ({
  keeper,
}) => {
  const { page, cells } = await keeper('tomas')
  const rail = page.getByRole('navigation', { name: "Today's walk" })
  await rail.getByRole('button', { name: 'Gatehouse' }).first().click()
  await expect(page.getByRole('heading', { name: /Before you cross: quarantine/ })).toBeVisible()
  await expect(cells).toHaveCount(0)
  await page.getByRole('button', { name: 'Done: cross' }).click()
  await expect(cells.first()).toBeVisible()

  await page.reload()
  await expect(cells.first()).toBeVisible()
  await rail.getByRole('button', { name: 'Spinning Hall' }).click()
  await expect(page.getByRole('heading', { name: 'The walk does not go back' })).toBeVisible()
  await expect(cells).toHaveCount(0)
})

test('all of one duty in a bay at once', async ({ keeper }) => {
  const { page, walkTo, allSent } = await keeper('lotte')
  await walkTo('Larder')
  const all = page.getByRole('button', { name: /for all \d+ in Feeder tubs$/ }).first()
  const label = (await all.getAttribute('aria-label')) ?? ''
  const count = Number(/all (\d+) in/.exec(label)?.[1])
  await all.click()
  await expect(page.locator('.undo')).toContainText(`Feeder tubs: ${count} as planned`)
  await allSent()
})

test('everything in a bay asks for a hold, and leaves the checks to be made one by one', async ({
  keeper,
}) => {
  const { page, walkTo, allSent } = await keeper('lotte')
  await walkTo('Tar Room')
  const bay = page.getByRole('region').first()
  await expect(bay.getByRole('button', { name: /^Inspect for all/ })).toHaveCount(0)
  const checks = bay.locator('.mark.check.done')
  const before = await checks.count()
  const everything = bay.getByRole('button', { name: 'Everything' })
  await everything.click()
  await expect(everything).toContainText('hold')
  await expect(page.locator('.undo')).toHaveCount(0)
  await everything.click({ delay: 800 })
  await expect(page.locator('.undo')).toContainText(/: \d+ as planned/)
  expect(await checks.count()).toBe(before)
  await allSent()
})

test('what lies behind the open panel cannot be touched through it', async ({ keeper }) => {
  const { page, walkTo, cells } = await keeper('lotte', TABLET)
  await walkTo('Spinning Hall')
  const all = await page
    .getByRole('button', { name: /for all \d+ in/ })
    .first()
    .boundingBox()
  if (!all) throw new Error('Nothing is due.')
  await cells.first().locator('.tape').tap()
  const panel = page.getByRole('complementary', { name: /what is due$/ })
  await expect(panel).toBeVisible()
  await page.touchscreen.tap(all.x + all.width / 2, all.y + all.height / 2)
  await expect(panel).toBeHidden()
  await expect(page.locator('.undo')).toHaveCount(0)
})

test('another food is said with its amount', async ({ keeper }) => {
  const { page, walkTo, cells, allSent } = await keeper('kelechi')
  await walkTo('Tar Room')
  await cells.nth(2).locator('.tape').click()
  await page.keyboard.press('a')
  await choose(page, 'Food', 'Something else')
  await page.getByLabel('If something else, what').fill('quail chick')
  // Letters do not get into a number.
  await page.getByLabel('How many').press('ControlOrMeta+a')
  await page.getByLabel('How many').pressSequentially('two2')
  await expect(page.getByLabel('How many')).toHaveValue('2 pieces')
  await choose(page, 'Outcome', 'part taken')
  await page.getByRole('button', { name: 'Keep' }).click()
  await expect(page.locator('.undo')).toContainText('2 quail chick')
  await allSent()
})

test('a slipped decimal is questioned in place, and nothing typed is lost', async ({ keeper }) => {
  const { page, walkTo, cells, allSent } = await keeper('lotte')
  await walkTo('Tar Room')
  await cells.nth(1).locator('.tape').click()
  const weight = Number(
    /about ([\d\u202f.]+) g/
      .exec((await page.locator('.side header').textContent()) ?? '')?.[1]
      ?.replace('\u202f', ''),
  )
  const slipped = String(Math.round(weight) / 10)
  await page.keyboard.press('w')
  await page.keyboard.type(slipped)
  await page.keyboard.press('Enter')
  const question = page.getByRole('alertdialog', { name: 'Is this right?' })
  await expect(question).toContainText('Perhaps the decimal slipped.')
  await question.getByRole('button', { name: 'Type it again' }).click()
  await expect(page.getByRole('spinbutton', { name: 'Weight' })).toHaveValue(`${slipped} g`)
  await page.keyboard.press('Enter')
  await question.getByRole('button', { name: /^Looked again/ }).click()
  await expect(page.locator('.undo')).toContainText('looked at twice')
  await expect(page.locator('.side')).not.toContainText('weigh again')
  await page.keyboard.press('u')
  await allSent()
})

test('what was typed is there again after looking at another animal', async ({ keeper }) => {
  const { page, walkTo, cells } = await keeper('lotte')
  await walkTo('Yarn Loft')
  await cells.nth(0).locator('.tape').click()
  await page.keyboard.press('t')
  await page.getByLabel('Note').fill('Two eggs under the left leaf')
  await cells.nth(1).locator('.tape').click()
  await cells.nth(0).locator('.tape').click()
  await page.keyboard.press('t')
  await expect(page.getByLabel('Note')).toHaveValue('Two eggs under the left leaf')
})
