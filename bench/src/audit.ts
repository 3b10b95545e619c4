import { execFile } from 'node:child_process'
import { mkdtemp, readFile, rm } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { promisify } from 'node:util'
import { BROWSER } from '@kobrin/e2e/browser'
import type { House } from '@kobrin/server'
import { chromium } from '@playwright/test'
import { z } from 'zod'
import type { Figure } from './figures.ts'
import { median } from './figures.ts'
import { signIn } from './signIn.ts'

/** Fetched when this is asked for, not with the lock file: it and its own weigh more than all the rest together. */
const AUDITOR = 'lighthouse@12.8.2'
const PORT = 9333
const ROUNDS = 3
/** A house's own pages are not to be found by strangers: `robots.txt` says so, and that costs its mark. */
const CATEGORIES = { performance: 95, accessibility: 100, 'best-practices': 100 } as const

const Report = z.object({
  categories: z.record(z.string(), z.object({ score: z.number() })),
  audits: z.record(z.string(), z.object({ displayValue: z.string().optional() })),
})
type Report = z.infer<typeof Report>

async function audited(url: string, folder: string): Promise<Report> {
  const path = join(folder, 'report.json')
  await promisify(execFile)('npx', [
    '--yes',
    AUDITOR,
    url,
    `--port=${PORT}`,
    `--only-categories=${Object.keys(CATEGORIES).join(',')}`,
    '--disable-storage-reset',
    '--output=json',
    `--output-path=${path}`,
    '--quiet',
  ])
  return Report.parse(JSON.parse(await readFile(path, 'utf8')))
}

function figures(name: string, reports: readonly Report[]): Figure[] {
  const says = (audit: string) =>
    `${audit} ${reports.map(({ audits }) => audits[audit]?.displayValue ?? '–').join(', ')}`
  return Object.entries(CATEGORIES).map(([category, limit]) => ({
    name: `audit-${name}-${category}`,
    value: Math.round(100 * median(reports.map(({ categories }) => categories[category]?.score ?? 0))),
    limit,
    atLeast: true,
    about:
      category === 'performance'
        ? ['largest-contentful-paint', 'total-blocking-time', 'cumulative-layout-shift'].map(says).join('; ')
        : `of 100, the middle of ${reports.length}`,
  }))
}

/** What the usual auditor makes of a page on a phone of moderate strength, before and after signing in. */
export async function auditFigures({ url }: Pick<House, 'url'>): Promise<Figure[]> {
  const folder = await mkdtemp(join(tmpdir(), 'kobrin-audit-'))
  const { args, ...launch } = BROWSER.launchOptions
  const context = await chromium.launchPersistentContext(join(folder, 'profile'), {
    ...launch,
    args: [...args, `--remote-debugging-port=${PORT}`],
    baseURL: url,
  })
  const rounds = async (path: string) => {
    const reports: Report[] = []
    while (reports.length < ROUNDS) reports.push(await audited(`${url}${path}`, folder))
    return reports
  }
  try {
    const before = await rounds('/')
    const page = await context.newPage()
    await page.goto('/')
    await signIn(page)
    await page.locator('[data-resident], .gate').first().waitFor()
    return [...figures('sign-in', before), ...figures('walk', await rounds('/walk'))]
  } finally {
    await context.close()
    await rm(folder, { recursive: true, force: true })
  }
}
