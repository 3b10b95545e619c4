/** What stands under a name that comes from outside: never what every object has, such as `constructor`. */
export function own<T>(record: Readonly<Record<string, T>>, name: string): T | undefined {
  return Object.hasOwn(record, name) ? record[name] : undefined
}
