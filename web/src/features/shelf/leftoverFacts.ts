import { type LeftoverFacts, portionStrength, screenOf, usesOf } from '@big-ladle/core/shelf';
import { useMemo } from 'react';
import { useBook } from '../../shared/book.ts';

/** What a leftover is good for, what speaks against giving it to animals, and how strong a portion is. */
export function useLeftoverFacts(leftover: LeftoverFacts) {
  const { tables } = useBook();
  return useMemo(
    () => ({
      uses: usesOf(leftover, tables),
      screen: screenOf(leftover, tables),
      strength: portionStrength(leftover, tables),
    }),
    [leftover, tables],
  );
}
