import type { Answer, Asked, Route } from '@kobrin/contract'
import { addressOf, ROUTES } from '@kobrin/contract'
import type { AsyncStorage, PersistedQuery } from '@tanstack/query-persist-client-core'
import { experimental_createQueryPersister as createPersister } from '@tanstack/query-persist-client-core'
import { QueryClient, useMutation, useQuery } from '@tanstack/vue-query'
import { computed, watch } from 'vue'
import { sayError } from '../app/sayError.ts'
import { kept } from '../kept/keptStore.ts'
import { call, Unreachable } from './call.ts'
import { answersChanged, historiesChanged } from './changes.ts'

const DAY_MS = 86_400_000
/** What was opened lately stays on this device for so long. */
const KEPT_FOR_MS = 60 * DAY_MS

const persister = createPersister<PersistedQuery>({
  storage: kept.answers as AsyncStorage<PersistedQuery>,
  serialize: (query) => query,
  deserialize: (query) => query,
  maxAge: KEPT_FOR_MS,
})

/** When this page was opened: what was answered before may be another answer now, and nobody here heard of it. */
const OPENED_AT = Date.now()

/** What the server answered, while it is true: the feed says when it is no longer. */
export const queries = new QueryClient({
  defaultOptions: {
    queries: {
      staleTime: Infinity,
      gcTime: DAY_MS,
      networkMode: 'offlineFirst',
      refetchOnReconnect: 'always',
      retry: (tries, error) => tries < 2 && error instanceof Unreachable && globalThis.navigator.onLine,
    },
    mutations: { networkMode: 'always' },
  },
})

const HISTORY = '/api/subjects/'

// What was answered about any plan, sheet or box may be another answer now.
answersChanged.on(() => {
  void queries.invalidateQueries({ predicate: ({ queryKey: [key] }) => !String(key).startsWith(HISTORY) })
})

// Histories, and what changed of late.
historiesChanged.on((subjects) => {
  const histories = new Set(subjects.map((subject) => keyOf(ROUTES.record, { params: { subject } })[0]))
  const changes = ROUTES.changes.url
  void queries.invalidateQueries({
    predicate: ({ queryKey: [key] }) => histories.has(String(key)) || String(key).startsWith(changes),
  })
})

interface AnyAsked {
  params?: Record<string, string | number>
  querystring?: Record<string, string | number | undefined>
}

/** By its address, so that anyone who hears of a change can name what it is about. */
export function keyOf(route: Route, { params, querystring }: AnyAsked = {}): [string] {
  return [addressOf(route.url, params, querystring)]
}

/** What the server answers to a question, asked again when what is asked changes, or when the feed tells that the
 * answer has. Without a link it is the last answer that this device was given. */
export function useAnswerOf<R extends Route>(
  route: R,
  ...[asked]: keyof Asked<R> extends never ? [] : [() => Asked<R>]
) {
  const { data, error, dataUpdatedAt, refetch } = useQuery(
    {
      queryKey: computed(() => keyOf(route, asked?.() as AnyAsked | undefined)),
      queryFn: (): Promise<Answer<R>> =>
        (call as (...all: unknown[]) => Promise<Answer<R>>)(route, asked?.()),
      persister: persister.persisterFn,
    },
    queries,
  )
  watch(dataUpdatedAt, (at) => at > 0 && at < OPENED_AT && void refetch(), { immediate: true })
  return {
    answer: computed(() => (data.value as Answer<R> | undefined) ?? null),
    // What is here is shown, also where nothing newer can be had.
    complaint: computed(() => (error.value && data.value === undefined ? sayError(error.value) : '')),
  }
}

/** Something sent to the server: whether it is on its way, and what was wrong with it. */
export function useSending<Given = void, Got = unknown>(post: (given: Given) => Promise<Got>) {
  const { isPending, error, mutateAsync } = useMutation({ mutationFn: post }, queries)
  return {
    busy: isPending,
    complaint: computed(() => (error.value ? sayError(error.value) : '')),
    /** Null where it was not taken, or the same is already on its way. */
    async send(given: Given): Promise<{ got: Got } | null> {
      if (isPending.value) return null
      return mutateAsync(given).then(
        (got) => ({ got }),
        () => null,
      )
    },
  }
}
