import '../../words/places/shelf.ts';
import { strongShares } from '@big-ladle/core/balance';
import type { ShelfThing } from '@big-ladle/core/contract';
import type { Kitchen } from '@big-ladle/core/documents';
import { type BottleLife, claimsOf, climateAt, lifeCurve, type Surroundings } from '@big-ladle/core/keeping';
import type { EventBody } from '@big-ladle/core/log';
import { guidanceAt } from '@big-ladle/core/program';
import { type BottleItem, containerCautions, containerUses, pressureAlarm } from '@big-ladle/core/shelf';
import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { lazy, Suspense, useMemo } from 'react';
import { Link, useParams } from 'react-router';
import { dailySugar } from '../../shared/dailySugar.ts';
import { BottleDrawing } from '../../shared/drawings/BottleDrawing.tsx';
import { Explain } from '../../shared/Explain.tsx';
import { Guidance } from '../../shared/Guidance.tsx';
import { LotMarks } from '../../shared/LotMarks.tsx';
import { Photos } from '../../shared/photos/lazy.tsx';
import { usePurchases } from '../../shared/purchases.ts';
import { useThing } from '../../shared/queries.ts';
import { sharesText } from '../../shared/StrongToday.tsx';
import {
  type Living,
  livingOf,
  ownDaysOf,
  useSaidSince,
  useSurroundings,
  withWaiting,
} from '../../shared/shelf.ts';
import { tellOfThing } from '../../shared/tellOfThing.ts';
import { useCoarseNow } from '../../shared/time.ts';
import { Caution, ErrorPanel, Figure, Loading, PageHead, Panel } from '../../shared/ui.tsx';
import { role } from '../../theme/theme.ts';
import { sayReason } from '../../words/coreWords.ts';
import { sayDrinkOf, sayItem, saySize } from '../../words/names.ts';
import { millilitres, nutrientGrams, volume } from '../../words/quantities.ts';
import { sayRich } from '../../words/rich.ts';
import { days, moment, percent, say, sayCode } from '../../words/say.ts';
import { BottleDeeds } from './BottleDeeds.tsx';
import { OneGlass } from './glass/OneGlass.tsx';
import { History } from './History.tsx';
import { COLUMN, FIRST, goneWord, type ThingInput } from './itemPage.ts';
import { LeftoverPage } from './LeftoverPage.tsx';
import { Look } from './Look.tsx';
import { deadlineWord, LifeBar, TONE } from './lifeDisplay.tsx';
import { OwnRule } from './OwnRule.tsx';
import '../../words/places/items.ts';
import '../../words/places/steps.ts';

/** A chart is large: it comes when there is something to draw. */
const LifeChart = lazy(() => import('./LifeChart.tsx').then((m) => ({ default: m.LifeChart })));

/** One thing of the shelf, as its printed code opens it: there or gone. */
export const ThingPage = () => <Thing bottle={OneBottle} />;

/** A glass of a bottle; what is no bottle has its own page. */
export const GlassPage = () => <Thing bottle={OneGlass} />;

function Thing({ bottle: Bottle }: { bottle: typeof OneBottle }) {
  const { id = '' } = useParams();
  const thing = useThing(id);
  const nowMs = useCoarseNow(15_000);
  const { kitchen, around, coarseMs, query } = useSurroundings(nowMs);
  const said = useSaidSince(thing.data);
  if (thing.isPending || query.isPending) return <Loading />;
  if (!thing.data || !kitchen || !around)
    return <ErrorPanel error={thing.error ?? query.error} again={() => void thing.refetch()} />;
  const { data } = thing;
  const input = {
    kitchen,
    around,
    nowMs: coarseMs,
    record: (deeds: readonly EventBody[]) => tellOfThing(id, deeds),
  };
  return data.kind === 'bottle' ? (
    <Bottle {...input} thing={{ ...data, log: withWaiting(data.log, said, id) }} />
  ) : (
    <LeftoverPage {...input} thing={{ ...data, log: withWaiting(data.log, said, id) }} />
  );
}

function OneBottle(props: ThingInput & { thing: Extract<ShelfThing, { kind: 'bottle' }> }) {
  const { thing, kitchen, around, nowMs, record } = props;
  const { facts, log } = thing;
  const living = livingOf(thing, kitchen, around, nowMs);
  const { life } = living;
  const gone = goneWord(log, nowMs, kitchen.zone);
  const climate = climateAt(around, log.places.at(-1)!.place);
  const cautions = containerCautions(
    facts,
    containerUses({
      tempC: 0,
      frozen: climate.kind === 'freezer',
      live: facts.bottle.keeping.live === true,
      acid: facts.bottle.keeping.acid.shown,
      abvPct: facts.abvPct,
    }),
  );
  const strong = strongShares(
    Object.fromEntries(
      Object.entries(facts.strongGPerL).map(([marker, gPerL]) => [
        marker,
        (gPerL * facts.glass.servingMl) / 1000,
      ]),
    ),
  );
  const pressure = gone === null && pressureAlarm({ ...facts, log });
  const name = sayDrinkOf(facts, facts.lot);
  return (
    <>
      <PageHead
        title={name}
        beside={`${saySize(facts.sizeName)}, ${millilitres(facts.sizeMl)}${facts.forWhom ? say('bottlePage.for', { forWhom: facts.forWhom }) : ''}`}
      >
        {gone === null && (
          <Button component={Link} to={`/shelf/${facts.itemId}/glass`} variant="outlined">
            {say('bottlePage.aGlass')}
          </Button>
        )}
        <Button component={Link} to={`/shelf/labels?ids=${facts.itemId}`} variant="outlined">
          {say('bottlePage.label')}
        </Button>
        <Button component={Link} to="/shelf" variant="outlined">
          {say('common.coldShelf')}
        </Button>
      </PageHead>
      {pressure && (
        <Alert severity="error" sx={{ mb: 1.5 }} data-testid="pressure">
          {say('bottlePage.pressureInClosedGlass')}
        </Alert>
      )}
      <Box
        sx={{
          display: 'grid',
          gap: 1.75,
          gridTemplateColumns: { xs: 'minmax(0,1fr)', lg: 'minmax(0,3fr) minmax(0,2fr)' },
          alignItems: 'start',
        }}
      >
        <Box sx={COLUMN}>
          <Panel sx={FIRST} title={say('bottlePage.drinkBy')} aside={gone ?? undefined}>
            <Box sx={{ display: 'flex', gap: 2.5, alignItems: 'flex-end', flexWrap: 'wrap' }}>
              <BottleDrawing
                sizeMl={facts.sizeMl}
                share={(living.leftMl / facts.sizeMl) * 0.98}
                colour={facts.colour}
                height={150}
              />
              <Box sx={{ flex: '1 1 240px', minWidth: 0 }}>
                <Figure value={deadlineWord(life, kitchen.zone)} size="2rem" testId="bottle-deadline" />
                <Box sx={{ color: role(TONE[life.verdict]), fontWeight: 700, mb: 1 }}>
                  {life.verdict === 'good' &&
                    say('bottlePage.goodLeftInWhole', { leftDays: days(life.leftDays) })}
                  {life.verdict === 'drinkToday' &&
                    life.deadlineMs > nowMs &&
                    say('bottlePage.by', { deadline: moment(life.deadlineMs, nowMs, kitchen.zone) })}
                </Box>
                <LifeBar life={life} />
              </Box>
            </Box>
            {(life.verdict === 'past' || life.verdict === 'throwOut') && gone === null && (
              <Box sx={{ bgcolor: role('dangerGround'), p: 1.25, borderRadius: 2, mt: 1.5 }}>
                {say('bottlePage.itsTimeIsOver')}
              </Box>
            )}
            <Box component="h3" sx={{ fontSize: '1rem', mt: 2, mb: 0.5 }}>
              {say('bottleDeeds.why')}
            </Box>
            <Box
              component="ul"
              sx={{ m: 0, pl: 2.5, display: 'grid', gap: 0.25 }}
              data-testid="bottle-reasons"
            >
              <li>
                {say('bottlePage.filledItsClockBegan', {
                  filled: moment(facts.bottle.filledMs, nowMs, kitchen.zone),
                  clockStart: moment(facts.bottle.clockStartMs, nowMs, kitchen.zone),
                })}
              </li>
              {life.reasons.map((reason) => (
                <li key={reason.code}>{sayReason(reason)}</li>
              ))}
            </Box>
            <Older life={life} zone={kitchen.zone} />
            <Longer facts={facts} life={life} />
          </Panel>
          <Curve living={living} kitchen={kitchen} around={around} nowMs={nowMs} />
          <Claims facts={facts} />
          <OwnRule recipeId={facts.recipeId} life={life} toolDays={facts.bottle.keeping.sealedDays} />
        </Box>
        <Box sx={COLUMN}>
          {gone === null && <BottleDeeds {...props} living={living} />}
          {gone === null && (
            <Look
              keeping={facts.bottle.keeping}
              log={log}
              nowMs={nowMs}
              zone={kitchen.zone}
              record={record}
            />
          )}
          <Panel title={say('bottlePage.whatIsInIt')} testId="contains">
            <LotMarks tags={facts.tags} />
            <Box sx={{ mt: 1 }}>
              <Guidance rows={guidanceAt('serve', new Set(facts.tags))} />
            </Box>
            {cautions.map((row) => (
              <Box key={row.code} sx={{ mt: 0.75 }}>
                <Caution
                  severity={row.severity}
                  word={say('bottleDeeds.theContainer')}
                  text={sayCode(row.code)}
                />
              </Box>
            ))}
            <Box sx={{ color: role('inkMuted'), mt: 1 }}>
              {sayRich('bottlePage.leftSugar', {
                left: volume(living.leftMl / 1000),
                sugar: (
                  <Explain term="freeSugar">
                    {say('bottlePage.sugarAGlass', { freeSugar: nutrientGrams(facts.glass.freeSugarG) })}
                  </Explain>
                ),
                ...dailySugar(),
                shareOfCeiling: percent(facts.glass.shareOfCeiling),
              })}
            </Box>
            {strong.length > 0 && (
              <Box sx={{ color: role('inkMuted'), mt: 0.5 }} data-testid="strong">
                {say('bottlePage.aGlassOfHolds', {
                  serving: volume(facts.glass.servingMl / 1000),
                  sharesText: sharesText(strong),
                })}
              </Box>
            )}
            <Box sx={{ mt: 1 }}>
              <Link to={`/batches/${facts.batchId}`}>{say('bottlePage.theBatchItComes')}</Link>
            </Box>
            <Packets batchId={facts.batchId} />
          </Panel>
          <Photos subject={{ of: 'item', ofId: facts.itemId }} zone={kitchen.zone} />
          <History id={facts.itemId} kitchen={kitchen} nowMs={nowMs} record={record} />
        </Box>
      </Box>
    </>
  );
}

/** Back from a bottle to the packets that it was made from. */
function Packets({ batchId }: { batchId: string }) {
  const { data } = usePurchases();
  const mine = (data?.purchases ?? []).filter((p) => p.batches.some((b) => b.batchId === batchId));
  if (mine.length === 0) return null;
  return (
    <Box sx={{ mt: 1 }} data-testid="packets">
      {mine.map((p) => (
        <Box key={`${p.itemId} ${p.purchase}`}>
          <Link
            to={`/shelf/recall?item=${encodeURIComponent(p.itemId)}&purchase=${encodeURIComponent(p.purchase)}`}
          >
            {say('recall.name', { item: sayItem(p.itemId), purchase: p.purchase })}
          </Link>
        </Box>
      ))}
    </Box>
  );
}

/** A newer version counts more than the one it was filled under: what that one said stands beside it. */
function Older({ life, zone }: { life: BottleLife; zone: string }) {
  const { older } = life;
  if (!older) return null;
  return (
    <Box sx={{ mt: 1.5, color: role('inkMuted') }} data-testid="older-rules">
      {sayRich('bottlePage.byTheRulesOf', { deadlineWord: <strong>{deadlineWord(older, zone)}</strong> })}
      <Box component="ul" sx={{ m: 0, pl: 2.5 }}>
        {older.reasons.map((reason) => (
          <li key={reason.code}>{sayReason(reason)}</li>
        ))}
      </Box>
    </Box>
  );
}

/** What would have made it keep longer, each change by itself: in the pot, and in the bottle. */
function Longer({ facts, life }: { facts: BottleItem; life: BottleLife }) {
  const all = [...life.longer, ...facts.longer];
  return (
    <>
      <Box component="h3" sx={{ fontSize: '1rem', mt: 2, mb: 0.5 }}>
        {say('bottlePage.whatWouldHaveMade')}
      </Box>
      {all.length === 0 ? (
        <Box sx={{ color: role('inkMuted') }}>{say('longer.nothing')}</Box>
      ) : (
        <Box component="ul" sx={{ m: 0, pl: 2.5 }} data-testid="bottle-longer">
          {all.map((reason) => (
            <li key={reason.code}>{sayReason(reason)}</li>
          ))}
        </Box>
      )}
    </>
  );
}

/** How its life was spent, and how warm it stood. */
function Curve(props: { living: Living; kitchen: Kitchen; around: Surroundings; nowMs: number }) {
  const { living, kitchen, around, nowMs } = props;
  const { facts, log } = living.item;
  const points = useMemo(
    () => lifeCurve(facts.bottle, log, around, nowMs, ownDaysOf(kitchen, facts.recipeId)),
    [facts, log, around, nowMs, kitchen],
  );
  if (points.length < 2) return null;
  return (
    <Panel title={say('bottlePage.howItsLifeWas')} testId="curve">
      <Suspense>
        <LifeChart
          points={points}
          fromMs={facts.bottle.filledMs}
          fullDays={facts.bottle.keeping.sealedDays}
        />
      </Suspense>
      <Box sx={{ color: role('inkMuted'), fontSize: '0.9rem', mt: 0.5 }}>
        {around.track ? say('bottlePage.byWhatTheFridge') : say('bottlePage.nobodyReadsThisFridge')}
      </Box>
    </Panel>
  );
}

/** What is commonly said of it, beside what this tool gives. */
function Claims({ facts }: { facts: BottleItem }) {
  const claims = claimsOf({
    keeping: facts.bottle.keeping,
    tags: facts.tags,
    brix: facts.brix,
  });
  if (!claims) return null;
  return (
    <Panel title={say('bottlePage.whatPeopleSay')} aside={say('bottlePage.neverCountedWith')} testId="claims">
      <Box>
        {sayRich('bottlePage.commonlySaidToThis', {
          fromDays: <strong>{days(claims.fromDays)}</strong>,
          toDays: <strong>{days(claims.toDays)}</strong>,
          sealedDays: <strong>{days(facts.bottle.keeping.sealedDays)}</strong>,
        })}
      </Box>
      <Box component="ul" sx={{ m: 0, mt: 1, pl: 2.5 }}>
        {claims.rows.map((row) => (
          <li key={row.code}>
            {sayCode(row.code, { from: days(row.fromDays), to: days(row.toDays) })}{' '}
            <Box component="span" sx={{ color: role('inkMuted') }}>
              {sayCode(`${row.code}.why`)}
            </Box>
          </li>
        ))}
      </Box>
    </Panel>
  );
}
