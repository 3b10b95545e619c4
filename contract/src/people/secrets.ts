import { z } from 'zod'

/** What somebody signs in with: small letters, digits, points and hyphens. */
export const Login = z
  .string()
  .trim()
  .min(1, 'A sign-in name is needed.')
  .max(60)
  .toLowerCase()
  .regex(/^[a-z0-9.-]+$/, 'A sign-in name has letters, digits, points and hyphens.')

/** One that is being chosen: long enough that guessing does not pay. */
export const NewPassphrase = z
  .string()
  .min(12, 'A passphrase has at least twelve characters: a few words will do.')
  .max(200)

export const Pin = z.string().regex(/^\d{4,8}$/, 'A PIN is four to eight digits.')

/** Shown once to whoever may come in with it, in two groups that can be read aloud. */
export const OneTimeCode = z
  .string()
  .trim()
  .toUpperCase()
  .regex(/^[0-9A-Z]{5}-?[0-9A-Z]{5}$/, 'A code is two times five letters and digits.')
  .transform((code) => code.replace('-', ''))
