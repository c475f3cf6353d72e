/** Sentences of the shopping list. */
export const EN_SHOPPING = {
  // shoppingPage
  'shoppingPage.shopping': 'Shopping',
  'shoppingPage.forOfOneOther': 'for {litres} of {plans} {lengthCount, plural, one {plan} other {plans}}',
  'shoppingPage.saveAsCsv': 'Save as CSV',
  'shoppingPage.forThesePlans': 'For these plans',
  'shoppingPage.drink': 'drink',
  'shoppingPage.noPlansYetChoose':
    'No plans yet. Choose a {link}, size it, and keep the plan: it can be bought for here.',
  'shoppingPage.wantsALook': ': check this plan',
  'shoppingPage.andWithoutAPrice': 'and {unpriced} without a price',
  'shoppingPage.noPricesYet': 'No prices yet',
  'shoppingPage.aLitreAGlass': '{cost} {each}, {cost2} a glass',
  'shoppingPage.inYourOwnMoney': 'In your own money.',
  'shoppingPage.forGathering': 'Shop for {gathering}',
  'shoppingPage.ice': 'Its ice on the day itself.',
  'shoppingPage.aGuest': '{cost} a guest',
  'shoppingPage.waits': 'Kept on this device: sent as soon as the kitchen server answers.',
  'shoppingPage.needLeftOver': 'need {need}{isLeft, select, true {, {left} left over} other {}}',
  'shoppingPage.forEachFruitOnce': 'for {parts}: each fruit once',
  'shoppingPage.outOfSeasonNow':
    'Out of season now{isDried, select, true {: {item} is to be had all year} other {: dearer, and from far}}.',
  'shoppingPage.bought': 'Bought: {what}',
  'shoppingPage.boughtOf': '{done} of {all} bought',
  'shoppingPage.putAway': 'Put away what I bought',
  'shoppingPage.priceAndPack': 'Price, pack: {what}',
  'shoppingPage.price': 'Price, pack',
  'shoppingPage.each': 'at {price}',
  'shoppingPage.noPrice': 'no price',
  'shoppingPage.share': 'Share as text',
  'shoppingPage.copied': 'The list is copied as text.',
  'shoppingPage.onTheStove': '{drink}, on the stove: what is still to go in',
  'shoppingPage.forForms': 'for {parts}',
  'shoppingPage.inTheHouse': 'In the house',
  'shoppingPage.aPackHolds': 'A pack holds',
  'shoppingPage.oneCosts': 'One costs',
  'shoppingPage.aPackCosts': 'A pack costs',

  // listWords
  'listWords.nothingItIsIn': 'nothing, it is in the house',
};
