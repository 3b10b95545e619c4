import type { BodyScale, Plan, SheetGroup } from '@kobrin/core'
import { t } from './words.ts'

export type Shape = 'round' | 'tail' | 'trunk' | 'shell' | 'frog' | 'abdomen'

export interface Scale {
  shape: Shape
  /** Score 1 to 5. */
  says: readonly [string, string, string, string, string]
}

const SCALES: Readonly<Record<BodyScale, Scale>> = {
  spine: {
    shape: 'round',
    says: [
      t('aSharpRidgeOf'),
      t('spineFeltAtOnce'),
      t('roundWithASoft'),
      t('fullAndRoundSkin'),
      t('rollsBesideTheVent'),
    ],
  },
  fatTail: {
    shape: 'tail',
    says: [
      t('tailAStickHips'),
      t('tailThinnerThanThe'),
      t('tailAboutAsWide'),
      t('tailWiderThanThe'),
      t('tailWiderThanTheHead'),
    ],
  },
  hips: { shape: 'trunk', says: [t('hips1'), t('hips2'), t('hips3'), t('hips4'), t('hips5')] },
  slender: {
    shape: 'trunk',
    says: [t('slender1'), t('slender2'), t('slender3'), t('slender4'), t('slender5')],
  },
  shell: {
    shape: 'shell',
    says: [
      t('farLighterThanIts'),
      t('lightInTheHand'),
      t('heavyAsAStone'),
      t('skinBulgesBesideThe'),
      t('legsCannotDrawIn'),
    ],
  },
  limbs: {
    shape: 'shell',
    says: [t('limbs1'), t('limbs2'), t('limbs3'), t('skinBulgesBesideThe'), t('legsCannotDrawIn')],
  },
  waist: {
    shape: 'frog',
    says: [
      t('hipsAndSpineStand'),
      t('hipBonesSeenWhen'),
      t('roundedHipsCoveredWaist'),
      t('noWaistRidgesOf'),
      t('ridgesHangOverThe'),
    ],
  },
  trunk: { shape: 'trunk', says: [t('trunk1'), t('trunk2'), t('trunk3'), t('trunk4'), t('trunk5')] },
  abdomen: {
    shape: 'abdomen',
    says: [
      t('abdomenSmallerThanThe'),
      t('abdomenALittleSmaller'),
      t('abdomenUpToOne'),
      t('twiceTheCarapaceA'),
      t('farMoreThanTwice'),
    ],
  },
  plates: { shape: 'abdomen', says: [t('plates1'), t('plates2'), t('plates3'), t('plates4'), t('plates5')] },
  belly: { shape: 'abdomen', says: [t('belly1'), t('belly2'), t('belly3'), t('belly4'), t('belly5')] },
}

/** Where a sheet says nothing else. Of a lizard only its hips and belly: few keep their fat in the tail, and some have
 * none. */
const OF_GROUPS: Readonly<Partial<Record<SheetGroup, BodyScale>>> = {
  snake: 'spine',
  lizard: 'hips',
  tortoise: 'shell',
  turtle: 'limbs',
  frog: 'waist',
  salamander: 'trunk',
  tarantula: 'abdomen',
  spider: 'abdomen',
  scorpion: 'plates',
  whipSpider: 'plates',
  vinegaroon: 'plates',
  centipede: 'plates',
  mantid: 'belly',
}

/** How condition shows in a body. Null of a colony, and of what shows none. */
export function scaleOf({ group, scale, lives }: Pick<Plan, 'group' | 'scale' | 'lives'>): Scale | null {
  const own = scale ?? (group && OF_GROUPS[group])
  return own === undefined || lives === 'colony' ? null : SCALES[own]
}
