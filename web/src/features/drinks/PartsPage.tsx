import '../../words/places/drinks.ts';
import '../../words/places/steps.ts';
import { type LegAmount, type RatioLeg, ratioFrom, trueRatio } from '@big-ladle/core/balance';
import { keepingOfMix } from '@big-ladle/core/keeping';
import { volumeMl } from '@big-ladle/core/liquor';
import { traitsOf } from '@big-ladle/core/program';
import { PARTS_AT_FIRST } from '@big-ladle/core/tables';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useState } from 'react';
import { useBook } from '../../shared/book.ts';
import { Choice } from '../../shared/Choice.tsx';
import { saveCalendar } from '../../shared/calendar.ts';
import { PickItem } from '../../shared/PickItem.tsx';
import { QuantityField } from '../../shared/QuantityField.tsx';
import { useKitchen } from '../../shared/queries.ts';
import { useCoarseNow } from '../../shared/time.ts';
import { Caution, Figure, Loading, PageHead, Panel, Row } from '../../shared/ui.tsx';
import { role } from '../../theme/theme.ts';
import { sayReason } from '../../words/coreWords.ts';
import { sayItem } from '../../words/names.ts';
import { num } from '../../words/numbers.ts';
import { grams, volume } from '../../words/quantities.ts';
import { sayRich } from '../../words/rich.ts';
import { days, moment, say } from '../../words/say.ts';

interface Leg {
  id: string;
  parts: number;
  /** What was measured of it; null: not yet. */
  amount: number | null;
  unit: 'mL' | 'g';
}

const START: readonly Leg[] = PARTS_AT_FIRST.map((leg) => ({ ...leg, parts: 1 }));
/** A jar is shaken some hours after it was closed, then once a day. */
const SHAKE_AFTER_H = [2, 8];
const DAY_MS = 24 * 3_600_000;

/** Parts as they are said: 1, 0.6, 0.81. */
const part = (value: number): string => num(value, value % 1 === 0 ? 0 : (value * 10) % 1 === 0 ? 1 : 2);

/** Drinks in parts: from whatever was measured, or what it really is when a jar ran short. */
export function PartsPage() {
  const { tables } = useBook();
  const kitchen = useKitchen();
  const nowMs = useCoarseNow(60_000);
  const [legs, setLegs] = useState(START);
  const [matureDays, setMatureDays] = useState(4);
  const [pH, setPh] = useState<number | null>(null);
  if (!kitchen.data) return <Loading />;
  const { zone } = kitchen.data.kitchen;
  const put = (index: number, change: Partial<Leg>) =>
    setLegs(legs.map((l, i) => (i === index ? { ...l, ...change } : l)));
  const measured = legs.filter((l) => l.amount !== null && l.amount > 0);
  const wanted: RatioLeg[] = legs.map(({ id, parts }) => ({ id, parts }));
  const asMeasured = (l: Leg) =>
    l.unit === 'mL' ? { id: l.id, volumeMl: l.amount ?? 0 } : { id: l.id, massG: l.amount ?? 0 };
  const first = measured[0];
  const from = measured.length === 1 && first ? ratioFrom(wanted, asMeasured(first), tables) : null;
  const truth = measured.length === legs.length ? trueRatio(wanted, legs.map(asMeasured), tables) : null;
  const amounts: readonly LegAmount[] | null = from ?? truth?.legs ?? null;
  const mix = amounts
    ? keepingOfMix(amounts, tables, 'sterilised', pH === null ? null : { pH, by: 'meter' })
    : null;
  const options = [...tables.liquids.keys(), ...tables.sweeteners.keys()];
  return (
    <>
      <PageHead title={say('partsPage.aDrinkInParts')} beside={say('partsPage.andItsKinFrom')} />
      <Box
        sx={{
          display: 'grid',
          gridTemplateColumns: { xs: 'minmax(0,1fr)', lg: 'minmax(0,1fr) minmax(0,1fr)' },
          gap: 1.75,
          alignItems: 'start',
        }}
      >
        <Panel title={say('partsPage.theLegs')} aside={legs.map((l) => part(l.parts)).join(' : ')}>
          {legs.map((leg, i) => (
            <Box
              // biome-ignore lint/suspicious/noArrayIndexKey: three legs, each in its place
              key={i}
              data-testid={`leg-${i}`}
              sx={{
                display: 'grid',
                gap: 1.25,
                py: 1.5,
                borderBottom: `1px solid ${role('hairline')}`,
                gridTemplateColumns: 'minmax(0,1fr)',
              }}
            >
              <PickItem
                label={say('partsPage.leg', { number: i + 1 })}
                ids={options}
                value={leg.id}
                onPick={(id) => put(i, { id, unit: tables.sweeteners.has(id) ? 'g' : 'mL' })}
              />
              <Box sx={{ display: 'flex', gap: 1.25, flexWrap: 'wrap', alignItems: 'center' }}>
                <QuantityField
                  label={say('partsPage.parts')}
                  value={leg.parts}
                  min={0.1}
                  max={20}
                  width={90}
                  onValue={(v) => put(i, { parts: v })}
                />
                <QuantityField
                  label={say('partsPage.measured')}
                  value={leg.amount}
                  min={0}
                  max={100_000}
                  decimals={0}
                  unit={leg.unit}
                  width={150}
                  onValue={(v) => put(i, { amount: v })}
                  testId={`leg-amount-${i}`}
                />
                <Choice
                  label=""
                  value={leg.unit}
                  options={[
                    { value: 'mL', text: 'mL' },
                    { value: 'g', text: 'g' },
                  ]}
                  onChange={(v) => put(i, { unit: v as 'mL' })}
                />
                {leg.amount !== null && (
                  <Button
                    onClick={() => put(i, { amount: null })}
                    aria-label={say('partsPage.legNotMeasured', { number: i + 1 })}
                  >
                    {say('partsPage.notMeasured')}
                  </Button>
                )}
              </Box>
            </Box>
          ))}
          <Box sx={{ color: role('inkMuted'), mt: 1 }}>{say('partsPage.measureOneAndThe')}</Box>
        </Panel>
        <Box sx={{ display: 'grid', gap: 1.75, minWidth: 0 }}>
          <Panel
            title={truth ? say('partsPage.whatItReallyIs') : say('common.whatGoesIn')}
            testId="parts-answer"
          >
            {!amounts && (
              <Box sx={{ color: role('inkMuted') }}>
                {measured.length === 0 ? say('partsPage.measureOneOfThe') : say('partsPage.measureJustOneOr')}
              </Box>
            )}
            {truth && (
              <Box sx={{ mb: 1 }}>
                {sayRich('partsPage.byVolumeByWeight', {
                  figure: (
                    <Figure value={truth.legs.map((l) => part(l.parts)).join(' : ')} testId="true-ratio" />
                  ),
                  legs: truth.legs.map((l) => part(l.massParts)).join(' : '),
                })}
              </Box>
            )}
            {amounts?.map((a) => (
              <Row key={a.id} label={sayItem(a.id)} note={grams(a.massG)}>
                {volume(a.volumeMl / 1000)}
              </Row>
            ))}
            {truth && truth.toTopUp.length > 0 && (
              <Box sx={{ mt: 1 }} data-testid="top-up">
                {say('partsPage.toMakeItWhole', {
                  toTopUp: truth.toTopUp
                    .map((t) =>
                      say('partsPage.of', {
                        volume: volume(t.volumeMl / 1000),
                        mass: grams(t.massG),
                        item: sayItem(t.id).toLowerCase(),
                      }),
                    )
                    .join(', '),
                  asShortest: truth.asShortest
                    .map((t) =>
                      say('common.of2', {
                        volume: volume(t.volumeMl / 1000),
                        item: sayItem(t.id).toLowerCase(),
                      }),
                    )
                    .join(', '),
                })}
              </Box>
            )}
            {mix && (
              <Box sx={{ mt: 1, color: role('inkMuted') }}>
                {say('partsPage.inAllGOf', {
                  volume: volume(volumeMl(mix.liquor) / 1000),
                  acetic: num((100 * mix.liquor.aceticG) / Math.max(1, volumeMl(mix.liquor)), 1),
                })}
              </Box>
            )}
          </Panel>
          {mix && (
            <Panel title={say('partsPage.doesItKeep')} testId="parts-keep">
              <Figure
                value={days(mix.keeping.sealedDays)}
                unit={say('partsPage.sealedCold')}
                testId="parts-days"
              />
              <Box sx={{ mt: 1.5, display: 'flex', gap: 1, alignItems: 'center' }}>
                <QuantityField
                  label={say('partsPage.phByAMeter')}
                  value={pH}
                  min={1}
                  max={9}
                  width={150}
                  onValue={setPh}
                  testId="parts-ph"
                />
                {pH !== null && <Button onClick={() => setPh(null)}>{say('partsPage.notRead')}</Button>}
              </Box>
              <Box component="ul" sx={{ m: 0, mt: 1, pl: 2.5 }}>
                {mix.keeping.reasons.map((r) => (
                  <li key={r.code}>{sayReason(r)}</li>
                ))}
              </Box>
              {traitsOf(amounts?.map((a) => a.id) ?? [], tables).has('honey') && (
                <Box sx={{ mt: 1 }}>
                  <Caution severity="caution" word={say('severity.caution')} text={say('balance.honey')} />
                </Box>
              )}
            </Panel>
          )}
          {mix && <Maturing startMs={nowMs} days={matureDays} onDays={setMatureDays} zone={zone} />}
        </Box>
      </Box>
    </>
  );
}

/** When to shake the jar and when it is ready, with a calendar file. */
function Maturing(props: { startMs: number; days: number; onDays: (days: number) => void; zone: string }) {
  const { startMs, onDays, zone } = props;
  const readyMs = startMs + props.days * DAY_MS;
  const shakes = [
    ...SHAKE_AFTER_H.map((h) => startMs + h * 3_600_000),
    ...Array.from({ length: Math.max(0, props.days - 1) }, (_, i) => startMs + (i + 1) * DAY_MS),
  ].filter((ms) => ms < readyMs);
  const save = () =>
    saveCalendar(
      'maturing',
      { name: say('partsPage.maturing'), product: 'maturing' },
      [...shakes, readyMs].map((ms, i) => ({
        id: `maturing-${startMs}-${i}`,
        startMs: ms,
        endMs: ms + 5 * 60_000,
        summary: ms === readyMs ? say('partsPage.theCordialIsReady') : say('partsPage.shakeTheCordial'),
      })),
    );
  return (
    <Panel title={say('partsPage.maturing')} testId="maturing">
      <QuantityField
        label={say('partsPage.itMaturesFor')}
        value={props.days}
        min={1}
        max={60}
        decimals={0}
        unit={say('common.days')}
        width={170}
        onValue={onDays}
      />
      <Box sx={{ mt: 1 }}>
        {sayRich('partsPage.putByNowIn', {
          shakes: shakes
            .slice(0, 3)
            .map((ms) => moment(ms, startMs, zone))
            .join(', '),
          lengthSome: shakes.length > 3,
          ready: <strong>{moment(readyMs, startMs, zone)}</strong>,
        })}
      </Box>
      <Button variant="outlined" sx={{ mt: 1 }} onClick={() => void save()}>
        {say('common.intoTheCalendar')}
      </Button>
    </Panel>
  );
}
