/** Where changes of the stock wait in this browser. */
export const STOCK_KEY = 'big-ladle-stock';

/** Whether any may wait from an earlier page: to be asked before what sends them is fetched. */
export const stockMayWait = (): boolean => localStorage.getItem(STOCK_KEY)?.includes('"waiting":{"') === true;
