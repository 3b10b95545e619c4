import type { SheetGroup } from '@kobrin/core'
import { t } from './words.ts'

export type Shape = 'round' | 'tail' | 'shell' | 'frog' | 'abdomen'

export interface Scale {
  shape: Shape
  /** Score 1 to 5. */
  says: readonly [string, string, string, string, string]
}

const SNAKE: Scale = {
  shape: 'round',
  says: [
    t('aSharpRidgeOf'),
    t('spineFeltAtOnce'),
    t('roundWithASoft'),
    t('fullAndRoundSkin'),
    t('rollsBesideTheVent'),
  ],
}
const LIZARD: Scale = {
  shape: 'tail',
  says: [
    t('tailAStickHips'),
    t('tailThinnerThanThe'),
    t('tailAboutAsWide'),
    t('tailWiderThanThe'),
    t('tailWiderThanTheHead'),
  ],
}
const TORTOISE: Scale = {
  shape: 'shell',
  says: [
    t('farLighterThanIts'),
    t('lightInTheHand'),
    t('heavyAsAStone'),
    t('skinBulgesBesideThe'),
    t('legsCannotDrawIn'),
  ],
}
const FROG: Scale = {
  shape: 'frog',
  says: [
    t('hipsAndSpineStand'),
    t('hipBonesSeenWhen'),
    t('roundedHipsCoveredWaist'),
    t('noWaistRidgesOf'),
    t('ridgesHangOverThe'),
  ],
}
const SPIDER: Scale = {
  shape: 'abdomen',
  says: [
    t('abdomenSmallerThanThe'),
    t('abdomenALittleSmaller'),
    t('abdomenUpToOne'),
    t('twiceTheCarapaceA'),
    t('farMoreThanTwice'),
  ],
}

const BY_GROUP: Partial<Record<SheetGroup, Scale>> = {
  snake: SNAKE,
  lizard: LIZARD,
  tortoise: TORTOISE,
  frog: FROG,
  salamander: LIZARD,
  tarantula: SPIDER,
  scorpion: SPIDER,
  whipSpider: SPIDER,
  vinegaroon: SPIDER,
  mantid: SPIDER,
}

/** How condition shows in a group. Null where a colony has none. */
export function scaleOf(group: SheetGroup): Scale | null {
  return BY_GROUP[group] ?? null
}
