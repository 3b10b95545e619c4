import { beforeEach, describe, expect, it, vi } from 'vitest'

const WORDS = {
  plain: 'Nobody lives here.',
  named: '{name} weighs {grams} g',
  days: '{count} day over | {count} days over',
  stays: '{rooms} stays warm | {rooms} stay warm',
  braces: "Written {'{'}so{'}'}",
} as const

async function wordsIn(language?: string) {
  vi.resetModules()
  localStorage.clear()
  if (language) localStorage.setItem('kobrin.language', language)
  const { tablesOf, wordsOf } = await import('./i18n.ts')
  return { t: wordsOf('test', WORDS), tables: tablesOf('tables', { duty: { feed: 'Feed' }, none: '' }) }
}

describe('a sentence', () => {
  let t: Awaited<ReturnType<typeof wordsIn>>['t']
  beforeEach(async () => ({ t } = await wordsIn()))

  it('is said as it stands, with its values where they belong', () => {
    expect(t('plain')).toBe('Nobody lives here.')
    expect(t('named', { name: 'Ada', grams: '1.5' })).toBe('Ada weighs 1.5 g')
    expect(t('braces')).toBe('Written {so}')
  })

  it('writes numbers as the house does, and leaves out what is not known', () => {
    expect(t('named', { name: undefined, grams: 1486 })).toBe(' weighs 1\u202f486 g')
    expect(t('named', { name: 'Ada', grams: 0.25 })).toBe('Ada weighs 0.25 g')
  })

  it.each([
    [0, '0 days over'],
    [1, '1 day over'],
    [2, '2 days over'],
    [1200, '1\u202f200 days over'],
  ])('has the form that %d asks for', (count, says) => {
    expect(t('days', { count })).toBe(says)
  })

  it('may be of several without naming how many', () => {
    expect(t('stays', { rooms: 'Larder', count: 1 })).toBe('Larder stays warm')
    expect(t('stays', { rooms: 'Larder, Loft', count: 2 })).toBe('Larder, Loft stay warm')
  })
})

it('tables are read by their names', async () => {
  const { tables } = await wordsIn()
  expect([tables.duty.feed, tables.none]).toEqual(['Feed', ''])
})

it('accented, everything from the catalogue shows itself, and values stay as they are', async () => {
  const { t, tables } = await wordsIn('accented')
  expect(t('plain')).toBe('Nöbödÿ lïvës hërë.')
  expect(t('named', { name: 'Ada', grams: 2 })).toBe('Ada wëïghs 2 g')
  expect(t('days', { count: 2 })).toBe('2 dàÿs övër')
  expect(tables.duty.feed).toBe('Fëëd')
})
