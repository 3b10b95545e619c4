import type { House } from '@kobrin/server'
import { expect, test } from './keeper.ts'
import { houseOn } from './server.ts'

const MORNING = 10 * 60 + 30

/** Days on which calendars are apt to go wrong. Those marked are driven with every run of all tests. */
const DAYS = [
  { day: '2026-01-31', about: 'the end of a month', always: false },
  { day: '2026-03-01', about: 'the day after a short month', always: false },
  { day: '2026-03-29', about: 'clocks go forward', always: true },
  { day: '2026-10-25', about: 'clocks go back', always: true },
  { day: '2026-11-26', about: 'a Thursday in November', always: false },
  { day: '2026-12-31', about: 'the last day of a year', always: false },
  { day: '2027-01-01', about: 'the first day of a year', always: false },
  { day: '2027-08-15', about: 'a Sunday in summer', always: false },
  { day: '2028-02-29', about: 'a leap day', always: true },
] as const

/** Minutes of one day around its midnight and around the hour its clocks leave out or repeat. */
const HOURS = [
  { day: '2026-03-29', minute: 55, about: 'shortly before clocks go forward' },
  { day: '2026-10-25', minute: 90, about: 'in the hour that comes twice' },
  { day: '2026-11-27', minute: 3, about: 'shortly after midnight' },
] as const

/** "Thursday 31 December", or "31 Dec" for short. */
function said(day: string, length: 'long' | 'short' = 'long'): string {
  const weekday = length === 'long' ? ({ weekday: 'long' } as const) : {}
  const format = { ...weekday, day: 'numeric', month: length, timeZone: 'UTC' } as const
  return new Intl.DateTimeFormat('en-GB', format).format(Date.parse(day))
}

let house: House | null = null

test.afterEach(async () => {
  await house?.close()
  house = null
})

for (const { day, minute, about, always } of [
  ...DAYS.map((one) => ({ minute: MORNING, ...one })),
  ...HOURS.map((one) => ({ always: false, ...one })),
]) {
  const tag = always ? ['@always'] : []
  test(`the walk on ${day}, minute ${minute}: ${about}`, { tag }, async ({ keeper }) => {
    house = await houseOn(day, minute)
    const { page, walkTo, toDo, cell, cells, allSent, openRecord } = await keeper('lotte')
    await expect(page.locator('header .date')).toHaveText(said(day))

    // One touch, taken back.
    await walkTo('Spinning Hall')
    const [first = '', second = ''] = await toDo()
    expect(second).not.toBe('')
    await cell(first).click()
    await expect(page.locator('.undo')).toContainText(`${first}:`)
    // What has to be typed, a weight or a reading, may be left.
    await expect.poll(toDo).not.toContain(first)
    await page.keyboard.press('u')
    await expect.poll(toDo).toContain(first)

    // A whole shelf.
    const whole = page.getByRole('button', { name: /^Whole shelf \d+ of .* as planned/ }).first()
    for (const stop of ['Spinning Hall', 'Yarn Loft', 'Hemp Cellar', 'Tar Room'])
      if (!(await whole.isVisible())) await walkTo(stop)
    const residents = Number(/(\d+)\s*$/.exec((await whole.textContent()) ?? '')?.[1])
    await whole.click()
    await expect(page.locator('.undo')).toContainText(`: ${residents} as planned`)

    // A note, and a mark that opens to its because.
    await cells.first().locator('.tape').click()
    await page.keyboard.press('t')
    await page.getByLabel('Note').fill(`Said on ${day}`)
    await page.getByRole('button', { name: 'Keep' }).click()
    await expect(cells.first()).toContainText(`Said on ${day}`)
    await allSent()

    // What was entered stands in the record under its day.
    const name = (await cells.first().locator('.tape').textContent()) ?? ''
    await openRecord(name)
    await expect(page.locator('ol > li').filter({ hasText: `Said on ${day}` })).toContainText(
      said(day, 'short'),
    )
    await page.getByRole('link', { name: 'Handover' }).click()
    await expect(page.getByRole('main').getByText(`Said on ${day}`)).toBeVisible()
  })
}

test('a walk that goes on past midnight: a new day, a new walk', { tag: ['@always'] }, async ({ keeper }) => {
  house = await houseOn('2026-12-31', 23 * 60 + 59)
  const { page, walkTo, toDo, cell, allSent } = await keeper('lotte')
  await walkTo('Spinning Hall')
  // A weight or a reading has to be typed: one touch leaves it.
  const typed = '[aria-label^="Weigh"], [aria-label^="Measure"], [aria-label^="Read"]'
  const left = (name: string) => cell(name).locator(`.mark:is(.due, .late):not(${typed})`)
  const [first = ''] = await toDo()
  await cell(first).click()
  await expect(left(first)).toHaveCount(0)
  await allSent()
  await expect(page.locator('header .date')).toHaveText('Thursday 31 December')
  await expect(page.locator('header .date')).toHaveText('Friday 1 January', { timeout: 90_000 })
  // Nothing moved under the hand; daily duties are due again.
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Walk: Spinning Hall')
  await expect.poll(toDo).not.toEqual([])
  const [again = ''] = await toDo()
  await cell(again).click()
  await expect(left(again)).toHaveCount(0)
  await allSent()
  await page.reload()
  await walkTo('Spinning Hall')
  await expect(left(again)).toHaveCount(0)
})
