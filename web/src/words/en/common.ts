import { EN_BOOK } from './book.ts';
import { EN_PROBLEMS } from './problems.ts';

/**
 * The sentences of the first page, and of what stands around every page. Core and server speak in codes; `{name}` takes a figure that is already in
 * local form. Plain kitchen English, second person, short.
 */
export const EN = {
  ...EN_BOOK,
  ...EN_PROBLEMS,

  // units
  'amount.ofFruit': 'of {number} {unit}',
  'time.days': '{days, plural, one {{number} day} other {{number} days}}',
  'time.daysAndHours': '{days} days{hours, plural, =0 {} other { # h}}',
  'drink.unknown': 'A drink that is no longer in the book',
  'each.litre': 'a litre',
  'each.quart': 'a quart',
  'each.pint': 'a pint',
  'unit.metricCup': '{count, plural, one {cup} other {cups}}',
  'unit.usCup': '{count, plural, one {US cup} other {US cups}}',
  'unit.metricTablespoon': '{count, plural, one {tablespoon} other {tablespoons}}',
  'unit.usTablespoon': '{count, plural, one {US tablespoon} other {US tablespoons}}',
  'unit.metricTeaspoon': '{count, plural, one {teaspoon} other {teaspoons}}',
  'unit.imperialCup': '{count, plural, one {half-pint cup} other {half-pint cups}}',
  'unit.usTeaspoon': '{count, plural, one {US teaspoon} other {US teaspoons}}',

  'stove.limit':
    'it has stood warm as long as it may. Strain it now and cool it in ice, or put it into the fridge: longer, and it is not to be kept',
  'stove.pastLimit': 'it has stood warm for too long: not to be kept. Pour it away',
  // lots
  'lot.plain': 'Left plain',
  'lot.sweet': 'Sweetened',
  'lot.noAddedSugar': 'No sugar added',
  'lot.children': 'For children',
  'lot.spirits': 'With spirits',
  'lot.trial': 'A trial',
  'lot.numbered': '{kind} {number}',
  'lot.of': '{drink}, {lot}',
  'bottle.jug': 'Jug',
  'mark.alcohol': 'with alcohol',

  // steps
  'step.pick': 'Sort',
  'step.wash': 'Wash',
  'step.wash.swirl': 'Wash until clear',
  'step.wash.scrub': 'Scrub the skins',
  'step.wash.rinse': 'Rinse',
  'step.prep': 'Cut and bruise',
  'step.combine': 'Fill the pot',
  'step.combine.spicePot': 'Fill the small pot',
  'step.combine.kettle': 'Fill the kettle',
  'step.combine.more': 'Put in',
  'step.combine.lift': 'Lift out',
  'step.combine.second': 'The second water',
  'step.combine.rinse': 'Rinse the cloth',
  'step.soak': 'Soak cold',
  'step.heat': 'Bring to the boil',
  'step.boil': 'Boil gently',
  'step.boil.simmer': 'Simmer',
  'step.boil.rolling': 'Boil hard',
  'step.boil.medium': 'Boil',
  'step.heat.rim': 'To the first bubbles',
  'step.heat.degrees': 'Heat it, not to the boil',
  'step.steep': 'Steep',
  'step.steep.mature': 'Let it mature',
  'step.steep.short': 'Let the herbs stand',
  'step.steep.hot': 'Keep it hot',
  'step.strain': 'Strain',
  'step.cool': 'Cool',
  'step.mix': 'Stir in',
  'step.mix.pour': 'Pour together',
  'step.sweeten': 'Sweeten by taste',
  'step.bottle': 'Bottle',
  'step.blend': 'Blend',
  'step.juice': 'Juice',
  'step.sour': 'Sour',
  'step.fortify': 'Add spirits',
  'step.mix.lot': 'Stir in',
  'step.lift': 'Lift out',
  'step.split': 'Split',
  'step.freeze': 'Freeze',
  'step.mill': 'Grind',
  'step.prep.mill': 'Grind',
  'step.skim': 'Skim',
  'step.mix.skim': 'Skim',
  'step.settle': 'Let it settle',
  'step.steep.settle': 'Let it settle',
  'step.mature': 'Let it mature',
  'step.bottle.frozen': 'Freeze in portions',

  'job.bottlesHot': 'wash the bottles and heat them',
  'job.bottlesClean': 'wash the bottles',
  'job.squeeze': 'squeeze: {list}, then into the fridge',
  'job.ice': 'fetch the ice',
  'job.wash': 'wash: {list}',
  'job.prep': 'cut, peel or stone: {list}',
  'job.juice': 'juice: {list}',
  'job.blend': 'blend: {list}',
  'job.spicePot': 'boil the small pan',
  'then.boil': 'let it boil',
  'then.boil.simmer': 'turn the flame down to a simmer',
  'then.boil.gentle': 'turn the flame down a little',
  'then.steep': 'flame off, lid on',
  'then.strain': 'flame off and strain',
  'then.cool': 'off the heat, cool it',
  'then.steep.off': 'let it stand, lid on',
  'then.strain.off': 'strain it',
  'then.cool.off': 'cool it',
  'then.combine': 'put in what comes next',
  'then.mix': 'stir in what comes next',
  'then.heat': 'bring it to the boil',
  'then.sweeten': 'sweeten it',
  'then.bottle': 'bottle it',
  'stage.state.done': 'done',

  // notes of the trace
  'note.heat.pace':
    'Your readings show {percent} of the heat that the kitchen counts with: the boil is expected anew.',
  'note.heat.takes': 'About {minutes} to the boil.',
  'note.boil.turnUp': 'Turn up to about {percent}: this pot loses more heat than a low flame gives.',
  'note.boil.tooWeak': 'This ring is too weak to hold a boil in this pot.',
  'note.blend.loads': '{loads, plural, one {One load} other {# loads}} of the blender.',
  'note.kettle.loads': '{loads, plural, one {One kettle} other {# kettles}} full, one after the other.',
  'note.blend.foam':
    'The foam on top stands for about {minutes}: let it settle or skim it off. It is air and is not counted.',
  'note.cool.ice': 'About {iceKg} of ice.',
  'verdict.drinkToday': 'drink today',
  'verdict.pastDay': 'past {day}',
  'verdict.throwOut': 'throw out',

  // fields
  'field.name': 'Give it a name of up to 60 letters.',
  'field.between': 'Between {low} and {high}.',
  'field.number': 'Enter a number.',
  'field.whole': 'A whole number.',
  'field.zone': 'Choose a time zone from the list.',
  'field.litresOrShare': 'Litres or a share, one of them.',
  'field.unknownLot': 'A step of a lot that the drink is not divided into.',
  'field.unique': 'Two of them have the same name tag.',
  'field.other': 'Check this.',
  'common.notStored': 'Not stored: {detail}',
  'common.startBy': 'start by {start}',
  'common.now': 'now',
  'common.theKitchenServerDoes': 'The kitchen server does not answer.',
  'common.toTheStove': 'To the stove',
  'common.beginABatch': 'Start a drink',
  'common.coldShelf2': 'cold shelf',
  'common.oneMoment': 'One moment …',

  // main
  'main.nothingHere': 'Nothing here',
  'main.thisAddressLeadsNowhere': 'This address leads nowhere. Choose a place at the side.',

  // alarmQueue
  'alarmQueue.of': '{at} of {count}',
  'alarmQueue.heard': 'OK',

  // errorBoundary
  'errorBoundary.thisScreenBroke': 'This screen broke',
  'errorBoundary.nothingThatYouEntered':
    'Nothing that you entered is lost: it is stored, or kept in this browser until it can be. Load the page again; if it breaks again, go to the stove.',
  'errorBoundary.loadAgain': 'Load again',

  // frame
  'frame.name': 'Big Ladle',
  'frame.bigLadle': '{page} · Big Ladle',
  'frame.skipToThePage': 'Skip to the page',
  'frame.places': 'Places',
  'frame.big': 'Big',
  'frame.ladle': 'Ladle',

  // notices
  'notices.theKitchenServerDoes':
    '{who, select, foreign {What answers here is not Big Ladle: a network that wants a sign-in, perhaps, or another program.} said {{detail}} other {The kitchen server does not answer.}} Clocks run on{waitingSome, select, true {; {waiting} {waitingCount, plural, one {entry waits} other {entries wait}} here and will be sent.} other {.}}',
  'notices.keepsNothing':
    'This browser stores nothing: a private window, or no room. Entries go straight to the kitchen server; one that waits is lost when the page is closed.',
  'notices.lookAtThem': 'Look',
  'notices.oneEntryWaitsEntries':
    '{lengthCount, plural, one {One entry waits} other {{count} entries wait}} here and {lengthCount, plural, one {is} other {are}} tried again: {held}',

  // unreadable
  'unreadable.title': '{count, plural, one {A batch cannot be read} other {Some batches cannot be read}}',
  'unreadable.look': 'What can be done',
  'unreadable.others': 'The others are as they were.',

  'common.clockForwards':
    'The kitchen’s clock is {by} further than a moment ago: it was set, or the machine slept. Clocks here go by it; look at what is on the stove.',
  'common.clockBack':
    'The kitchen’s clock was set back by {by}. Clocks here go by it; what was entered before keeps its time. Look at what is on the stove.',

  // alarms
  'alarms.now': '{label}: now.',
  'alarms.oneOtherLeft': '{label}: {passed} {passedCount, plural, one {minute} other {minutes}} left.',

  // sideJobs
  'sideJobs.meanwhileCount': 'Meanwhile: {count, plural, one {# thing} other {# things}}',
  'sideJobs.forThe': ', for the {potName}',
  'sideJobs.fromNotDoneBefore':
    '{minutes}, from {begin}{isLate, select, true {: not done before the pot is} other {}}',
  'sideJobs.beginItForThe': 'Start: {text}{isNamed, select, true {, for the {potName}} other {}}',
  'sideJobs.beginIt': 'Start',
  'sideJobs.meanwhile': 'Meanwhile',

  // moments
  'moments.stayByThePot': 'stay by the pot, it may boil over in its first minute',
  'moments.shouldBeThere': 'should be there{then}',
  'moments.longEnoughToStrain': 'long enough to strain',
  'moments.longEnough': 'long enough',
  'moments.mayBeStrained': 'may be strained now, and the rest boiled again',
  'moments.turnItOver': 'turn it over',
  'moments.shakeIt': 'stir or shake it',
  'moments.atItsBestNow': 'at its best now',
  'moments.timeIsUp': 'time is up',
  'moments.latestGoOnNow': 'latest: go on now{then}',

  // stepWords
  'stepWords.fill': '{name}, load {fill}',
  'stepWords.besidePot': '{name}, pot {fill}',
  'stepWords.and': '{a} and {b}',
  'stepWords.kettle': 'Kettle',
  'stepWords.smallPan': 'Small pan',
  'stepWords.juice': 'Juice',
  'stepWords.blender': 'Blender',
  'stepWords.bowl': 'Bowl',
  'stepWords.jug': 'Jug',
  'stepWords.aside': 'Put aside',

  // ui
  'ui.theKitchenServerDoes':
    'The kitchen server does not answer. What you entered here is kept; it goes on by itself when the server is back.',
  'ui.tryAgain': 'Try again',
  'frame.stove': 'Stove',
  'frame.drinks': 'Drinks',
  'frame.gatherings': 'Gatherings',
  'frame.shopping': 'Shopping',
  'frame.coldShelf': 'Cold shelf',
  'frame.logbook': 'Logbook',
  'frame.kitchen': 'Kitchen',
  'scheme.system': 'Theme: automatic',
  'scheme.light': 'Theme: day',
  'scheme.dark': 'Theme: night',

  // counted things
  'count.bottles': '{count, plural, one {# bottle} other {# bottles}}',
  'unit.bottles': '{count, plural, one {bottle} other {bottles}}',

  // colours
  'colour.blackRed': 'almost black, with red',
  'colour.black': 'almost black',
  'colour.clear': 'clear',
  'colour.pink': 'pink',
  'colour.red': 'bright red',
  'colour.deepRed': 'deep red',
  'colour.brownRed': 'brownish red',
  'colour.orange': 'orange',
  'colour.amber': 'amber',
  'colour.brown': 'brown',
  'colour.golden': 'golden',
  'colour.straw': 'pale straw',
  'colour.green': 'green-gold',
  'colour.grey': 'cloudy and pale',
  'day.today': 'Today',
  'day.tomorrow': 'Tomorrow',
  'frame.find': 'Find (/)',
  'frame.help': 'Help (?)',
  'help.what': 'What is this?',
  'common.pot': 'Pot',
  'common.bottles': 'Bottles',
} as const satisfies Record<string, string>;
