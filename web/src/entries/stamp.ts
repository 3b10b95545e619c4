import type { Proof, Shift } from '@kobrin/contract'
import { provenText } from '@kobrin/contract'
import type { PostedEntry } from '@kobrin/core'

function hex(bytes: ArrayBuffer): string {
  return [...new Uint8Array(bytes)].map((byte) => byte.toString(16).padStart(2, '0')).join('')
}

/** Stamps an entry with the key of the sign-in it was made in, so that a colleague who takes the tablet over
 * can send it. Null where the browser has no cryptography: then only its author can. */
export async function stamped(entry: PostedEntry, { id, key }: Shift): Promise<Proof | null> {
  const { subtle } = globalThis.crypto as { subtle?: SubtleCrypto }
  if (!subtle) return null
  const bytes = new TextEncoder()
  const algorithm = { name: 'HMAC', hash: 'SHA-256' }
  const secret = await subtle.importKey('raw', bytes.encode(key), algorithm, false, ['sign'])
  return { shift: id, mac: hex(await subtle.sign('HMAC', secret, bytes.encode(provenText(entry)))) }
}
