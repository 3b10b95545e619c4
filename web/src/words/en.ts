import type { Barrier, DutyKind, FeedOutcome, HoldKind, SkinLeft } from '@kobrin/core'

/** Every word the interface says, in plain international English. Another language is another file
 * of this shape. */
export const words = {
  places: { walk: 'Walk', residents: 'Residents', library: 'Library', handover: 'Handover' },
  asPlanned: 'As planned',
  takeBack: 'Take back',
  allSent: 'All sent',
  waiting: (count: number) => `${count} waiting to send`,
  unstored: (count: number) => `${count} not stored here: keep this open`,
  held: (count: number) =>
    count > 0 ? `${count} waiting: the server cannot write` : 'The server cannot write',
  cutOff: (since: string, waiting: number) =>
    `No link${since ? ` since ${since}` : ''}${waiting > 0 ? ` · ${waiting} waiting` : ''}`,
  pinWithoutLink: {
    wrong: 'That PIN is not right.',
    locked: 'Too many wrong PINs: only with a link to the server again.',
    stale: 'More than a week since this PIN was last given here: only with a link to the server.',
    unknown: 'Without a link only those can take over who have given their PIN on this tablet before.',
  },
  went: { moved: 'moved out', died: 'died', left: 'left the house' },

  duty: {
    feed: 'Feed',
    water: 'Fresh water',
    clean: 'Spot-clean',
    weigh: 'Weigh',
    measure: 'Measure',
    look: 'Look',
    dampen: 'Dampen',
    check: 'Inspect',
    read: 'Read',
  } satisfies Record<DutyKind, string>,

  dutyLetter: {
    feed: 'F',
    water: 'W',
    clean: 'C',
    weigh: 'g',
    measure: 'M',
    look: 'L',
    dampen: 'D',
    check: 'I',
    read: 'R',
  } satisfies Record<DutyKind, string>,

  done: {
    feed: 'fed',
    water: 'water',
    clean: 'clean',
    weigh: 'weighed',
    measure: 'measured',
    look: 'seen',
    dampen: 'dampened',
    check: 'inspected',
    read: 'read',
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
    fasting: 'Fast before the winter rest',
    founding: 'Founding',
    gravid: 'Gravid',
    incubating: 'Eggs incubating',
    vetOrder: "Vet's order",
    leaveBe: 'Leave be',
  } satisfies Record<HoldKind, string>,

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

  retained: {
    eyeCaps: 'eye caps',
    tailTip: 'tail tip',
    toes: 'toes',
    body: 'body',
    limbs: 'limbs',
  } satisfies Record<SkinLeft, string>,

  weekdays: ['Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday', 'Sunday'],
  months: ['Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sep', 'Oct', 'Nov', 'Dec'],
} as const
