import type { UseStorageOptions } from '@vueuse/core'
import { useStorage } from '@vueuse/core'
import type { MaybeRefOrGetter } from 'vue'
import type * as z from 'zod/mini'

/** What lies in a store of this browser, read back: an older page, another program or a curious hand may have written
 * there. What has not this shape is as if nothing were there. */
export function readStored<T>(schema: z.ZodMiniType<T>, text: string | null): T | null {
  if (text === null) return null
  try {
    const { data = null } = schema.safeParse(JSON.parse(text))
    return data
  } catch {
    return null
  }
}

interface StoredOptions<T> extends UseStorageOptions<T> {
  storage?: Storage
}

/** Something that stays with this browser, and is a word, a list or a table of this shape whatever lies there. Words lie
 * there as they are, all else as JSON. */
export function useStored<T>(
  key: MaybeRefOrGetter<string>,
  schema: z.ZodMiniType<T>,
  fallback: T,
  { storage, ...options }: StoredOptions<T> = {},
) {
  const isWord = typeof fallback === 'string'
  return useStorage<T>(key, fallback, storage, {
    ...options,
    serializer: {
      read: (text) => readStored(schema, isWord ? JSON.stringify(text) : text) ?? fallback,
      write: (value) => (isWord ? String(value) : JSON.stringify(value)),
    },
  })
}
