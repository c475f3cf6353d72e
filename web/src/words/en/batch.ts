/** Sentences of a plan and a batch: the table, the stove, the balance. */
export const EN_BATCH = {
  // alreadyOn
  'alreadyOn.itIsOnAlready': 'I have already started',
  'alreadyOn.sayWhereItIs':
    'Say where you are. What came before is taken to have gone as planned; measure at the next chance.',
  'alreadyOn.itIsAt': 'It is at',
  'alreadyOn.since': 'Since',
  'alreadyOn.notNow': 'Not now',
  'alreadyOn.goOnFromThere': 'Go on from there',

  // batchPage
  'batchPage.now': 'Now',
  'batchPage.until': '{step}, until {end}',
  'batchPage.untilAbout': '{step}, until about {end}',
  'batchPage.then': 'Then: {step}.',
  'batchPage.atTheStove': 'At the stove',
  'batchPage.inThePotNow': 'In the pot now',
  'batchPage.atStandingAt': '{name}: {hotVolume} at {tempC}, standing at {levelCm}.',
  'batchPage.temperatureByTheModel': 'Temperature, as expected',
  'batchPage.whatWentIn': 'What went in',
  'batchPage.expectedInBottles': 'expected in bottles',
  'batchPage.inWords': 'In words',
  'batchPage.theBatch': 'The batch',
  'batchPage.leftInTheCloth': 'Left in the cloth',
  'batchPage.sweetSourAndStrong': 'Sweet against sour',
  'batchPage.bottle': 'Bottle',
  'batchPage.measureAndGoOn': 'Measure and go on',
  'batchPage.makeItAgain': 'Make it again',
  'batchPage.log': 'Log',
  'batchPage.saidOnAnotherDevice': '{deedText}: entered on another device as well, the earlier counts',
  'batchPage.undo': 'Undo: {deedText}',
  'batchPage.allEntries': 'All {count} entries',
  'batchPage.aNote': 'A note',
  'batchPage.noteIt': 'Add note',

  // bottleForm
  'bottleForm.notToBeKept': 'Not to be kept: pour it away. {reasons}',
  'bottleForm.theyGoTo': 'They go to',
  'bottleForm.toFillEachTo':
    '{ml} to fill, each to {headspace} of its size{isFrozen, select, true {, for what freezes grows} other {}}.',
  'bottleForm.ofMlYouHave': '{fill} of {volume} mL ({count})',
  'missingTools.blender':
    'No blender here ({steps}): pound it in a mortar with a little water and wring it through a cloth. Three times the work; clearer, with less foam and a little weaker.',
  'missingTools.juicer':
    'No juicer here ({steps}): blend it and wring it through a cloth, or grate and press it. More work, cloudier, and up to a quarter less juice.',
  'formChoices.title': 'Another form, or something else',
  'formChoices.nothing': '{name}: nothing takes its place.',
  'formChoices.option': '{item}, {amount}',
  'formChoices.insteadOf': 'Instead of {name}',
  'formChoices.goesIn': 'It goes in {when}.',
  'bottleForm.portion': 'Portion',
  'bottleForm.oneFewer': 'One {name} fewer',
  'bottleForm.oneMore': 'One {name} more',
  'bottleForm.bottlesTakeLeftOver':
    '{bottles} {isPortions, select, true {portions} other {bottles}}, {filled}; {left} left over.{roomSome, select, true { The last one stays {room} short.} other {}}',
  'bottleForm.danger': 'Danger',
  'bottleForm.mind': 'Caution',
  'bottleForm.whatIsLeftOver': 'Left over',
  'bottleForm.isDrunkNow': 'drunk now',
  'bottleForm.goesIntoAJug': 'into a jug',
  'bottleForm.bottlesAre': 'Bottles are',
  'bottleForm.noBottlesStandIn':
    'No bottles stand in your kitchen yet: add their sizes in Kitchen, or put it all in a jug.',
  'bottleForm.bottledOntoTheCold': 'Bottled, onto the cold shelf',
  'bottleForm.then': ', then ',
  'bottleForm.aWideFunnelThe':
    'A wide funnel, the bottles in the sink or on a tray. First {order}{leftSome, select, true {; a jug stands ready for the {left} that are over.} other {; a jug stands ready.}}',
  'bottleForm.wouldBeFullIt':
    '{name} would be {full} full: it does not hold them all, even empty. Choose another place for some.',
  'bottleForm.theyFitIsThen': 'They fit: {name} {full} full.',
  'bottleForm.wouldBeFullFirst': '{name} would be {full} full. First to go: {first}.',

  // coolingWatch
  'coolingWatch.coolingWatch': 'Cooling watch',
  'coolingWatch.betweenAndCIn': '{warm} between 60 and 5 °C in all, the steps before this one counted.',
  'coolingWatch.fromNowAnotherWay': 'From now, another way',
  'coolingWatch.asNow': ', as now',
  'coolingWatch.neverGetsToC': 'never gets to 21 °C',
  'coolingWatch.neverGetsToC2': 'never gets to 8 °C',
  'coolingWatch.sooner': '{mine} sooner',
  'coolingWatch.kgOfIce': '{iceKg} kg of ice',
  'coolingWatch.doesNotGetThere': 'does not get there as it stands',
  'coolingWatch.coldEnough': 'Cold enough {name} ({targetC}): {text}.',
  'coolingWatch.missed': ': missed',
  'coolingWatch.notYet': ', not yet',
  'coolingWatch.running': ': running',
  'coolingWatch.kept': ': kept',
  'coolingWatch.of': '{minutes} of {limit}{state}',
  'coolingWatch.of2': '{name}: {minutes} of {limit}',

  // flameOut
  'flameOut.theClockStandsStill': 'The clock stands still',
  'flameOut.noFlameSinceAgo':
    'No flame since {since}, {gone} ago. Once it is back this takes about {left}, getting hot again included.',

  // forWhom
  'forWhom.aGift': 'A gift',
  'forWhom.someAreForSomebody': 'For whom …',
  'forWhom.forWhatAFeast': 'For what: a feast, a season',
  'forWhom.forWhom': 'For whom, {number}',
  'forWhom.oneFewerFor': 'One fewer for {to}',
  'forWhom.oneMoreFor': 'One more for {to}',
  'forWhom.somebodyElse': 'Somebody else',
  'forWhom.thinkOfItAgain': 'Think of it again next year',
  'forWhom.ofBottlesAreMeant':
    '{meant} of {bottles} bottles are meant for somebody{meantSome, select, true {: more than there are.} other {.}}',

  // guestsAreHere
  'guestsAreHere.guestsAreHere': 'Guests are here',
  'guestsAreHere.strainedNow': 'Strained now',
  'guestsAreHere.atItsBest': 'At its best',
  'guestsAreHere.strainNow': 'Strain now',
  'guestsAreHere.thenTheSolidsOnce': 'Then boil what is left in the cloth once more, {minutes} minutes in',
  'guestsAreHere.waterL': '{litres} L',
  'guestsAreHere.theSecondBoilBy': 'The second boil by itself',
  'guestsAreHere.bothTogether': 'Both together',
  'guestsAreHere.strainNowThenBoil': 'Strain now, then boil the rest again',
  'guestsAreHere.whatLiesBetweenIs':
    'What lies between is left out; what was to cool in the pot cools strained. What your guests drink is told under Something else.',

  // howWasIt
  'howWasIt.howWasIt': 'How was it?',
  'howWasIt.inAFewWords': 'In a few words',
  'howWasIt.scoreOfFive': 'Score, of five',
  'howWasIt.itStandsInThe': 'It stands in the notebook of this drink, beside its variants.',

  // instrumentStrip
  'instrumentStrip.theInstrumentCouldNot':
    'The instrument could not be changed: the kitchen server does not answer.',
  'instrumentStrip.useHere': 'Use {name} here',
  'instrumentStrip.notTaken': 'Not taken: {detail}',
  'instrumentStrip.simulated': '{name}, for practice',
  'instrumentStrip.waitingForItsFirst': 'waiting for its first reading',
  'instrumentStrip.following': 'Following',
  'instrumentStrip.letItFollow': 'Let it follow',
  'instrumentStrip.tareOff': 'Tare off',
  'instrumentStrip.tare': 'Tare',
  'instrumentStrip.foundAgain': 'Found again',
  'instrumentStrip.lostIt': 'Lost it',
  'instrumentStrip.putAway': 'Put away',

  // likely
  'likely.toL': '{low} to {high} L',
  'likely.to': '{low} to {high}',
  'likely.likelyReadyIn': 'Likely {litres}, ready in {time}',
  'likely.toGL': ', {what} {low} to {high} g/L',
  'likely.eightTimesInTen': ': eight times in ten, before anything is measured.',
  'likely.howSureThisIs': 'How sure this is could not be worked out just now.',
  'likely.workingOutHowSure': 'Working out how sure this is',

  // lotStir
  'lotStir.stirIn': 'Stir in',
  'lotStir.trueOtherAlcoholUnits':
    '{isMl, select, true {Then} other {Now}} {abv} % alcohol, {ethanol} units a glass of {serving} mL ({name}).{abvLow, select, true { {keepsNothing}} other {}}',
  'lotStir.thisLotOnThe': 'This version, sweet against sour',
  'lotStir.nothingToStirIn': 'Nothing to stir in? Then go on with the wide button.',
  'lotStir.of': '{dose} of {item} ({byHand})',
  'lotStir.toSweetenItIn': 'To sweeten it in the glass, {serving} mL want {list}.',

  // lotsForm
  'lotsForm.splitItIntoLots': 'Divide into versions',
  'lotsForm.hereEachLotIs':
    '{here} here. Each version is finished by itself, with marks and a date of its own.',
  'lotsForm.lot': 'Version {number}',
  'lotsForm.litres': 'Litres',
  'lotsForm.leaveOutLot': 'Leave out version {number}',
  'lotsForm.leaveOut': 'Leave out',
  'lotsForm.oneMoreLot': 'One more version',
  'lotsForm.allTheRestInto': 'All the rest into the last',
  'lotsForm.moreThanThereIs': '{rest} more than there is.',
  'lotsForm.allOfItIs': 'All of it is in versions.',
  'lotsForm.goOnAsPlanned': '{rest} go on as planned.',
  'lotsForm.splitIt': 'Divide it',

  // measureForm
  'measureForm.whichPot': 'Which pot?',
  'measureForm.measure': 'Measure',
  'measureForm.oneJugFewer': 'One jug fewer',
  'measureForm.oneJugMore': 'One jug more',
  'measureForm.aJugHolds': 'A jug holds',
  'measureForm.andAPart': 'and a part',
  'measureForm.hotAboutC': 'hot, about {momentC} °C',
  'measureForm.hotWhenCold': 'hot, {cold} when cold',
  'measureForm.theModelExpectedCold': '; we expected {expectedNow} cold',
  'measureForm.heightFromTheBottom': 'Height from the bottom',
  'measureForm.theIsCmHigh': 'The {name} is {heightCm} cm high.',
  'measureForm.weight': 'Weight',
  'measureForm.weighed': 'Weighed',
  'measureForm.potAndAll': 'pot and all',
  'measureForm.withoutThePot': 'without the pot',
  'measureForm.temperature': 'Temperature',
  'measureForm.allThatIsDissolved': 'How sweet it reads, g in 100 g',
  'measureForm.aReadingAfterThe': 'A reading after the last addition counts for keeping',
  'measureForm.readBy': 'Read by',
  'measureForm.itIsSoEnter': 'It is so, enter it',
  'measureForm.enterIt': 'Enter it',

  // notToBeKept
  'notToBeKept.notToBeKept': 'Not to be kept',
  'notToBeKept.madeLikeThisIt':
    'Made like this it must be thrown out{isStep, select, true {: what is in the way is “{stepName}”} other {}}.',
  'notToBeKept.itCanBeKept': 'It can be kept',

  // planPage
  'planPage.practiceProbe': 'Practice probe',
  'planPage.theKitchenServerDoes':
    'The kitchen server does not answer. Your plan is kept here; try again in a moment.',
  'planPage.rehearseIt': 'Practice run',
  'planPage.beginAllTheSame': 'Start anyway: not to be kept',
  'planPage.beginNow': 'Start now',
  'planPage.keepThisPlan': 'Save plan',
  'planPage.takeTheirs': 'Take theirs',
  'planPage.keepMine': 'Keep mine',
  'planPage.thisPlanWasChanged':
    'This plan was changed in another window. There: {theirs}. Here: {mine}. Nothing was overwritten.',
  'planPage.dropThisPlan': 'Delete this plan',
  'planPage.saveChanges': 'Save changes',
  'planPage.glasses': '{servings} glasses',
  'planPage.aFullPot': 'a full pot',
  'planPage.gUsedUp': '{mass} g used up',
  'planPage.sweetness': '{wish}, {what}, sweetness {targetSweetnessPct}',

  // planProblem
  'planProblem.oneFill': 'one pot load',
  'planProblem.fills': '{fills} pot loads',
  'planProblem.make': 'Make {free}',
  'planProblem.makeItInFills':
    'Make it in {fillsNeeded} pot loads{hoursIs, select, true {, {hours} in all} other {}}',
  'planProblem.beside': '{pots} pots side by side',
  'planProblem.useBeside': 'Take the {name} beside it, {hours} in all',
  'planProblem.useThe': 'Use the {name}',
  'planProblem.make2': 'Make {floor}',

  // planTable
  'planTable.whoMarked': 'Who is to be told: {marks}',
  'planTable.iWant': 'I want',
  'planTable.inBottles': '{litres} in bottles',
  'planTable.moreThanGoes': 'more than goes',
  'planTable.fromThe': 'from the',
  'planTable.onThe': 'on the',
  'planTable.ring': 'Ring',
  'planTable.readyBy': 'ready by',
  'planTable.readyBy2': 'Ready by',
  'planTable.begunWhenYouAre': 'Start at {start}, bottled {ready}',
  'planTable.begunNowItIs': 'Start now, bottled {ready}',
  'planTable.notWithYourHours': 'not with your hours away',
  'planTable.tooLateBy': 'too late by {now}',
  'planTable.theWish': 'The wish',
  'planTable.fillsOfThePot': ' {fills} pot loads.',
  'furtherHours.ofAStep': 'What more hours would do: {step}',
  'furtherHours.none': 'Nothing stands here.',
  'furtherHours.least': '{time}, the least',
  'furtherHours.planned': '{time}, as planned',
  'furtherHours.between': '{time}',
  'furtherHours.most': '{time}, the most',
  'furtherHours.beyond': '{time}',
  'furtherHours.asStrong': 'as strong',
  'furtherHours.stronger': '{share} stronger',
  'furtherHours.weaker': '{share} weaker',
  'furtherHours.keeps': 'keeps {days, plural, one {# day} other {{daysText} days}}',
  'furtherHours.notToBeKept': 'not to be kept',
  'furtherHours.note': 'Strength as it is in the bottles.',
  'straining.through': '{step}: {passes}',
  'straining.clear': 'clear',
  'straining.silky': 'silky',
  'straining.thick': 'thick',
  'straining.gain': '{volume} more by pressing',
  'straining.rinse': 'a rinse of {volume} makes it {share} weaker',
  'citrus.title': 'Citrus, cooked or late',
  'citrus.cooked': '{item}, {time} at the boil',
  'citrus.left': '{now} still fresh',
  'citrus.late': 'In for the last minutes only: {late}; stirred in when cool: all of it.',
  'citrus.bitter': 'Bitter: white part and pips after {time}.',
  'citrus.notBitter': 'Not bitter before {time}.',
  'enough.title': 'Is there enough? {names}',
  'enough.wanted': '{item}: {volume} wanted, {mass}.',
  'enough.short': '{item}: {volume} ({mass}) short.',
  'enough.closed': 'Closed bottles',
  'enough.closedOf': 'Closed bottles of {item}',
  'enough.holds': 'Each holds',
  'enough.holdsOf': 'A bottle of {item} holds',
  'enough.open': 'In open ones',
  'enough.openOf': 'In open bottles of {item}',
  'enough.keep': 'That is what I have',
  'enough.left': 'Enough: {volume} ({mass}) will be left.',
  'enough.lacks': '{volume} ({mass}) short.',
  'ownVerdict.of': 'What you think of {item}',
  'parts.ratio': '{ratio}, with {names}',
  'parts.short': '{mass} of {item} short of its part.',
  'parts.over': 'More {item} than its part.',
  'parts.keepsLess': 'So it keeps less long: until {date}.',
  'parts.keepsAsLong': 'It keeps as long as it would: until {date}.',
  'parts.lessIsSaid': 'A jar runs short? Say under “Something else” how much went in.',
  'planTable.sideBySide': ' {pots} pots side by side.',
  'planTable.andThe': 'and the',
  'planTable.potBeside': 'Pot beside it',
  'planTable.ringBeside': 'Its ring',
  'planTable.noPotBeside': 'no other pot',

  // rehearsing
  'rehearsing.theSimulatedCookWas': 'It could not go on by itself: {detail}',
  'rehearsing.theKitchenServerDoes': 'The kitchen server does not answer. Nothing was changed.',
  'rehearsing.rehearsal': 'Practice run',
  'rehearsing.rehearsalTimesAsFast':
    'Practice run: {speed} times as fast{isKept, select, true {, kept} other {, nothing of it stays}}',
  'rehearsing.speed': 'Speed',
  'rehearsing.theSimulatedCookIs': 'It runs by itself',
  'rehearsing.letASimulatedCook': 'Let it run by itself',
  'rehearsing.doNotKeepIt': 'Do not keep it',
  'rehearsing.endAndForgetIt': 'End the practice run',

  // setAside
  'setAside.nothingLiesInThe': 'Nothing lies in the cloth that is not set aside.',
  'setAside.somethingElseThatIs': 'Something else that is left',
  'setAside.byTheModelWith': 'We expect {mass}, with {held} of drink in it.',
  'setAside.itWeighs': 'It weighs',
  'setAside.onePortionFewer': 'One portion fewer',
  'setAside.onePortionMore': 'One portion more',
  'setAside.goodForAUsual': 'Good for {usesOf}. A usual portion is {portion}.',
  'setAside.notForAnimals': 'Not for animals: {screen}.',

  // signalsPanel
  'signalsPanel.on': ': on',
  'signalsPanel.off': ': off',
  'signalsPanel.notInThisBrowser': 'not in this browser',
  'signalsPanel.onlyOverASafe': 'only over a safe connection',
  'signalsPanel.signals': 'Sounds and alerts',
  'signalsPanel.sound': 'Sound',
  'signalsPanel.spoken': 'Speech',
  'signalsPanel.shaking': 'Vibrate',
  'signalsPanel.notices': 'Notices',
  'signalsPanel.screenKeptOn': 'Keep the screen on',
  'signalsPanel.fourKeys': 'Four keys',
  'signalsPanel.alarmsShowHereAnd':
    'Alarms show here and, where it is on, sound only while this page is open.{noIsOffline, select, true { Without a safe connection this browser does not keep the page: it needs the server.} other {}}',
  'signalsPanel.languageItSpeaks': 'Language it speaks',
  'signalsPanel.voice': 'Voice',
  'signalsPanel.theBrowserSOwn': "The browser's own",
  'signalsPanel.pressAKey': 'press a key',

  // somethingElse
  'somethingElse.somethingElse': 'Something else',
  'somethingElse.whatHappened': 'What happened',
  'somethingElse.aSplashOfWater': 'a splash of water',
  'somethingElse.moreOfSomething': 'more of something',
  'somethingElse.swappedOrLessOf': 'swapped, or less of it',
  'somethingElse.leftInTheCloth': 'left in the cloth',
  'somethingElse.notAsPlanned': 'not as planned',
  'somethingElse.thereIsNothingHere': 'There is nothing here yet.',
  'somethingElse.theFlameIsOut': 'The flame is out, or the power off,',
  'somethingElse.sinceNow': 'since now',
  'somethingElse.sinceMin': 'since {minutes} min',
  'somethingElse.grams': 'Grams',
  'somethingElse.itIsSo': 'It is so',
  'somethingElse.countedFromWhereIt': 'Counted from where it went in',
  'somethingElse.countedIntoThePot': 'Counted into the pot',
  'somethingElse.countedWhereTheDrink': 'Counted where the drink stands now',
  'somethingElse.strengthSweetenerAndBottles': '{counted}; strength, sweetener and bottles follow.',

  // squeeze
  'squeeze.juice': 'Juice, {name}',
  'squeeze.countedOnWithWanted':
    '{isEntered, select, true {Counted on with: } other {Wanted: }}{ml} {name}. Squeezed so far:',
  'squeeze.fruit': '{pieces} fruit',
  'squeeze.oneFruitFewer': 'One fruit fewer',
  'squeeze.oneFruitMore': 'One fruit more',
  'squeeze.juiceSoFar': 'Juice so far',
  'squeeze.total':
    '{got} of {wanted} mL, all of them together. {isEnough, select, true {That is enough.} other {{left} mL to come.}}',
  'squeeze.thatIsEnough': 'that is enough',
  'squeeze.moreLikeThem': '{more} more like them',
  'squeeze.mlAFruit': '{perPiece} mL a fruit: {enough}.',
  'squeeze.goOnWithWhat': 'Go on with what there is',
  'squeeze.sournessLitresAndSweetener': 'Sourness, litres and sweetener follow what really came out.',

  // stageChoices
  'stageChoices.yourChoice': 'Your choice',
  'stageChoices.rinses': 'Rinses',
  'stageChoices.oneQuickRinseOr':
    'One quick rinse, or until the bowl shows no sand: each rinse takes a little colour and a minute and a half.',
  'stageChoices.theSolidsAre': 'Straining',
  'stageChoices.itCools': 'It cools',
  'stageChoices.inIceWater': 'in ice water',
  'stageChoices.inTheFridge': 'in the fridge',
  'stageChoices.onTheCounter': 'on the counter',
  'stageChoices.howSweet': 'How sweet',
  'stageChoices.strength': 'Strength',
  'stageChoices.heat': 'Heat',
  'stageChoices.cooledInTheFridge': 'cooled, in the fridge',
  'stageChoices.method': 'Method',
  'stageChoices.seeMethodsSideBy': 'See methods side by side',
  'stageChoices.fruit': 'Fruit',
  'stageChoices.madeWithIt': 'made with it',
  'stageChoices.readyOnTheShelf': 'ready on the shelf',
  'stageChoices.hoursOfSoaking': 'Hours of soaking',
  'stageChoices.itSoaks': 'It soaks',
  'stageChoices.minutesAtTheBoil': 'Minutes at the boil',
  'stageChoices.lidAtTheBoil': 'Lid at the boil',
  'stageChoices.minutesAtASimmer': 'Minutes at a simmer',
  'stageChoices.minutesOnTheLeaves': 'Minutes on the leaves',
  'stageChoices.secondBoil': 'Second boil',
  'stageChoices.waterKeptForThe': 'Water kept for the second boil: {secondShare}',
  'stageChoices.shareOfTheWater': 'Share of the water for the second boil',
  'stageChoices.hoursOfSteeping': 'Hours of steeping',
  'stageChoices.itSteeps': 'It steeps',
  'stageChoices.daysToMature': 'Days to mature',
  'stageChoices.sweetnessAimedAtGrams': 'Sweetness aimed at, grams of sugar in 100 grams',
  'stageChoices.aimAtInG': 'Aim at {sugar} in 100 g, as sweet as sugar water of {brix}.',

  // stovePage
  'stovePage.bigLadle': '{face} {stepName} · Big Ladle',
  'stovePage.done': 'Done',
  'stovePage.bigLadle2': '{stepName} · Big Ladle',
  'stovePage.table': '‹ Overview',
  'stovePage.stepOf': '{at} of {count}',
  'stovePage.thePlanStops': 'The plan stops',
  'stovePage.bestStrainedNotBefore':
    'Best strained at {end}{minIs, select, true {, from {min}} other {}}{maxIs, select, true { until {max}} other {}}.',
  'stovePage.theModelHasAt': '{volume}, {tempC}{levelCmIs, select, true {, {levelCm} cm} other {}} by now.',
  'stovePage.howMuchCameOut': 'How much came out?',
  'stovePage.itBeganEarlier': 'Correct the start time',
  'stovePage.anotherClock': 'Add a timer',
  'stovePage.skipThis': 'Skip this',
  'stovePage.stopTheClock': 'Stop the clock {label}',
  'stovePage.theFlameIsBack': 'The flame is back',
  'stovePage.strainNowInstead': 'Strain now instead',
  'stovePage.spoonNow': 'now, in a white spoon',
  'stovePage.lastTime': 'Last time:',
  'stovePage.yourSpoonIs': 'Your spoon is',
  'stovePage.overWhenYouSee': 'Done when:',
  'stovePage.itShouldStandAt': 'It should stand at {levelCm} cm.',
  'stovePage.expectedIn': 'expected in',
  'stovePage.expectedSince': 'expected since',
  'stovePage.untilTheBestMoment': 'until the best moment',
  'stovePage.toGo': 'to go',
  'stovePage.overTimeBy': 'over time by',
  'stovePage.enteredTrueOtherThan':
    'Entered: {mine}.{differenceSome2, select, true { {difference} {differenceSome, select, true {less} other {more}} than expected; sweetener and bottles follow.} other {}}',
  'stovePage.began': '{stepName} began',
  'stovePage.minAgo': 'min ago',
  'stovePage.setIt': 'Set it',
  'stovePage.for': 'For',

  // swapLine
  'swapLine.byTasteAsBefore': 'by taste, as before',
  'swapLine.thatWentIn': 'That went in',

  // sweetenForm
  'sweetenForm.ofGG': 'of {target} g/100 g',
  'sweetenForm.sweetnessNowAndAimed': 'sweetness now, and aimed at',
  'sweetenForm.asARefractometerReads': 'as a refractometer reads',
  'sweetenForm.gAGlass': 'g a glass',
  'sweetenForm.ofGADay': '{shareOfCeiling} of 50 g a day, {shareOfAim} of 25 g',
  'sweetenForm.sweetnessOfAimedAt': 'Sweetness {sweetnessPct} of {target} aimed at',
  'sweetenForm.stirInOfUntil': 'Stir in {byHand}, {grams}{lengthSome, select, true { of {item}} other {}}.',
  'sweetenForm.statedOf':
    'Stir in {byHand}, {grams}{lengthSome, select, true { of {item}} other {}}: as it is written.',
  'sweetenForm.beginWith': 'Begin with {grams}, then taste',
  'sweetenForm.allIsIn': 'All that is written is in: {all}. Taste it cold before you stop.',
  'sweetenForm.isIn': '{grams} is in',
  'sweetenForm.atItDissolvesSlowly':
    'At {tempC} it dissolves slowly. Or as a syrup: warm {grams} of the drink with the {grams2} until it is clear, cool it, and pour it back.',
  'sweetenForm.nothingMore': 'nothing more',
  'sweetenForm.soFarThenTasting':
    '{allSome, select, true {{all} so far. } other {}}Then, tasting each time: {plan}.',
  'sweetenForm.itIsAsSweet': 'It is as sweet as you aimed at, with {all}. Taste it cold before you stop.',
  'sweetenForm.tasteWithAClean': 'Taste with a clean spoon. It is',
  'sweetenForm.youTastedAtNow':
    'You tasted “{text}” at {atSweetnessPct}: now aiming at {target}.{sweetSome, select, true { To come back, {water} mL of water would thin it there.} other {}}',
  'sweetenForm.anotherAmount': 'Another amount',
  'sweetenForm.isIn2': 'is in',

  // tempChart
  'tempChart.expectedNow': 'expected now',
  'tempChart.temperaturesOverTheHours':
    'Temperatures over the hours: planned, expected now and measured. {isLast, select, true {Measured last: {temp}.} other {Nothing measured yet.}}',

  // timetableSheet
  'timetableSheet.fromInBottlesOf':
    'From {start}, {start2}. In bottles {ready}, {ready2}. {handsOn} of your work.',
  'timetableSheet.from': 'From',
  'timetableSheet.to': 'To',
  'timetableSheet.do': 'Do',

  // tooLate
  'tooLate.notReadyByThen': 'Not ready by then',
  'tooLate.whatBindsIsWhich':
    'What binds is “{stepName}”{isBindingStepId, select, true {, which falls into your hours away.} other {, the longest of its steps.}} Three ways out:',
  'tooLate.readyInTime': '{what}, ready {ready}{isMeets, select, true {: in time} other {}}',
  'tooLate.serveThen': 'Serve then',
  'tooLate.asStrongAsPlanned': 'as strong as planned',
  'tooLate.ofYourHands': '{handsOn} of your work',
  'tooLate.halfInEachPot':
    'Half in each pot on two rings; twice the washing-up{isWantsPot, select, true {, and you have one pot only} other {}}.',
  'tooLate.thePlanAsIt': 'The plan as it is, {hands}.',

  // useUp
  'useUp.allOfThe': 'All of the',
  'useUp.iHave': 'I have',
  'useUp.in': 'in',
  'useUp.make': '{mass} make {litresNow}.',

  // wishControls
  'wishControls.whatYouWishFor': 'What you wish for',
  'wishControls.litresInBottles': 'Litres in bottles',
  'wishControls.comeOut': '{litresNow} come out.',
  'wishControls.fillsOfThePot': 'Pot loads',

  // balanceBoard
  'balanceBoard.dragAnArrowBy':
    'Drag an arrow by its handle to see what it does; drag the ring to where you want the drink. Everything moves by the arrow keys as well. What may be added is settled in the kitchen.',
  'balanceBoard.withThese': 'With these',
  'balanceBoard.arrowsOnThePlane': 'Arrows on the plane',
  'balanceBoard.sweetToSour': 'sweet to sour',
  'balanceBoard.ofFreeSugarsIn':
    '{freeSugar} of sugar in a glass of {serving} mL, {shareOfCeiling} of the 50 g a day of common guidance, {shareOfAim} of the stricter 25 g; {addedSugar} g of it added, {kcal} kcal.{isOver, select, true { More than the {freeSugarGPerGlass} g of your house.} other {}}',
  'balanceBoard.withAlcoholUnitsA': 'With alcohol: {ethanol} units a glass ({name}).',
  'balanceBoard.strengthOfWhatIt': 'strength, of what it is now',
  'balanceBoard.heatGingerAndChilli': 'heat, ginger and chilli as fresh root',

  // balancePage
  'balancePage.balance': 'Balance',
  'balancePage.thereIsNoDrink': 'There is no drink yet whose balance could be looked at.',
  'balancePage.takeItStepBy': 'Take it step by step',
  'balancePage.asItWillStand': ', as it will stand when it is strained',
  'balancePage.nothingCanGoIn':
    'Nothing can go in before it is strained: this shows what will be wanted then.',

  // cupTrial
  'cupTrial.triedOnACup': 'Tried on a cup',
  'cupTrial.whatWentIntoThe': 'What went into the cup',
  'cupTrial.intoACupOf': 'Into a cup of',
  'cupTrial.soMuch': 'So much',
  'cupTrial.forAllOfIt': 'For all of it, {factor} times as much: {mass} {item}.',
  'cupTrial.itIsInAll': 'It is in, all of it',
  'cupTrial.trySomethingOnA':
    'Try something on a cup before it goes into the pot: this says what the pot wants.',

  // plane
  'plane.balanceSweetnessGIn': 'Balance: sweetness {sweet} g in 100 g, sourness {sour} g/L',
  'plane.inTheGlass': 'in the glass',
  'plane.target': 'Target',
  'plane.sweetnessSourness': 'sweetness {sweet}, sourness {sour}',
  'plane.target2': 'target',
  'plane.whatThisHouseLikes': 'what this house likes, from {batches}',
  'plane.sourGLAs': 'sour (acid, g/L)',
  'plane.sweetGOfSugar': 'sweet, g of sugar in 100 g',

  // plannedBalance
  'plannedBalance.planItSo': 'Plan it so',
  'plannedBalance.plannedSo': 'Planned so',
  'plannedBalance.noSweetener': 'No sweetener',
  'plannedBalance.and': ' and ',
  'plannedBalance.forEachLitre': '{item}, {strength} for each litre',
  'plannedBalance.asMuchOfEverything': 'as much of everything for {litresShare} of the litres',
  'plannedBalance.asTheRecipeHas': 'As the recipe has it',

  // served
  'served.overIce': 'Over ice',
  'served.aFullGlass': 'a full glass',
  'served.noHot': 'no, hot',
  'served.thinnedWith': 'Thinned with',
  'served.ofTheGlass': '{item}: {mixerShare} of the glass',
  'served.shareOfTheGlass': 'Share of the glass that is poured to it',
  'served.bySmallGlassesOf': 'By small glasses of',
  'served.aDay': 'A day',
  'served.ofMl': '{name} of {ml} mL',
  'served.sugarUnits': '{sugar} sugar{isSaysAlcohol, select, true {, {ethanol} units} other {}}',
  'served.served': 'Served',
  'served.inTheGlassG':
    'In the glass {sweetPct} g in 100 g, sourness {sour} g/L, at {strengthShare} of its strength{isSaysAlcohol, select, true {, {abvPct} % alcohol} other {}}.{isHot, select, true { At {temp} °C a glass holds {expansion} less of it. Hot, it tastes sweeter and sharper than cold: taste it as it will be drunk. Warm only what is poured, once.} other {}}',
  'served.aJug': 'A jug',
  'served.smallGlassesEnoughFor':
    '{servings} small glasses, enough for {days} {daysCount, plural, one {day} other {days}}. The date on the bottle comes first.',

  // stepsByTaste
  'stepsByTaste.byTaste': 'By taste',
  'stepsByTaste.mlForEachLitre': ', {per} mL for each litre',
  'stepsByTaste.itIsInStirred': 'It is in, stirred until it is gone',
  'stepsByTaste.soFar': '{added} so far.',
  'stepsByTaste.thenTastingEachTime':
    'Then, tasting each time, {after} smaller {afterCount, plural, one {dose} other {doses}}.',
  'stepsByTaste.thenItIsWhere': 'Then it is where you want it.',
  'stepsByTaste.itIsSweeterThan': 'It is sweeter than you want it. What brings it back stands below.',
  'stepsByTaste.itIsWhereYou':
    'It is where you want it{addedSome, select, true {, with {added}} other {}}. Taste it cold before you stop.',
  'stepsByTaste.tasteWithAClean': 'Taste with a clean spoon, a fresh one each time. It is',
  'stepsByTaste.tastedAtGIn':
    'Tasted at {atSweetnessPct} g in 100 g: now aiming at {sweetPct}{sourGPerIs, select, true {, sourness {sour} g/L} other {}}. It stands at {sweetnessPct} and {sourness}.',
  'stepsByTaste.tooFarWaysBack': 'Too far. Ways back:',
  'stepsByTaste.ofWater': '{water} of water',
  'stepsByTaste.asStrongMoreThan':
    '{litres}, {strengthShare} as strong{costInDays}{noIsFits, select, true {, more than there is room for} other {}}',
  'stepsByTaste.sournessGLMore':
    '{litres}, sourness {sour} g/L{costInDays}{noIsFits, select, true {, more than there is room for} other {}}',
  'stepsByTaste.takeOutFillUp': 'take out {taken}, fill up with water',
  'stepsByTaste.theLitresStayWhat': 'the litres stay; what is out is a base for later{costInDays}',
  'stepsByTaste.keepsAsBefore': ', keeps {after} as before',
  'stepsByTaste.keepsInsteadOf': ', keeps {after} instead of {before}',

  // swapChoices
  'swapChoices.somethingElseInstead': 'Something else instead',
  'swapChoices.withFruitInsteadOf': 'With fruit instead of a sweetener',
  'swapChoices.lMoreRawKeeps':
    '{litresMore} L more, {body}{isRaw, select, true {, raw: keeps for less long} other {}}',
  'swapChoices.notSweetEnoughFor': 'not sweet enough for this',
  'swapChoices.fruit': ', {pieces} fruit',
  'swapChoices.theSugarOfFruit': 'The sugar of fruit juice and of blended dates counts as free sugar too.',
  'swapChoices.sweetenedWithTheRecipe': 'Sweetened with (the recipe: {item})',
  'swapChoices.inTheHouseWanted':
    '{inHouse} in the house, {mass} wanted{isPack, select, true {: {packsInHouse} of {packsWanted} jars or packs of {pack}} other {}}.',
  'swapChoices.asSweetAsOf':
    'As sweet as {mass} of {item}: {mass2}, {bulk}{waterSome, select, true {, with {water} of water in it, which is poured less} other {}}. {sugarMoreSome, select, true {{sugarMore} {sugarMoreLow, select, true {less} other {more}} sugar, } other {}}{kcalMore} kcal {kcalMoreLow, select, true {fewer} other {more}}. {dissolves}{more}',
  'swapChoices.asMuchSugarInstead': 'As much sugar instead: aim at {sameSugar}',
  'swapChoices.souredWithTheRecipe': 'Soured with (the recipe: {item})',
  'swapChoices.of': '{amount} of {item}',
  'swapChoices.asSourAs': 'As sour as {ml}: {list}.',
  'swapChoices.asSourByAcid':
    'As sour, by acid: {ml}{isFruit, select, true {, {pieces} fruit} other {}}. {acetic}',

  // ways
  'ways.waysToGetThere': 'Ways to get there',
  'ways.withAsLittleAs': 'With as little as can be of',
  'ways.nothingMayBeAdded': 'Nothing may be added yet: the kitchen says what may.',
  'ways.gOfFreeSugars':
    '{freeSugar} g of sugar a glass · {volume}{isNoAddedSugar, select, true { · {noAddedSugar}} other {}}{isRaw, select, true { · {rawJuice}} other {}}{isHoney, select, true { · {honey}} other {}}',
  'ways.showIt': 'Show it',

  // figures
  'figures.sugarAGlass': 'g sugar a glass',
  'figures.afterTheBoil': 'after the boil {hotVolume}',
  'figures.strained': 'strained {volume}',
  'figures.toTheBrimWide': '{name}, {potCapacity} full, {diameterCm} wide. ',
  'figures.atTheBoilAt':
    '{isHeated, select, true {At the boil} other {At its fullest}} it stands at {levelCm}, {hotVolume} of {isHeated, select, true {hot } other {}}drink with {dry} of plants, ',
  'figures.andIsKeptFor': 'and {foam} is kept for foam: {fill} of what it may take.',
  'figures.afterTheBoil2': ' After the boil {hotVolume}.',
  'figures.strained2': ' Strained {volume}.',
  'figures.plants': 'plants, {dry}',
  'figures.full': '% full',
  'figures.minRinses': 'min, {rinses} rinses',

  // logWords
  'logWords.hot': ' hot',
  'logWords.beganTo': 'began to {name}',
  'logWords.stepOver': 'step over',
  'logWords.skipped': 'skipped: {name}',
  'logWords.theFlameIsBack': 'the flame is back',
  'logWords.theFlameWentOut': 'the flame went out',
  'logWords.strainedEarlyOnceMore': 'strained early, once more with {water}',
  'logWords.strainedEarly': 'strained early',
  'logWords.reallyWentInNot':
    'really went in: {massSome, select, true {{mass} } other {}}{item}{isLine, select, true {} other { (not in this batch)}}',
  'logWords.split': 'split: {lots}',
  'logWords.of': '{mass} of {what}',
  'logWords.setAside': 'set aside: {leftovers}',
  'logWords.for': '{count} for {to}',
  'logWords.for2': 'for {occasion}: {rows}',
  'logWords.rinsedOnce': 'rinsed once',
  'logWords.stoppedAClock': 'stopped a clock',
  'logWords.saw': 'saw: {what}',
  'logWords.clock': 'clock: {clock}, {minutes}',
  'logWords.measured': 'measured {readingText}',
  'logWords.added': 'added {mass} {item}',
  'logWords.less': '{why}: {volume} less',
  'logWords.tasted': 'tasted: {entries}',
  'logWords.filledBottles': 'filled {bottles} bottles',
  'logWords.of2': '{score} of 5{isWords, select, true {: {words}} other {}}',
  'logWords.setAnEarlierTime': 'set an earlier time',
  'logWords.tookBack': 'took back',

  // outcome
  'outcome.sweetenerTrueOther': 'sweetener {sweet} {sweetLow, select, true {less} other {more}}',
  'outcome.insteadOf': '{litres} instead of {litres2}',
  'outcome.asManyLitresAs': 'As many litres as before',
  'outcome.asExpectedNothingOf': 'As expected: nothing of the rest changes.',

  // panels
  'panels.cmWide': '{name}, {potCapacity}, {diameterCm} cm wide',
  'panels.fillsEachTheSame': '{fills} pot loads, each the same.',
  'panels.besideIt': 'Side by side: {pots}. Poured together before it is cooled.',
  'panels.shareOfPot': '{pot} takes {percent} %',
  'panels.nothingIsHeatedIt': 'Nothing is heated: it serves as the mixing bowl.',
  'panels.boilsAfterAboutOn': 'Boils after about {lengthText} on the {name}.',
  'panels.allBoilAfterAbout': 'All boil after about {lengthText}.',
  'panels.yourOfWeighs': 'Your {name} of {item} weighs {mass}.',
  'panels.wholeSpicesRunAhead': 'In a big pot whole spices grow more slowly than the water.',
  'panels.amountsAreForAll': 'Amounts are for all {fills} pot loads together.',
  'panels.amountsAreForBoth': 'Amounts are for all pots together; at the stove each has its own.',
  'panels.asMuchAsThere': ', as much as there is juice',
  'panels.whatItGivesIs': '(what it gives is not modelled)',
  'panels.inTheGlass': ', in the glass',
  'panels.toCm': 'to {levelCm} cm',
  'panels.about': 'about ',
  'panels.fromTheShelf': '{name}, from the shelf',
  'panels.whereTheLitresGo': 'Where the litres go',
  'panels.allAtC': 'all at 20 °C',
  'panels.washAndCut': 'Wash and cut',
  'panels.rinsesInBowls': '{rinses} rinses{bowls, plural, =0 {} one {} other {, in # bowls}}',
  'panels.coldRinsesTakeAbout':
    'Cold rinses take about {washedOut} of the strength with them: less than warm ones would.',
  'panels.draw': 'Boil and steep',
  'panels.drawnFromThePlants': 'What the plants give',
  'panels.notModelled': 'not modelled',
  'panels.expectedColourStrainedIn':
    'Expected colour, strained: in a white spoon and in a glass. An aid to judge by.',
  'panels.strainAndCool': 'Strain and cool',
  'panels.nothingIsStrained': 'Nothing is strained.',
  'panels.heldInThe': 'held in the {item}',
  'panels.coolingTo': 'Cooling to {tempC}',
  'panels.from': 'from {tempC}',
  'panels.betweenAndC': 'Between 60 and 21 °C',
  'panels.andOnInThe': 'and on in the bottle',
  'panels.aimH': 'aim 2 h',
  'panels.thenToC': 'Then to 5 °C',
  'panels.aimH2': 'aim 4 h',
  'panels.yourReceivingVesselsHold': 'What you strain into holds {receiver}: {receiverShort} too little.',
  'panels.yourFridgeStandsAt':
    'Your fridge stands at {fridgeC}. Drain leaves more behind than pressing, wringing less still.',
  'panels.theTwoDraws': 'The two boils',
  'panels.theSecondWinsBack':
    'The second wins back {marker} of all that is in the plants, {litres} more for {minutes}.',
  'panels.allThatIsDissolved': 'sweetness, as a refractometer reads it',
  'panels.sweetnessAsSugar': 'sweetness, as sugar',
  'panels.titratableAcidityAsCitric': 'sourness',
  'panels.asYouReadIt': 'as you read it',
  'panels.tooLittleAcidTo': 'too little acid to estimate',
  'panels.inAGlassOf': 'In a glass of {serving} mL',
  'panels.sugar': 'Sugar',
  'panels.freeSugarsOfThe': 'Sugar, of the 50 g a day that guidance sets as a ceiling',
  'panels.andOfTheG': 'and of the 25 g it aims at',
  'panels.noAddedSugar': 'No added sugar',
  'panels.addedSugar': 'Added sugar',
  'panels.onlyThatOfThe': 'only that of the fruit',
  'panels.expectedColourOfThe': 'Expected colour of the finished drink.',
  'panels.toFill': '{total} to fill',
  'panels.mlEach': '{fill} mL each',
  'panels.leftOverAGlass': 'Left over, a glass for the cook',
  'panels.noBottlesInYour': 'No bottles in your kitchen yet: all left over',
  'panels.keepDrinkBy': 'Keep, drink by',
  'panels.theClockStartsWhen':
    'The clock starts when the drink first falls below 60 °C, or when its first raw part was cut or poured.',
  'panels.itWouldKeepLonger': 'It would keep longer',
  'panels.cautiousHomeRulesYour':
    'Cautious home rules; your local food rules come first. Kept cold, at {fridgeC}.',
  'panels.whenYouAreNeeded': 'When you are needed',
  'panels.inAllOfYour': '{total} in all, {handsOn} of your work',
  'panels.itWaitsLongerBefore':
    'It waits {by} longer before “{stepName}”, so that nothing calls you in your hours away.',
  'bottleForm.sterilised': 'sterilised',
  'bottleForm.clean': 'clean',
  'stageChoices.drained': 'drained',
  'stageChoices.pressed': 'pressed',
  'stageChoices.wrung': 'wrung',
  'stageChoices.sterilised': 'sterilised',
  'stageChoices.clean': 'clean',
  'stageChoices.off': 'off',
  'stageChoices.ajar': 'ajar',
  'stageChoices.on': 'on',
  'stageChoices.plain': 'plain',
  'stageChoices.light': 'light',
  'stageChoices.medium': 'medium',
  'stageChoices.sweet': 'sweet',
  'coolingWatch.firstStage': '60 to 21 °C',
  'coolingWatch.secondStage': '21 to 5 °C',
  'coolingWatch.toBottle': 'to bottle',
  'coolingWatch.toServe': 'to serve',
  'coolingWatch.coolIn': '21 °C in {in}',
  'coolingWatch.coldIn': '8 °C in {in}',
  'lotStir.howMuch': 'how much',
  'squeeze.dial': 'juice so far',
  'somethingElse.spilt': 'spilt',
  'somethingElse.served': 'served',
  'measureForm.byJug': 'by jug',
  'measureForm.byLevel': 'height in the pot',
  'measureForm.byMass': 'weight',
  'measureForm.byTemperature': 'temperature',
  'measureForm.byBrix': 'refractometer',
  'measureForm.byPH': 'acid, pH',
  'measureForm.jugs': '{jugs, plural, one {# jug} other {# jugs}}',
  'measureForm.aPartOfA': 'a part of a jug',
  'measureForm.cold': 'cold',
  'measureForm.meter': 'meter',
  'measureForm.strip': 'strip',
  'sweetenForm.notSweetEnough': 'not sweet enough',
  'sweetenForm.aboutRight': 'about right',
  'sweetenForm.tooSweet': 'too sweet',
  'tempChart.planned': 'planned',
  'tempChart.measured': 'measured',
  'wishControls.thisMuchInBottles': 'This much in bottles',
  'wishControls.thisManyGlasses': 'For so many people',
  'wishControls.asMuchAsThe': 'As much as the pot takes',
  'wishControls.useUpWhatI': 'Use up what I have',
  'plane.soft': 'soft',
  'plane.even': 'even',
  'plane.sharp': 'sharp',
  'served.none': 'none',
  'served.some': 'some',
  'ways.everything': 'everything',
  'ways.sugar': 'sugar',
  'logWords.planned': 'planned',

  // stove
  'stove.limitLine': 'It may stand there until {at}. Longer, and it is not to be kept.',
  'stove.pastLimitLine': 'It has stood warm for too long, since {at}: not to be kept.',

  // bottle
  'bottle.filledWarm':
    'It is {temp}: warm glass only, closed at once, no more than three hot bottles in the fridge together. Still not for a shelf at room temperature. Cooling in the bottle costs days.',
  'bottle.filledWarmNotAcid':
    'It is {temp} and not shown to be acid: cool it in ice first. In the bottle it cools too slowly.',
  'bottle.expected': 'Put into the fridge now: {date}.',

  // coolBy
  'coolBy.bottles': 'filled hot, in warmed glass',
  'coolBy.bottles.about':
    'Hot into warmed glass, for drinks that are shown to be acid. It wants heat-proof bottles that were warmed first, a steady hand, and room in the fridge for three hot bottles at a time. It is still not shelf-stable, and cooling in the bottle costs days: its date counts them.',

  // early
  'early.plan':
    'Started today it would be past its date on that day. Start it {at} at the earliest, or freeze it.',
  'early.batch':
    'It was planned for {day} and keeps only until {date}. Freeze it, drink it sooner, or make it again nearer the day.',

  // balance
  'balance.lessWater': 'Less water',
  'balance.nothingToAdd': 'It is there already.',
  'balance.noAddedSugar': 'no added sugar',
  'balance.rawJuice': 'raw juice: keeps for less long',
  'balance.nearest': 'The nearest:',

  // house
  'house.sugar': '{is} g of sugar in a glass: more than the {most} g of this house.',
  'house.citrus': '{is} mL of citrus juice in a litre: more than the {most} mL of this house.',

  // swap
  'swap.dissolves': 'Goes in easily from {temp} on.',
  'swap.dissolvesAny': 'Goes in at any temperature.',
  'swap.mostC': 'Above {temp} its aroma goes.',
  'swap.honey': 'Never for a child under one year.',
  'swap.acetic': 'By vinegar: another taste, and it keeps differently.',
  'swap.raw': 'Raw juice: the drink keeps no longer than it does.',
  'swap.bottled': 'Bottled: pasteurised once, weaker than fresh; the label says how much.',

  // clock
  'clock.spicePot': 'Spice pot',
  'clock.peelSoak': 'Peel soak',
  'clock.hotBottles': 'Bottles in hot water',

  // noted
  'noted.burnt': 'It burnt a little',
  'noted.boiledOver': 'It boiled over',

  // wash
  'wash.rinsedOnce': 'Rinsed once',
  'wash.ofRinses': '{asked, plural, one {of one rinse} other {of # rinses}}',

  // water
  'water.untreated.first': 'Boil it first, and let it cool. Nothing in this drink will be boiled later.',

  // clock
  'clock.quick': 'Quick clock',

  // signals
  'signals.hello': 'I will tell you what is due.',

  // keep
  'keep.wholeDays': 'the last whole day',
  'outcome.bottlesFewer': '{count, plural, one {# bottle} other {# bottles}} fewer',
  'outcome.bottlesMore': '{count, plural, one {# bottle} other {# bottles}} more',
  'outcome.strength': '{share} {isWeaker, select, true {weaker} other {stronger}}',
  'outcome.later': '{time} later',
  'outcome.sooner': '{time} sooner',
  'balanceBoard.sweetness': 'sweetness',
  'balanceBoard.dissolved': 'refractometer',
  'balanceBoard.sourness': 'sourness',
  'panels.estimate': 'estimate',
  'panels.alcohol': 'alcohol',
  'swap.body.thicker': 'thicker',
  'swap.body.thinner': 'thinner',

  // before the first step
  'getReady.title': 'Get ready',
  'getReady.found': '{found} of {all}',
  'getReady.missing': '{missing, plural, one {# thing still to find} other {# things still to find}}',
  'getReady.tools': '{count, plural, one {And a tool} other {And # tools}}',
  'getReady.details': 'What each should be like',

  // whether this device may call
  'askSound.ask': 'Shall it ring when the time is up?',
  'askSound.yes': 'Yes, ring',
  'askSound.try': 'Try the sound',
  'askSound.no': 'No, only show it',
  'signalsPanel.space': 'Space',

  // a batch that is given up
  'stop.title': 'Stop this batch',
  'stop.why': 'What happened?',
  'stop.fell': 'The pot fell or boiled over.',
  'stop.wrong': 'It went wrong.',
  'stop.noTime': 'There is no time for it.',
  'stop.other': 'Something else',
  'stop.words': 'In your words',
  'stop.left': 'What is left of it?',
  'stop.rest.pouredAway': 'it is poured away',
  'stop.rest.drunk': 'it is drunk today',
  'stop.rest.none': 'nothing is left',
  'stop.rest.pouredAway.how':
    'Strain it first: the plants go to the compost, the drink into the sink, with water after it.',
  'stop.rest.drunk.how':
    'Today only, and nothing of it is kept: what is to be kept goes on to the bottles instead.',
  'stop.rest.none.how': 'Nothing is kept of it.',
  'stop.hot': 'It is still hot enough to scald: let it cool before you lift or pour it.',
  'stop.do': 'Stop it',

  // after the last step
  'stoveEnd.done': 'Done: {bottles, plural, one {# bottle} other {# bottles}}',
  'stoveEnd.stopped': 'Stopped',
  'stoveEnd.labels': 'Print labels',
  'stoveEnd.practised': 'It was practice: nothing stands on the cold shelf.',
  'stoveEnd.nextTime': 'A note for next time',
  'stoveEnd.clean':
    'To clean now, before it dries: the pot, the sieve and the cloth, the bowl, what you strained into.',
  'stovePage.more': 'More …',
  'stovePage.less': 'Less',
  'logWords.stopped': 'stopped{isWhy, select, true {: {why}} other {}}',
  'logWords.out.spill': 'spilt',
  'logWords.out.taste': 'tasted',
  'logWords.out.other': 'served',
  'washing.bowls': 'Your bowl takes it in {bowls} lots, each with {each}.',
  'washing.bowl': 'Bowl {number}',
  'washing.ofEach': '{amount} {item}',
  'washing.thing': '{item}: {hand} ({scale})',
  'wishControls.people': 'People',
  'wishControls.glassesEach': 'Glasses each',
  'wishControls.ice.none': 'no ice',
  'wishControls.ice.some': 'three cubes',
  'wishControls.ice.much': 'a glass full of ice',
  'stovePage.spoonThen': 'at the end',

  // the ways of making it
  'waysChoice.ways': 'Which way?',
  'waysChoice.method': '{method}, {time}',
  'waysChoice.asks': '{work} of your work{needsIce, select, true {, {ice} kg of ice} other {, no ice}}',
  'waysChoice.ready': 'in bottles {at}',
  'waysChoice.startAndReady': 'begin {start}, in bottles {at}',
  'waysChoice.chosen': '✓ chosen',
  'waysChoice.all': 'All {count} ways side by side',
  'ways.gain.brighter': 'brighter red',
  'ways.gain.stronger': 'stronger',
  'ways.gain.milder': 'milder',
  'ways.gain.longer': 'keeps longer',
  'ways.gain.lessIce': 'less ice',
  'ways.gain.lessWork': 'less work',
  'planTable.behind': 'The figures behind it',
  'answer.title': 'The answer',
  'answer.part': '{amount} of {what}',
  'answer.and': ' and ',
  'answer.inAll': '{mass} in all. A little first, stir, taste; stop when it is right.',
  'stoveEnd.cold': 'Cold enough to serve: {at}, in the fridge.',
  'waysChoice.muchWork': '{work} of work is much for one day:',
  'waysChoice.smaller': 'Make {litres}',
  'waysChoice.twoDays': 'Over two days: {method}',
  'stageChoices.body': 'Body',
  'body.drain': 'clear: only drained',
  'body.press': 'usual: pressed',
  'body.wring': 'thick: wrung out',
  'stageChoices.perLitre': '{mass} of {item} a litre',
  'measureForm.shapeGuessed':
    'The width of this pot is only guessed: count jugs instead, or measure the pot in Kitchen before the next batch.',
  'sweetenForm.slowly': 'As a syrup',
  'bottleForm.howToFill': 'How to fill',
  'bottleForm.goTo': 'To: {place}',
  'stovePage.signs': 'Colour and other signs',
  'sweetenForm.more': 'Figures, another amount',
};
