/** Sentences of the cold shelf, its bottles, leftovers and labels. */
export const EN_SHELF = {
  // bottleDeeds
  'bottleDeeds.whatHappensToIt': 'What happens to it',
  'bottleDeeds.openedNow': 'Opened now',
  'bottleDeeds.aGlassPoured': 'A glass poured',
  'bottleDeeds.pouredDownTo': 'How much is left …',
  'bottleDeeds.putBackInThe': 'Put back in the fridge',
  'bottleDeeds.takenOutOfThe': 'Taken out of the fridge',
  'bottleDeeds.intoTheFridgeTo': 'Into the fridge to thaw',
  'bottleDeeds.frozen': 'Frozen',
  'bottleDeeds.movedTo': 'Moved to …',
  'bottleDeeds.gasLetOff': 'Gas let off',
  'bottleDeeds.finished': 'Finished',
  'bottleDeeds.givenAway': 'Given away',
  'bottleDeeds.thrownOut': 'Thrown out',
  'bottleDeeds.toWhom': 'To whom',
  'bottleDeeds.drinkByTheDate': 'drink by the date on it, keep it cold',
  'bottleDeeds.tellThem': 'Tell them: {cautions}.',
  'bottleDeeds.why': 'Why',
  'bottleDeeds.thawItInThe':
    'Thaw it in the fridge, overnight for a large one; then {days} days at most. What was thawed is not frozen again.',
  'bottleDeeds.nowThereOneOther':
    'Now there {levelCount, plural, one {is} other {are}} {level} in it: {poured} poured.',
  'bottleDeeds.left': '{left} left',
  'bottleDeeds.poured': 'Poured',
  'bottleDeeds.movedTo2': 'Moved to',
  'bottleDeeds.itDoesNotFit': 'It does not fit there, not even when nothing else stands there.',
  'bottleDeeds.itIsFullThere': 'It is full there. First to go: {first}.',
  'bottleDeeds.theContainer': 'The container',
  'bottleDeeds.itIsFullPour': 'It is {filledShare} % full: pour off a little first, a tenth must stay free.',
  'bottleDeeds.warmThereItsLife': 'Warm there: its life runs faster, and the hours are counted.',
  'bottleDeeds.itStandsThereNow': 'It stands there now',
  'bottleDeeds.orInYourWords': 'Or in your words',

  // bottlePage
  'bottlePage.for': ', for {forWhom}',
  'bottlePage.label': 'Label',
  'bottlePage.aGlass': 'Serve a glass',
  'bottlePage.pressureInClosedGlass':
    'Pressure in closed glass: it may burst. Cover it with a cloth, let the gas off slowly over the sink, away from the face, and put it into the fridge. Then look at it again.',
  'bottlePage.drinkBy': 'Drink by',
  'bottlePage.goodLeftInWhole': 'good, {leftDays} left, told in whole days',
  'bottlePage.by': 'by {deadline} at the latest',
  'bottlePage.itsTimeIsOver': 'Its time is over. Do not taste to find out: pour it away.',
  'bottlePage.filledItsClockBegan': 'Filled {filled}; its clock began {clockStart}.',
  'bottlePage.whatIsInIt': 'What is in it',
  'bottlePage.sugarAGlass': '{freeSugar} sugar a glass',
  'bottlePage.leftSugar': '{left} left · {sugar}, {shareOfCeiling} of {ceiling} a day',
  'bottlePage.aGlassOfHolds': 'A glass of {serving} holds what {sharesText} gives.',
  'bottlePage.theBatchItComes': 'The batch it comes from',
  'bottlePage.byTheRulesOf':
    'By the rules of the day it was filled: {deadlineWord}. The earlier date counts. Then:',
  'bottlePage.whatWouldHaveMade': 'What would have made it longer',
  'bottlePage.howItsLifeWas': 'How its time was used',
  'bottlePage.byWhatTheFridge': 'By what the fridge was read at. A steeper line is a warmer hour.',
  'bottlePage.nobodyReadsThisFridge':
    'Nobody reads this fridge: it counts as your kitchen says. A logger would tell of warm nights.',
  'bottlePage.whatPeopleSay': 'What people say',
  'bottlePage.neverCountedWith': 'common sayings (not used)',
  'bottlePage.commonlySaidToThis':
    'Commonly said: {fromDays} to {toDays}. We say: {sealedDays}, on the careful side.',

  // bottleShelves
  'bottleShelves.left': '{leftDays} left',
  'bottleShelves.nothingLeft': 'nothing left',
  'bottleShelves.myOwnRule': 'my own rule',
  'bottleShelves.opened': 'opened {opened}',
  'bottleShelves.for': 'for {forWhom}',
  'bottleShelves.left2': '{left} left',

  // glass
  'glass.title': 'A glass of {drink}',
  'glass.theBottle': 'The bottle',
  'glass.howMuch': 'What goes in',
  'glass.coldOrWarm': 'Served',
  'glass.cold': 'cold',
  'glass.warm': 'warm',
  'glass.into': 'Into',
  'glass.size.glass': 'a glass',
  'glass.size.jug': 'a jug',
  'glass.size.small': 'a small glass',
  'glass.said':
    '{drink} of drink{mixed, select, true {, {mixer} of {what}} other {}}{cubes, plural, =0 {} one {, # cube of ice} other {, # cubes of ice}} in a glass of {vessel}.',
  'glass.ice': 'Ice: {cubes, plural, =0 {none} one {{number} cube} other {{number} cubes}}',
  'glass.lessIce': 'A cube less',
  'glass.moreIce': 'A cube more',
  'glass.thinnedWith': 'Thinned with',
  'glass.strength': 'How strong, beside the bottle',
  'glass.drink': 'Drink',
  'glass.strength.full': 'As strong as in the bottle',
  'glass.strength.little': 'A little lighter',
  'glass.strength.light': 'Light',
  'glass.strength.very': 'Very light',
  'glass.strengthIs':
    '{share} of its strength{iced, select, true { once some of the ice has melted} other {}}.{short, select, true { With so much ice it cannot be stronger.} other {}}',
  'glass.sugar':
    '{none, select, true {No sugar to speak of.} other {Sugar: {byHand}, {sugar}; of that, free sugar is {share} of the {ceiling} a day of common guidance.}}',
  'glass.alcohol': '{abv} % alcohol.',
  'glass.strong': 'It holds what {shares} gives.',
  'glass.garnish': 'On the glass: {list}.',
  'glass.or': ' or ',
  'garnish.sprig': 'a sprig of {what}',
  'garnish.slice': 'a slice of {what}',
  'garnish.wedge': 'a wedge of {what}',
  'garnish.stick': 'a stick of {what}',
  'garnish.thinSlice': 'a thin slice of {what}',
  'garnish.star': 'a whole {what}',
  'garnish.stalk': 'a stalk of {what}',
  'glass.warmNote':
    'Warm only what you pour, gently, until it steams (about {temp}), and once. What was warm does not go back into the bottle.',
  'glass.small':
    '{servings, plural, =0 {No small glass is left.} one {One small glass is left: {day}.} other {{number} small glasses are left. One a day: until {day}.}}',
  'glass.smallStop': 'Stop with its date, or sooner if it fizzes, smells odd, or does not agree with you.',
  'glass.whoFor': 'Who it is for',
  'glass.pour': 'Pour {drink}',
  'glass.poured': '{drink} poured.',
  'glass.stays': '{rest} stay in the bottle{more, plural, =0 {} one {: # more} other {: {number} more}}.',
  'glass.lacks': 'The bottle has {left}: {lacks} must come from another.',

  // gone
  'gone.whatHasLeftThe': 'What has left the shelf',
  'gone.nothingYetWhatIs': 'Nothing yet. What is finished, given away or thrown out stands here.',
  'gone.earlierOnes': 'Earlier ones',

  // history
  'history.poured': '{volume} poured',
  'history.thrownOut': 'thrown out: {why}',
  'history.givenTo': 'given to {to}',
  'history.standsOn': 'stands on: {placeName}',
  'history.gasLetOff': 'gas let off',
  'history.lookedAt': 'looked at: {signs}',
  'history.lookedAtNothingSeen': 'looked at, nothing seen',
  'history.for': '{mass} for {what}',
  'history.whatHasHappened': 'What has happened',
  'history.nothingYetItStands': 'Nothing yet: it stands where it was put.',
  'history.earlier': 'Set an earlier time',
  'history.tookBack': 'Took back',
  'history.undo': 'Undo: {deedWords}',

  // leftoverPage
  'leftoverPage.allOfItIs': 'all of it is used',
  'leftoverPage.useBy': 'Use by',
  'leftoverPage.ofLeft': '{left} of {mass} left, {placeName}',
  'leftoverPage.trueOtherInThe':
    '{isBoiled, select, true {Boiled} other {Raw}}: {fridgeDays} in the fridge, {freezerDays} in the freezer, two hours out of the cold at most.',
  'leftoverPage.ofLiquorAreIn': '{held} of drink are in it still.',
  'leftoverPage.ofItsStrengthIs':
    '{ingredientIds}: {strengthShare} of its strength is left, so it is {what}.',
  'leftoverPage.portionsOf': '{portions} portions of {portion}.',
  'leftoverPage.itStands': 'It stands',
  'leftoverPage.whatItIsGood': 'What it is good for',
  'leftoverPage.soMuchOfIt': 'So much of it',
  'leftoverPage.used': 'Used: {what}',
  'leftoverPage.used2': 'Used',
  'leftoverPage.notForAnimals': 'Not for animals',
  'leftoverPage.forHensOrRabbits':
    'For hens or rabbits: fresh, without stones, never mouldy, a handful. Ask those who keep them.',

  // leftovers
  'leftovers.whenABatchIs':
    'When a batch is strained, what is left in the cloth can be set aside: it stands here with its days, and with what it is good for.',
  'leftovers.until': 'until {deadlineWord}',
  'leftovers.portionsGoodFor':
    '{drink}{portionsSome, select, true { · {portions} portions, {what}} other {}} · good for {uses}',

  // lifeChart
  'lifeChart.daysLeft': 'days left',
  'lifeChart.itsPlace': 'its place, {unit}',
  'lifeChart.daysSinceItWas': 'days since it was filled',
  'lifeChart.daysLeftAnd': 'days left, and {unit}',
  'lifeChart.ofItHasLeft':
    'Of {fullDays} it has {leftDays} left after {at} days; its place was at most {warmest}.',

  // look
  'look.lookAndSmell': 'Look and smell',
  'look.last': 'last {at}',
  'look.notLookedAtYet': 'not looked at yet',
  'look.lookAtItNow': 'Look at it now',
  'look.whatIsSeen': 'What is seen',
  'look.throwItOutDo': 'Throw it out: {by}. Do not taste to find out.',
  'look.letTheGasOff': 'Let the gas off over the sink, and look again tomorrow.',
  'look.thatAloneIsNothing': 'That alone is nothing to throw it out for. Its date still counts.',
  'look.nothingOfThisIts': 'Nothing of this? Its date still counts, and in doubt it goes.',
  'look.thatIsWhatIs': 'That is what is seen',
  'look.nothingOfThis': 'Nothing of this',
  'look.onlyNoteItFor': 'Only note it for now',
  'look.aLookSaysNothing': 'A look says nothing of what cannot be seen. The date comes first.',

  // ownRule
  'ownRule.myOwnRule': 'My own rule',
  'ownRule.forEveryBottleOf':
    'For every bottle of this drink, days sealed. Shorter counts at once. Longer is yours alone, and marked.',
  'ownRule.days': 'Days',
  'ownRule.thatIsMyRule': 'That is my rule',
  'ownRule.noRuleOfMy': 'No rule of my own',
  'ownRule.longerThanThisTool': 'Longer than we would give',
  'ownRule.areYourOwnRule':
    '{sealedDays} are your own rule; from what was done it would be {toolDays}. Nobody has shown that it keeps longer.',
  'ownRule.yourRuleCounts': 'Your rule counts: {sealedDays}.',

  // reminders
  'reminders.theFridge': 'The fridge',
  'reminders.leftoverOf': '{leftover} ({what})',
  'reminders.leftOver': 'left over',
  'reminders.whatWantsDoing': 'What wants doing',
  'reminders.nothingNoBottleAsks': 'Nothing: no bottle asks for anything.',
  'reminders.upTo': ', up to {count}',
  'reminders.pouredToday': 'Poured today',
  'reminders.howFastItGoes': 'How fast it goes',
  'reminders.left': '{drink}, {left} left',
  'reminders.noneWasPouredOf': 'None was poured of late.',
  'reminders.aDayOfLate': '{mlPerDay} a day of late: the last glass goes {lastGlass}; start the next {make}.',
  'reminders.wouldOutliveTheirDate':
    ' {leftOver} would still be there on their date: freeze or give away some.',
  'reminders.to': 'to {to}, {at}',
  'reminders.messages': 'Messages',
  'reminders.simulatedNothingLeavesThis': 'for practice: nothing is sent',
  'reminders.nobodyIsToBe': 'Nobody is to be told. {link} says who would get which.',
  'reminders.whatWouldGoOut': '{count, plural, one {One message} other {# messages}}, as they would go out',
  'reminders.wouldHaveGoneOut': 'Would have gone out',
  'reminders.toCome': 'To come',
  'reminders.noneForNow': 'None for now.',

  // shelfPage
  'shelfPage.labels': 'Labels',
  'shelfPage.at': 'at {fridgeC}',
  'shelfPage.notReadOfLate': 'not read of late, taken as {trackAt}',
  'shelfPage.readAt': 'read at {trackAt}',
  'shelfPage.warmOnUpTo': '· warm on {from}, up to {highestC}: it cost a bottle {cost}',
  'shelfPage.oneOtherFridge':
    '{bottles} {lengthCount, plural, one {bottle} other {bottles}}, {total} · fridge {fridge}{spell}',
  'shelfPage.waysToLookAt': 'Ways to look at the shelf',
  'shelfPage.onTheTable': 'on the table',
  'shelfPage.noBottlesYet': 'No bottles yet',
  'shelfPage.whenABatchIs':
    'When a batch is bottled, each bottle stands here with the days it has left and the reasons why.',
  'shelfPage.bottleIsBottlesAre':
    '{past} {pastCount, plural, one {bottle is} other {bottles are}} past {pastCount, plural, one {its} other {their}} time.',
  'shelfPage.doNotTasteTo': '{past} Do not taste to find out: pour it away.',
  'shelfPage.ofOfItsFloor': '{litres} of {capacity}, {floor} of its floor',
  'shelfPage.aPlaceThisKitchen': 'a place this kitchen no longer has',
  'shelfPage.moreThanItHolds': 'more than it holds',
  'shelfPage.warmTheirLifeRuns': 'warm: their life runs faster',

  // itemPage
  'itemPage.thrownOut': 'thrown out {at}: {why}',
  'itemPage.givenTo': 'given to {to} {at}',
  'itemPage.finished': 'finished {finished}',

  // labelsPage
  'labelsPage.noReasonGiven': 'no reason given',
  'labelsPage.thePdfCouldNot': 'The PDF could not be made: {message}',
  'labelsPage.nothingStandsOnThe': 'Nothing stands on the {link}: labels come with bottles.',
  'labelsPage.on':
    '{labels} on {sheets} {roll, select, true {pieces of the roll} other {{sheets, plural, one {sheet} other {sheets}}}}',
  'labelsPage.saveAsPdf': 'Save as PDF',
  'labelsPage.onWhat': 'On what',
  'labelsPage.sheetOrRoll': 'Sheet or roll',
  'labelsPage.placesUsedAlreadyOn': 'Places used already on the first sheet',
  'labelsPage.theSquareCodesLead':
    'The square codes lead to {host}: they open on this machine only. Open Big Ladle by its address in the home network before you print, and a phone finds the bottle too.',
  'labelsPage.printAtWithoutFit':
    'Print at 100 %, without “fit to page”. The dates are as they stand now; a warm night moves them.',
  'labelsPage.noLabelForNot': 'No label for {refused}: not to be kept.',
  'labelsPage.byHand': 'By hand',
  'labelsPage.aPenAndA': 'a pen and a strip of tape',
  'labelsPage.howItComesOut': 'How it comes out',
  'labelsPage.wholeSheet': 'whole sheet',
  'labelsPage.trueSize': 'true size',
  'labelsPage.theSheetsToScroll': 'The sheets, to scroll through',
  'labelsPage.andMore': 'and {count} more',
  'labelsPage.aSheetWithLabels': 'A sheet with {labels} labels',
  'labelsPage.forWhich': 'For which',
  'labelsPage.all': 'All',
  'labelsPage.none': 'None',

  // layout
  'layout.made': 'Made {made} · {code}',
  'layout.contains': 'Contains {contains}.',

  // sheets

  // texts
  'texts.drinkBy': 'Drink by {day}',
  'texts.useBy': 'Use by {day}',
  'texts.drinkToday': 'Drink today, {now}',
  'texts.useToday': 'Use today, {now}',
  'texts.notToBeKept': 'Not to be kept',
  'texts.sweetened': 'sweetened',
  'texts.noAddedSugar': 'no added sugar',
  'texts.dateByTheMakers': 'date by the maker’s own rule',
  'texts.onceOpen': 'Once open {openDays}',
  'texts.keepFrozenThawedDays': 'keep frozen, thawed 3 days',
  'texts.keepColdAtMost': 'keep cold, at most {5C}',
  'texts.aSmallGlassOf': 'A small glass of {small} a day, until {lasts}',
  'texts.containsAlcohol': 'Contains alcohol, {abvPct} %',
  'texts.aPortion': '{mass} a portion, {what}',
  'texts.keepFrozen': 'keep frozen',
  'texts.containsAlcohol2': 'Contains alcohol',

  // lifeDisplay
  'lifeDisplay.left': '{left} left',
  'history.opened': 'opened',
  'history.finished': 'finished',
  'shelfPage.firstToDrink': 'first to drink',
  'shelfPage.byDrink': 'by drink',
  'shelfPage.byPlace': 'by place',
  'shelfPage.leftovers': 'leftovers',
  'shelfPage.reminders': 'reminders',
  'shelfPage.gone': 'gone',
  // recall
  'recall.title': 'From a packet to its bottles',
  'recall.about': 'Should a purchase be bad: where all of it went.',
  'recall.none': 'No packet was named yet: on the page of a batch each thing in it can be given one.',
  'recall.which': 'Which packet or purchase',
  'recall.name': '{item}: {purchase}',
  'recall.batch': '{drink}, {day}',
  'recall.toBatch': 'The batch',
  'recall.bottle': 'Bottle',
  'recall.leftover': 'Leftover',
  'recall.stands': 'stands there: {place}',
  'recall.given': 'given to {to}',
  'recall.gone': 'gone',
  'recall.nothingYet': 'Nothing was filled of it yet.',
  'recall.takeAlong': 'Take it along',
  'recall.list': 'The list',
  'sheets.a4': 'A4, {columns} × {rows} labels of {labelW} × {labelH} mm',
  'sheets.roll': 'A roll, {labelW} × {labelH} mm',
  'sheets.a4Cards': 'A4, {columns} × {rows} cards of {labelW} × {labelH} mm',
  'sheets.letterCards': 'Letter, {columns} × {rows} cards of 101 × 63 mm',
  'sheets.letter': 'Letter, {columns} × {rows} labels of 101 × 50 mm',
  'bottleShelves.frozen': 'frozen',
  'bottleShelves.sealed': 'sealed',
  'bottleDeeds.throwItOut': 'Throw it out',
  'bottleShelves.equal': '× {count}',
  'bottleShelves.equalSaid': '{count} equal bottles',
};
