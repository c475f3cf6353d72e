/** The value in the middle. */
export const median = (list) => [...list].sort((a, b) => a - b)[Math.floor(list.length / 2)];
/** What 95 of 100 stay under. */
export const p95 = (list) => [...list].sort((a, b) => a - b)[Math.floor(list.length * 0.95)];
export const kB = (bytes) => `${(bytes / 1000).toFixed(0)} kB`;
export const ms = (value, decimals = 0) => `${value.toFixed(decimals)} ms`;
