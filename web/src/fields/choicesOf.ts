/** The words of a vocabulary as what can be chosen, in its order. */
export function choicesOf<K extends string>(
  names: Readonly<Record<K, string>>,
): { value: K; label: string }[] {
  return (Object.entries(names) as [K, string][]).map(([value, label]) => ({ value, label }))
}

/** Words that stand for themselves. */
export function choicesFrom<T extends string>(values: readonly T[]): { value: T; label: T }[] {
  return values.map((value) => ({ value, label: value }))
}

/** Things that have a name. */
export function choicesNamed(
  things: readonly { id: string; name: string }[],
): { value: string; label: string }[] {
  return things.map(({ id: value, name: label }) => ({ value, label }))
}
