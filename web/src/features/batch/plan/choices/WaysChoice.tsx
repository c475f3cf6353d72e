import '../../../../words/places/batch.ts';
import { choicesUnder } from '@big-ladle/core/book';
import type { MethodRow } from '@big-ladle/core/compare';
import type { Kitchen, PlanDoc, Recipe } from '@big-ladle/core/documents';
import { darkHours, liesOnTwoDays } from '@big-ladle/core/plan';
import { MINUTE_MS } from '@big-ladle/core/units';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import ButtonBase from '@mui/material/ButtonBase';
import { memo, type RefObject, useMemo } from 'react';
import { Link } from 'react-router';
import { useBook } from '../../../../shared/book.ts';
import { useSettled } from '../../../../shared/useSettled.ts';
import { heading, role } from '../../../../theme/theme.ts';
import { kilograms, litres } from '../../../../words/quantities.ts';
import { dayWord, duration, moment, say } from '../../../../words/say.ts';
import { useJob } from '../../../../workers/useJob.ts';
import { WayStrip } from './WayStrip.tsx';
import { waysOf, whenOf } from './ways.ts';

/** More of a cook's own work than this is much for a day, min. */
const MUCH_WORK_MIN = 150;

/** While a figure is typed the ways are not compared. */
const SETTLE_MS = 200;

/** What of a plan decides which ways there are. */
const askedOf = ({ question, potId, burnerId, fills, beside }: PlanDoc): string =>
  JSON.stringify([question, potId, burnerId, fills, beside]);

/** The ways of making this drink, as a choice: when it is ready, what it asks of the cook, what is gained. */
export const WaysChoice = memo(function WaysChoice(props: {
  plan: PlanDoc;
  recipe: Recipe;
  kitchen: Kitchen;
  nowMs: number;
  /** The hour that was set with a way, as against one that the cook has set. */
  setFor: RefObject<number | null>;
  onChange: (plan: PlanDoc) => void;
}) {
  const { plan, recipe, kitchen, nowMs, setFor, onChange } = props;
  const { own, custom } = useBook();
  const compared = useSettled(plan, SETTLE_MS);
  const asked = askedOf(compared);
  // biome-ignore lint/correctness/useExhaustiveDependencies: what was chosen of the ways does not change what they are
  const job = useMemo(
    () =>
      recipe.methods.length > 1
        ? { kind: 'compareMethods' as const, plan: compared, kitchen, methodIds: recipe.methods }
        : null,
    [asked, recipe, kitchen],
  );
  const { result, current } = useJob(job, own, custom);
  // Ways of the size before are shown until those of this one are there; their hours are not this one's.
  const isOfThis = current && askedOf(plan) === asked;
  const chosenId = plan.choices.methodId;
  const ways = useMemo(
    () =>
      (result ? waysOf(result.answers, chosenId) : []).map((way) => ({
        ...way,
        hours: whenOf(way.row, kitchen, nowMs),
      })),
    [result, chosenId, kitchen, nowMs],
  );
  const mine = ways.find((w) => w.row.methodId === chosenId);
  const half = Math.max(1, Math.round((mine?.row.litres ?? 2) * 5) / 10);
  const twoDays = result?.answers
    .flatMap((a) => (a.ok ? [a.row] : []))
    .find((row) => row.methodId !== chosenId && liesOnTwoDays(row.timeline));
  /** An hour that was set for the way before goes with it; one that the cook has set stays. */
  const take = (row: MethodRow) => {
    const { startMs, readyMs } = whenOf(row, kitchen, nowMs);
    const hers = plan.readyAtMs !== null && plan.readyAtMs !== setFor.current;
    setFor.current = isOfThis && startMs > nowMs ? readyMs : null;
    onChange({
      ...plan,
      choices: choicesUnder(recipe, row.methodId, plan.choices),
      readyAtMs: hers ? plan.readyAtMs : setFor.current,
    });
  };
  const fromMs = Math.min(...ways.map((w) => w.hours.startMs));
  const toMs = Math.max(...ways.map((w) => w.hours.readyMs));
  const dark = useMemo(
    () => (Number.isFinite(fromMs) ? darkHours(kitchen, fromMs, toMs) : []),
    [kitchen, fromMs, toMs],
  );
  // Room is kept while they are worked out, so that nothing jumps.
  if (!job) return null;
  return (
    <Box
      role="radiogroup"
      aria-label={say('waysChoice.ways')}
      aria-busy={!isOfThis}
      data-testid="ways-choice"
      sx={{
        display: 'grid',
        gap: 1.25,
        gridTemplateColumns: { xs: 'minmax(0,1fr)', sm: 'repeat(auto-fit, minmax(220px, 1fr))' },
        minHeight: { xs: 430, sm: 250 },
        alignContent: 'start',
        mb: 1.5,
      }}
    >
      {ways.map(({ row, gains, hours }) => {
        const { startMs, readyMs } = hours;
        const chosen = row.methodId === chosenId;
        const takes = duration((readyMs - startMs) / MINUTE_MS);
        return (
          <ButtonBase
            key={row.methodId}
            role="radio"
            aria-checked={chosen}
            data-testid={`way-${row.methodId}`}
            onClick={() => take(row)}
            sx={{
              display: 'block',
              textAlign: 'left',
              font: 'inherit',
              p: 1.5,
              borderRadius: '3px 3px 14px 14px',
              bgcolor: chosen ? role('enamel') : 'transparent',
              border: `1px solid ${role('line')}`,
              borderTop: `${chosen ? 5 : 1}px solid ${role(chosen ? 'rim' : 'line')}`,
            }}
          >
            <WayStrip {...{ row, hours, fromMs, toMs, dark }} />
            <Box sx={{ ...heading, fontSize: '1.4rem', lineHeight: 1.1 }}>
              {dayWord(readyMs, nowMs, kitchen.zone)}{' '}
              <Box component="span" sx={{ fontSize: '1rem' }}>
                {gains.length > 0 ? gains.map((g) => say(g)).join(', ') : takes}
              </Box>
            </Box>
            <Box sx={{ color: role('inkMuted'), mt: 0.25 }}>
              {gains.length > 0
                ? say('waysChoice.method', {
                    method: say(`method.${row.methodId}`),
                    time: takes,
                  })
                : say(`method.${row.methodId}`)}
            </Box>
            <Box sx={{ mt: 0.75 }}>
              {say('waysChoice.asks', {
                work: duration(row.handsOnMin),
                ice: kilograms(row.iceKg),
                needsIce: row.iceKg >= 0.1,
              })}
            </Box>
            <Box sx={{ color: role('inkMuted') }}>
              {startMs > nowMs
                ? say('waysChoice.startAndReady', {
                    start: moment(startMs, nowMs, kitchen.zone),
                    at: moment(readyMs, nowMs, kitchen.zone),
                  })
                : say('waysChoice.ready', { at: moment(readyMs, nowMs, kitchen.zone) })}
              {chosen && (
                <Box component="strong" sx={{ color: role('ready'), ml: 1 }}>
                  {say('waysChoice.chosen')}
                </Box>
              )}
            </Box>
          </ButtonBase>
        );
      })}
      {ways.length > 0 && (
        <Box sx={{ gridColumn: '1 / -1', fontSize: '0.9rem', color: role('inkMuted') }}>
          {say('waysChoice.drawn', { dark: dark.length > 0 })}
        </Box>
      )}
      {mine && mine.row.handsOnMin > MUCH_WORK_MIN && (
        <Box
          data-testid="much-work"
          sx={{ gridColumn: '1 / -1', display: 'flex', gap: 1, flexWrap: 'wrap', alignItems: 'center' }}
        >
          <span>{say('waysChoice.muchWork', { work: duration(mine.row.handsOnMin) })}</span>
          <Button
            size="small"
            variant="outlined"
            onClick={() => onChange({ ...plan, question: { kind: 'litres', litres: half }, fills: 1 })}
          >
            {say('waysChoice.smaller', { litres: litres(half) })}
          </Button>
          {twoDays && (
            <Button size="small" variant="outlined" onClick={() => take(twoDays)}>
              {say('waysChoice.twoDays', { method: say(`method.${twoDays.methodId}`) })}
            </Button>
          )}
        </Box>
      )}
      {recipe.methods.length > ways.length && ways.length > 0 && (
        <Box sx={{ gridColumn: '1 / -1', fontSize: '0.95rem' }}>
          <Link to={`/drinks/${recipe.id}/compare`}>
            {say('waysChoice.all', { count: recipe.methods.length })}
          </Link>
        </Box>
      )}
    </Box>
  );
});
