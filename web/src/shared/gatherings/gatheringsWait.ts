/** Where changes of gatherings wait in this browser. */
export const GATHERINGS_KEY = 'big-ladle-gatherings';

/** Whether any may wait from an earlier page: to be asked before what sends them is fetched. */
export const gatheringsMayWait = (): boolean =>
  localStorage.getItem(GATHERINGS_KEY)?.includes('"waiting":{"') === true;
