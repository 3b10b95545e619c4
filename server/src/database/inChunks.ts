/** Does something with so many at a time, one after the other; what each came to, in their order. */
export async function inChunks<T, R>(
  all: readonly T[],
  size: number,
  work: (some: T[]) => Promise<R>,
): Promise<R[]> {
  const made: R[] = []
  for (let at = 0; at < all.length; at += size) made.push(await work(all.slice(at, at + size)))
  return made
}
