import type { SheetGroup } from '@kobrin/core'

export type Shape = 'round' | 'tail' | 'shell' | 'frog' | 'abdomen'

export interface Scale {
  shape: Shape
  /** Score 1 to 5. */
  says: readonly [string, string, string, string, string]
}

const SNAKE: Scale = {
  shape: 'round',
  says: [
    'A sharp ridge of spine, ribs to be counted, loose skin in folds.',
    'Spine felt at once, sides flat: a triangle in section.',
    'Round with a soft shoulder to the spine; ribs felt, not seen.',
    'Full and round, skin between the scales shows after a meal.',
    'Rolls beside the vent, spine in a groove, scales apart at rest.',
  ],
}
const LIZARD: Scale = {
  shape: 'tail',
  says: [
    'Tail a stick, hips and skull stand out, eyes sunken.',
    'Tail thinner than the neck, hips seen.',
    'Tail about as wide as the neck, hips covered, belly off the ground.',
    'Tail wider than the neck, small pads behind the arms.',
    'Tail wider than the head, pads and bubbles at the arms, belly drags.',
  ],
}
const TORTOISE: Scale = {
  shape: 'shell',
  says: [
    'Far lighter than its size, skin hangs, eyes sunken.',
    'Light in the hand, hollows beside the neck and legs.',
    'Heavy as a stone of its size, legs draw in fully.',
    'Skin bulges beside the tail and legs.',
    'Legs cannot draw in: fat stands out all round.',
  ],
}
const FROG: Scale = {
  shape: 'frog',
  says: [
    'Hips and spine stand out, thighs thin, skin wrinkled.',
    'Hip bones seen when it sits.',
    'Rounded, hips covered, waist to be seen from above.',
    'No waist, ridges of fat over the ears.',
    'Ridges hang over the ears, belly wider than the legs.',
  ],
}
const SPIDER: Scale = {
  shape: 'abdomen',
  says: [
    'Abdomen smaller than the carapace, wrinkled.',
    'Abdomen a little smaller than the carapace.',
    'Abdomen up to one and a half times the carapace.',
    'Twice the carapace: a fall would burst it.',
    'Far more than twice, skin shining and tight: no food until the molt.',
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
