import { ROLES } from '@kobrin/core'
import * as z from 'zod/mini'
import { Login, Pin } from './secrets.ts'

export const RoleName = z.enum(ROLES)

/** In which units somebody reads and types; the record keeps metric ones. */
export const Units = z.enum(['metric', 'us'])
export type Units = z.infer<typeof Units>

/** A member of staff as everyone signed in may see them. */
export const Person = z.strictObject({
  id: z.uuid(),
  name: z.string(),
  initials: z.string(),
  role: RoleName,
  /** Work that asks for training: what this person may do. */
  competences: z.array(z.string()),
  /** Their own choice of units; without one, that of the house. */
  units: z.optional(z.nullable(Units)),
})
export type Person = z.infer<typeof Person>

export const SignIn = z.strictObject({
  login: Login,
  passphrase: z.string().check(z.minLength(1), z.maxLength(200)),
})
export type SignIn = z.infer<typeof SignIn>

/** Switching person on an enrolled tablet. */
export const SwitchPerson = z.strictObject({
  personId: z.uuid(),
  pin: Pin,
})
export type SwitchPerson = z.infer<typeof SwitchPerson>

export const EnrolDevice = z.strictObject({
  name: z.string().check(z.trim(), z.minLength(1), z.maxLength(60)),
})

/** One sign-in, and the key that stamps what is made during it (see `proofOf`). */
export const Shift = z.strictObject({ id: z.uuid(), key: z.string() })
export type Shift = z.infer<typeof Shift>

export const Me = z.strictObject({
  person: Person,
  device: z.strictObject({ name: z.nullable(z.string()), enrolled: z.boolean() }),
  shift: Shift,
})
export type Me = z.infer<typeof Me>

/** Who is at a screen, if anyone, and who could take over by PIN where the tablet is enrolled. */
export const Presence = z.strictObject({ me: z.nullable(Me), people: z.array(Person) })
export type Presence = z.infer<typeof Presence>

/** A browser people sign in on. */
export const DeviceLine = z.strictObject({
  id: z.uuid(),
  /** Of an enrolled tablet. */
  name: z.nullable(z.string()),
  enrolled: z.boolean(),
  lastSignIn: z.nullable(z.string()),
})
export type DeviceLine = z.infer<typeof DeviceLine>
