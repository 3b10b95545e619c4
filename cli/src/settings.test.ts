import { KobrinFault } from '@kobrin/server'
import { describe, expect, it } from 'vitest'
import { settingsFrom } from './settings.ts'

describe('settings', () => {
  it('are loopback, port 4620 and our own database unless told otherwise', () => {
    expect(settingsFrom({})).toMatchObject({ host: '127.0.0.1', port: 4620, databaseUrl: null })
  })

  it('take a port, a folder and an existing server', () => {
    const env = {
      KOBRIN_PORT: '8080',
      KOBRIN_DATA_DIR: '/tmp/elsewhere',
      KOBRIN_DATABASE_URL: 'mariadb://a:b@db.test/kobrin',
    }
    expect(settingsFrom(env)).toMatchObject({
      port: 8080,
      dataDir: '/tmp/elsewhere',
      databaseUrl: 'mysql://a:b@db.test/kobrin',
    })
  })

  it.each([
    [{ KOBRIN_PORT: 'many' }, 'KOBRIN_PORT'],
    [{ KOBRIN_PORT: '70000' }, 'KOBRIN_PORT'],
    [{ KOBRIN_DATABASE_URL: 'postgres://db.test/kobrin' }, 'KOBRIN_DATABASE_URL'],
    [{ KOBRIN_DATABASE_URL: 'db.test' }, 'KOBRIN_DATABASE_URL'],
  ])('%o is refused in a sentence that names it', (env, name) => {
    expect(() => settingsFrom(env)).toThrow(KobrinFault)
    expect(() => settingsFrom(env)).toThrow(name)
  })
})
