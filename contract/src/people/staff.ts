import { z } from 'zod'
import { Login, NewPassphrase, OneTimeCode, Pin } from './secrets.ts'
import { Person, RoleName } from './session.ts'

/** A person as whoever keeps the list of staff writes them down. */
export const KeepPerson = z.strictObject({
  name: z.string().trim().min(1, 'A name is needed.').max(120),
  login: Login,
  initials: z
    .string()
    .trim()
    .regex(/^\p{L}{1,4}$/u, 'Initials are one to four letters.')
    .toUpperCase(),
  role: RoleName,
  competences: z.array(z.string().trim().min(1).max(60)).max(20),
})
export type KeepPerson = z.infer<typeof KeepPerson>

/** A person as the list of staff shows them to whoever keeps it. */
export const StaffLine = z.strictObject({
  ...Person.shape,
  login: z.string(),
  /** Whether they may come in. */
  active: z.boolean(),
  hasPassphrase: z.boolean(),
  hasPin: z.boolean(),
  /** Until when a code that was given to them is good. */
  codeUntil: z.string().nullable(),
  lastSignIn: z.string().nullable(),
})
export type StaffLine = z.infer<typeof StaffLine>

/** A code to hand to somebody: with it they choose a passphrase, once. It is shown this one time. */
export const GivenCode = z.strictObject({ person: z.uuid(), code: z.string(), until: z.string() })
export type GivenCode = z.infer<typeof GivenCode>

/** Coming in for the first time, or again after a passphrase was forgotten. */
export const UseCode = z.strictObject({ login: Login, code: OneTimeCode, passphrase: NewPassphrase })
export type UseCode = z.infer<typeof UseCode>

const current = z.string().min(1, 'Your passphrase is needed.').max(200)

/** A PIN of one's own, or none any more. */
export const ChoosePin = z.strictObject({ passphrase: current, pin: Pin.nullable() })
export type ChoosePin = z.infer<typeof ChoosePin>

export const ChoosePassphrase = z.strictObject({ passphrase: current, next: NewPassphrase })
export type ChoosePassphrase = z.infer<typeof ChoosePassphrase>
