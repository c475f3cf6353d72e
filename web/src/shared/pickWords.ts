import { say } from '../words/say.ts';

/** What the buttons of a list that is searched by typing are called. */
export const pickWords = () => ({
  openText: say('pick.open'),
  closeText: say('pick.close'),
  clearText: say('pick.clear'),
  noOptionsText: say('pick.nothing'),
  loadingText: say('pick.loading'),
});
