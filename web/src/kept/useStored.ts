import type { UseStorageOptions } from '@vueuse/core'
import { useStorage } from '@vueuse/core'
import type { MaybeRefOrGetter } from 'vue'
import type * as z from 'zod/mini'

function heldAgainst<T>(schema: z.ZodMiniType<T>, value: unknown): T | null {
  const { data = null } = schema.safeParse(value)
  return data
}

/** What lies in a store of this browser, read back: an older page, another program or a curious hand may have written
 * there. What has not this shape is as if nothing were there. */
export function readStored<T>(schema: z.ZodMiniType<T>, text: string | null): T | null {
  if (text === null) return null
  try {
    return heldAgainst(schema, JSON.parse(text))
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
      read: (text) => (isWord ? heldAgainst(schema, text) : readStored(schema, text)) ?? fallback,
      write: (value) => (isWord ? String(value) : JSON.stringify(value)),
    },
  })
}
