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
  'shoppingPage.aLitreAGlass': '{cost} a litre, {cost2} a glass',
  'shoppingPage.inYourOwnMoney': 'In your own money. Prices are set on each row.',
  'shoppingPage.theKitchenServerDoes': 'The kitchen server does not answer. It was not stored.',
  'shoppingPage.needLeftOver': 'need {need}{isLeft, select, true {, {left} left over} other {}}',
  'shoppingPage.forEachFruitOnce': 'for {parts}: each fruit once',
  'shoppingPage.outOfSeasonNow':
    'Out of season now{isDried, select, true {: {item} is to be had all year} other {: dearer, and from far}}.',
  'shoppingPage.inTheHouse': 'In the house',
  'shoppingPage.aPackHolds': 'A pack holds',
  'shoppingPage.oneCosts': 'One costs',
  'shoppingPage.aPackCosts': 'A pack costs',

  // listWords
  'listWords.nothingItIsIn': 'nothing, it is in the house',
};
