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

  it('take the names it is reached by, and whose word about addresses is believed', () => {
    const env = { KOBRIN_HOSTS: 'kobrin.test, 10.1.2.3', KOBRIN_TRUST_PROXY: '127.0.0.1, 10.0.0.0/8' }
    expect(settingsFrom(env)).toMatchObject({
      hosts: ['kobrin.test', '10.1.2.3', '127.0.0.1'],
      trustProxy: ['127.0.0.1', '10.0.0.0/8'],
    })
    expect(settingsFrom({ KOBRIN_HOST: '0.0.0.0' })).toMatchObject({ hosts: [], trustProxy: false })
  })

  it('take balances by name and address', () => {
    const env = { KOBRIN_BALANCES: 'Gatehouse bench=192.168.1.20:4001, Cellar=[::1]:4002' }
    expect(settingsFrom(env).balances).toEqual([
      { name: 'Gatehouse bench', host: '192.168.1.20', port: 4001 },
      { name: 'Cellar', host: '::1', port: 4002 },
    ])
    expect(settingsFrom({}).balances).toEqual([])
  })

  it.each([
    [{ KOBRIN_BALANCES: 'Bench' }, 'KOBRIN_BALANCES'],
    [{ KOBRIN_BALANCES: 'Bench=host' }, 'KOBRIN_BALANCES'],
    [{ KOBRIN_PORT: 'many' }, 'KOBRIN_PORT'],
    [{ KOBRIN_PORT: '70000' }, 'KOBRIN_PORT'],
    [{ KOBRIN_DATABASE_URL: 'postgres://db.test/kobrin' }, 'KOBRIN_DATABASE_URL'],
    [{ KOBRIN_DATABASE_URL: 'db.test' }, 'KOBRIN_DATABASE_URL'],
    [{ KOBRIN_HOSTS: 'https://kobrin.test' }, 'KOBRIN_HOSTS'],
    [{ KOBRIN_TRUST_PROXY: 'yes' }, 'KOBRIN_TRUST_PROXY'],
  ])('%o is refused in a sentence that names it', (env, name) => {
    expect(() => settingsFrom(env)).toThrow(KobrinFault)
    expect(() => settingsFrom(env)).toThrow(name)
  })
})
