/** What a part of a batch is to be. Alcohol is never what a lot begins with. */
export const LOT_KINDS = ['plain', 'sweet', 'noAddedSugar', 'children', 'spirits', 'trial'] as const;
export type LotKind = (typeof LOT_KINDS)[number];
