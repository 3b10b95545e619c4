import { expect, test } from './keeper.ts'

test('what one enters is on the other screen within a second', async ({ keeper }) => {
  const lotte = await keeper('lotte')
  const priya = await keeper('priya')
  await lotte.walkTo('Hemp Cellar')
  await priya.walkTo('Hemp Cellar')
  const [name = ''] = await priya.toDo()
  await lotte.cell(name).click()
  await expect(priya.cell(name).locator('.who')).toContainText('LV', { timeout: 1000 })
  await expect(priya.cell(name).locator('.mark.due, .mark.late')).toHaveCount(0)
})

test('feeding what a colleague just fed is shown before the tap and after it, and both are kept', async ({
  keeper,
}) => {
  const lotte = await keeper('lotte')
  const priya = await keeper('priya')
  for (const one of [lotte, priya]) await one.walkTo('Yarn Loft')
  const fed = lotte.cells.filter({ has: lotte.page.locator('.mark.feed:is(.due, .late)') })
  const name = (await fed.first().locator('.tape').textContent()) ?? ''
  await lotte.cell(name).click()
  await lotte.allSent()
  await expect(priya.cell(name).locator('.who')).toContainText('LV')

  // The tap does not log it again: it shows who did, and asks to insist.
  await priya.cell(name).click()
  const meal = priya.page
    .locator('.side .tasks li')
    .filter({ has: priya.page.locator('.mark.feed'), hasText: 'by Lotte Verhaege' })
  await expect(meal).toBeVisible()
  await expect(priya.page.locator('.undo')).toHaveCount(0)
  // Later than two devices may be apart in knowing the time.
  await priya.page.waitForTimeout(1500)
  await meal.getByRole('button', { name: 'Again' }).click()
  await priya.allSent()
  await expect(priya.page.locator('.verdicts')).toContainText(
    'Fed twice today: Lotte Verhaege and Priya Ramanathan',
  )
  await lotte.cell(name).locator('.tape').click()
  await expect(lotte.page.locator('.verdicts')).toContainText('Fed twice today')
})

test('a network that is cut in the middle and comes back loses and doubles nothing', async ({ keeper }) => {
  const lotte = await keeper('lotte')
  const priya = await keeper('priya')
  for (const one of [lotte, priya]) await one.walkTo('Knot Room')
  const [first = '', second = '', third = ''] = await lotte.toDo()
  const state = lotte.page.locator('header.top button.state')

  // The request arrives, the answer does not: it will be sent again and must count once.
  await lotte.page.route('**/api/entries', async (route) => {
    await route.fetch()
    await route.abort()
  })
  await lotte.cell(first).click()
  await expect(priya.cell(first).locator('.who')).toContainText('LV')
  await lotte.page.unroute('**/api/entries')
  await lotte.page.context().setOffline(true)
  await lotte.cell(second).click()
  await lotte.cell(third).click()
  await expect(state).toHaveText(/^No link since .* · \d+ waiting$/)
  await expect(lotte.cell(third).locator('.mark.due, .mark.late')).toHaveCount(0)
  await lotte.page.context().setOffline(false)
  await lotte.allSent()
  for (const name of [second, third]) await expect(priya.cell(name).locator('.who')).toContainText('LV')

  await priya.cell(first).locator('.tape').click()
  const lately = priya.page.locator('.side section').filter({ hasText: 'Just now' }).locator('li')
  const said = await lately.allTextContents()
  expect(said.filter((line, index) => said.indexOf(line) !== index)).toEqual([])
})

test('what waits outlives a reload and is then sent', async ({ keeper }) => {
  const { page, walkTo, toDo, cell, allSent } = await keeper('lotte')
  await walkTo('Knot Room')
  const name = (await toDo()).at(-1) ?? ''
  await page.route('**/api/entries', (route) =>
    route.request().method() === 'POST' ? route.abort() : route.continue(),
  )
  await cell(name).click()
  await expect(page.locator('header.top button.state')).toContainText('waiting to send')
  await page.reload()
  await expect(page.locator('header.top button.state')).toContainText('waiting to send')
  await walkTo('Knot Room')
  await expect(cell(name).locator('.mark.due, .mark.late')).toHaveCount(0)
  await page.unroute('**/api/entries')
  await page.reload()
  await allSent()
})

test('eight tabs of one browser share one line to the house, whichever is closed first', async ({
  keeper,
}) => {
  const first = await keeper('lotte')
  const tabs = [first]
  while (tabs.length < 8) tabs.push(await first.anotherTab())
  for (const tab of tabs) await tab.walkTo('Tar Room')
  const last = tabs.at(-1) ?? first
  const [one = '', other = ''] = await last.toDo()

  await last.cell(one).click()
  await last.allSent()
  for (const tab of tabs) await expect(tab.cell(one).locator('.who')).toContainText('LV')

  const [gone, ...left] = tabs
  await gone?.page.close()
  await last.cell(other).click()
  await last.allSent()
  for (const tab of left) await expect(tab.cell(other).locator('.who')).toContainText('LV')
})

test('what this device cannot store is said, and is sent all the same', async ({ keeper }) => {
  const { page, walkTo, toDo, cell, allSent } = await keeper('lotte')
  await page.addInitScript(() => {
    IDBObjectStore.prototype.add = () => {
      throw new DOMException('No room left.', 'QuotaExceededError')
    }
  })
  await page.reload()
  await walkTo('Spinning Hall')
  const name = (await toDo()).at(-1) ?? ''
  await page.context().setOffline(true)
  await cell(name).click()
  await expect(page.locator('header.top button.state')).toContainText('not stored here: keep this open')
  await expect(cell(name).locator('.mark.done').first()).toBeVisible()
  await page.context().setOffline(false)
  await allSent()
})

test('what is touched before this device is ready to keep is kept as soon as it is', async ({ keeper }) => {
  const { page, walkTo, cell, toDo, allSent } = await keeper('lotte')
  await walkTo('Hemp Cellar')
  const [name = ''] = await toDo()
  const linked = await page
    .locator('script[src], link[rel="modulepreload"]')
    .evaluateAll((elements) =>
      elements.map((element) => element.getAttribute('src') ?? element.getAttribute('href')),
    )
  let letThrough = () => {}
  const released = new Promise<void>((resolve) => (letThrough = resolve))
  await page.route('**/assets/*.js', async (route) => {
    if (!linked.includes(new URL(route.request().url()).pathname)) await released
    await route.continue()
  })
  await page.reload()
  await cell(name).click({ position: { x: 20, y: 60 } })
  await expect(cell(name).locator('.mark.due, .mark.late').first()).toBeVisible()
  letThrough()
  await expect(cell(name).locator('.mark.done').first()).toBeVisible()
  await allSent()
})

test('what the server will not keep is shown with its reason, not thrown away', async ({ keeper }) => {
  const { page, walkTo, cells } = await keeper('lotte')
  await walkTo('Spinning Hall')
  await page.route('**/api/entries', async (route) => {
    const { entries } = route.request().postDataJSON() as { entries: { uid: string }[] }
    const receipts = entries.map(({ uid }) => ({
      uid,
      status: 'refused',
      code: 'not_allowed',
      message: 'Your role does not allow this.',
    }))
    await route.fulfill({ json: { receipts } })
  })
  await cells.first().locator('.tape').click()
  await page.keyboard.press('t')
  await page.keyboard.type('Not for you to say')
  await page.getByRole('button', { name: 'Keep' }).click()
  await page.getByRole('button', { name: '1 could not be kept' }).click()
  const dialog = page.getByRole('dialog', { name: 'On its way' })
  await expect(dialog).toContainText('Not for you to say')
  await expect(dialog).toContainText('Your role does not allow this.')
  await dialog.getByRole('button', { name: 'I have dealt with it' }).click()
  await page.getByRole('button', { name: 'Gone with it' }).click()
  await expect(dialog).not.toContainText('Not for you to say')
})
