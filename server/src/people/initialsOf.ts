/** Two letters for a name, to stand where there is no room for it. */
export function initialsOf(name: string): string {
  const words = name.split(/\s+/).flatMap((word) => /\p{L}/u.exec(word)?.[0] ?? [])
  return (words.length > 1 ? `${words[0]}${words.at(-1)}` : (words[0] ?? '?')).toUpperCase()
}
