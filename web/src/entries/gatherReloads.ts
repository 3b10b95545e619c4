/** How many subjects are asked for at once: their identities go into one address. */
const AT_ONCE = 150
const GATHER_MS = 60

/** Gathers whatever has to be fetched again and asks for all of it together: two hundred late entries about
 * one animal are one question, not two hundred. */
export function gatherReloads(
  ask: (subjects: string[]) => Promise<unknown>,
  { gatherMs = GATHER_MS }: { gatherMs?: number } = {},
): (subject: string) => void {
  const wanted = new Set<string>()
  let asking = false

  async function run(): Promise<void> {
    asking = true
    await new Promise((resolve) => setTimeout(resolve, gatherMs))
    while (wanted.size > 0) {
      const some = [...wanted].slice(0, AT_ONCE)
      for (const subject of some) wanted.delete(subject)
      // Cut off: the next word about any of them asks again.
      await ask(some).catch(() => undefined)
    }
    asking = false
  }

  return (subject) => {
    wanted.add(subject)
    if (!asking) void run()
  }
}
