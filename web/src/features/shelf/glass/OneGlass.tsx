import '../../../words/places/shelf.ts';
import '../../../words/places/items.ts';
import '../../../words/places/steps.ts';
import type { ShelfThing } from '@big-ladle/core/contract';
import { climateAt } from '@big-ladle/core/keeping';
import { guidanceAt } from '@big-ladle/core/program';
import { THAWED_DAYS } from '@big-ladle/core/shelf';
import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useState } from 'react';
import { Link } from 'react-router';
import { Guidance } from '../../../shared/Guidance.tsx';
import { LotMarks } from '../../../shared/LotMarks.tsx';
import { type Living, livingOf } from '../../../shared/shelf.ts';
import { PageHead, Panel } from '../../../shared/ui.tsx';
import { role } from '../../../theme/theme.ts';
import { sayDrinkOf } from '../../../words/names.ts';
import { num } from '../../../words/numbers.ts';
import { millilitres, volume } from '../../../words/quantities.ts';
import { say } from '../../../words/say.ts';
import { goneWord, type ThingInput } from '../itemPage.ts';
import { deadlineWord } from '../lifeDisplay.tsx';
import { GlassChoices } from './GlassChoices.tsx';
import { InTheGlass } from './InTheGlass.tsx';
import { type Glass, useGlass } from './useGlass.ts';

/** A glass or a jug of a bottle: how much drink, mixer and ice, what it then is, and poured with a tap. */
export function OneGlass(props: ThingInput & { thing: Extract<ShelfThing, { kind: 'bottle' }> }) {
  const { thing, kitchen, around, nowMs } = props;
  const { facts, log } = thing;
  const living = livingOf(thing, kitchen, around, nowMs);
  const glass = useGlass(living, kitchen, nowMs);
  const { verdict } = living.life;
  const gone = goneWord(log, nowMs, kitchen.zone);
  const isOver = verdict === 'past' || verdict === 'throwOut' || gone !== null;
  const frozen = climateAt(around, log.places.at(-1)!.place).kind === 'freezer';
  return (
    <>
      <PageHead
        title={say('glass.title', { drink: sayDrinkOf(facts, facts.lot) })}
        beside={gone ?? deadlineWord(living.life, kitchen.zone)}
      >
        <Button component={Link} to={`/shelf/${facts.itemId}`} variant="outlined">
          {say('glass.theBottle')}
        </Button>
      </PageHead>
      <Box
        sx={{
          display: 'grid',
          gap: 1.75,
          gridTemplateColumns: { xs: 'minmax(0,1fr)', md: 'minmax(0,5fr) minmax(0,4fr)' },
          alignItems: 'start',
        }}
      >
        <Panel title={say('glass.howMuch')}>
          <GlassChoices glass={glass} colour={facts.colour} />
        </Panel>
        <Box sx={{ display: 'grid', gap: 1.75, gridTemplateColumns: 'minmax(0,1fr)' }}>
          <InTheGlass glass={glass} kitchen={kitchen} />
          {isOver ? (
            <Alert severity="error">{gone ?? say('bottlePage.itsTimeIsOver')}</Alert>
          ) : frozen ? (
            <Alert severity="info">{say('bottleDeeds.thawItInThe', { days: num(THAWED_DAYS) })}</Alert>
          ) : (
            <Pour {...props} living={living} glass={glass} />
          )}
          <Panel title={say('glass.whoFor')}>
            <LotMarks tags={facts.tags} />
            <Box sx={{ mt: 1 }}>
              <Guidance rows={guidanceAt('serve', new Set(facts.tags))} />
            </Box>
          </Panel>
        </Box>
      </Box>
    </>
  );
}

/** It is poured: what stays in the bottle, or what another one must give. */
function Pour({ living, glass, record }: ThingInput & { living: Living; glass: Glass }) {
  const { leftMl } = living;
  const { drinkMl } = glass.poured;
  const [pouredMl, setPouredMl] = useState<number | null>(null);
  const takenMl = Math.min(drinkMl, leftMl);
  const pour = () => {
    void record([{ kind: 'poured', body: { volumeMl: Math.round(takenMl) } }]);
    setPouredMl(takenMl);
  };
  const more = Math.floor(Math.max(0, leftMl - takenMl) / Math.max(1, drinkMl));
  return (
    <Box>
      <Button
        variant="contained"
        fullWidth
        sx={{ minHeight: 64, fontSize: '1.25rem' }}
        disabled={takenMl < 1}
        data-testid="pour"
        onClick={pour}
      >
        {say('glass.pour', { drink: millilitres(takenMl) })}
      </Button>
      <Box sx={{ mt: 0.75, color: role(drinkMl > leftMl + 1 ? 'caution' : 'inkMuted') }}>
        {drinkMl > leftMl + 1
          ? say('glass.lacks', { left: volume(leftMl / 1000), lacks: volume((drinkMl - leftMl) / 1000) })
          : say('glass.stays', { rest: volume((leftMl - takenMl) / 1000), more, number: num(more) })}
      </Box>
      <Box role="status" sx={{ mt: 0.5, fontWeight: 700 }} data-testid="poured">
        {pouredMl !== null && say('glass.poured', { drink: millilitres(pouredMl) })}
      </Box>
    </Box>
  );
}
