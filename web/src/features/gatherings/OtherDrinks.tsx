import '../../words/places/gatherings.ts';
import type { GatheringDoc, Kitchen } from '@big-ladle/core/documents';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useMemo, useState } from 'react';
import { v7 as uuid } from 'uuid';
import { useBook } from '../../shared/book.ts';
import type { GatheringChange } from '../../shared/gatherings/gatherings.ts';
import { role } from '../../theme/theme.ts';
import { sayDrink } from '../../words/names.ts';
import { say } from '../../words/say.ts';
import { useJob } from '../../workers/useJob.ts';

/** So many of them are offered. */
const MOST = 6;

/** Drinks of the book for those who may have none of the settled ones: looked for when it is asked. */
export function OtherDrinks(props: {
  gathering: GatheringDoc;
  without: readonly string[];
  kitchen: Kitchen;
  nowMs: number;
  onChange: (change: GatheringChange) => void;
}) {
  const { gathering, without, kitchen, nowMs, onChange } = props;
  const { own, custom } = useBook();
  const [asked, setAsked] = useState<{ gathering: GatheringDoc; nowMs: number } | null>(null);
  const job = useMemo(
    () =>
      asked && {
        kind: 'othersFor' as const,
        groups: asked.gathering.groups.filter((g) => without.includes(g.id)),
        gathering: asked.gathering,
        kitchen,
        nowMs: asked.nowMs,
      },
    [asked, without, kitchen],
  );
  const { result } = useJob(job, own, custom);
  if (!asked)
    return (
      <Button variant="outlined" sx={{ mt: 1 }} onClick={() => setAsked({ gathering, nowMs })}>
        {say('mend.others')}
      </Button>
    );
  if (!result) return <Box sx={{ mt: 1, color: role('inkMuted') }}>{say('common.oneMoment')}</Box>;
  if (result.drinks.length === 0) return <Box sx={{ mt: 1 }}>{say('mend.noOther')}</Box>;
  return (
    <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap', mt: 1 }} data-testid="others">
      {result.drinks.slice(0, MOST).map(({ recipeId, plan }) => (
        <Button
          key={recipeId}
          variant="outlined"
          onClick={() =>
            onChange((g) => ({
              ...g,
              drinks: [
                ...g.drinks,
                {
                  id: uuid(),
                  source: { kind: 'plan', plan, litres: null },
                  share: 1,
                  served: 'cold',
                  frozen: false,
                  apart: [],
                },
              ],
            }))
          }
        >
          {say('mend.addOther', { drink: sayDrink(recipeId) })}
        </Button>
      ))}
    </Box>
  );
}
