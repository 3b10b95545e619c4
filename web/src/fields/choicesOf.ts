/** The words of a vocabulary as what can be chosen, in its order. */
export function choicesOf<K extends string>(
  names: Readonly<Record<K, string>>,
): { value: K; label: string }[] {
  return (Object.entries(names) as [K, string][]).map(([value, label]) => ({ value, label }))
}
