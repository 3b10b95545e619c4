import type { BroughtIn } from '@kobrin/contract'
import type { Column } from '@kobrin/core'
import { useLocalStorage, watchDebounced } from '@vueuse/core'
import { computed, onScopeDispose, reactive, shallowRef } from 'vue'
import type { Mended, Understood } from './list.ts'
import type { FromWorker, ToWorker } from './listWorker.ts'
import { useHouseTold } from './useHouseTold.ts'
import { t } from './words.ts'

type Guesses = Extract<FromWorker, { type: 'opened' }>['guesses']

/** Something is mended while somebody types: it is read again when they rest. */
const RESTS_MS = 300

const UNREAD: Readonly<Record<Extract<FromWorker, { type: 'unread' }>['fault'], string>> = {
  empty: t('unreadEmpty'),
  oldWorkbook: t('unreadOld'),
  noWorkbook: t('unreadWorkbook'),
  noText: t('unreadText'),
}

function worker(): Worker {
  return new Worker(new URL('./listWorker.ts', import.meta.url), { type: 'module' })
}

/** A list on its way into the record: read, understood, mended, brought in. */
export function useList() {
  const house = useHouseTold()
  const remembered = useLocalStorage<Record<string, Column[]>>('kobrin.columns', {})
  const file = shallowRef('')
  const guesses = shallowRef<Guesses>([])
  const columns = reactive<Column[]>([])
  const mended = reactive(new Map<number, Mended>())
  const understood = shallowRef<Understood | null>(null)
  const oldLetters = shallowRef(false)
  const complaint = shallowRef('')
  const progress = shallowRef<number | null>(null)
  const brought = shallowRef<BroughtIn | null>(null)
  const wasRemembered = shallowRef(false)
  let hands: Worker | null = null

  const key = computed(() => guesses.value.map(({ column }) => column.header).join('\u001f'))

  function stop(): void {
    hands?.terminate()
    hands = null
    progress.value = null
  }
  onScopeDispose(stop)

  function tell(message: ToWorker): void {
    hands?.postMessage(message)
  }

  function opened(message: Extract<FromWorker, { type: 'opened' }>): void {
    guesses.value = message.guesses
    oldLetters.value = message.oldLetters
    const before = remembered.value[key.value]
    wasRemembered.value = before !== undefined
    const named = before ?? message.guesses.map(({ column }) => column)
    columns.splice(0, columns.length, ...named)
  }

  function answered({ status, answer }: Extract<FromWorker, { type: 'answered' }>): void {
    progress.value = null
    if (status !== 200)
      return void (complaint.value = (answer as { message?: string }).message ?? t('notTaken'))
    brought.value = answer as BroughtIn
    remembered.value = { ...remembered.value, [key.value]: columns.map((column) => ({ ...column })) }
  }

  function heard(message: FromWorker): void {
    switch (message.type) {
      case 'opened':
        return opened(message)
      case 'unread':
        progress.value = null
        return void (complaint.value = UNREAD[message.fault])
      case 'progress':
        return void (progress.value = Math.round((100 * message.done) / message.of))
      case 'understood':
        progress.value = null
        return void (understood.value = message.understood)
      case 'sending':
        return void (progress.value = 100)
      case 'answered':
        return answered(message)
      case 'noLink':
        progress.value = null
        return void (complaint.value = t('noLink'))
    }
  }

  /** Takes a file in hand; whatever was in hand before is put aside. */
  function take(next: File): void {
    stop()
    mended.clear()
    columns.splice(0)
    guesses.value = []
    understood.value = brought.value = null
    complaint.value = ''
    file.value = next.name
    progress.value = 0
    hands = worker()
    hands.addEventListener('message', ({ data }: MessageEvent<FromWorker>) => heard(data))
    tell({ type: 'open', file: next })
  }

  /** What the worker is handed is its own copy: nothing reactive crosses over. */
  function ask(type: 'understand' | 'bringIn'): void {
    const asked = { type, columns, house: house(), mended: [...mended], file: file.value }
    tell(JSON.parse(JSON.stringify(asked)) as ToWorker)
  }

  watchDebounced(
    [columns, mended],
    () => {
      if (columns.length > 0 && !brought.value) ask('understand')
    },
    { debounce: RESTS_MS, deep: true },
  )

  function bringIn(): void {
    complaint.value = ''
    progress.value = 0
    ask('bringIn')
  }

  function mend(row: number, part: Mended): void {
    const before = mended.get(row) ?? {}
    mended.set(row, { ...before, ...part, cells: { ...before.cells, ...part.cells } })
  }

  return {
    file,
    guesses,
    columns,
    mended,
    understood,
    oldLetters,
    complaint,
    progress,
    brought,
    wasRemembered,
    take,
    bringIn,
    mend,
    stop,
  }
}
