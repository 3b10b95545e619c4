import { hash, verify } from '@node-rs/argon2'
import pLimit from 'p-limit'

/** argon2id with the parameters OWASP names for interactive sign-in: 19 MiB, 2 passes. */
const OPTIONS = { memoryCost: 19_456, timeCost: 2, parallelism: 1 }

/** It is meant to be costly: a crowd at the door must not take the threads that everybody else's files and
 * compressed answers need. */
const inTurn = pLimit(2)

export function hashSecret(secret: string): Promise<string> {
  return inTurn(() => hash(secret, OPTIONS))
}

export function matches(hashed: string, secret: string): Promise<boolean> {
  return inTurn(() => verify(hashed, secret))
}

/** A hash of nothing anyone knows, so that an unknown name takes as long to refuse as a known one. */
let decoy: Promise<string> | undefined
export function decoyHash(): Promise<string> {
  decoy ??= hashSecret(crypto.randomUUID())
  return decoy
}
