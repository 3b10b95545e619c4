import { FOLD_REVISION } from '@kobrin/core'
import type { Page } from '@playwright/test'
import { expect, test } from './keeper.ts'
import { PAGES } from './pagesHere.ts'

/** What is said by the calendar of the browser, and names that no language changes. */
const KNOWN =
  /\b(mon|tues|wednes|thurs|fri|satur|sun)day\b|\b(jan|febr)uary\b|\b(march|april|june|july|august)\b|\b(septem|octo|novem|decem)ber\b|\b(jan|feb|mar|apr|jun|jul|aug|sep|oct|nov|dec)\b|\b(kobrin|min|maren o)\b/g

function textsIn(value: unknown): string[] {
  if (typeof value === 'string') return [value]
  if (typeof value !== 'object' || value === null) return []
  return Object.entries(value).flatMap(([key, one]) => [key, ...textsIn(one)])
}

/** Everything the house itself has written: names, places, sheets, notes. None of it is of the catalogue. */
async function writtenHere(page: Page, residentId: string): Promise<string[]> {
  const asked = [
    ...[
      'site',
      'plan-book',
      'states',
      'library',
      'library/kingsnake',
      'schools',
      'session',
      'changes?since=0',
      'people',
      'devices',
      'backups',
    ],
    `subjects/${residentId}/entries`,
  ]
  const headers = { 'kobrin-revision': String(FOLD_REVISION) }
  const answers = await Promise.all(asked.map((url) => page.request.get(`/api/${url}`, { headers })))
  const told = await Promise.all(
    answers.filter((one) => one.ok()).map((one) => one.json() as Promise<unknown>),
  )
  const texts = new Set(told.flatMap(textsIn).map((text) => text.toLowerCase()))
  return [...texts].filter(({ length }) => length > 2).sort((a, b) => b.length - a.length)
}

/** Whatever can be read or heard on a page. */
function readable(page: Page): Promise<string[]> {
  return page.evaluate(() => {
    const texts = new Set<string>()
    const walker = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT)
    while (walker.nextNode()) {
      const { parentElement: around, nodeValue } = walker.currentNode
      if (around && !around.closest('script, style, .cm-editor, kbd, code')) texts.add(nodeValue ?? '')
    }
    for (const name of ['aria-label', 'title', 'placeholder'])
      for (const one of document.querySelectorAll(`[${name}]`)) texts.add(one.getAttribute(name) ?? '')
    return [...texts]
  })
}

test('every sentence on every page comes from the catalogue', async ({ keeper }) => {
  const { page, openRecord } = await keeper('maren')
  await openRecord('Hawser')
  const record = new URL(page.url()).pathname
  const id = record.split('/').at(-1) ?? ''
  const enclosure = (await page.getByRole('link', { name: /^Enclosure/ }).getAttribute('href')) ?? ''
  const site = (await (await page.request.get('/api/site')).json()) as { bays: { id: string }[] }
  const bay = site.bays[0]?.id ?? ''
  const written = await writtenHere(page, id)
  expect(written.length).toBeGreaterThan(1000)
  await page.evaluate(() => localStorage.setItem('kobrin.language', 'accented'))

  /** Words in plain letters that nobody in the house has written. */
  async function plain(): Promise<string[]> {
    const found: string[] = []
    for (const text of await readable(page)) {
      let left = text.toLowerCase().replace(KNOWN, ' ')
      for (const one of written) left = left.split(one).join(' ')
      const words =
        left.replace(/\bmay\b/g, ' ').match(/(?<![\p{L}\d])[a-z]*[aeiouy][a-z]*(?![\p{L}\d])/gu) ?? []
      if (words.some(({ length }) => length > 2)) found.push(text.trim())
    }
    return found
  }

  const pages = [
    ...PAGES,
    record,
    `${record}/plan`,
    `${record}/move`,
    enclosure,
    `${enclosure}/door`,
    `/office/places/${bay}`,
  ]
  for (const url of pages) {
    await page.goto(url)
    await expect(page.getByRole('main').getByRole('heading').first()).toBeVisible()
    await expect.soft(async () => expect(await plain()).toEqual([])).toPass({ timeout: 5000 })
  }
  await page.goto('/walk')
  await expect(page.locator('[data-resident]').first()).toBeVisible()
  for (const key of ['?', 's', 'a', 'h', 'm', '7', 'k', 'q', 'o', '8', '9', '0']) {
    await page.keyboard.press(key)
    expect.soft(await plain(), `at the key ${key}`).toEqual([])
    await page.keyboard.press('Escape')
  }
})
