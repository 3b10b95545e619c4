import { describe, expect, it } from 'vitest'
import type { App } from 'vue'
import { createApp, defineComponent, h, nextTick, reactive } from 'vue'
import * as z from 'zod/mini'
import { useParts } from '../app/parts.ts'
import NumberField from './NumberField.vue'
import SchemaForm from './SchemaForm.vue'
import TextField from './TextField.vue'

const COUNTED = z.strictObject({
  found: z.int().check(z.minimum(0)),
  why: z.string().check(z.trim(), z.minLength(1)),
})

function formOf(also?: () => Record<string, string>) {
  const draft = reactive<{ found: number | null; why: string }>({ found: null, why: '' })
  const kept: unknown[] = []
  const page = document.createElement('div')
  document.body.append(page)
  const Asking = defineComponent({
    render: () =>
      h(
        SchemaForm,
        {
          schema: COUNTED,
          sends: () => ({ ...draft }),
          ...(also && { also }),
          onKeep: () => kept.push({ ...draft }),
        },
        () => [
          h(NumberField, {
            label: 'Found',
            unit: 'animals',
            name: 'found',
            modelValue: draft.found,
            'onUpdate:modelValue': (value: number | null | undefined) => (draft.found = value ?? null),
          }),
          h(TextField, {
            label: 'Why',
            name: 'why',
            modelValue: draft.why,
            'onUpdate:modelValue': (value: string | undefined) => (draft.why = value ?? ''),
          }),
        ],
      ),
  })
  const app: App = createApp(Asking)
  useParts(app)
  app.mount(page)
  const field = (name: string) => page.querySelector<HTMLInputElement>(`input[name="${name}"]`)
  const settled = async () => {
    await new Promise((resolve) => setTimeout(resolve))
    await nextTick()
  }
  return {
    draft,
    kept,
    alerts: () => [...page.querySelectorAll('[role="alert"]')].map((one) => one.textContent.trim()),
    field,
    submit: async () => {
      page.querySelector('form')?.dispatchEvent(new Event('submit', { cancelable: true }))
      await settled()
    },
    type: async (name: string, text: string) => {
      const input = field(name)
      if (!input) throw new Error(`No field ${name}.`)
      input.focus()
      input.value = text
      input.dispatchEvent(new Event('input'))
      input.dispatchEvent(new Event('change'))
      input.dispatchEvent(new FocusEvent('blur'))
      await settled()
    },
  }
}

describe('a form held against the schema the server holds it against', () => {
  it('says at each field what is wrong with it, keeps nothing, and keeps what was typed', async () => {
    const { submit, alerts, kept, type, field } = formOf()
    await type('found', '3')
    await submit()
    expect([alerts(), kept]).toEqual([['Write a word or two.'], []])
    expect(field('why')?.getAttribute('aria-invalid')).toBe('true')
    expect(field('found')?.value).toBe('3 animals')
  })

  it('is kept once nothing is wrong', async () => {
    const { submit, alerts, kept, type } = formOf()
    await submit()
    expect(alerts()).toEqual(['A number is needed here.', 'Write a word or two.'])
    await type('found', '3')
    await type('why', 'In the lid')
    await submit()
    expect([alerts(), kept]).toEqual([[], [{ found: 3, why: 'In the lid' }]])
  })

  it('says what no schema can know at its field too, and elsewhere what has none', async () => {
    const { submit, alerts, type } = formOf(() => ({ found: 'More than there were.', shelf: 'Which shelf?' }))
    await type('found', '3')
    await type('why', 'In the lid')
    await submit()
    expect(alerts()).toEqual(['More than there were.', 'Which shelf?'])
  })
})
