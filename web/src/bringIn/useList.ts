import { useDebounceFn } from '@vueuse/core'
import { computed, onScopeDispose } from 'vue'
import type { ListAnswers, ListColumn, Mended } from '@kobrin/core'
import { useStored } from '../kept/useStored.ts'
import { useMachine } from '../machines/useMachine.ts'
import type { BroughtListDeed, BroughtListEvent } from './broughtList.ts'
import { bring, nothingInHand, Remembered } from './broughtList.ts'
import type { FromWorker, ToWorker } from './listWorker.ts'
import { useHouseInBrief } from './useHouseInBrief.ts'

/** Something is mended while somebody types: it is read again when they rest. */
const RESTS_MS = 300

function worker(onHeard: (message: FromWorker) => void): Worker {
  const hands = new Worker(new URL('./listWorker.ts', import.meta.url), { type: 'module' })
  hands.addEventListener('message', ({ data }: MessageEvent<FromWorker>) => onHeard(data))
  return hands
}

/** Its own copy of something: nothing reactive crosses over to a worker. */
function plainly<T>(one: T): T {
  return JSON.parse(JSON.stringify(one)) as T
}

/** A list on its way into the record, read by a worker beside the page. */
export function useList() {
  const house = useHouseInBrief()
  const remembered = useStored<Remembered>('kobrin.listColumns', Remembered, {})
  let hands: Worker | null = null

  function letGo(): void {
    hands?.terminate()
    hands = null
  }
  onScopeDispose(letGo)

  function ask(type: 'understand' | 'bringIn'): void {
    const { columns, answers, mended, file } = now.value
    const asked = { type, columns, answers, house: house(), mended: [...mended], file: file?.name ?? '' }
    hands?.postMessage(plainly(asked))
  }
  const understand = useDebounceFn(() => {
    if (!now.value.isStopped) ask('understand')
  }, RESTS_MS)

  function act(deed: BroughtListDeed): void {
    switch (deed.type) {
      case 'open':
        letGo()
        hands = worker(tell)
        return hands.postMessage({ ...deed, house: plainly(house()) } satisfies ToWorker)
      case 'understand':
        return void understand()
      case 'bringIn':
        return ask('bringIn')
      case 'stop':
        return letGo()
      case 'remember':
        remembered.value = deed.remembered
    }
  }

  const { now, tell } = useMachine(
    nothingInHand,
    (before, event: BroughtListEvent) => bring(before, event, remembered.value),
    act,
  )

  return {
    now,
    columns: computed({
      get: () => [...now.value.columns],
      set: (columns: ListColumn[]) => tell({ type: 'named', columns }),
    }),
    take: (file: File) => tell({ type: 'taken', file }),
    answers: computed({
      get: () => now.value.answers,
      set: (answers: ListAnswers) => tell({ type: 'answeredWith', answers }),
    }),
    turnTo: (sheet: number) => tell({ type: 'turnedTo', sheet }),
    headAt: (line: number) => tell({ type: 'headed', line }),
    takeUp: () => tell({ type: 'takenUp' }),
    mend: (row: number, part: Mended) => tell({ type: 'mended', row, part }),
    bringIn: () => tell({ type: 'submitted' }),
    stop: () => tell({ type: 'stopped' }),
  }
}
