import * as z from 'zod/mini'
import { Login, NewPassphrase, OneTimeCode, Pin } from './secrets.ts'
import { Person, RoleName } from './session.ts'

/** A person as anyone who keeps the list of staff writes them down. */
export const KeepPerson = z.strictObject({
  name: z.string().check(z.trim(), z.minLength(1, 'A name is needed.'), z.maxLength(120)),
  login: Login,
  initials: z
    .string()
    .check(z.trim(), z.regex(/^\p{L}{1,4}$/u, 'Initials are one to four letters.'), z.toUpperCase()),
  role: RoleName,
  competences: z.array(z.string().check(z.trim(), z.minLength(1), z.maxLength(60))).check(z.maxLength(20)),
})
export type KeepPerson = z.infer<typeof KeepPerson>

/** A person as the list of staff shows them to anyone who keeps it. */
export const StaffLine = z.strictObject({
  ...Person.shape,
  login: z.string(),
  /** Whether they may come in. */
  active: z.boolean(),
  hasPassphrase: z.boolean(),
  hasPin: z.boolean(),
  /** Until when a code that was given to them is good. */
  codeUntil: z.nullable(z.string()),
  lastSignIn: z.nullable(z.string()),
})
export type StaffLine = z.infer<typeof StaffLine>

/** A code to hand to somebody: with it they choose a passphrase, once. It is shown this one time. */
export const GivenCode = z.strictObject({ person: z.uuid(), code: z.string(), until: z.string() })
export type GivenCode = z.infer<typeof GivenCode>

/** Coming in for the first time, or again after a passphrase was forgotten. */
export const UseCode = z.strictObject({ login: Login, code: OneTimeCode, passphrase: NewPassphrase })
export type UseCode = z.infer<typeof UseCode>

const current = z.string().check(z.minLength(1, 'Your passphrase is needed.'), z.maxLength(200))

/** A PIN of one's own, or none any more. */
export const ChoosePin = z.strictObject({ passphrase: current, pin: z.nullable(Pin) })
export type ChoosePin = z.infer<typeof ChoosePin>

export const ChoosePassphrase = z.strictObject({ passphrase: current, next: NewPassphrase })
export type ChoosePassphrase = z.infer<typeof ChoosePassphrase>
