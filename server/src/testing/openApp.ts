import type { Role } from '@kobrin/core'
import type { FastifyInstance } from 'fastify'
import type { AppOptions } from '../app.ts'
import { buildApp } from '../app.ts'
import type { Client } from './client.ts'
import { signedIn } from './client.ts'
import type { Scratch } from './scratch.ts'
import { scratch } from './scratch.ts'
import type { SmallSite } from './smallSite.ts'
import { smallSite } from './smallSite.ts'

export interface OpenApp {
  site: SmallSite
  base: Scratch
  app: FastifyInstance
  as: Client
  close: () => Promise<void>
}

/** The server over a small site of its own, with somebody of a role signed in. */
export async function openApp(role: Role, options: Omit<AppOptions, 'connection'> = {}): Promise<OpenApp> {
  const site = smallSite()
  const base = await scratch(site)
  const app = await buildApp({ ...options, connection: base })
  return {
    site,
    base,
    app,
    as: await signedIn(app, role),
    close: async () => {
      await app.close()
      await base.drop()
    },
  }
}
