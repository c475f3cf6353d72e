import '../../words/places/stove.ts';
import { cautionsOf } from '@big-ladle/core/balance';
import { iceKgOf } from '@big-ladle/core/compare';
import type { Kitchen, Recipe } from '@big-ladle/core/documents';
import { openingPlan, timetableFrom } from '@big-ladle/core/plan';
import { BOTTLES, simulateBatch, tagsOfBatch } from '@big-ladle/core/program';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useMemo } from 'react';
import { colours } from '../../shared/batch/liquorColour.ts';
import { useBook } from '../../shared/book.ts';
import { WhoAsksFirst } from '../../shared/LotMarks.tsx';
import { ThumbBar } from '../../shared/ThumbBar.tsx';
import { heading, role } from '../../theme/theme.ts';
import { sayDrink } from '../../words/names.ts';
import { num } from '../../words/numbers.ts';
import { kilograms, litres, millilitres } from '../../words/quantities.ts';
import { dayWord, duration, say, timeOfDay } from '../../words/say.ts';
import type { Proposal } from './firstKitchen.ts';

/** One drink to begin with, in this pot, by its quickest way: what it gives, what it asks, who should ask first. */
export function Proposed(props: {
  proposal: Proposal;
  recipe: Recipe;
  kitchen: Kitchen;
  nowMs: number;
  busy: boolean;
  onMake: () => void;
  others: readonly Proposal[];
  onPick: (proposal: Proposal) => void;
}) {
  const { proposal, recipe, kitchen, nowMs, busy, onMake, others, onPick } = props;
  const { book, tables } = useBook();
  const made = useMemo(() => {
    const solution = openingPlan(recipe, kitchen, book, tables, proposal.methodId)?.solution;
    if (!solution) return null;
    const sim = simulateBatch(solution.program, kitchen, tables);
    return { solution, sim, tags: tagsOfBatch(solution.program, sim.trace, tables) };
  }, [recipe, kitchen, book, tables, proposal.methodId]);
  if (!made) return null;
  const { solution, sim, tags } = made;
  const name = sayDrink(recipe.id, recipe.name);
  const { handsOnMin } = timetableFrom(solution.program, sim, nowMs);
  const readyMs = nowMs + sim.endMin * 60_000;
  const iceKg = iceKgOf(sim);
  const glass = colours(sim.trace.findLast((t) => t.vesselId === BOTTLES)).glass;
  const figure = (value: string, word: string) => (
    <Box sx={{ minWidth: 110 }}>
      <Box sx={{ ...heading, fontSize: '1.5rem', lineHeight: 1.1 }}>{value}</Box>
      <Box sx={{ color: role('inkMuted') }}>{word}</Box>
    </Box>
  );
  return (
    <Box component="section" aria-label={say('firstPage.proposal')} data-testid="proposal" sx={{ mt: 2 }}>
      <Box sx={{ display: 'flex', alignItems: 'flex-end', gap: 2 }}>
        <svg width="58" height="74" viewBox="0 0 34 46" aria-hidden="true">
          <path d="M2 2 L32 2 L28 44 L6 44 Z" fill={role('enamel')} stroke={role('line')} strokeWidth="1.5" />
          <path d="M3.2 10 L30.8 10 L27.4 42.6 L6.6 42.6 Z" fill={glass} />
        </svg>
        <Box sx={{ pb: 0.75 }}>
          <Box sx={{ color: role('inkMuted') }}>{say('firstPage.soWePropose')}</Box>
          <Box
            component="h2"
            sx={{ ...heading, fontSize: { xs: '1.5rem', md: '2rem' }, lineHeight: 1.1, m: 0 }}
          >
            {say('firstPage.proposed', {
              drink: name,
              litres: litres(solution.litres),
              day: dayWord(readyMs, nowMs, kitchen.zone).toLowerCase(),
              time: timeOfDay(readyMs, kitchen.zone),
            })}
          </Box>
        </Box>
      </Box>
      <Box
        sx={{
          bgcolor: role('enamel'),
          borderTop: `5px solid ${role('rim')}`,
          borderRadius: '3px 3px 14px 14px',
          p: 2,
        }}
      >
        <Box sx={{ display: 'flex', gap: 3, flexWrap: 'wrap', alignItems: 'center' }}>
          {figure(duration(handsOnMin), say('firstPage.work'))}
          {figure(
            duration(sim.endMin),
            iceKg >= 0.1 ? say('firstPage.withIce', { ice: kilograms(iceKg) }) : say('firstPage.inAll'),
          )}
          {figure(
            num(Math.floor((solution.litres * 1000) / kitchen.servingMl)),
            say('firstPage.glasses', { ml: millilitres(kitchen.servingMl) }),
          )}
          <Box sx={{ ml: 'auto' }}>
            <ThumbBar>
              <Button
                variant="contained"
                size="large"
                disabled={busy}
                sx={{ minHeight: 56, fontSize: '1.2rem', px: 4 }}
                onClick={onMake}
              >
                {say('firstPage.make', { drink: name })}
              </Button>
            </ThumbBar>
          </Box>
        </Box>
        {cautionsOf(tags).length > 0 && (
          <Box component="details" sx={{ mt: 1.5, pt: 1, borderTop: `1px solid ${role('hairline')}` }}>
            <Box
              component="summary"
              sx={{ cursor: 'pointer', minHeight: 32, color: role('caution'), fontWeight: 700 }}
            >
              {say('firstPage.whoAsks')}
            </Box>
            <WhoAsksFirst tags={tags} />
          </Box>
        )}
      </Box>
      {others.length > 0 && (
        <Box sx={{ mt: 1, display: 'flex', gap: 1, flexWrap: 'wrap', alignItems: 'center' }}>
          <span>{say('firstPage.others')}</span>
          {others.map((p) => (
            <Button key={p.recipeId} size="small" onClick={() => onPick(p)}>
              {sayDrink(p.recipeId, book.find((r) => r.id === p.recipeId)?.name)}
            </Button>
          ))}
        </Box>
      )}
    </Box>
  );
}
