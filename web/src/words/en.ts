import type { Barrier, Cadence, DutyKind, FeedOutcome, HoldKind, Severity, SkinLeft } from '@kobrin/core'
import type { Role } from '@kobrin/contract'

/** Every word the interface says, in plain international English. Another language is another file
 * of this shape. */
export const words = {
  places: { walk: 'Walk', residents: 'Residents', library: 'Library', handover: 'Handover' },
  residents: 'Residents',
  findPlaceholder: 'Name, number, species or place',
  asPlanned: 'As planned',
  takeBack: 'Take back',
  because: 'Because',
  allSent: 'All sent',
  waiting: (count: number) => `${count} waiting to send`,
  cutOff: 'No link',

  duty: {
    feed: 'Feed',
    water: 'Fresh water',
    clean: 'Spot-clean',
    weigh: 'Weigh',
    measure: 'Measure',
    look: 'Look',
    dampen: 'Dampen',
    check: 'Check',
  } satisfies Record<DutyKind, string>,

  dutyLetter: {
    feed: 'F',
    water: 'W',
    clean: 'C',
    weigh: 'G',
    measure: 'M',
    look: 'L',
    dampen: 'D',
    check: 'K',
  } satisfies Record<DutyKind, string>,

  done: {
    feed: 'fed',
    water: 'water',
    clean: 'clean',
    weigh: 'weighed',
    measure: 'measured',
    look: 'seen',
    dampen: 'dampened',
    check: 'checked',
  } satisfies Record<DutyKind, string>,

  status: {
    notYet: 'not yet',
    open: 'may be done',
    due: 'due today',
    late: 'late',
    held: 'held',
    done: 'done',
  },

  outcome: {
    taken: 'taken',
    part: 'part taken',
    refused: 'refused',
    left: 'left to find',
    notOffered: 'not offered',
  } satisfies Record<FeedOutcome, string>,

  hold: {
    inBlue: 'In blue',
    premolt: 'Premolt',
    sealedIn: 'Sealed in',
    soft: 'Soft after the molt',
    digesting: 'Digesting',
    settling: 'Settling in',
    winterRest: 'Winter rest',
    founding: 'Founding',
    gravid: 'Gravid',
    incubating: 'Eggs incubating',
    vetOrder: "Vet's order",
    leaveBe: 'Leave be',
  } satisfies Record<HoldKind, string>,

  severity: {
    info: 'worth knowing',
    watch: 'to watch',
    act: 'do something today',
    urgent: 'call the vet now',
  } satisfies Record<Severity, string>,

  barrier: {
    0: 'Founding and newborn',
    1: 'General',
    2: 'Quarantine and sick',
    3: 'Outbreak',
  } satisfies Record<Barrier, string>,

  crossing: {
    0: '',
    1: 'Wash hands, fresh gloves',
    2: 'Wash, gloves, other tongs',
    3: 'Gown, foot bath, nothing back',
  } satisfies Record<Barrier, string>,

  role: {
    curator: 'curator',
    seniorKeeper: 'senior keeper',
    keeper: 'keeper',
    volunteer: 'volunteer',
    vet: 'vet',
    reader: 'reader',
  } satisfies Record<Role, string>,

  retained: {
    eyeCaps: 'eye caps',
    tailTip: 'tail tip',
    toes: 'toes',
    body: 'body',
    limbs: 'limbs',
  } satisfies Record<SkinLeft, string>,

  weekdays: ['Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday', 'Sunday'],
  months: ['Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sep', 'Oct', 'Nov', 'Dec'],

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
