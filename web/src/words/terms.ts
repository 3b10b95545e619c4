import type { BodyPart, EcdysisStage, Trigger } from '@kobrin/core'

/** Words of the vocabulary that the walk's first screen does without. */
export const terms = {
  part: {
    length: 'length',
    girth: 'girth',
    headWidth: 'head width',
    eyeGap: 'gap between the eyes',
    legSpan: 'leg span',
    carapaceLength: 'carapace',
    abdomenLength: 'abdomen length',
    abdomenWidth: 'abdomen width',
    shellDiameter: 'shell',
  } satisfies Record<BodyPart, string>,

  droppings: {
    normal: 'normal',
    loose: 'loose',
    hard: 'hard',
    bloody: 'with blood',
    urates: 'urates only',
    none: 'none found',
  },

  end: { whole: 'all over', dampEnd: 'at the damp end', dryEnd: 'at the dry end' },

  condition: { 1: 'starved', 2: 'thin', 3: 'right', 4: 'fat', 5: 'obese' },

  trigger: {
    ageDays: 'days old',
    grams: 'g',
    lengthMm: 'mm long',
    legSpanMm: 'mm leg span',
    instar: 'instar',
    workers: 'animals',
    perLitre: 'animals to the litre',
  } satisfies Record<Trigger, string>,

  stage: {
    dull: 'Dull',
    inBlue: 'In blue',
    clear: 'Cleared',
    premolt: 'Premolt: fat, dull, slow',
    sealedIn: 'Sealed in',
    shed: 'Shed',
    molted: 'Molted',
    soft: 'Soft',
    hardened: 'Hardened',
  } satisfies Record<EcdysisStage, string>,
} as const
