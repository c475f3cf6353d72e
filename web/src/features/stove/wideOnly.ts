/** On a phone it stands below all else, and comes once it has something to tell: what is above it may still grow. */
export const WIDE_ONLY = { display: { xs: 'none', lg: 'block' } } as const;
