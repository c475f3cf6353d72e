import '../../../words/places/gatherings.ts';
import type { GatheringAnswers } from '@big-ladle/core/documents';
import { comesAgain, nextYearOf } from '@big-ladle/core/gathering';
import { MINUTE_MS } from '@big-ladle/core/units';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { Link, useNavigate, useParams } from 'react-router';
import { v7 as uuid } from 'uuid';
import { Choice } from '../../../shared/Choice.tsx';
import { changeGathering, useGathering } from '../../../shared/gatherings/gatherings.ts';
import { useGatherings } from '../../../shared/gatherings/list.ts';
import { sayFeastDrink } from '../../../shared/gatherings/sayJob.ts';
import { QuantityField } from '../../../shared/QuantityField.tsx';
import { useKitchen, useUse } from '../../../shared/queries.ts';
import { tellError, useSend } from '../../../shared/send.ts';
import { useCoarseNow } from '../../../shared/time.ts';
import { ErrorPanel, Loading, PageHead, Panel } from '../../../shared/ui.tsx';
import { WordsField } from '../../../shared/WordsField.tsx';
import { role } from '../../../theme/theme.ts';
import { litres } from '../../../words/quantities.ts';
import { fullDay, say, timeOfDay } from '../../../words/say.ts';
import { useBatchesOf } from '../useBatchesOf.ts';

const ENOUGH = ['tooLittle', 'justEnough', 'tooMuch'] as const;
const NOTHING_SAID: GatheringAnswers = { enough: 'justEnough', ranOut: [], change: '', drunkL: null };
/** What was poured on the evening is counted from so long before it was served. */
const BEFORE_MS = 60 * MINUTE_MS;

/** Afterwards: three questions, and next year's. */
export function AfterPage() {
  const { id = '' } = useParams();
  const kitchen = useKitchen();
  const all = useGatherings();
  const { gathering, isPending, error } = useGathering(id);
  const nowMs = useCoarseNow(MINUTE_MS);
  const use = useUse(gathering ? gathering.servesAtMs - BEFORE_MS : undefined);
  const batches = useBatchesOf(gathering);
  const { recipeOf } = batches;
  const save = useSend('saveGathering');
  const navigate = useNavigate();
  if (kitchen.isPending || isPending) return <Loading />;
  if (!kitchen.data || (!gathering && error)) return <ErrorPanel error={kitchen.error ?? error} />;
  if (!gathering)
    return <PageHead title={say('gatherings.notThere')} beside={say('gatherings.notThereWhy')} />;
  const { zone } = kitchen.data.kitchen;
  const answers = gathering.answers ?? NOTHING_SAID;
  const answer = (by: Partial<GatheringAnswers>) =>
    changeGathering(id, (g) => ({ ...g, answers: { ...(g.answers ?? NOTHING_SAID), ...by } }));
  const recipes = new Set<string | null>(gathering.drinks.map((d) => recipeOf(d.id)));
  const pouredL =
    (use.data?.use ?? []).reduce((sum, u) => sum + (recipes.has(u.recipeId) ? u.pouredMl : 0), 0) / 1000;
  const again = comesAgain({ id, gathering }, all.data?.gatherings ?? [], nowMs);
  const planAgain = async () => {
    const next = uuid();
    try {
      await save.mutateAsync({
        params: { id: next },
        body: {
          version: 0,
          gathering: nextYearOf(id, gathering, (b) => batches.batchOf(b)?.plan ?? null, zone),
        },
      });
      navigate(`/gatherings/${next}`);
    } catch (problem) {
      tellError(problem);
    }
  };
  return (
    <>
      <PageHead
        title={say('after.title', { gathering: gathering.name })}
        beside={say('gathering.when', {
          day: fullDay(gathering.servesAtMs, zone),
          from: timeOfDay(gathering.servesAtMs, zone),
          to: timeOfDay(gathering.untilMs, zone),
        })}
      >
        <Button variant="outlined" component={Link} to={`/gatherings/${id}`}>
          {say('day.back')}
        </Button>
      </PageHead>
      <Panel testId="after">
        <Box sx={{ display: 'grid', gap: 2.5, maxWidth: 560 }}>
          <Choice
            label={say('after.enough')}
            value={gathering.answers ? answers.enough : ''}
            options={ENOUGH.map((value) => ({ value, text: say(`after.enough.${value}`) }))}
            onChange={(value) => answer({ enough: value as GatheringAnswers['enough'] })}
          />
          <Box>
            <Box sx={{ fontSize: '0.95em', color: role('inkMuted'), mb: 0.5 }}>{say('after.ranOut')}</Box>
            <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap' }}>
              {gathering.drinks.map((d) => {
                const isOut = answers.ranOut.includes(d.id);
                return (
                  <Button
                    key={d.id}
                    variant={isOut ? 'contained' : 'outlined'}
                    aria-pressed={isOut}
                    onClick={() =>
                      answer({
                        ranOut: isOut ? answers.ranOut.filter((o) => o !== d.id) : [...answers.ranOut, d.id],
                      })
                    }
                  >
                    {sayFeastDrink({ recipeId: recipeOf(d.id) })}
                  </Button>
                );
              })}
            </Box>
          </Box>
          <WordsField
            label={say('after.change')}
            value={answers.change}
            empty
            lines
            onCommit={(change) => answer({ change })}
          />
          <Box sx={{ display: 'flex', gap: 1.5, alignItems: 'center', flexWrap: 'wrap' }}>
            <QuantityField
              label={say('after.drunk')}
              value={answers.drunkL}
              unit="L"
              min={0}
              max={2000}
              onCommit={(drunkL) => answer({ drunkL })}
              testId="drunk"
            />
            {answers.drunkL !== null && (
              <Button size="small" onClick={() => answer({ drunkL: null })}>
                {say('after.notKnown')}
              </Button>
            )}
            {pouredL > 0.1 && (
              <Button size="small" onClick={() => answer({ drunkL: Math.round(pouredL * 10) / 10 })}>
                {say('after.asPoured', { litres: litres(pouredL) })}
              </Button>
            )}
          </Box>
          <Box sx={{ color: role('inkMuted') }}>{say('after.why')}</Box>
          {again && (
            <Box>
              <Button
                variant="contained"
                disabled={save.isPending || batches.isPending}
                onClick={() => void planAgain()}
              >
                {say('after.planAgain')}
              </Button>
            </Box>
          )}
        </Box>
      </Panel>
    </>
  );
}
