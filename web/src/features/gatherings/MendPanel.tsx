import '../../words/places/gatherings.ts';
import type { GatheringDoc, Kitchen } from '@big-ladle/core/documents';
import type { Mend, Sized } from '@big-ladle/core/gathering';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { memo } from 'react';
import { stepAlone } from '../../shared/batch/stepNames.ts';
import type { GatheringChange } from '../../shared/gatherings/gatherings.ts';
import { sayFeastDrink } from '../../shared/gatherings/sayJob.ts';
import { Panel } from '../../shared/ui.tsx';
import { role } from '../../theme/theme.ts';
import { litres } from '../../words/quantities.ts';
import { say } from '../../words/say.ts';
import { OtherDrinks } from './OtherDrinks.tsx';
import { sayGroup } from './sayFeast.ts';

/** Half litres: nobody sets apart a third of a glass. */
const ROUND_L = 0.5;

/** What would give everybody something to drink, with the fewest changes; and what has been set apart for that. */
export const MendPanel = memo(function MendPanel(props: {
  gathering: GatheringDoc;
  sized: Sized;
  kitchen: Kitchen;
  nowMs: number;
  onChange: (change: GatheringChange) => void;
}) {
  const { gathering, sized, kitchen, nowMs, onChange } = props;
  const { mending } = sized;
  const names = (ids: readonly string[]) =>
    gathering.groups
      .filter((g) => ids.includes(g.id))
      .map(sayGroup)
      .join(', ');
  const litresFor = ({ groupIds }: Mend) => {
    const meanL = groupIds.reduce((sum, id) => sum + (sized.demand.groupL.get(id) ?? 0), 0);
    const all = sized.demand.meanL > 0 ? (meanL * sized.totalL) / sized.demand.meanL : 0;
    return Math.max(ROUND_L, Math.ceil(all / ROUND_L) * ROUND_L);
  };
  const apart = gathering.drinks.flatMap((d) => d.apart.map((a) => ({ drink: d, ...a })));
  const stepOf = (drinkId: string, stepId: string) => {
    const program = sized.drinks.find((d) => d.id === drinkId)?.made?.program;
    const step = program?.steps.find((s) => s.id === stepId);
    return step && program ? stepAlone(step, program).toLowerCase() : stepId;
  };
  return (
    <>
      {mending.mends.map((mend) => {
        const { drinkId, beforeStepId } = mend.cut;
        const drink = sized.drinks.find((d) => d.id === drinkId);
        const much = litresFor(mend);
        return (
          <Panel
            key={`${drinkId} ${beforeStepId}`}
            testId="mend"
            title={say('mend.title', { litres: litres(much), step: stepOf(drinkId, beforeStepId) })}
          >
            <Box sx={{ mb: 1.5 }}>
              {say('mend.why', { drink: sayFeastDrink(drink), groups: names(mend.groupIds) })}
            </Box>
            <Button
              variant="contained"
              onClick={() =>
                onChange((g) => ({
                  ...g,
                  drinks: g.drinks.map((d) =>
                    d.id === drinkId
                      ? { ...d, apart: [...d.apart, { id: beforeStepId, beforeStepId, litres: much }] }
                      : d,
                  ),
                }))
              }
            >
              {say('mend.do', { litres: litres(much) })}
            </Button>
          </Panel>
        );
      })}
      {mending.without.length > 0 && (
        <Panel testId="without" label={say('mend.without', { groups: names(mending.without) })}>
          <Box sx={{ color: role('danger'), fontWeight: 700 }}>
            {say('mend.without', { groups: names(mending.without) })}
          </Box>
          <OtherDrinks {...{ gathering, without: mending.without, kitchen, nowMs, onChange }} />
        </Panel>
      )}
      {mending.mends.length === 0 && mending.without.length === 0 && gathering.drinks.length > 0 && (
        <Panel testId="all-served" label={say('mend.none')}>
          <Box sx={{ color: role('ready'), fontWeight: 700 }}>{say('mend.none')}</Box>
          {apart.map(({ drink, id, beforeStepId, litres: much }) => (
            <Box
              key={`${drink.id} ${id}`}
              sx={{ mt: 1, display: 'flex', gap: 1.5, alignItems: 'center', flexWrap: 'wrap' }}
            >
              <span>{say('mend.title', { litres: litres(much), step: stepOf(drink.id, beforeStepId) })}</span>
              <Button
                size="small"
                onClick={() =>
                  onChange((g) => ({
                    ...g,
                    drinks: g.drinks.map((d) =>
                      d.id === drink.id ? { ...d, apart: d.apart.filter((a) => a.id !== id) } : d,
                    ),
                  }))
                }
              >
                {say('mend.undo')}
              </Button>
            </Box>
          ))}
        </Panel>
      )}
    </>
  );
});
