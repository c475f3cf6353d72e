import '../../words/places/gatherings.ts';
import '../../words/places/shelf.ts';
import type { GatheringDoc, Kitchen } from '@big-ladle/core/documents';
import { type Sized, servingList } from '@big-ladle/core/gathering';
import Box from '@mui/material/Box';
import { sayFeastDrink } from '../../shared/gatherings/sayJob.ts';
import { Panel, Row } from '../../shared/ui.tsx';
import { heading, role } from '../../theme/theme.ts';
import { num } from '../../words/numbers.ts';
import { sayFamily } from '../../words/plainNames.ts';
import { kilograms, litres } from '../../words/quantities.ts';
import { say, timeOfDay } from '../../words/say.ts';
import { lotColour } from './lotColour.ts';
import { sayGroup } from './sayFeast.ts';

/** On the day: what is put on the table when, with ice, glasses and garnish, and which jug is for whom. */
export function ServingPanel(props: { gathering: GatheringDoc; sized: Sized; kitchen: Kitchen }) {
  const { gathering, sized, kitchen } = props;
  const list = servingList(gathering, sized);
  const { zone } = kitchen;
  const all = gathering.groups.filter((g) => g.age !== 'infant' && g.most > 0).length;
  return (
    <Panel title={say('serving.title')} testId="serving">
      <Row dense label={say('serving.glasses')}>
        {num(list.glasses)}
      </Row>
      {list.iceKg > 0 && (
        <Row dense label={say('serving.ice', { at: timeOfDay(list.iceAtMs, zone) })}>
          {kilograms(list.iceKg)}
        </Row>
      )}
      {list.drinks.map((d) => {
        const drink = sized.drinks.find((x) => x.id === d.drinkId);
        const isPart = d.lotId !== d.drinkId;
        return (
          <Box
            key={d.lotId}
            data-testid="served"
            sx={{ mt: 1.5, pl: 1.5, borderLeft: `6px solid ${lotColour(drink)}` }}
          >
            <Box sx={{ ...heading, fontSize: '1.1rem' }}>
              {sayFeastDrink(drink)}
              {isPart && `, ${say('guestsAndLots.apart', { litres: litres(d.litres) })}`}
            </Box>
            <Box sx={{ color: role('inkMuted') }}>
              {d.forGroups.length === all
                ? say('serving.forAll')
                : say('serving.for', {
                    groups: gathering.groups
                      .filter((g) => d.forGroups.includes(g.id))
                      .map(sayGroup)
                      .join(', '),
                  })}
            </Box>
            {d.rounds
              .filter((r) => r.litres >= 0.05)
              .map((r) => (
                <Box key={r.atMs}>
                  {say(d.served === 'warm' ? 'serving.warm' : 'serving.out', {
                    at: timeOfDay(r.atMs, zone),
                    litres: litres(r.litres),
                  })}
                </Box>
              ))}
            {d.garnish.length > 0 && (
              <Box>
                {say('serving.garnish', {
                  count: d.pieces,
                  list: d.garnish
                    .map((g) => say(`garnish.${g.garnish}`, { what: sayFamily(g.familyId).toLowerCase() }))
                    .join(', '),
                })}
              </Box>
            )}
          </Box>
        );
      })}
      <Box sx={{ mt: 1.5, color: role('inkMuted') }}>{say('serving.twoHours')}</Box>
    </Panel>
  );
}
