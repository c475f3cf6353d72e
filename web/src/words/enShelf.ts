/** Sentences of the cold shelf: looks, leftovers, containers, sayings, labels, reminders. Taught when it is entered. */
export const EN_SHELF: Readonly<Record<string, string>> = {
  'verdict.useToday': 'use today',

  // what would have made it longer
  'longer.sterilised': 'The bottle sterilised, not only clean: {days}.',
  'longer.readPh': 'Read with a pH meter at 4.2 or below, after the last addition: {days}.',
  'longer.heatRaw': 'What went in raw heated with the rest, 5 minutes at 85 °C: {days}.',
  'longer.coolFast': 'Cooled in an ice bath at once: {days}.',
  'longer.steepCold': 'Steeped in the fridge: {days}.',
  'longer.noGarlic': 'Without raw garlic: {days}.',
  'longer.noCoconut': 'Without coconut or milk: {days}.',
  'longer.noStarter': 'Without the live starter: {days}.',
  'longer.nothing': 'Nothing that this tool knows of. In the freezer it would keep for 90 days.',

  // what is commonly said
  'claim.week': '“A week in the fridge, it was boiled.”',
  'claim.week.why':
    'So it may be, where it is acid, in sterilised bottles and cooled fast; then this tool says the same.',
  'claim.fewDays': '“Two to five days, it is fresh.”',
  'claim.fewDays.why': 'Nothing in it was heated: three days are as far as anybody can say.',
  'claim.splash': '“Two or three weeks, there is a splash of rum in it.”',
  'claim.splash.why': 'Below 10 % alcohol nothing is kept from growing. The splash counts for taste only.',
  'claim.plain': '“Weeks, as long as no sugar is in it.”',
  'claim.plain.why': 'Fruit and leaves bring their own. Plain drinks spoil as others do.',
  'claim.sugar': '“Weeks, the sugar keeps it.”',
  'claim.sugar.why': 'Sugar keeps from about half of the weight on; a drink has a tenth.',
  'claim.clove': '“Longer, for the clove and the ginger.”',
  'claim.clove.why': 'Spices smell strong; that they keep a drink is not shown.',
  'claim.rice': '“A few grains of rice in the bottle and it does not turn.”',
  'claim.rice.why': 'Nothing is known that would make it so, and what is raw brings something in.',
  'claim.boiledMonth': '“A month, if it was boiled for long.”',
  'claim.boiledMonth.why':
    'Boiling kills what is there. What comes in afterwards counts from the bottling on.',
  'claim.vinegarYears': '“Years: it is vinegar.”',
  'claim.vinegarYears.why':
    'With enough vinegar and sugar this tool gives 60 days, cold; more nobody here has measured.',

  // looks and sniffs
  'check.still':
    'Hold it to the light, tilt it, open it away from your face. It should not fizz. Tap what you see.',
  'check.raw': 'It is raw in part: cloudy is usual, fizz is not. Tap what you see.',
  'check.live': 'It is live: some gas is usual. Let it off first, over the sink. Tap what you see.',
  'check.leftover': 'Look at the surface and the edges, smell it. Tap what you see.',
  'sign.gas': 'fizz',
  'sign.bulge': 'a bulging lid or side',
  'sign.haze': 'a haze that was not there',
  'sign.mould': 'mould',
  'sign.film': 'a film on top',
  'sign.smell': 'an odd smell',
  'sign.leak': 'it has leaked',
  'sign.slime': 'threads or slime',
  'sign.colour': 'paler or browner',
  'sign.settled': 'something settled',

  // containers
  'container.hotGlass':
    'Glass cracks when hot liquor meets it cold: cool the drink first, or warm the glass.',
  'container.hotPlastic': 'Hot liquor softens plastic and draws from it: cool the drink first.',
  'container.freezeGlass':
    'Glass bursts in the freezer, at the shoulder first. Take straight jars or plastic, a tenth left free.',
  'container.freezeRoom': 'What freezes grows: leave a tenth free, close it when it is hard.',
  'container.gasGlass':
    'Live drinks never in closed glass: it may burst. A loose lid, in the fridge, let off every day.',
  'container.gasTight': 'Live: let it off every day; a hard side means pressure.',
  'container.metalLid':
    'Acid works at scratched metal lids: a plastic lid or a swing top, or a piece of paper between.',
  'container.spiritPlastic': 'Strong spirit draws from plastic that is not made for it: glass is better.',

  // leftovers
  'leftover.calyx': 'Spent calyx',
  'leftover.pulp': 'Pulp',
  'leftover.peel': 'Peel and core',
  'leftover.zest': 'Citrus peel',
  'leftover.root': 'Ginger and other root',
  'leftover.spice': 'Spices',
  'leftover.herb': 'Leaves',
  'leftover.syrup': 'Syrup',
  'leftover.foam': 'Foam that was skimmed',
  'use.jam': 'Jam',
  'use.bake': 'Bakes',
  'use.stock': 'Stock',
  'use.glaze': 'A glaze',
  'use.secondBrew': 'A second brew',
  'use.spicePaste': 'Spice paste',
  'use.candied': 'Candied peel',
  'use.compost': 'Compost',
  'use.animals': 'Animal feed',
  'use.jam.how': 'as much sugar as pulp, boiled until it sets',
  'use.bake.how': 'into a dough in place of some of the liquid',
  'use.stock.how': 'simmered once more and strained',
  'use.glaze.how': 'boiled down with sugar',
  'use.secondBrew.how': 'half the water, boiled again: what is left of its strength',
  'use.spicePaste.how': 'pounded with oil, kept in the freezer',
  'use.candied.how': 'boiled in three waters, then in syrup',
  'use.compost.how': 'in thin layers; little citrus at a time',
  'use.animals.how': 'a handful, fresh, never mouldy',
  'screen.spice': 'spice or hot root in it',
  'screen.citrus': 'citrus in it',
  'screen.sugar': 'sweet',
  'screen.stones': 'stones in it',
  'screen.garlic': 'garlic in it',
  'screen.alcohol': 'alcohol in it',
  'portion.mild': 'mild',
  'portion.medium': 'still spiced',
  'portion.strong': 'strong',

  // herbs that are counted by the day
  'strong.ginger': 'ginger root',
  'strong.turmeric': 'turmeric root',
  'strong.garlic': 'garlic',
  'strong.chilli': 'chilli',

  // reminders
  'remind.due': 'Drink it, or throw it out',
  'remind.look': 'Look at it and smell it',
  'remind.vent': 'Let the gas off',
  'remind.defrost': 'Thaw it or use it up',
  'remind.warm': 'The fridge was warm',
  'remind.gift': 'Comes round again',
  'message.due': '{what}, {count}: drink today, and pour away what is past its time.',
  'message.look': '{what}, {count}: look and smell. Nothing is tasted to find out.',
  'message.vent': '{what}, {count}: let the gas off, over the sink.',
  'message.defrost': '{what}, {count}: near the end of the time in the freezer. Thaw it or use it up.',
  'message.warm': 'The fridge was warm, up to {temp}: look at the dates again.',
  'message.gift': '{about} comes round: {what} was made for it last year.',
};
