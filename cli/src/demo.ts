import { demoPassphrase, ROPEWALK, ropewalk, STAFF } from '@kobrin/demo'
import { houseName, KobrinFault, loadSeed, readLibrary } from '@kobrin/server'
import type { Opened } from './open.ts'
import { serve } from './serve.ts'
import { standInBeside } from './balance.ts'
import type { Settings } from './settings.ts'

export interface DemoOptions {
  settings: Settings
  days: number
  seed: number
}

async function fill({ connection: { db } }: Opened, days: number, seed: number): Promise<void> {
  const there = await houseName(db)
  if (there !== null && there !== ROPEWALK)
    throw new KobrinFault(
      'another_house',
      `The record that is here is of ${there}, and the Ropewalk is not mixed into it. Serve it with: npm start`,
    )
  if (there !== null) return
  console.log(`Telling ${Math.round(days / 30.4)} months of the Ropewalk …`)
  const site = ropewalk({ sheets: readLibrary(), nowMs: Date.now(), days, seed })
  console.log(`Loading ${site.residents.length} residents and ${site.entries.length} entries …`)
  await loadSeed(db, site)
}

function greeting(url: string, balance: string | null): string {
  const people = STAFF.map(({ login, role, pin }) => {
    const words = `${login.padEnd(9)} ${demoPassphrase(login).padEnd(18)}`
    return `  ${words} ${(pin ?? '–').padEnd(6)} ${role}`
  })
  return [
    '',
    `Kobrin is at ${url}`,
    ...(balance ? [`A stand-in for a balance is at ${balance}`] : []),
    '',
    '  name      passphrase         PIN    role',
    ...people,
    '',
    'Ctrl-C stops it; what was entered is kept.',
  ].join('\n')
}

/** The Ropewalk: an invented house with eighteen months of history, for trying things out. Where it has no balance
 * of its own one stands in. */
export async function demo({ settings, days, seed }: DemoOptions): Promise<void> {
  const balance = settings.balances.length === 0 ? await standInBeside(settings.port) : null
  const balances = balance ? [{ name: 'Gatehouse bench', host: balance.host, port: balance.port }] : []
  try {
    await serve({
      settings: { ...settings, balances: [...settings.balances, ...balances] },
      prepare: (opened) => fill(opened, days, seed),
      greet: (url) => console.log(greeting(url, balance?.url ?? null)),
    })
  } finally {
    await balance?.close()
  }
}
