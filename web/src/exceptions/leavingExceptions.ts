import type { Ask, Exception, Field } from './ask.ts'

const WHY: Field = { name: 'why', label: 'What is known', type: 'text', value: '' }

function howMany(lives: 'individual' | 'colony'): Field[] {
  if (lives === 'individual') return []
  const label = 'How many; leave empty for all'
  return [{ name: 'count', label, type: 'number', unit: 'animals', whole: true, value: '' }]
}

function dying(residentId: string, lives: 'individual' | 'colony'): Ask {
  return {
    type: 'form',
    fields: [...howMany(lives), WHY],
    draft: ({ text, number }) => {
      const [count, why] = [number('count'), text('why')]
      return {
        subject: residentId,
        kind: 'died',
        payload: { ...(count !== undefined && { count }), ...(why !== undefined && { why }) },
      }
    },
  }
}

function leaving(residentId: string, lives: 'individual' | 'colony'): Ask {
  return {
    type: 'form',
    fields: [
      { name: 'to', label: 'To whom', type: 'text', value: '', required: true },
      ...howMany(lives),
      { name: 'why', label: 'Why', type: 'text', value: '' },
    ],
    draft: ({ text, number }) => {
      const [count, why] = [number('count'), text('why')]
      return {
        subject: residentId,
        kind: 'left',
        payload: {
          to: text('to') ?? '…',
          ...(count !== undefined && { count }),
          ...(why !== undefined && { why }),
        },
      }
    },
  }
}

/** It died, or it left the house. */
export function leavingExceptions(residentId: string, lives: 'individual' | 'colony'): Exception[] {
  return [
    { id: 'died', key: '9', label: 'Died …', ask: dying(residentId, lives) },
    { id: 'left', key: '8', label: 'Left the house …', ask: leaving(residentId, lives) },
  ]
}
