import '../../../../words/places/batch.ts';
import type { BottleSize } from '@big-ladle/core/documents';
import { expectedLife, keepDate, keepingOf } from '@big-ladle/core/keeping';
import { abvPct, volumeMl } from '@big-ladle/core/liquor';
import type { EventBody, Gifts } from '@big-ladle/core/log';
import {
  bottlePlan,
  type FilledBottle,
  fillBottles,
  fillingOrder,
  fillMl,
  jugOf,
  portionTubs,
  suggestBottles,
} from '@big-ladle/core/plan';
import { BOTTLES } from '@big-ladle/core/program';
import { containerCautions, containerUses, HEADSPACE, makeSpace } from '@big-ladle/core/shelf';
import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import { useState } from 'react';
import { v7 as uuid } from 'uuid';
import { Choice } from '../../../../shared/Choice.tsx';
import { Counter } from '../../../../shared/Counter.tsx';
import { Fold } from '../../../../shared/Fold.tsx';
import { placesOf } from '../../../../shared/house.ts';
import { useKitchen } from '../../../../shared/queries.ts';
import { standeeOf, useShelf } from '../../../../shared/shelf.ts';
import { Caution } from '../../../../shared/ui.tsx';
import { role } from '../../../../theme/theme.ts';
import { sayReason } from '../../../../words/coreWords.ts';
import { sayDrink } from '../../../../words/names.ts';
import { num } from '../../../../words/numbers.ts';
import { celsius, litres, millilitresOf, volume } from '../../../../words/quantities.ts';
import { percent, say, sayCode, sayDate } from '../../../../words/say.ts';
import { EachGlass } from './EachGlass.tsx';
import '../../../../words/places/items.ts';
import '../../../../words/places/steps.ts';
import type { LiveBatch } from '../../useLiveBatch.ts';
import { PrimaryAction } from '../PrimaryAction.tsx';
import { ForWhom } from './ForWhom.tsx';

/** Bottles given out to the people they are meant for, in the order of filling. */
export function withNames(bottles: readonly FilledBottle[], gifts: Gifts | null): FilledBottle[] {
  const names = (gifts?.rows ?? []).flatMap((r) => Array.from({ length: r.count }, () => r.to));
  return bottles.map((b, i) => (names[i] ? { ...b, forWhom: names[i] } : b));
}

/** Warm enough for the glass to cool for hours, °C. */
const WARM_C = 30;

/** How far a bottle is filled, of what it holds, and how many there are. */
function sizeText(size: BottleSize, headspace: Parameters<typeof fillMl>[1]): string {
  const [fill, volume] = millilitresOf(fillMl(size.volumeMl, headspace), size.volumeMl);
  return say('bottleForm.ofYouHave', { fill, volume, count: num(size.count) });
}

/** Which bottles, how many, how full, where they go and for whom, and what is left over. */
export function BottleForm({ live }: { live: LiveBatch }) {
  const kitchen = useKitchen().data?.kitchen ?? live.kitchen;
  const { step } = live;
  const tub =
    (step?.from[0] ? live.now.moment?.vessels[step.from[0]] : undefined) ??
    live.now.forecast.vessels[BOTTLES];
  const ml = tub ? volumeMl(tub.liquor) : 0;
  const portionMl = step?.kind === 'bottle' ? step.portionMl : undefined;
  const sizes = portionMl ? [portionTubs(say('bottleForm.portion'), ml, portionMl)] : kitchen.bottles;
  const [counts, setCounts] = useState<Record<string, number> | null>(null);
  const [hygiene, setHygiene] = useState<'clean' | 'sterilised'>(
    step?.kind === 'bottle' ? step.hygiene : 'clean',
  );
  const [left, setLeft] = useState<'glass' | 'keep'>('glass');
  const places = placesOf(kitchen);
  const [placeId, setPlaceId] = useState(
    places.find((p) => p.kind === (step?.kind === 'bottle' && step.frozen ? 'freezer' : 'fridge'))?.id ??
      places[0]!.id,
  );
  const [gifts, setGifts] = useState<Gifts | null>(null);
  if (step?.kind !== 'bottle' || !tub) return null;
  const place = places.find((p) => p.id === placeId) ?? places[0]!;
  const keeping = keepingOf({ liquor: tub.liquor, hygiene });
  const frozen = place.kind === 'freezer';
  const headspace = frozen ? HEADSPACE.freezing : keeping.live ? HEADSPACE.live : HEADSPACE.usual;
  const chosen = counts ?? suggestBottles(ml, sizes, headspace);
  const expected = expectedLife(
    tub.liquor,
    hygiene,
    kitchen,
    { startedMs: live.now.log.startedMs ?? live.nowMs, filledMs: live.nowMs, nowMs: live.nowMs },
    sizes.map((s) => ({
      volumeMl: fillMl(s.volumeMl),
      diameterCm: s.diameterCm,
      count: chosen[s.id] ?? 0,
    })),
  );
  const plan = bottlePlan(ml, sizes, chosen, headspace);
  const room = sizes.reduce((sum, s) => sum + (chosen[s.id] ?? 0) * fillMl(s.volumeMl, headspace), 0);
  const set = (id: string, count: number) => setCounts({ ...chosen, [id]: count });
  const uses = containerUses({
    tempC: tub.liquor.tempC,
    frozen,
    live: keeping.live === true,
    acid: keeping.acid.shown,
    abvPct: abvPct(tub.liquor),
  });
  const order = fillingOrder(sizes, chosen);
  const cautions = [
    ...new Map(order.flatMap((s) => containerCautions(s, uses)).map((row) => [row.code, row])).values(),
  ];

  const finish = async () => {
    const { bottles, leftMl } = fillBottles(ml, sizes, chosen, uuid, headspace);
    const filled = left === 'keep' && leftMl >= 1 ? [...bottles, jugOf(leftMl, uuid)] : bottles;
    const deeds: EventBody[] = [
      ...(gifts ? [{ kind: 'gifts' as const, body: gifts }] : []),
      {
        kind: 'bottled',
        body: {
          stepId: step.id,
          hygiene,
          bottles: withNames(
            filled.map((b) => ({ ...b, placeId })),
            gifts,
          ),
        },
      },
      { kind: 'stepEnded', body: { stepId: step.id } },
    ];
    await live.record(deeds);
  };

  const caution = (row: (typeof cautions)[number]) => (
    <Caution
      key={row.code}
      severity={row.severity}
      word={row.severity === 'danger' ? say('bottleForm.danger') : say('bottleForm.mind')}
      text={sayCode(row.code)}
    />
  );
  return (
    <Box sx={{ display: 'grid', gap: 1.5 }} data-testid="bottle-form">
      {step.inGlass && <EachGlass live={live} liquor={tub.liquor} inGlass={step.inGlass} />}
      {keeping.verdict === 'throwOut' && (
        <Alert severity="error" data-testid="not-kept">
          {say('bottleForm.notToBeKept', { reasons: keeping.reasons.map(sayReason).join(' ') })}
        </Alert>
      )}
      {keeping.cooling?.goesOn && tub.liquor.tempC > WARM_C && keeping.verdict !== 'throwOut' && (
        <Alert severity={keeping.acid.shown ? 'warning' : 'error'} data-testid="filled-warm">
          {say(keeping.acid.shown ? 'bottle.filledWarm' : 'bottle.filledWarmNotAcid', {
            temp: celsius(tub.liquor.tempC),
          })}{' '}
          {expected && (
            <strong data-testid="warm-date">
              {say('bottle.expected', { date: sayDate(keepDate(expected, kitchen.zone), kitchen.zone) })}
            </strong>
          )}
        </Alert>
      )}
      <Fold summary={say('bottleForm.goTo', { place: place.name.toLowerCase() })} testId="they-go-to">
        <Choice
          label={say('bottleForm.theyGoTo')}
          value={place.id}
          options={places.map((p) => ({ value: p.id, text: p.name }))}
          onChange={setPlaceId}
        />
      </Fold>
      {sizes.map((size) => (
        <Box key={size.id} sx={{ display: 'flex', alignItems: 'center', gap: 1.5 }}>
          <Box sx={{ flex: 1 }}>
            {size.name}
            <Box sx={{ color: role('inkMuted'), fontSize: '0.92em' }}>{sizeText(size, headspace)}</Box>
          </Box>
          <Counter
            count={chosen[size.id] ?? 0}
            text={num(chosen[size.id] ?? 0)}
            fewer={say('bottleForm.oneFewer', { name: size.name })}
            more={say('bottleForm.oneMore', { name: size.name })}
            onChange={(count) => set(size.id, count)}
            testId={`count-${size.id}`}
          />
        </Box>
      ))}
      <Box data-testid="bottle-left">
        {say('bottleForm.bottlesTakeLeftOver', {
          bottles: num(plan.bottles),
          isPortions: portionMl !== undefined,
          filled: litres(plan.filledMl / 1000, 2),
          left: volume(plan.leftMl / 1000),
          room: volume((room - ml) / 1000),
          roomSome: room > ml + 1,
        })}
      </Box>
      <Fits live={live} placeId={place.id} order={order} counts={chosen} />
      {cautions.filter((row) => row.severity === 'danger').map(caution)}
      {plan.leftMl >= 1 && (
        <Choice
          label={say('bottleForm.whatIsLeftOver')}
          value={left}
          options={[
            { value: 'glass', text: say('bottleForm.isDrunkNow') },
            { value: 'keep', text: say('bottleForm.goesIntoAJug') },
          ]}
          onChange={(v) => setLeft(v as 'glass')}
        />
      )}
      <Choice
        label={say('bottleForm.bottlesAre')}
        value={hygiene}
        options={[
          { value: 'sterilised', text: say('bottleForm.sterilised') },
          { value: 'clean', text: say('bottleForm.clean') },
        ]}
        onChange={(v) => setHygiene(v as 'clean')}
      />
      <Fold summary={say('bottleForm.howToFill')} testId="how-to-fill">
        <Box>
          {say('bottleForm.toFillEachTo', {
            ml: litres(ml / 1000, 2),
            headspace: percent(1 - headspace),
            isFrozen: Boolean(frozen),
          })}
        </Box>
        {order.length > 0 && <Order order={order} counts={chosen} leftMl={plan.leftMl} />}
        {cautions.filter((row) => row.severity !== 'danger').map(caution)}
      </Fold>
      <ForWhom bottles={plan.bottles} onGifts={setGifts} />
      {sizes.length === 0 && <Alert severity="info">{say('bottleForm.noBottlesStandIn')}</Alert>}
      <PrimaryAction disabled={plan.bottles === 0 && left === 'glass'} onClick={() => void finish()}>
        {say('bottleForm.bottledOntoTheCold')}
      </PrimaryAction>
    </Box>
  );
}

/** In which order they are filled, and what stands ready for what is over. */
function Order(props: {
  order: readonly BottleSize[];
  counts: Readonly<Record<string, number>>;
  leftMl: number;
}) {
  const { order, counts, leftMl } = props;
  return (
    <Box data-testid="filling-order" sx={{ color: role('inkMuted') }}>
      {say('bottleForm.aWideFunnelThe', {
        order: order
          .map((s) => `${num(counts[s.id] ?? 0)} ${s.name.toLowerCase()}`)
          .join(say('bottleForm.then')),
        left: volume(leftMl / 1000),
        leftSome: leftMl >= 1,
      })}
    </Box>
  );
}

/** Whether they fit where they are to go, and what must go first. */
function Fits(props: {
  live: LiveBatch;
  placeId: string;
  order: readonly BottleSize[];
  counts: Readonly<Record<string, number>>;
}) {
  const { live, placeId, order, counts } = props;
  const { shelf } = useShelf(live.nowMs);
  if (!shelf || order.length === 0) return null;
  const place = placesOf(shelf.kitchen).find((p) => p.id === placeId);
  if (!place) return null;
  const there = shelf.living.filter((l) => l.item.log.places.at(-1)?.place === placeId);
  const coming = order.flatMap((s) =>
    Array.from({ length: counts[s.id] ?? 0 }, () => ({ sizeMl: s.volumeMl, diameterCm: s.diameterCm })),
  );
  const { space, first } = makeSpace(place, there.map(standeeOf), coming);
  const full = percent(Math.max(space.litresShare, space.floorShare));
  if (first === null)
    return (
      <Alert severity="warning" data-testid="fits">
        {say('bottleForm.wouldBeFullIt', { name: place.name, full })}
      </Alert>
    );
  if (first.length === 0)
    return (
      <Box data-testid="fits" sx={{ color: role('inkMuted') }}>
        {say('bottleForm.theyFitIsThen', { name: place.name.toLowerCase(), full })}
      </Box>
    );
  return (
    <Alert severity="warning" data-testid="fits">
      {say('bottleForm.wouldBeFullFirst', {
        name: place.name,
        full,
        first: first
          .map((s) => {
            const l = there.find((o) => o.item.facts.itemId === s.itemId)!;
            return `${sayDrink(l.item.facts.recipeId, l.item.facts.drinkName)} (${sayDate(keepDate(l.life, shelf.kitchen.zone), shelf.kitchen.zone)})`;
          })
          .join(', '),
      })}
    </Alert>
  );
}
