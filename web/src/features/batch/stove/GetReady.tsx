import '../../../words/places/batch.ts';
import '../../../words/places/steps.ts';
import { toLayOut } from '@big-ladle/core/compare';
import { type ProgramLine, potCapacityMl } from '@big-ladle/core/program';
import Box from '@mui/material/Box';
import ButtonBase from '@mui/material/ButtonBase';
import { lineAmount } from '../../../shared/batch/lineAmount.ts';
import { PlantDrawing } from '../../../shared/drawings/PlantDrawing.tsx';
import { plantOf } from '../../../shared/drawings/plants/plants.ts';
import { Fold } from '../../../shared/Fold.tsx';
import { PageTitle } from '../../../shared/PageTitle.tsx';
import { heading, role } from '../../../theme/theme.ts';
import { sayItem } from '../../../words/names.ts';
import { num } from '../../../words/numbers.ts';
import { litres } from '../../../words/quantities.ts';
import { say } from '../../../words/say.ts';
import type { LiveBatch } from '../useLiveBatch.ts';
import type { useTicks } from './TickList.tsx';

interface Thing {
  code: string;
  name: string;
  hand: string;
  scale: string;
  /** What it looks like. */
  plant?: string;
  /** What it should be like: clean, sound, large enough. */
  how?: string;
}

/** Everything that goes in, with its amount for the whole batch, then the tools. */
export function thingsToGetReady(live: LiveBatch): Thing[] {
  const { program, kitchen, tables, now } = live;
  const amountOf = (line: ProgramLine) => line.massG || (now.forecast.dosedG[line.id] ?? 0);
  const tools = toLayOut(program, kitchen, tables).map(
    ({ code, names }): Thing => ({
      code,
      name: code === 'pots' ? names.join(', ') : say(`layOut.short.${code}`),
      hand: code === 'pots' ? litres(potCapacityMl(live.pot) / 1000) : '',
      scale: '',
      how: say(`layOut.${code}`, { names: names.join(', ') }),
    }),
  );
  const goesIn = program.lines
    .filter((line) => amountOf(line) > 0)
    .map((line): Thing => {
      const { hand, scale } = lineAmount(line.itemId, amountOf(line), kitchen, tables);
      return {
        code: `line:${line.id}`,
        name: sayItem(line.itemId),
        plant: plantOf(line.itemId, tables),
        hand,
        scale: hand === scale ? '' : scale,
      };
    });
  return [...goesIn, ...tools];
}

/** Everything that must stand there before the first step: a tap on a row ticks it off, and nothing waits for it. */
export function GetReady({
  things,
  ticks,
}: {
  things: readonly Thing[];
  ticks: ReturnType<typeof useTicks>;
}) {
  const found = things.filter((t) => ticks.ticked.includes(t.code)).length;
  const tools = things.filter((t) => t.how);
  return (
    <Box data-testid="get-ready">
      <Box sx={{ display: 'flex', alignItems: 'baseline', gap: 1, justifyContent: 'space-between' }}>
        <PageTitle
          title={say('getReady.title')}
          sx={{ ...heading, fontSize: 'clamp(2.2rem, 9vw, 3.4rem)', lineHeight: 1.05, m: 0 }}
          own
        />
        <Box sx={{ ...heading, fontSize: '1.6rem', whiteSpace: 'nowrap' }}>
          {say('getReady.found', { found: num(found), all: num(things.length) })}
        </Box>
      </Box>
      <List things={things.filter((t) => !t.how)} ticks={ticks} />
      <Fold summary={say('getReady.tools', { count: tools.length })} testId="tools">
        <List things={tools} ticks={ticks} />
        <Fold summary={say('getReady.details')}>
          {tools.map((t) => (
            <Box key={t.code} sx={{ py: 0.5 }}>
              {t.how}
            </Box>
          ))}
        </Fold>
      </Fold>
    </Box>
  );
}

/** Rows to tick off. */
function List({ things, ticks }: { things: readonly Thing[]; ticks: ReturnType<typeof useTicks> }) {
  return (
    <Box component="ul" sx={{ listStyle: 'none', m: 0, mt: 1.5, p: 0 }}>
      {things.map((thing) => {
        const on = ticks.ticked.includes(thing.code);
        return (
          <Box component="li" key={thing.code} sx={{ borderBottom: `1px solid ${role('line')}` }}>
            <ButtonBase
              role="checkbox"
              aria-checked={on}
              onClick={() => ticks.tick(thing.code, !on)}
              sx={{
                width: '100%',
                minHeight: 60,
                gap: 1.5,
                px: 1,
                justifyContent: 'flex-start',
                textAlign: 'left',
                font: 'inherit',
                color: role(on ? 'inkMuted' : 'ink'),
                bgcolor: on ? 'transparent' : role('enamel'),
              }}
            >
              <Box
                component="span"
                aria-hidden
                sx={{
                  flex: '0 0 36px',
                  height: 36,
                  display: 'grid',
                  placeItems: 'center',
                  border: `2.5px solid ${role(on ? 'ready' : 'rim')}`,
                  borderRadius: '2px 2px 10px 10px',
                  color: role('ready'),
                  fontWeight: 700,
                }}
              >
                {on ? '✓' : ''}
              </Box>
              {thing.plant && <PlantDrawing plant={thing.plant} size={36} />}
              <Box component="span" sx={{ flex: 1 }}>
                {thing.name}
              </Box>
              <Box component="span" sx={{ textAlign: 'right' }}>
                <Box component="strong" sx={{ display: 'block' }}>
                  {thing.hand}
                </Box>
                <Box component="span" sx={{ color: role('inkMuted'), fontSize: '0.95rem' }}>
                  {thing.scale}
                </Box>
              </Box>
            </ButtonBase>
          </Box>
        );
      })}
    </Box>
  );
}
