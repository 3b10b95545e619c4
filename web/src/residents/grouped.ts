/** Things by a name they share, each group in the order in which they came; what has none is in no group. */
export function grouped<T, K extends string>(
  list: Iterable<T>,
  nameOf: (one: T) => K | undefined,
): Map<K, T[]> {
  const groups = new Map<K, T[]>()
  for (const one of list) {
    const name = nameOf(one)
    if (name === undefined) continue
    const group = groups.get(name)
    if (group) group.push(one)
    else groups.set(name, [one])
  }
  return groups
}
