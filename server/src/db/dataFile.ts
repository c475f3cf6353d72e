/** What the file is called that holds everything, in the data folder. */
export const DATA_FILE = 'big-ladle.sqlite';
