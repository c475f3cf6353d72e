import '../../words/places/cost.ts';
import type { GatheringDoc, Kitchen } from '@big-ladle/core/documents';
import { inGlassMl, planAt, type Sized, servingList } from '@big-ladle/core/gathering';
import { memo, useMemo } from 'react';
import { CostTable } from '../../shared/cost/lazy.tsx';
import { Fold } from '../../shared/Fold.tsx';
import type { GatheringChange } from '../../shared/gatherings/gatherings.ts';
import { sayFeastDrink } from '../../shared/gatherings/sayJob.ts';
import { Panel } from '../../shared/ui.tsx';
import { say } from '../../words/say.ts';

/** What all of it costs that is still to be made, with its ice; a dear and a cheap course beside. */
export const CostPanel = memo(function CostPanel(props: {
  gathering: GatheringDoc;
  sized: Sized;
  kitchen: Kitchen;
  guests: number;
  onChange: (change: GatheringChange) => void;
}) {
  const { gathering, sized, kitchen, guests, onChange } = props;
  const plans = useMemo(
    () =>
      gathering.drinks.flatMap(({ id, source }) => {
        const drink = sized.drinks.find((d) => d.id === id);
        return source.kind === 'plan' && drink && drink.litres > 0
          ? [
              {
                id,
                name: sayFeastDrink(drink),
                plan: planAt(source.plan, drink.litres),
                madeAtMs: gathering.servesAtMs,
              },
            ]
          : [];
      }),
    [gathering, sized],
  );
  if (plans.length === 0) return null;
  return (
    <Panel testId="gathering-cost">
      <Fold summary={say('cost.title')} lazily>
        <CostTable
          plans={plans}
          kitchen={kitchen}
          servingMl={inGlassMl(gathering)}
          iceKg={servingList(gathering, sized).iceKg}
          guests={guests}
          onTake={(taken) =>
            onChange((g) => ({
              ...g,
              drinks: g.drinks.map((d) => {
                const plan = taken.find((t) => t.id === d.id)?.plan;
                // Its litres stay those of the guests.
                return plan && d.source.kind === 'plan'
                  ? { ...d, source: { ...d.source, plan: { ...d.source.plan, choices: plan.choices } } }
                  : d;
              }),
            }))
          }
        />
      </Fold>
    </Panel>
  );
});
