import type { Payload, SkinLeft } from '@kobrin/core'
import { words } from '../words/en.ts'
import { terms } from '../words/terms.ts'
import { t } from '../words/told.ts'
import type { KindsHere } from './kind.ts'

function saySkins(parts: readonly SkinLeft[]): string {
  return parts.map((part) => words.retained[part]).join(', ')
}

function sayShed({ stage, how, retained, skinFound }: Payload<'ecdysis'>): string {
  const named = skinFound ? t('skinFound', { shed: terms.stage[stage] }) : terms.stage[stage]
  const shed =
    how === 'inPieces'
      ? t('inPieces', { shed: named })
      : how === 'whole'
        ? t('inOnePiece', { shed: named })
        : named
  return retained?.length ? t('oldSkinOn', { shed, parts: saySkins(retained) }) : shed
}

/** Sheds, molts, old skin. */
export const skin = {
  ecdysis: { says: sayShed },
  skinCleared: {
    says: ({ parts }) => (parts ? t('oldSkinOffParts', { parts: saySkins(parts) }) : t('oldSkinOff')),
  },
} satisfies KindsHere
