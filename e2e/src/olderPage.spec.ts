import { execFileSync } from 'node:child_process'
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { expect, test } from './keeper.ts'

/** The interface as it was before any page said which revision of the folds it knows: without its fonts, charts and
 * what reads workbooks. It is never made again. */
const PACKED = fileURLToPath(new URL('../pages/revision3.tgz', import.meta.url))
let pages = ''

test.beforeAll(() => {
  pages = mkdtempSync(join(tmpdir(), 'kobrin-page-'))
  execFileSync('tar', ['xzf', PACKED, '-C', pages])
})
test.afterAll(() => rmSync(pages, { recursive: true }))

test('a page of before goes on beside a newer server: it shows the house, and what is said there arrives', async ({
  keeper,
}) => {
  const older = await keeper('lotte', { pages })
  const newer = await keeper('priya')
  await older.walkTo('Hemp Cellar')
  await newer.walkTo('Hemp Cellar')
  const [first = '', second = ''] = await newer.toDo()
  // Rules of its time ask for a little more.
  expect(await older.toDo()).toEqual(expect.arrayContaining(await newer.toDo()))

  // Kinds of fact that the older one does not know: water is a fact of the box, an answer to a note.
  await newer.cell(first).locator('.tape').click()
  await newer.page.keyboard.press('Enter')
  await newer.allSent()

  // It goes on keeping and sending, about the same animal and about another.
  for (const name of [first, second]) {
    await older.cell(name).locator('.tape').click()
    await older.page.keyboard.press('t')
    await older.page.getByLabel('Note').fill(`Said of ${name} on an older page`)
    await older.page.getByRole('button', { name: 'Keep' }).click()
    await expect(older.cell(name)).toContainText(`Said of ${name} on an older page`)
  }
  await older.allSent()
  await expect(newer.cell(first)).toContainText(`Said of ${first} on an older page`)
  await older.cell(second).locator('.tape').click()
  await older.page.keyboard.press('Enter')
  await older.allSent()
  await expect.poll(() => newer.toDo()).not.toContain(second)

  // What it hands out of the record can be read there.
  await older.openRecord(first)
  await expect(older.page.locator('ol > li').first()).toBeVisible()
  await older.page.reload()
  await expect(older.page.getByRole('heading', { name: first, exact: true })).toBeVisible()
})
