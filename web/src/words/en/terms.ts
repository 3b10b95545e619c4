export default {
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
  },

  context: {
    fullGut: 'just fed',
    gravid: 'gravid',
    justShed: 'just shed',
  },

  droppings: {
    normal: 'normal',
    loose: 'loose',
    hard: 'hard',
    bloody: 'with blood',
    urates: 'urates only',
    urine: 'water passed',
    none: 'none found',
  },

  origin: {
    bornHere: 'born here',
    captive: 'bred by somebody',
    wild: 'caught in the wild',
    unknown: 'nobody knows',
  },

  leftAs: { rehomed: 'Rehomed', lent: 'Lent', givenBack: 'Given back', released: 'Released' },

  disposal: {
    notYet: 'not seen to yet',
    frozen: 'frozen',
    collected: 'collected',
    burnt: 'burnt',
    buried: 'buried',
    kept: 'kept for teaching',
  },

  end: { whole: 'all over', dampEnd: 'at the damp end', dryEnd: 'at the dry end' },

  condition: { 1: 'starved', 2: 'thin', 3: 'right', 4: 'fat', 5: 'obese' },

  trigger: {
    ageDays: 'days old',
    grams: '',
    lengthMm: 'long',
    legSpanMm: 'leg span',
    instar: 'instar',
    workers: 'animals',
    perLitre: 'animals to the litre',
  },

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
  },

  findPlaceholder: 'Name, number, species or place',
  foundNobody: 'Nobody by that name, number, species or place.',
  because: 'Because',

  severity: {
    info: 'worth knowing',
    watch: 'to watch',
    act: 'act today',
    urgent: 'call the vet now',
  },

  sex: { male: 'male', female: 'female', unknown: 'sex unknown' },

  role: {
    curator: 'curator',
    seniorKeeper: 'senior keeper',
    keeper: 'keeper',
    volunteer: 'volunteer',
    vet: 'vet',
    reader: 'reader',
  },
} as const
