import { existsSync } from 'node:fs'
import { join } from 'node:path'
import { KobrinFault } from '../errors/fault.ts'

const FOLDERS = ['/usr/sbin', '/usr/bin', '/usr/local/sbin', '/usr/local/bin']

/** Where one of MariaDB's own programs is. `missing` says what is not there, and `packages` of Debian's bring it. */
export function program(
  name: string,
  { missing, packages }: { missing: string; packages: readonly string[] },
): string {
  const found = FOLDERS.map((folder) => join(folder, name)).find(existsSync)
  if (found !== undefined) return found
  throw new KobrinFault(
    'database_missing',
    `${missing} is not installed. Run: sudo apt-get install --no-install-recommends ${packages.join(' ')}`,
  )
}
