import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { effectScope, nextTick, reactive } from 'vue'
import { usePeople } from '../people/usePeople.ts'
import { LOTTE, ME, smallHouse } from '../testing/smallHouse.ts'
import { beginShift } from '../testing/standInRecord.ts'
import { useSite } from '../site/useSite.ts'
import { useDraft } from './useDraft.ts'

vi.mock('../entries/useRecord.ts', () => import('../testing/standInRecord.ts'))

/** A form that is opened. */
function opened(name = 'newcomer') {
  const form = reactive({ name: '', count: null as number | null })
  const draft = effectScope().run(() => useDraft(name, form))
  if (!draft) throw new Error('The scope had ended.')
  return { form, draft }
}

/** The page is loaded again: only what lies on the device is left. */
function reloaded(): void {
  setActivePinia(createPinia())
  usePeople().me = ME
  useSite().site = smallHouse()
}

beforeEach(() => {
  beginShift()
  reloaded()
})

describe('what was typed into a form', () => {
  it('is there again when the form is opened again, and says so', async () => {
    opened().form.name = 'Marlin'
    await nextTick()
    const again = opened()
    expect(again.form.name).toBe('Marlin')
    expect(again.draft.begunAt.value).not.toBeNull()
  })

  it('outlives the page', async () => {
    opened().form.count = 12
    await nextTick()
    await nextTick()
    reloaded()
    expect(opened().form.count).toBe(12)
  })

  it('is of that form only', async () => {
    opened('move ada').form.name = 'Marlin'
    await nextTick()
    expect(opened('move ben').form.name).toBe('')
  })

  it('is nobody else’s', async () => {
    opened().form.name = 'Marlin'
    await nextTick()
    usePeople().me = { ...ME, person: { ...LOTTE, id: 'tobias' } }
    await nextTick()
    expect(opened().form.name).toBe('')
  })

  it('is gone once it is kept', async () => {
    const { form, draft } = opened()
    form.name = 'Marlin'
    await nextTick()
    draft.drop()
    expect(opened().form.name).toBe('')
  })

  it('is gone once everything stands as it began', async () => {
    const { form } = opened()
    form.name = 'Marlin'
    await nextTick()
    form.name = ''
    await nextTick()
    expect(opened().draft.begunAt.value).toBeNull()
  })

  it('can be thrown away', async () => {
    opened().form.name = 'Marlin'
    await nextTick()
    const { form, draft } = opened()
    draft.anew()
    expect(form.name).toBe('')
    await nextTick()
    expect(opened().draft.begunAt.value).toBeNull()
  })

  it('is forgotten after two weeks', async () => {
    opened().form.name = 'Marlin'
    await nextTick()
    const twoWeeks = Date.now() + 14 * 86_400_000
    vi.spyOn(Date, 'now').mockReturnValue(twoWeeks)
    expect(opened().form.name).toBe('')
    vi.restoreAllMocks()
  })
})
