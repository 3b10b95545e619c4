export default {
  next: {
    losing:
      'Weigh it again within days, look at mouth, belly and droppings, offer what it likes best; act: ask the vet.',
    lossExplained: 'Weigh it again when that is over.',
    gainingFast: 'Score its condition; stretch the interval or shrink the portion, a senior decides.',
    notGrowing:
      'Look at warmth, prey size and whether it really eats; score its condition, look at droppings.',
    suspectWeight: 'Weigh it again; or correct the entry, or keep it if you are sure.',
    refusing: 'Look at warmth, hides and skin; offer another food at another hour; weigh it.',
    signTooLong:
      'Look whether it is still so, without digging; raise the humidity; ask the vet if it seems weak.',
    ecdysisOverdue: 'Look for old skin and signs; raise the humidity, a damp hide. Do not pull.',
    unseen:
      'Look for it without digging out what may molt; look at the lid and the gaps; leave food and look again.',
    retainedSkin: 'Damp hide or damp air; look again tomorrow. Do not pull skin off eyes.',
    limbsLost: 'No large prey until it moves well; look for bleeding.',
    otherPrey: 'Have the other size bred, ordered or thawed in time; look how it takes the first.',
    outgrows: 'Measure it again; think of the next box, and where it stands.',
    grewAtMolt: 'Nothing to do.',
    longerIntervals: 'Nothing to do: with size the intervals grow longer.',
    firstWeight: 'Weigh it again within two weeks: two weights make a course.',
    offItsCurve: 'Weigh it again; look at its meals of the last weeks and score its condition.',
  },

  clears: {
    losing: 'Clears when two weighings no longer fall.',
    lossExplained: 'Clears when it stops falling.',
    gainingFast: 'Clears when it gains no more than expected.',
    notGrowing: 'Clears when it grows.',
    suspectWeight: 'Clears with the next weighing, a correction, or your word that it is right.',
    refusing: 'Clears with a meal.',
    signTooLong: 'Clears when it has shed or molted, or the hold is lifted.',
    ecdysisOverdue: 'Clears with a sign or the skin coming off.',
    unseen: 'Clears when it is seen.',
    retainedSkin: 'Clears when the skin is off, or with the next whole shed.',
    limbsLost: 'Clears after three weeks.',
    otherPrey: 'Clears when the new size was offered.',
    outgrows: 'Clears in a larger box.',
    grewAtMolt: 'Clears after a month.',
    longerIntervals: 'Clears when they no longer grow.',
    firstWeight: 'Clears with the second.',
    offItsCurve: 'Clears when it is back on its curve, or once the last weight is six weeks old.',
  },
} as const
