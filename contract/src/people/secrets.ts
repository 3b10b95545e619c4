import * as z from 'zod/mini'

/** What somebody signs in with: small letters, digits, points and hyphens. */
export const Login = z
  .string()
  .check(
    z.trim(),
    z.minLength(1, 'A sign-in name is needed.'),
    z.maxLength(60),
    z.toLowerCase(),
    z.regex(/^[a-z0-9.-]+$/, 'A sign-in name has letters, digits, points and hyphens.'),
  )

/** One that is being chosen: long enough that guessing does not pay. */
export const NewPassphrase = z
  .string()
  .check(
    z.minLength(12, 'A passphrase has at least twelve characters: a few words will do.'),
    z.maxLength(200),
  )

export const Pin = z.string().check(z.regex(/^\d{4,8}$/, 'A PIN is four to eight digits.'))

/** Shown once to anyone who may come in with it, in two groups that can be read aloud. */
export const OneTimeCode = z.pipe(
  z
    .string()
    .check(
      z.trim(),
      z.toUpperCase(),
      z.regex(/^[0-9A-Z]{5}-?[0-9A-Z]{5}$/, 'A code is two times five letters and digits.'),
    ),
  z.transform((code) => code.replace('-', '')),
)
