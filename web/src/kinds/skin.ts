import type { EcdysisStage, Payload, SkinLeft } from '@kobrin/core'
import { partsLeft, shedsSkin } from '@kobrin/core'
import type { Ask, Exception, ExceptionsFor } from '../exceptions/ask.ts'
import { choice, nothing } from '../exceptions/ask.ts'
import { t as asks } from '../exceptions/words.ts'
import { words } from '../words/en.ts'
import { t } from '../words/facts.ts'
import type { KindsHere } from './kind.ts'

function saySkins(parts: readonly SkinLeft[]): string {
  return parts.map((part) => words.retained[part]).join(', ')
}

function sayShed({ stage, how, retained, skinFound }: Payload<'ecdysis'>): string {
  const named = skinFound ? t('skinFound', { shed: words.stage[stage] }) : words.stage[stage]
  const shed =
    how === 'inPieces'
      ? t('inPieces', { shed: named })
      : how === 'whole'
        ? t('inOnePiece', { shed: named })
        : named
  return retained?.length ? t('oldSkinOn', { shed, parts: saySkins(retained) }) : shed
}

type Skin = Payload<'ecdysis'>

const SIGNS: Readonly<Record<'shedding' | 'molting', readonly EcdysisStage[]>> = {
  shedding: ['dull', 'inBlue', 'clear'],
  molting: ['premolt', 'sealedIn', 'soft', 'hardened'],
}

function off(stage: 'shed' | 'molted'): { label: string; payload: Skin }[] {
  const name = words.stage[stage]
  return [
    { label: asks('whole', { name }), payload: { stage, how: 'whole' } },
    { label: asks('inPieces', { name }), payload: { stage, how: 'inPieces' } },
    { label: asks('skinFound', { name }), payload: { stage, skinFound: true } },
  ]
}

const STILL_ON: { label: string; payload: Skin }[] = [
  { label: asks('shedEyeCapsStill'), payload: { stage: 'shed', how: 'inPieces', retained: ['eyeCaps'] } },
  {
    label: asks('shedToesOrTail'),
    payload: { stage: 'shed', how: 'inPieces', retained: ['toes', 'tailTip'] },
  },
]

/** Old skin that had stayed on is off. */
function cleared(residentId: string, retained: readonly SkinLeft[]): { label: string; then: Ask }[] {
  if (retained.length === 0) return []
  const off = (payload: Payload<'skinCleared'>) =>
    nothing({ subject: residentId, kind: 'skinCleared', payload })
  const each = retained.length > 1 ? retained : []
  return [
    { label: asks('oldSkinIsOff'), then: off({}) },
    ...each.map((part) => ({
      label: asks('oldSkinIsOff2', { retained: words.retained[part] }),
      then: off({ parts: [part] }),
    })),
  ]
}

/** The signs and stages of a shed or a molt, by kind of animal. */
function skinOffered({ residentId, group, state }: ExceptionsFor): Exception[] {
  const sheds = shedsSkin(group)
  const signs = SIGNS[sheds ? 'shedding' : 'molting'].map((stage) => ({
    label: words.stage[stage],
    payload: { stage },
  }))
  const all = [...signs, ...(sheds ? [...off('shed'), ...STILL_ON] : off('molted'))]
  const ask: Ask = choice([
    ...all.map(({ label, payload }) => ({
      label,
      then: nothing({ subject: residentId, kind: 'ecdysis', payload }),
    })),
    ...cleared(residentId, partsLeft(state.skin)),
  ])
  return [{ id: 'skin', key: 's', label: sheds ? asks('shedSign') : asks('moltSign'), ask }]
}

/** Sheds, molts, old skin. */
export const skin = {
  ecdysis: { says: sayShed, offers: skinOffered },
  skinCleared: {
    says: ({ parts }) => (parts ? t('oldSkinOffParts', { parts: saySkins(parts) }) : t('oldSkinOff')),
  },
} satisfies KindsHere
