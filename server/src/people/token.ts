import { createHash, randomBytes, randomInt } from 'node:crypto'

/** Only hashes of tokens are stored: reading the database gives nobody a session or a device. */
export function hashed(token: string): string {
  return createHash('sha256').update(token).digest('hex')
}

export function newToken(): string {
  return randomBytes(32).toString('base64url')
}

/** Without those that are taken for one another when they are read aloud or copied by hand. */
const LETTERS = '23456789ABCDEFGHJKMNPQRSTVWXYZ'
const CODE_LENGTH = 10

/** A code for a person to type: 49 bits, enough where tries are counted. */
export function newCode(): string {
  return Array.from({ length: CODE_LENGTH }, () => LETTERS[randomInt(LETTERS.length)]).join('')
}

/** As it is shown: in two groups. */
export function shownCode(code: string): string {
  return `${code.slice(0, CODE_LENGTH / 2)}-${code.slice(CODE_LENGTH / 2)}`
}
