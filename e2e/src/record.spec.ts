import { randomUUID } from 'node:crypto'
import { readFile } from 'node:fs/promises'
import { allHere } from './allHere.ts'
import { rowsHere } from './foldsHere.ts'
import { choose, expect, test } from './keeper.ts'

test('a resident is found by number, species and place, and opened', async ({ keeper }) => {
  const { page } = await keeper('joss')
  await page.getByRole('link', { name: 'Residents' }).click()
  const search = page.getByRole('searchbox')
  await search.fill('0001')
  await expect(page.getByRole('main').getByRole('status').first()).toHaveText(/^1 of \d+$/)
  await search.fill('royal python tar room')
  await expect(page.getByRole('row').nth(1)).toContainText('Royal python')
  await page.getByRole('row').nth(1).getByRole('link').click()
  await expect(page.getByRole('heading', { name: 'Plan in force' })).toBeVisible()
  await expect(page.locator('.lifeline canvas').first()).toBeVisible()
  await page.keyboard.press('/')
  await page.getByRole('combobox', { name: 'Name, number, species or place' }).fill('royal')
  await expect(page.getByRole('option').first()).toBeVisible()
  await page.keyboard.press('Escape')
  await expect(page.getByRole('dialog')).toHaveCount(0)
})

test('whoever is named in full is opened by Enter, whatever else begins so', async ({ keeper }) => {
  const { page } = await keeper('lotte')
  for (const name of ['Zebra B', 'Powder C', 'Forest A']) {
    await page.keyboard.press('/')
    await page.getByRole('combobox', { name: 'Name, number, species or place' }).fill(name)
    await page.keyboard.press('Enter')
    await expect(page.getByRole('heading', { name, exact: true })).toBeVisible()
  }
})

test('a correction and a take-back show both, struck, with who and why', async ({ keeper }) => {
  const { page, openRecord, walkTo, cells, allSent } = await keeper('lotte')
  await walkTo('Hemp Cellar')
  const name = (await cells.first().locator('.tape').textContent()) ?? ''
  await cells.first().locator('.tape').click()
  await page.keyboard.press('t')
  await page.keyboard.type('Sat in the bowll')
  await page.getByRole('button', { name: 'Keep' }).click()
  await allSent()
  await openRecord(name)
  const line = page.locator('ol > li').filter({ hasText: 'Sat in the bowll' }).first()
  await line.getByRole('button', { name: 'Correct' }).click()
  await page.getByLabel('Should read').fill('Sat in the bowl')
  await page.getByRole('button', { name: 'Correct it' }).click()
  await expect(page.getByRole('alert')).toHaveText('Write a word or two.')
  await page.getByLabel('Why').fill('Spelling')
  await page.getByRole('button', { name: 'Correct it' }).click()
  await expect(line.locator('.struck')).toContainText('Sat in the bowll')
  await expect(line).toContainText('Corrected to: Sat in the bowl. Spelling')
  await expect(line).toContainText('Lotte Verhaege')
  await line.getByRole('button', { name: 'Correct' }).click()
  // A dialog takes the focus when it is up; what is typed before that would go there.
  await expect(page.getByLabel('Should read')).toBeFocused()
  await page.getByLabel('Why').fill('Another frog')
  await page.getByRole('button', { name: /take it back/ }).click()
  await expect(line).toContainText('Took back an entry: Another frog')
  await allSent()
})

test('what is learnt of who somebody is later is said on its record, and what was said stays', async ({
  keeper,
}) => {
  const { page, openRecord } = await keeper('priya')
  await openRecord('Tamsin')
  await page.getByRole('button', { name: 'Who it is' }).click()
  await page.getByLabel('Known by').fill('A nick in the tail')
  await page.getByLabel('Pale').check()
  await page.getByRole('button', { name: 'Keep it' }).click()
  await expect(page.locator('main > header')).toContainText(/A nick in the tail · pale/)
  await page.getByRole('button', { name: 'Who it is' }).click()
  await page.getByLabel('Known by').fill('')
  await page.getByRole('button', { name: 'Keep it' }).click()
  await expect(page.getByRole('alert')).toContainText('What was said stays on record')
})

test('a keeper corrects their own entries, a senior anyone’s, a reader nobody’s', async ({ keeper }) => {
  const counts: number[] = []
  for (const login of ['joss', 'kelechi'] as const) {
    const { page, openRecord } = await keeper(login)
    await openRecord('Tamsin')
    await expect(page.locator('ol > li').first()).toBeVisible()
    counts.push(await page.getByRole('button', { name: 'Correct', exact: true }).count())
  }
  expect(counts[0]).toBe(0)
  expect(counts[1]).toBeGreaterThan(10)
})

test('a move is told with its reason and takes the resident along on the walk', async ({ keeper }) => {
  const { page, walkTo, cells, cell, allSent } = await keeper('kelechi')
  await walkTo('Hemp Cellar')
  const name = (await cells.first().locator('.tape').textContent()) ?? ''
  await cells.first().locator('.tape').click()
  await page.keyboard.press('g')
  await choose(page, 'Where to', 'Cold bench')
  await page.getByLabel('Why').fill('Needs it cooler')
  await page.getByRole('tab', { name: /Count$/ }).click()
  await page.getByLabel('Counted in').fill('1')
  await page.keyboard.press('Enter')
  await allSent()
  await page.getByRole('button', { name: 'Show on the walk' }).click()
  await expect(
    page.getByRole('region', { name: 'Cold bench' }).locator('.tape', { hasText: name }),
  ).toBeVisible()
  await cell(name).locator('.tape').click()
  await page.keyboard.press('i')
  await expect(page.locator('ol > li').first()).toContainText('Moved, 1 of 1 found: Needs it cooler')
})

test('a reader sees everything and can enter nothing', async ({ keeper }) => {
  const { page, cells } = await keeper('joss')
  await expect(cells.first()).toBeVisible()
  await cells.first().click()
  await expect(page.locator('.undo')).toHaveCount(0)
  await expect(page.getByRole('button', { name: 'As planned' })).toHaveCount(0)
  await expect(page.getByRole('button', { name: /Whole shelf/ })).toHaveCount(0)
})

test('a record prints whole, black on white, also from the dim theme', async ({ keeper }) => {
  const { page, openRecord } = await keeper('joss')
  await openRecord('Hawser')
  await page.getByRole('button', { name: /^Theme: day/ }).click()
  const lines = page.locator('ol > li')
  await expect(lines).toHaveCount(60)
  const all = Number(await page.locator('#entries-title + .quiet').textContent())
  expect(all).toBeGreaterThan(60)
  await page.evaluate(() => dispatchEvent(new Event('beforeprint')))
  await page.emulateMedia({ media: 'print' })
  await expect(lines).toHaveCount(all)
  await expect(page.locator('header.top')).toBeHidden()
  await expect(page.locator('body')).toHaveCSS('background-color', 'rgb(255, 255, 255)')
  await expect(page.locator('body')).toHaveCSS('color', 'rgb(0, 0, 0)')
  await page.evaluate(() => dispatchEvent(new Event('afterprint')))
  await page.emulateMedia({ media: 'screen' })
  await expect(lines).toHaveCount(60)
  await page.getByRole('button', { name: /^Theme: dim/ }).click()
})

test('the table of residents is sorted by what is to do, and saved as it stands', async ({ keeper }) => {
  const { page } = await keeper('lotte')
  await page.getByRole('link', { name: 'Residents' }).click()
  await page.getByRole('columnheader', { name: 'To do' }).click()
  const first = page.getByRole('row').nth(1)
  await expect(first.locator('.mark.late').first()).toBeVisible()
  const saving = page.waitForEvent('download')
  await page.getByRole('button', { name: 'Save as CSV' }).click()
  const saved = await saving
  expect(saved.suggestedFilename()).toBe('residents.csv')
  const text = (await (await saved.createReadStream()).toArray()).join('')
  expect(text.split('\n').length).toBeGreaterThan(200)
  expect(text).toMatch(/Late: /)
})

test('the record of one that leaves goes along as a PDF', async ({ keeper }) => {
  const { page, openRecord } = await keeper('lotte')
  await openRecord('Hawser')
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Save as PDF' }).click(),
  ])
  expect(download.suggestedFilename()).toMatch(/^\d+ Hawser\.pdf$/)
  const content = await readFile(await download.path())
  expect(content.subarray(0, 5).toString()).toBe('%PDF-')
})

test('a photo is added to a record, looked at, and seen by a colleague', async ({ keeper }) => {
  const { page, openRecord, allSent } = await keeper('lotte')
  await openRecord('Hawser')
  const input = page.getByRole('region', { name: 'Photos' }).locator('input[type=file]')
  await input.setInputFiles({ name: 'odd.jpg', mimeType: 'image/jpeg', buffer: Buffer.from('no picture') })
  await expect(page.getByRole('alert')).toContainText('That is no photo')
  await input.setInputFiles({ name: 'it.png', mimeType: 'image/png', buffer: await page.screenshot() })
  const photo = page.getByRole('button', { name: /^Photo of Hawser/ })
  await expect(photo).toHaveCount(1)
  await allSent()
  const colleague = await keeper('priya')
  await colleague.openRecord('Hawser')
  const seen = colleague.page.getByRole('button', { name: /^Photo of Hawser/ })
  await seen.click()
  const large = colleague.page.getByRole('dialog').getByRole('img').first()
  await expect.poll(() => large.evaluate((image: HTMLImageElement) => image.naturalWidth)).toBe(1280)
})

test('a photo taken without a link waits over a reload, is sent with the link, and stands beside another', async ({
  keeper,
}) => {
  const { page, openRecord, allSent } = await keeper('lotte', { serviceWorkers: 'allow' })
  await openRecord('Tamsin')
  await expect(page.locator('ol > li').first()).toBeVisible()
  await allHere(page)
  const photos = page.getByRole('region', { name: 'Photos' })
  const input = photos.locator('input[type=file]')
  const first = await page.screenshot()
  await page.context().setOffline(true)
  await input.setInputFiles({ name: 'one.png', mimeType: 'image/png', buffer: first })
  const taken = page.getByRole('button', { name: /^Photo of Tamsin/ })
  await expect(taken).toContainText('waits here to be sent')
  // What is seen at once is on the disk a moment later.
  await expect.poll(() => rowsHere(page, 'kobrin', 'waiting')).toBe(1)
  await page.reload()
  await expect(taken).toContainText('waits here to be sent')
  const small = taken.locator('img')
  await expect.poll(() => small.evaluate((image: HTMLImageElement) => image.naturalWidth)).toBe(1280)
  await page.context().setOffline(false)
  await allSent()
  await expect(taken).not.toContainText('waits here')
  await input.setInputFiles({ name: 'two.png', mimeType: 'image/png', buffer: await page.screenshot() })
  await expect(taken).toHaveCount(2)
  await allSent()
  const colleague = await keeper('priya')
  await colleague.openRecord('Tamsin')
  await colleague.page
    .getByRole('button', { name: /^Photo of Tamsin/ })
    .first()
    .click()
  await choose(colleague.page, 'Beside it', /today|Jun/)
  await expect(colleague.page.getByRole('dialog').getByRole('figure')).toHaveCount(2)
  await expect(colleague.page.getByText('0 days apart')).toBeVisible()
})

test('the residents are asked who loses weight, and each says because', async ({ keeper }) => {
  const { page } = await keeper('lotte')
  await page.getByRole('link', { name: 'Residents' }).click()
  await choose(page, 'Which of them', 'Who is losing weight')
  const rows = page.getByRole('row')
  await expect(rows.nth(1)).toContainText(/Losing/)
  const listed = Number(
    /^(\d+) of/.exec((await page.getByRole('main').getByRole('status').first().textContent()) ?? '')?.[1],
  )
  expect(listed).toBeGreaterThan(1)
  expect(listed).toBeLessThan(30)
  await rows
    .nth(1)
    .getByRole('button', { name: /^Because/ })
    .click()
  const why = page.getByRole('dialog')
  await expect(why).toContainText('at its highest of the year')
  await expect(why).toContainText('smoothed over')
  await page.keyboard.press('Escape')
  await choose(page, 'Which of them', 'Everybody')
  await expect(page.getByRole('main').getByRole('status').first()).toHaveText(/^(\d+) of \1$/)
})

test('who left its own growth curve stands on a list, and all are fitted anew until somebody stops it', async ({
  keeper,
}) => {
  const { page } = await keeper('maren')
  await page.getByRole('link', { name: 'Residents' }).click()
  const link = page.getByRole('link', { name: 'Painter', exact: true })
  await page.getByRole('searchbox').fill('Painter')
  const id = (await link.getAttribute('href'))?.split('/').at(-1) ?? ''
  const on = await page.evaluate(() => Math.floor(Date.now() / 86_400_000) - 2)
  // As the server says it of somebody weighed for longer than this house stands.
  await page.route('**/api/curves', async (route) => {
    const answer = await route.fetch()
    const told = (await answer.json()) as { off: Record<string, object>; waiting: number; of: number }
    const off = { ...told.off, [id]: { on, until: on - 47, grams: 9.1, low: 11.8, high: 13.6 } }
    await route.fulfill({ response: answer, json: { ...told, off } })
  })
  await choose(page, 'Which of them', 'Who left its own growth curve')
  const row = page.getByRole('row', { name: /Painter/ })
  await expect(row).toContainText('Below its own curve: 9.1 g')
  await row.getByRole('button', { name: /^Because/ }).click()
  await expect(page.getByRole('dialog')).toContainText('it would be 11.8–13.6 g')
  await page.keyboard.press('Escape')
  await page.getByRole('button', { name: 'Fit all again' }).click()
  await expect(page.getByRole('progressbar')).toBeVisible()
  await page.getByRole('button', { name: 'Stop fitting' }).click()
  await expect(page.getByText('fitted after every weighing and each night')).toBeVisible()
})

test('a record is asked what if: another cadence, another weight, a reading left out, another laid over', async ({
  keeper,
}) => {
  const { page, openRecord } = await keeper('lotte')
  await openRecord('Tamsin')
  await page.getByRole('button', { name: 'What if …' }).click()
  const what = page.getByRole('region', { name: 'What if …' })
  await expect(what.getByRole('status')).toContainText('% a week')
  const before = await what.getByRole('status').textContent()
  await what.getByLabel('Weighed every so many days').click()
  await page.keyboard.type('7')
  await expect(what.getByRole('status')).toContainText('Weighed every 7 days, a loss of 3 % a week')
  await what.locator('.p-multiselect').click()
  for (const at of [0, 1]) await page.getByRole('option').nth(at).click()
  await page.keyboard.press('Escape')
  await expect(what.getByRole('status')).not.toContainText(before ?? '')
  await what.getByRole('button', { name: 'As it is' }).click()
  await expect(what.getByRole('status')).toHaveText(before ?? '')
})

test('a list is put into groups, weighed in a round, and left to the next shift as a task', async ({
  keeper,
}) => {
  const { page, allSent } = await keeper('kelechi')
  await page.getByRole('link', { name: 'Residents' }).click()
  await choose(page, 'Which of them', 'Who is losing weight')
  const rows = page.getByRole('row')
  await expect(rows.nth(1)).toContainText(/Losing|Down/)
  const listed = await rows.filter({ has: page.getByRole('link') }).count()
  const first = (await rows.nth(1).getByRole('link').textContent()) ?? ''
  await choose(page, 'Grouped by', 'By species')
  await expect(page.getByRole('row', { name: /: \d+$/ }).first()).toBeVisible()
  await page.getByRole('button', { name: 'Task for the next shift …' }).click()
  const dialog = page.getByRole('dialog')
  await expect(dialog.getByLabel('What to do')).toHaveValue('Who is losing weight: look again.')
  await dialog.getByLabel('What to do').fill('')
  await dialog.getByRole('button', { name: 'Leave it to the next shift' }).click()
  await expect(dialog.getByRole('alert')).toHaveText('Say what is to be done.')
  await dialog.getByLabel('What to do').fill('Weigh before the evening feed')
  await dialog.getByRole('button', { name: 'Leave it to the next shift' }).click()
  await expect(dialog).toHaveCount(0)
  await page.getByRole('button', { name: `Weigh these ${listed}` }).click()
  await expect(page.getByRole('option', { name: first })).toBeVisible()
  await expect(page.getByRole('combobox', { name: 'Whom' })).toContainText(`(${listed})`)
  await page
    .locator('.bench')
    .getByRole('button', { name: /Take back/ })
    .click()
  await allSent()
})

test('who is long gone is not on every screen, and comes when somebody looks', async ({ keeper }) => {
  const { page } = await keeper('lotte')
  const id = randomUUID()
  await page.evaluate(
    async ({ id, uids }) => {
      const read = async (url: string) => (await fetch(url)).json() as Promise<Record<string, unknown>>
      const [{ now }, { me }, { sheets }] = await Promise.all([
        read('/api/states?of=nobody'),
        read('/api/session'),
        read('/api/plan-book'),
      ])
      const { person } = me as { person: { id: string } }
      const [sheet] = sheets as { id: string; stages: { id: string }[] }[]
      const at = (minute: number) => new Date(Number(now) - 100 * 86_400_000 + minute * 60_000).toISOString()
      const register = {
        ...{ name: 'Old Halyard', sheet: sheet?.id, stage: sheet?.stages[0]?.id, count: null },
        ...{ sex: 'unknown', hatchedOn: null, barrier: null, schools: {} },
      }
      const facts = [
        { kind: 'registered', payload: register },
        { kind: 'died', payload: { disposal: 'buried' } },
      ]
      const entries = facts.map((fact, index) => ({
        ...fact,
        ...{ uid: uids[index], subject: id, author: person.id, occurredAt: at(index) },
      }))
      const headers = { 'content-type': 'application/json' }
      await fetch('/api/entries', { method: 'POST', headers, body: JSON.stringify({ entries }) })
    },
    { id, uids: [randomUUID(), randomUUID()] },
  )
  const later = await keeper('joss')
  await later.page.keyboard.press('/')
  await later.page.getByRole('combobox', { name: 'Name, number, species or place' }).fill('Old Halyard')
  await expect(later.page.getByRole('option', { name: 'Nobody by that name' })).toBeVisible()
  await later.page.getByRole('button', { name: /long gone/ }).click()
  await later.page.getByRole('combobox', { name: 'Name, number, species or place' }).fill('Old Halyar')
  await later.page.getByRole('option', { name: 'Old Halyard' }).click()
  await expect(later.page.getByRole('heading', { name: 'Old Halyard' })).toBeVisible()
  await later.page.reload()
  await expect(later.page.getByRole('heading', { name: 'Old Halyard' })).toBeVisible()
})
