export default {
  restPlace: 'the cold of its rest',
  next: {
    restWeighAgain:
      'Weigh it again today, on the same balance. A second weighing beyond the stop ends the rest: it is woken, and not fed.',
    restWake: 'Wake it by the steps of its sheet; no food before it is warm; call the vet.',
    restWakeLate:
      'The rest has lasted long enough: wake it by the steps of its sheet; no food before it is warm.',
    restWeighToday:
      'Weigh it today. Whether it may rest on is judged by that weight; a rest that nobody weighs is none.',
    restNotPlanned:
      'It should not rest: let it warm with the room, slowly, no more than 2 °C a day; no food before it is warm; ask a vet who knows its kind.',
    restGoOn: 'Let it rest, and weigh it each week as planned. At its stop it is weighed twice and woken.',
    restNoFood: 'No food while it rests: what lies there comes out. It eats again once it is awake and warm.',
    restTooWarm:
      'Back to {cold} within hours: moved to the colder place, not cooled with ice. Where that cannot be done today, wake it by the steps of its sheet: warm and unfed it burns what it lives on.',
    restWarm:
      'Back to {cold} today: vents, a cooler corner, the door of the cold room. Look whether it moves about.',
    restFrost:
      'Frost: bring it slowly, over hours, to 5 °C, in the cold room and without a heater. Look whether it moves once it is there; call the vet if it does not.',
    restCold: 'Colder than wanted: to {cold} slowly, with the room. No heater in the box.',
    tellTheVet: 'Tell the vet who gave the order today; nothing else is changed until then.',
    askTheVet: 'Ask the vet whether the order stands; lift it, or set a new day.',

    losingReptile:
      'Weigh it again within days. Look at mouth, eyes, vent and droppings; read its warm and its cool end. A sample of droppings to the vet; act: call the vet.',
    losingYoungReptile:
      'Weigh it again in three days. Look at mouth, vent and droppings; read its warm and its cool end. The young have little to lose: act, or no meal since, call the vet now.',
    losingAmphibian:
      'Weigh it again within days, in a damp tub and not by hand. Look at skin, hips and belly; read the warmth: too warm is worse than cool. A sample of droppings to the vet.',
    losingHunterThatMolts:
      'Look at its abdomen from outside: small and wrinkled, it needs water before food. Fill the dish, dampen one corner; small prey once it has drunk, taken out within the hour. A vet who sees invertebrates.',
    losingThatMolts:
      'Look at it from outside: dull and slow, it may be about to molt. Water within reach, fresh food, the floor not dried out. A vet who sees invertebrates when it grows limp.',
    losingInWater:
      'Test the water first: ammonia, nitrite, warmth. Look at gills, fins and belly, and at who keeps it from the food. Ask a vet who sees fish.',
    losingOther:
      'Weigh it again within days; look at what it really eats, at water and droppings. Act: ask the vet.',
    closedLosing:
      'Hands off, and no weighing, until its skin is off and hard. Water within reach, no prey beside it. Limp or leaking: a vet who sees invertebrates, now.',
    inPeaceLosing:
      'It is left in peace: look from outside only, and ask whoever set that, and the vet, today.',
    gravidLosing:
      'Leave her in peace, water within reach, a place to lay. Straining, limp or sunken: call the vet now.',
    fastLosing:
      'Do not cool it down: too much is gone already. Keep it warm, ask the vet, and have a senior lift the fast.',
    undisturbedLosing:
      'Look at it from outside, and at water and droppings. It goes on the balance when the hold is over; act: call the vet first.',
    goOnWeighing: 'Go on weighing it as planned. A tenth lost ends the explanation: then call the vet.',
    afterItsSkin: 'Leave it be; it is weighed after its skin is off and has hardened.',
    whenItIsOver: 'It is weighed and judged again when the hold is over.',
    climateFirst:
      'Put the climate right first: read it again today. Nothing large is given until it is in range.',
    asPlanned: 'Nothing to do: weigh it as planned.',

    inPeace: 'Leave it in peace: nothing is opened or offered. Look from outside.',
    gravidInPeace: 'Leave her in peace: water within reach, a place to lay, no handling.',
    closedRefusing:
      'Live prey out at once; hands off, no weighing. Water within reach. No food before it has molted and its fangs or skin are hard.',
    fastNothing: 'Nothing is offered while it fasts: what lies there comes out.',
    afterTheShed: 'Nothing is offered until its skin is off; then as planned. No handling.',
    gravidRefusing:
      'No handling; water within reach, a place to lay. What is not eaten comes out within the hour.',
    settlingRefusing: 'Leave it in peace, with a hide and water; offer again on its day and not before.',
    refusingHunterThatMolts:
      'Live prey out, hands off. Look for a dull or swollen body: it may be about to molt, and then nothing is given. Fill the dish. A small, wrinkled abdomen is thirst before hunger: a vet who sees invertebrates.',
    refusingThatMolts:
      'Hands off. Look for a dull or swollen body: it may be about to molt. Fresh leaves or food of another kind beside the old, and water; mold comes out.',
    refusingYoungReptile:
      'Read its warm end, look for a hide it fits into and for skin about to come off. Offer again on its day, smaller or of another kind, at dusk and in quiet: killed prey out by the morning, live prey within the hour. Weigh it; losing weight, call the vet within days.',
    refusingReptile:
      'Read its warm and its cool end; look at hides, skin and mouth. What is not eaten comes out. Offer again on its day and not sooner, at another hour or of another kind; weigh it.',
    refusingTortoise:
      'Read where it basks; look at eyes, nose, beak and droppings. A lukewarm bath of a few minutes, fresh weeds after it. Awake and warm and nothing eaten for a week: the vet.',
    refusingTurtle:
      'Read the water and where it basks; look at eyes, nose and shell. What is not eaten comes out of the water within the hour. A week without food, or swollen eyes: the vet.',
    refusingAmphibian:
      'Read the warmth: too warm is the commonest reason. Look at skin and belly; live prey out within the hour. Weigh it in a damp tub, not by hand; thin or bloated: the vet.',
    refusingInWater: 'No food today; what lies there comes out. Test the water: ammonia, nitrite, warmth.',
    refusingSnail:
      'Look whether it has sealed itself in: then leave it, and dampen the air. Fresh food in the evening, lime within reach; no prying.',
    colonyRefusing:
      'What is not eaten comes out before it molds. Look at warmth, damp and dead ones, and count what was really carried in or gnawed.',

    fatHunter:
      'Score its condition. The richest food goes first: fat insects, rats for mice, sweet mixes; after that a longer interval. A senior decides. Water and greens stay as they are.',
    fatThatEatsGreens:
      'Score its condition. Rich food goes first: fruit, pellets, protein. Never fewer greens, leaves or water; more room to walk. A senior decides.',
    fatThatMolts:
      'A longer interval, water as ever. An abdomen far larger than the carapace bursts at a fall: nothing high to climb. A senior decides.',
    growsTooFast:
      'Score its condition. The richest food goes first, then a longer interval; what is young is never starved. A senior decides.',
    thin: 'Look first whether it is ill: mouth, droppings, a sample to the vet. Then a shorter interval or a little more, never all at once. A senior decides.',
    thinAmphibian:
      'Look at hips and skin, a sample of droppings to the vet. Then smaller meals more often. A senior decides.',
    thinThatMolts:
      'Water first: fill the dish, dampen one corner. Then small prey, killed, more often; none while it is dull or soft. A senior decides.',
    notGrowingReptile:
      'Read where it basks, and look at prey size and whether it really eats; score its condition, look at droppings. A sample to the vet when that is all right.',
    notGrowingAmphibian:
      'Look who gets the food; read the warmth. Smaller prey more often, with calcium. A sample of droppings to the vet.',
    notGrowingThatMolts:
      'Look when it molted last: it grows at a molt, and before one it stands still. Warmth, damp, prey no larger than it masters.',
    notGrowingOther: 'Look at warmth, at what it really eats, and at who keeps it from the food.',
    weighAgain: 'Weigh it again; or correct the entry, or keep it if you are sure.',
    weighAgainNow:
      'Weigh it again today on the same balance; or correct the entry, or keep it if you are sure.',
    suspectHeld:
      'Correct the entry, or keep it if you are sure. It goes on the balance again when the hold is over.',
    firstWeight: 'Weigh it again within two weeks: two weights make a course.',
    firstWeightHeld: 'A second weight makes a course: when the hold is over.',
    offItsCurve: 'Weigh it again; look at its meals of the last weeks and score its condition.',

    softTooLong:
      'Look at its fangs or skin from outside: pale or red, it is still soft. No prey, no handling; water within reach. It hardens, or a vet who sees invertebrates.',
    premoltTooLong:
      'Look from outside, without digging: a closed burrow, webbing, a body fat and dull are right. Water dish full. No food, no handling. Shriveled: a vet who sees invertebrates.',
    shedTooLong:
      'Look whether it is still so. A damp hide, and the humidity read; no food in the meantime where it refuses. Never pull; eyes still dull in a week: the vet.',
    shedTooLongDry:
      'It is drier there than it wants: raise the humidity to what its sheet says, and a damp hide. Never pull; eyes still dull in a week: the vet.',
    shedTooLongAmphibian:
      'Look at its skin: dull for days is not a shed. Read the warmth and the water; the vet today when it is red, slimy or peels.',
    moltOverdue:
      'Look from outside for a dull or swollen body, without digging or handling. Water dish full. The old and grown males may not molt again.',
    moltOverdueDry:
      'It is drier there than it wants: dampen one side to what its sheet says. Look from outside, without digging or handling.',
    shedOverdue:
      'Look for old skin on eyes, toes and tail, and for a shed nobody wrote down. A damp hide. Never pull.',
    shedOverdueDry:
      'It is drier there than it wants: raise the humidity to what its sheet says, a damp hide. Look for old skin on eyes, toes and tail. Never pull.',
    shedExpected: 'A damp hide and something rough; no large meal, no visit or journey in these days.',
    moltExpected:
      'Live prey out, and none left in over night; height to hang or a floor to dig; no visit or journey in these days.',
    skinOfReptile: 'A damp hide; look again tomorrow. Never pull, least of all on eyes.',
    skinOfReptileLate:
      'An hour in a box with damp, lukewarm cloths, watched, and a damp hide; look again tomorrow. Never pull on eyes or toes. Still on, or a toe darkens: the vet.',
    skinInRest: 'Leave it until it is awake: skin waits. Never bathe or warm it for that.',
    skinThatMolts:
      'Damp air around it, and leave it be; never pull. Stuck by legs or fangs: a vet who sees invertebrates.',
    skinOfAmphibian:
      'That is not a shed that went wrong but a sick skin: alone on damp paper, own gloves; the vet today.',
    limbsLost:
      'No large prey until it moves well; look for bleeding. More height and damp before the next molt.',
    limbsLostSoft: 'Nothing is fed and nothing touched until it is hard; look from outside for bleeding.',
    unseen:
      'Look in hides and bedding, then at lid, gaps and behind the box; doors closed, tell everybody. A little food left overnight, nothing live that gnaws; looked at in the morning.',
    unseenHeld:
      'Look in hides and bedding, then at lid, gaps and behind the box; doors closed, tell everybody. Look again in the morning.',
    unseenGone:
      'Count it as out: doors closed, tell everybody, look low and warm around the box. Lid and gaps first. What is dangerous is looked for by two with the competence.',
    unseenThatMolts:
      'Look from outside, at night with a red light; nothing is dug out that may molt. Lid, gaps, a closed burrow. A little food left, nothing live that gnaws; looked at in the morning.',
    unseenGoneThatMolts:
      'Lid, gaps and the shelf around it; doors closed, tell everybody. Then the floor by handfuls, by two, where no molt can be under way.',
    unseenInPeace: 'Nothing is opened or dug: look from outside at lid and gaps, and for traces.',
    unseenInRest: 'It lies where it was laid: look there once, without waking it, at its weighing.',

    foundingLook:
      'Look once, in dim light and for less than a minute: queen, brood, water. Then leave it, and set the day of the next look.',
    incubatingLate:
      'Later than such eggs take: look from outside; a light through one egg where it can be reached without turning it. She is not disturbed for it.',
    gravidLate:
      'Later than such a brood takes: leave her in peace, look from outside, ask somebody who breeds them.',
    gravidLateReptile:
      'Later than such a clutch takes: press nothing, look for straining. A place to lay, and call the vet today.',
    fastLate:
      'Decide today: cool it down as planned, or have a senior lift the fast. It does not fast on for nothing.',
    holdOver: 'Look whether it still holds; lift it, or set a new day.',

    hotReptile:
      'Heat off, lid or vents open, a cool hide and water within reach; never into cold water. Limp or gaping: call the vet now.',
    coldReptile: 'Look at heater, thermostat and fuse; warm it slowly, over hours; no food until it is warm.',
    hotAmphibian:
      'Move it to the coolest room, damp and dark; cool it slowly, never on ice. Limp: call the vet now.',
    coldAmphibian: 'Move it where it is milder; no heater: let it warm with the room.',
    hotInvertebrate: 'Heat off, out of the sun, a damp cool corner; never into cold water.',
    coldInvertebrate: 'Move it where it is milder and let it warm with the room; no heat mat under it.',
    hotRodent: 'To a cool room, water, shade and air; fewer to a box. Lying flat and wet: the vet now.',
    hotWater:
      'Heater and lamp off, aerate; cool by no more than {degrees} an hour. Gasping: call the vet now.',
    coldWater: 'Look at heater and thermometer; warm by no more than {degrees} an hour; no food.',
    waterSlowly: 'Change it slowly, by no more than {degrees} an hour; read it again this evening.',
    warmerThanWanted:
      'Find out why: lamp, sun, the room. Air and a cooler place; read it again this evening.',
    coolerThanWanted:
      'Find out why: a lamp out, a draught, the room. A warmer place or a warmer room first; a heater only where 2 °C and more are missing, on a thermostat.',
    tooMuchUltraviolet: 'Tube further away, or off; shade. Eyes closed or swollen: call the vet now.',
    tooLittleUltraviolet:
      'Look at the age of the tube, its distance, and what lies between: glass and fine mesh take most of it.',
    damp: 'More air, less water; wet and cold together is what makes ill.',
    dampReptile:
      'More air, less water, the bowl away from the warm end; a dry place to lie. Look at its belly for blisters, and listen to its breath.',
    dry: 'Dampen one side, and leave the other as it is; read it again tomorrow.',
    dryReptile: 'A damp hide first; then the air, to what its sheet says and no further.',
    dryAmphibian: 'Water and a damp hide now; then the air. Skin dull or folded: the vet today.',
    dryInPeace:
      'A little water on one side, poured and not sprayed, without opening more than a hand wide; nothing is dug or moved.',
    dryInRest:
      'A damp hide or leaves beside it, never wet and never sprayed: wet and cold is what makes ill.',
    chlorine: 'Into conditioned water of the same warmth at once; call the vet now.',
    poisonedWater:
      'No food; change a third of the water for conditioned water of the same warmth, and test again in an hour. Gasping or limp: call the vet now.',
    foulWater: 'Less food; change a quarter for conditioned water of the same warmth; test again tomorrow.',
    oldWater: 'Change a quarter for conditioned water of the same warmth, each day until it is right.',
    sourWater: 'Change a little water at a time, and test again; never all at once.',

    otherPrey: 'Have the other size bred, ordered or thawed in time; look how it takes the first.',
    otherPreyLater: 'Have the other size ready for when the hold is over.',
    outgrows: 'Measure it again; think of the next box, and where it stands.',
    crowded:
      'Count again where it was estimated. Then part them, or a larger box; and food in more than one place until then.',
    tooFew:
      'Count again where it was estimated. So few may not become a colony: more of them, through quarantine, or a smaller box in which they find one another.',
    nothingToDo: 'Nothing to do.',
    longerWithSize: 'Nothing to do: with size the intervals grow longer.',
    fedTwice: 'Leave out the next meal, and look for leftovers tomorrow.',
    fedTwiceReptile:
      'Leave out the next meal, no handling for two days, its warmth read. Brought up again: nothing for ten days, and the vet.',
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
    ecdysisExpected: 'Clears with a sign or the skin coming off.',
    unseen: 'Clears when it is seen.',
    retainedSkin: 'Clears when the skin is off, or with the next whole shed.',
    limbsLost: 'Clears after three weeks.',
    holdOverdue: 'Clears when it is lifted, or a new day is set.',
    restUnfit: 'Clears when it is awake, or what stands against it is over.',
    wake: 'Clears when it is awake.',
    reading: 'Clears with a better reading.',
    condition: 'Clears with a change of the feeding, a new score, or after six weeks.',
    otherPrey: 'Clears when the new size was offered.',
    outgrows: 'Clears in a larger box.',
    crowded: 'Clears with a count that fits, or in another box.',
    grewAtMolt: 'Clears after a month.',
    longerIntervals: 'Clears when they no longer grow.',
    firstWeight: 'Clears with the second.',
    offItsCurve: 'Clears when it is back on its curve, or once the last weight is six weeks old.',
    fedTwice: 'Clears tomorrow.',
  },
} as const
