import { setTimeout as sleep } from 'node:timers/promises'

/** One measured figure: a ratio (or a size) held against its limit. */
export interface Figure {
  name: string
  value: number
  limit: number
  atLeast?: true
  /** The absolute values behind it. */
  about: string
}

function sorted(values: readonly number[]): number[] {
  return [...values].sort((a, b) => a - b)
}

export function quantile(values: readonly number[], share: number): number {
  const ranked = sorted(values)
  return ranked[Math.min(ranked.length - 1, Math.floor(share * ranked.length))] ?? NaN
}

export function median(values: readonly number[]): number {
  return quantile(values, 0.5)
}

export function holds({ value, limit, atLeast }: Figure): boolean {
  return atLeast ? value >= limit : value <= limit
}

export function line(figure: Figure): string {
  const { name, value, limit, atLeast, about } = figure
  const measured = `${name} ${value.toFixed(2)} ${atLeast ? '>=' : '<='} ${limit}`
  return `${measured.padEnd(46)} # ${holds(figure) ? 'holds' : 'FAILS'}; ${about}`
}

export async function timed(work: () => unknown): Promise<number> {
  const since = performance.now()
  await work()
  return performance.now() - since
}

/** Times two things in turn, so that whatever else the machine does befalls both alike. */
export async function inTurn(
  rounds: number,
  one: () => unknown,
  other: () => unknown,
): Promise<{ one: number[]; other: number[] }> {
  const times = { one: [] as number[], other: [] as number[] }
  await one()
  await other()
  for (let round = 0; round < rounds; round += 1) {
    times.one.push(await timed(one))
    times.other.push(await timed(other))
  }
  return times
}

/** What this process holds of memory once everything that nobody needs is gone, MB. */
export async function heldMb(): Promise<number> {
  // What the first collection found dead lets go of what it held outside the heap a moment later.
  for (let times = 0; times < 3; times += 1) {
    globalThis.gc?.()
    await sleep(50)
  }
  const { heapUsed, external } = process.memoryUsage()
  return (heapUsed + external) / 1024 / 1024
}

export function ms(value: number): string {
  return `${value.toFixed(value < 10 ? 2 : 0)} ms`
}
