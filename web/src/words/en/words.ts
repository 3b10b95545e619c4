export default {
  places: {
    walk: 'Walk',
    residents: 'Residents',
    library: 'Library',
    handover: 'Handover',
    office: 'Office',
  },
  asPlanned: 'As planned',
  takeBack: 'Take back',
  allSent: 'All sent',
  pinWithoutLink: {
    wrong: 'That PIN is not right.',
    locked: 'Too many wrong PINs: only with a link to the server again.',
    stale: 'More than a week since this PIN was last given here: only with a link to the server.',
    unknown: 'Without a link only those can take over who have given their PIN on this tablet before.',
  },
  went: {
    moved: 'moved out',
    died: 'died',
    left: 'left the house',
    lost: 'was given up as lost',
    merged: 'went to live with others',
  },
  gone: { died: 'Died', left: 'Left', lost: 'Given up as lost', merged: 'Lives on with others' },

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
  },

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
  },

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
  },

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
  },

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
  },

  barrier: {
    0: 'Founding and newborn',
    1: 'General',
    2: 'Quarantine and sick',
    3: 'Outbreak',
  },

  crossing: {
    0: '',
    1: 'Wash hands, fresh gloves',
    2: 'Wash, gloves, other tongs',
    3: 'Gown, foot bath, nothing back',
  },

  retained: {
    eyeCaps: 'eye caps',
    tailTip: 'tail tip',
    toes: 'toes',
    body: 'body',
    limbs: 'limbs',
  },
} as const
