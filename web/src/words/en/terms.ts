export default {
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
