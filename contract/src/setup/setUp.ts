import * as z from 'zod/mini'
import { Login, NewPassphrase, OneTimeCode } from '../people/secrets.ts'
import { Units } from '../people/session.ts'

function isZone(zone: string): boolean {
  try {
    new Intl.DateTimeFormat('en', { timeZone: zone })
    return true
  } catch {
    return false
  }
}

export const Zone = z
  .string()
  .check(z.maxLength(60), z.refine(isZone, 'This is no time zone, such as Europe/Amsterdam.'))

/** What a house begins with, while its record is empty: its name, where its clocks stand, and who answers for it. */
export const SetUp = z.strictObject({
  code: OneTimeCode,
  house: z.string().check(z.trim(), z.minLength(1, 'The house needs a name.'), z.maxLength(120)),
  zone: Zone,
  units: Units,
  name: z
    .string()
    .check(z.trim(), z.minLength(1, 'The person who answers for the house needs a name.'), z.maxLength(120)),
  login: Login,
  passphrase: NewPassphrase,
})
export type SetUp = z.infer<typeof SetUp>
