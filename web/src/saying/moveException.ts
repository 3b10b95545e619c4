import type { Exception } from './ask.ts'

export interface FreePlace {
  id: string
  label: string
}

/** Moving to an enclosure that stands empty. Nothing moves in without a place ready. */
export function moveException(residentId: string, free: readonly FreePlace[]): Exception[] {
  const [first] = free
  if (!first) return []
  return [
    {
      id: 'move',
      key: 'g',
      label: 'Moved to …',
      ask: {
        type: 'form',
        fields: [
          {
            name: 'to',
            label: 'Into',
            type: 'select',
            value: first.id,
            options: free.map(({ id, label }) => ({ value: id, label })),
          },
          { name: 'why', label: 'Why', type: 'text', value: '', required: true },
        ],
        draft: ({ text }) => {
          const why = text('why')
          return {
            residentId,
            kind: 'moved',
            payload: { to: text('to') ?? first.id, ...(why !== undefined && { why }) },
          }
        },
      },
    },
  ]
}
