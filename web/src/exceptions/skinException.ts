import type { Draft, EcdysisStage, SheetGroup, SkinLeft } from '@kobrin/core'
import { shedsSkin } from '@kobrin/core'
import { words } from '../words/en.ts'
import { terms } from '../words/terms.ts'
import type { Ask, Exception } from './ask.ts'
import { choice, nothing } from './ask.ts'
import { t } from './words.ts'

type Skin = Extract<Draft, { kind: 'ecdysis' }>['payload']

const SIGNS: Readonly<Record<'shedding' | 'molting', readonly EcdysisStage[]>> = {
  shedding: ['dull', 'inBlue', 'clear'],
  molting: ['premolt', 'sealedIn', 'soft', 'hardened'],
}

function off(stage: 'shed' | 'molted'): { label: string; payload: Skin }[] {
  const name = terms.stage[stage]
  return [
    { label: t('whole', { name }), payload: { stage, how: 'whole' } },
    { label: t('inPieces', { name }), payload: { stage, how: 'inPieces' } },
    { label: t('skinFound', { name }), payload: { stage, skinFound: true } },
  ]
}

const STILL_ON: { label: string; payload: Skin }[] = [
  { label: t('shedEyeCapsStill'), payload: { stage: 'shed', how: 'inPieces', retained: ['eyeCaps'] } },
  {
    label: t('shedToesOrTail'),
    payload: { stage: 'shed', how: 'inPieces', retained: ['toes', 'tailTip'] },
  },
]

/** Old skin that had stayed on is off. */
function cleared(residentId: string, retained: readonly SkinLeft[]): { label: string; then: Ask }[] {
  if (retained.length === 0) return []
  const off = (payload: Extract<Draft, { kind: 'skinCleared' }>['payload']) =>
    nothing({ subject: residentId, kind: 'skinCleared', payload })
  const each = retained.length > 1 ? retained : []
  return [
    { label: t('oldSkinIsOff'), then: off({}) },
    ...each.map((part) => ({
      label: t('oldSkinIsOff2', { retained: words.retained[part] }),
      then: off({ parts: [part] }),
    })),
  ]
}

/** The signs and stages of a shed or a molt, by kind of animal. */
export function skinException(
  residentId: string,
  group: SheetGroup,
  retained: readonly SkinLeft[],
): Exception {
  const sheds = shedsSkin(group)
  const signs = SIGNS[sheds ? 'shedding' : 'molting'].map((stage) => ({
    label: terms.stage[stage],
    payload: { stage },
  }))
  const all = [...signs, ...(sheds ? [...off('shed'), ...STILL_ON] : off('molted'))]
  const ask: Ask = choice([
    ...all.map(({ label, payload }) => ({
      label,
      then: nothing({ subject: residentId, kind: 'ecdysis', payload }),
    })),
    ...cleared(residentId, retained),
  ])
  return { id: 'skin', key: 's', label: sheds ? t('shedSign') : t('moltSign'), ask }
}
