import '../../words/places/items.ts';
import '../../words/places/shelf.ts';
import type { ShelfThing } from '@big-ladle/core/contract';
import { type LeftoverUse, leftoverLife, leftoverRow } from '@big-ladle/core/shelf';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useState } from 'react';
import { Link } from 'react-router';
import { Choice } from '../../shared/Choice.tsx';
import { placeName, placesOf } from '../../shared/house.ts';
import { QuantityField } from '../../shared/QuantityField.tsx';
import { Caution, Figure, PageHead, Panel } from '../../shared/ui.tsx';
import { role, thumb } from '../../theme/theme.ts';
import { sayDrink, sayItem } from '../../words/names.ts';
import { num } from '../../words/numbers.ts';
import { grams, volume } from '../../words/quantities.ts';
import { days, percent, say } from '../../words/say.ts';
import { History } from './History.tsx';
import { goneWord, type ThingInput } from './itemPage.ts';
import { LookAt } from './Look.tsx';
import { useLeftoverFacts } from './leftoverFacts.ts';
import { deadlineWord, TONE } from './lifeDisplay.tsx';

/** A leftover: how long it keeps where, what it is good for, what went into what. */
export function LeftoverPage(props: ThingInput & { thing: Extract<ShelfThing, { kind: 'leftover' }> }) {
  const { thing, kitchen, around, nowMs, record } = props;
  const { facts, log } = thing;
  const { leftover } = facts;
  const life = leftoverLife(leftover, log, around, nowMs);
  const { uses, screen, strength } = useLeftoverFacts(leftover);
  const row = leftoverRow(leftover.kind);
  const here = log.places.at(-1)!.place;
  const gone = goneWord(log, nowMs, kitchen.zone) ?? (life.leftG < 1 ? say('leftoverPage.allOfItIs') : null);
  const portionG = leftover.massG / leftover.portions;
  const [amount, setAmount] = useState(Math.max(1, Math.round(Math.min(portionG, life.leftG))));
  const fridgeDays = leftover.boiled ? row.fridgeDays.boiled : row.fridgeDays.raw;
  const used = (use: LeftoverUse) =>
    void record([{ kind: 'used', body: { massG: Math.min(amount, Math.ceil(life.leftG)), use } }]);
  return (
    <>
      <PageHead title={say(`leftover.${leftover.kind}`)} beside={sayDrink(facts.recipeId, facts.drinkName)}>
        <Button component={Link} to={`/shelf/labels?ids=${facts.itemId}`} variant="outlined">
          {say('bottlePage.label')}
        </Button>
        <Button component={Link} to="/shelf?view=leftovers" variant="outlined">
          {say('common.leftovers')}
        </Button>
      </PageHead>
      <Box
        sx={{
          display: 'grid',
          gap: 1.75,
          gridTemplateColumns: { xs: 'minmax(0,1fr)', lg: 'repeat(2, minmax(0,1fr))' },
          alignItems: 'start',
        }}
      >
        <Box sx={{ display: 'grid', gap: 1.75, minWidth: 0 }}>
          <Panel title={say('leftoverPage.useBy')} aside={gone ?? undefined}>
            <Figure value={deadlineWord(life, kitchen.zone)} size="2rem" testId="leftover-deadline" />
            <Box sx={{ color: role(TONE[life.verdict]), fontWeight: 700 }}>
              {say('leftoverPage.ofLeft', {
                left: grams(life.leftG),
                mass: grams(leftover.massG),
                placeName: placeName(kitchen, here).toLowerCase(),
              })}
            </Box>
            <Box component="ul" sx={{ pl: 2.5, my: 1 }}>
              <li>
                {say('leftoverPage.trueOtherInThe', {
                  isBoiled: Boolean(leftover.boiled),
                  fridgeDays: days(fridgeDays),
                  freezerDays: days(row.freezerDays),
                })}
              </li>
              {leftover.heldMl > 1 && (
                <li>{say('leftoverPage.ofLiquorAreIn', { held: volume(leftover.heldMl / 1000) })}</li>
              )}
              {leftover.ingredientIds.length > 0 && (
                <li>
                  {say('leftoverPage.ofItsStrengthIs', {
                    ingredientIds: leftover.ingredientIds.map((id) => sayItem(id).toLowerCase()).join(', '),
                    strengthShare: percent(leftover.strengthShare),
                    what: say(`portion.${strength}`),
                  })}
                </li>
              )}
              {leftover.portions > 1 && (
                <li>
                  {say('leftoverPage.portionsOf', {
                    portions: num(leftover.portions),
                    portion: grams(portionG),
                  })}
                </li>
              )}
            </Box>
            {gone === null && (
              <Choice
                label={say('leftoverPage.itStands')}
                value={here}
                options={placesOf(kitchen).map((p) => ({ value: p.id, text: p.name }))}
                onChange={(place) => place !== here && void record([{ kind: 'moved', body: { place } }])}
              />
            )}
          </Panel>
          {gone === null && (
            <LookAt kind="leftover" log={log} nowMs={nowMs} zone={kitchen.zone} record={record} />
          )}
        </Box>
        <Box sx={{ display: 'grid', gap: 1.75, minWidth: 0 }}>
          <Panel title={say('leftoverPage.whatItIsGood')} testId="uses">
            {gone === null && (
              <QuantityField
                label={say('leftoverPage.soMuchOfIt')}
                value={amount}
                min={1}
                max={Math.max(1, Math.ceil(life.leftG))}
                decimals={0}
                unit="g"
                onValue={setAmount}
                testId="used-grams"
              />
            )}
            {uses.map((use) => (
              <Box
                key={use}
                sx={{
                  display: 'flex',
                  gap: 1.5,
                  alignItems: 'center',
                  py: 1,
                  borderBottom: `1px solid ${role('hairline')}`,
                }}
              >
                <Box sx={{ flex: 1, minWidth: 0 }}>
                  <strong>{say(`use.${use}`)}</strong>
                  <Box sx={{ color: role('inkMuted'), fontSize: '0.92rem' }}>{say(`use.${use}.how`)}</Box>
                </Box>
                {gone === null && (
                  <Button
                    variant="outlined"
                    sx={thumb}
                    onClick={() => used(use)}
                    aria-label={say('leftoverPage.used', { what: say(`use.${use}`) })}
                  >
                    {say('leftoverPage.used2')}
                  </Button>
                )}
              </Box>
            ))}
            <Box sx={{ mt: 1.25 }} data-testid="screen">
              {screen.length > 0 ? (
                <Caution
                  severity="caution"
                  word={say('leftoverPage.notForAnimals')}
                  text={`${screen.map((code) => say(`screen.${code}`)).join(', ')}.`}
                />
              ) : (
                <Box sx={{ color: role('inkMuted') }}>{say('leftoverPage.forHensOrRabbits')}</Box>
              )}
            </Box>
            {gone === null && (
              <Button
                variant="outlined"
                color="error"
                sx={{ ...thumb, mt: 1.5 }}
                onClick={() => void record([{ kind: 'discarded', body: { codes: ['thrown.out'] } }])}
              >
                {say('bottleDeeds.thrownOut')}
              </Button>
            )}
          </Panel>
          <History id={facts.itemId} kitchen={kitchen} nowMs={nowMs} record={record} />
        </Box>
      </Box>
    </>
  );
}
