import { createHash, randomBytes } from 'node:crypto'

/** Only hashes of tokens are stored: reading the database gives nobody a session or a device. */
export function hashed(token: string): string {
  return createHash('sha256').update(token).digest('hex')
}

export function newToken(): string {
  return randomBytes(32).toString('base64url')
}
