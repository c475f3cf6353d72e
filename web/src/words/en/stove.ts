/** Sentences of the first page. */
export const EN_STOVE = {
  // firstPot
  'firstPot.bigPot': 'Big pot',
  'firstPot.theKitchenServerDoes':
    'The kitchen server does not answer. Nothing you entered is lost: try again.',
  'firstPot.firstYourPot': 'First, your pot',
  'firstPot.everythingIsSizedTo': 'Everything is sized to it. More pots later, in Kitchen.',
  'firstPot.takeInAKitchen': 'Restore a backup',
  'firstPot.itStandsOn': 'It stands on',
  'firstPot.thatIsMyPot': 'That is my pot',
  'firstPot.toTheBrim': '{name}: {potCapacity} when full.',
  'firstPot.toTheBrim2': '{potCapacity} when full',

  // onTheStove
  'onTheStove.onNow': 'On now',
  'onTheStove.at': '{potName}: {volume} at {tempC}',
  'onTheStove.at2': '· {volume} at {tempC}{isSaysAlcohol, select, true {, {alcohol}} other {}}',

  // stoveHome
  'stoveHome.onTheStove': 'On the stove',
  'stoveHome.nothingIsOn': 'Nothing is on',
  'stoveHome.aPlanWaitsChoose':
    '{lengthSome, select, true {A plan waits. } other {}}Choose a drink and say how much you want. It is sized to your {name}, you are led through it, and the bottles get their dates.',
  'stoveHome.chooseADrink': 'Choose a drink',
  'stoveHome.wantsALookToday': 'Check today',
  'stoveHome.clocks': 'Clocks',
  'stoveHome.mayWaitUntil': 'may wait until {until}',
  'stoveHome.begin': 'Start',
  'stoveHome.toBeReady': 'to be ready {readyAt}',
  'stoveHome.next': 'Next',
  'stoveHome.planned': 'Planned',
  'stoveHome.noPlansAPlan': 'No plans. A plan you keep shows here with the moment to start.',
  'stoveHome.wantsALookIt': 'check it: it does not work out in this kitchen any more',
  'stoveHome.noTimeSetBegin': 'no time set, start whenever you like',
  'stoveHome.shouldHaveBegun': 'should have started {start}',
  'stoveHome.ready': 'ready {readyAt}',
  'stoveHome.rehearsals': 'Practice runs',
  'stoveHome.kept': ', kept',

  // wantsALook
  'wantsALook.throwOut': 'throw out',
  'wantsALook.pastItsDateThrow': 'past its date: throw out',
  'wantsALook.drinkToday': 'drink today',
  'wantsALook.theFridgeWasWarm': 'The fridge was warm, {from} to {to}, up to {highestC}.',
  'wantsALook.itCostOneOther':
    'It cost {shortened} {shortenedCount, plural, one {bottle} other {bottles}} up to {cost} of their time: look at the dates again.',
  'wantsALook.noBottleStoodIn': 'No bottle stood in it.',
  'wantsALook.partOfItNobody': ' Part of it nobody read: it counts as warm.',
  'wantsALook.pressureInClosedGlass': 'pressure in closed glass: let it off now',
  'wantsALook.outOfTheCold': 'out of the cold: put it back by {now}',
  'wantsALook.outOfTheColdToo': 'out of the cold too long to go back: drink it now',
  'wantsALook.everyBottleOnThe': 'Every bottle on the shelf is good for more than a day.',
  'wantsALook.bottlesShowHereOn': 'Bottles show here on the day they want drinking.',
  'wantsALook.letTheGasOff': 'let the gas off',
  'wantsALook.lookAtItAnd': 'look at it and smell it',
  'wantsALook.useOrFreezeToday': 'use or freeze today',
  'wantsALook.oneOtherOnThe': '{bottles} {lengthCount, plural, one {bottle} other {bottles}} on the {link}.',

  // board
  'board.strained': 'Strained',
  'firstPot.gasRing': 'Gas ring',
  'firstPot.electricRing': 'Electric ring',
  'firstPot.inductionRing': 'Induction ring',
  'firstPot.tallBottle': 'Tall bottle',
  'firstPot.halfBottle': 'Half bottle',
  'board.clock.heat': 'to the boil, expected',
  'board.clock.boil': 'at the boil',
  'board.clock.steep': 'to the best moment',
  'board.clock.soak': 'of soaking',
  'board.clock.cool': 'until it is cool, expected',
  'stoveHome.overdue': 'overdue',
  'wantsALook.leftovers': '{count, plural, one {# leftover} other {# leftovers}}',
};
