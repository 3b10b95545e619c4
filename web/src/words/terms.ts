import type { Role, DroppingsKind } from '@kobrin/core'
import type { BodyPart, Cadence, EcdysisStage, Severity, Trigger } from '@kobrin/core'
import { words } from './en.ts'

/** Words of the vocabulary that the walk's first screen does without. */
export const terms = {
  part: {
    length: 'length',
    girth: 'girth',
    headWidth: 'head width',
    whipLength: 'longest whip',
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
    urine: 'water passed',
    none: 'none found',
  } satisfies Record<DroppingsKind, string>,

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

  findPlaceholder: 'Name, number, species or place',
  foundNobody: 'Nobody by that name, number, species or place.',
  because: 'Because',

  severity: {
    info: 'worth knowing',
    watch: 'to watch',
    act: 'do something today',
    urgent: 'call the vet now',
  } satisfies Record<Severity, string>,

  role: {
    curator: 'curator',
    seniorKeeper: 'senior keeper',
    keeper: 'keeper',
    volunteer: 'volunteer',
    vet: 'vet',
    reader: 'reader',
  } satisfies Record<Role, string>,

  cadence(cadence: Cadence): string {
    switch (cadence.type) {
      case 'every': {
        const give = cadence.tolerance > 0 ? `, give or take ${cadence.tolerance}` : ''
        return cadence.days === 1 ? 'every day' : `every ${cadence.days} days${give}`
      }
      case 'weekdays':
        return `every ${cadence.on.map((on) => words.weekdays[on - 1]).join(' and ')}`
      case 'perWeek':
        return cadence.times === 1 ? 'once a week' : `${cadence.times} times a week, spread evenly`
      case 'whenEmpty':
        return `look every ${cadence.lookEvery} days, refill when empty`
      case 'once':
        return 'once'
      case 'after':
        return `${cadence.days} days after: ${cadence.event}`
    }
  },
} as const
