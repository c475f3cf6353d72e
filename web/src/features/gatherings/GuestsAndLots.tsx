import '../../words/places/gatherings.ts';
import type { GatheringDoc, GuestGroup } from '@big-ladle/core/documents';
import { isServed, mayDrink, reasonsAgainst, type Sized, type TableLot } from '@big-ladle/core/gathering';
import Box from '@mui/material/Box';
import useMediaQuery from '@mui/material/useMediaQuery';
import { memo } from 'react';
import { Fold } from '../../shared/Fold.tsx';
import { sayFeastDrink } from '../../shared/gatherings/sayJob.ts';
import { useWidth } from '../../shared/useWidth.ts';
import { heading, role } from '../../theme/theme.ts';
import { litres, nutrientGrams } from '../../words/quantities.ts';
import { say } from '../../words/say.ts';
import { LotBottles } from './LotBottles.tsx';
import { lotColour } from './lotColour.ts';
import { StackedGlass } from './StackedGlass.tsx';
import { sayGroup, sayReason } from './sayFeast.ts';

/** What a group drinks of all this, in few words: what it may have, or what it leaves, whichever is less to say. */
function sayWhatFor(group: GuestGroup, lots: readonly TableLot[], nameOf: (lot: TableLot) => string): string {
  if (!isServed(group)) return say('guestsAndLots.infants');
  // A drink that stands there in two parts counts once.
  const drinks = lots.filter((lot, i) => lots.findIndex((l) => l.drinkId === lot.drinkId) === i);
  const may = drinks.filter(({ drinkId }) => lots.some((l) => l.drinkId === drinkId && mayDrink(group, l)));
  const leaves = drinks.filter((lot) => !may.includes(lot));
  if (may.length === 0) return say('guestsAndLots.nothing');
  if (leaves.length === 0) return say('guestsAndLots.anything');
  return leaves.length < may.length
    ? say('guestsAndLots.anythingBut', { drinks: leaves.map(nameOf).join(', ') })
    : say('guestsAndLots.may', { drinks: may.map(nameOf).join(', ') });
}

/** A row of guests, a row of bottles, px. */
const ROW = 92;
/** So many pixels high is a litre in a band, and no band is thinner than this. */
const PX_PER_L = 2.6;
const THINNEST = 1.6;
const MOST_PX = 46;

/**
 * Who may drink what, drawn: groups as glasses to scale at the left, lots as bottles at the right, a band where they may and
 * drink of it, a broken one to a group that has nothing yet.
 */
export const GuestsAndLots = memo(function GuestsAndLots(props: { gathering: GatheringDoc; sized: Sized }) {
  const { gathering, sized } = props;
  const [ref, width] = useWidth<HTMLDivElement>();
  const narrow = useMediaQuery('(max-width: 760px)');
  const { groups } = gathering;
  const { lots } = sized;
  const flowOf = (groupId: string, lot: TableLot): number => {
    const flow = sized.flows.find((f) => f.groupId === groupId && f.drinkId === lot.drinkId);
    const group = groups.find((g) => g.id === groupId)!;
    if (!flow || !mayDrink(group, lot)) return 0;
    // Of a drink that is there in two parts, the drink itself where they may have it.
    const main = lots.find((l) => l.drinkId === lot.drinkId)!;
    return lot === main || !mayDrink(group, main) ? flow.litres : 0;
  };
  const drinkOf = (lot: TableLot) => sized.drinks.find((d) => d.id === lot.drinkId);
  const nameOf = (lot: TableLot) => sayFeastDrink(drinkOf(lot));
  const most = Math.max(1, ...groups.map((g) => sized.demand.groupL.get(g.id) ?? 0));
  const rows = Math.max(groups.length, lots.length, 1);
  const high = rows * ROW;
  const at = (index: number, count: number) => (high / Math.max(1, count)) * (index + 0.5);
  const px = (l: number) => Math.min(MOST_PX, Math.max(THINNEST, l * PX_PER_L));
  const bands = bandsBetween(groups, lots, flowOf, at, px);
  const unserved = groups.filter((g) => isServed(g) && !lots.some((lot) => mayDrink(g, lot)));
  const left = narrow ? 0 : 330;
  const right = narrow ? 0 : 420;
  const middle = Math.max(0, width - left - right);
  return (
    <Box data-testid="guests-and-lots">
      <Box sx={{ display: 'flex', justifyContent: 'space-between', mb: 1 }}>
        <Box sx={heading}>{say('guestsAndLots.who')}</Box>
        {!narrow && <Box sx={heading}>{say('guestsAndLots.what')}</Box>}
      </Box>
      <Box ref={ref} sx={{ position: 'relative', minHeight: narrow ? 0 : high }}>
        {groups.map((g, i) => {
          const mine = lots.filter((lot) => flowOf(g.id, lot) > 0);
          const groupL = sized.demand.groupL.get(g.id) ?? 0;
          return (
            <Box
              key={g.id}
              data-testid={`group-${g.id}`}
              sx={{
                display: 'flex',
                alignItems: 'center',
                gap: 2,
                width: narrow ? 'auto' : left,
                ...(narrow
                  ? { py: 0.75 }
                  : { position: 'absolute', left: 0, top: at(i, groups.length) - ROW / 2, height: ROW }),
              }}
            >
              <Box sx={{ width: 84, flexShrink: 0, display: 'flex', justifyContent: 'center' }}>
                <StackedGlass
                  share={groupL / most}
                  parts={mine.map((lot) => ({
                    litres: flowOf(g.id, lot),
                    colour: lotColour(drinkOf(lot)),
                    key: lot.id,
                  }))}
                />
              </Box>
              <Box sx={{ minWidth: 0 }}>
                <Box sx={{ ...heading, fontSize: '1.1rem' }}>{sayGroup(g)}</Box>
                <Box sx={{ color: role('inkMuted'), fontSize: '0.9rem' }}>
                  {isServed(g) && <strong>{litres(groupL)} </strong>}
                  {sayWhatFor(g, lots, nameOf)}
                </Box>
              </Box>
            </Box>
          );
        })}
        {!narrow && middle > 40 && (
          <svg
            width={middle}
            height={high}
            role="img"
            aria-label={say('guestsAndLots.drawing')}
            style={{ position: 'absolute', left, top: 0 }}
          >
            {bands.map((b) => (
              <path
                key={b.key}
                d={ribbon(b.y0, b.y1, b.thick, middle)}
                fill={lotColour(sized.drinks.find((d) => d.id === b.drinkId))}
                stroke={role('line')}
                strokeWidth={0.6}
                opacity={0.92}
              />
            ))}
            {unserved.flatMap((g) =>
              lots
                .slice(0, 1)
                .map((lot) => (
                  <BrokenBand
                    key={g.id}
                    y0={at(groups.indexOf(g), groups.length)}
                    y1={at(lots.indexOf(lot), lots.length)}
                    width={middle}
                  />
                )),
            )}
          </svg>
        )}
        {lots.map((lot, i) => {
          const drink = drinkOf(lot);
          const isPart = lot !== lots.find((l) => l.drinkId === lot.drinkId);
          const apart = gathering.drinks
            .find((d) => d.id === lot.drinkId)
            ?.apart.find((a) => lot.id.endsWith(`:${a.beforeStepId}`));
          return (
            <Box
              key={lot.id}
              data-testid={`lot-${lot.id}`}
              sx={{
                display: 'flex',
                alignItems: 'flex-end',
                gap: 1.5,
                ...(narrow
                  ? { py: 0.75 }
                  : {
                      position: 'absolute',
                      right: 0,
                      width: right,
                      top: at(i, lots.length) - ROW / 2,
                      height: ROW - 14,
                    }),
              }}
            >
              <LotBottles
                litres={isPart ? (apart?.litres ?? 0) : (drink?.litres ?? 0)}
                colour={lotColour(drink)}
              />
              <Box sx={{ minWidth: 0, pb: 0.5 }}>
                <Box sx={{ ...heading, fontSize: '1.05rem', lineHeight: 1.15 }}>{nameOf(lot)}</Box>
                <Box sx={{ color: role('inkMuted'), fontSize: '0.88rem' }}>
                  <strong>
                    {isPart
                      ? say('guestsAndLots.apart', { litres: litres(apart?.litres ?? 0) })
                      : litres(drink?.litres ?? 0)}
                  </strong>{' '}
                  {say('guestsAndLots.sugar', { sugar: nutrientGrams(lot.sugarGPerGlass) })}
                </Box>
              </Box>
            </Box>
          );
        })}
      </Box>
      <Leaves gathering={gathering} lots={lots} nameOf={nameOf} />
    </Box>
  );
});

/** The same in words: which drink each group leaves, and why. */
function Leaves(props: {
  gathering: GatheringDoc;
  lots: readonly TableLot[];
  nameOf: (lot: TableLot) => string;
}) {
  const { gathering, lots, nameOf } = props;
  const rows = gathering.groups.filter(isServed).flatMap((g) =>
    lots.flatMap((lot) => {
      const [first] = reasonsAgainst(g, lot);
      return first
        ? [
            say('guestsAndLots.leaves', {
              group: sayGroup(g),
              drink: nameOf(lot),
              why: sayReason(first, lot.sugarGPerGlass),
            }),
          ]
        : [];
    }),
  );
  if (rows.length === 0) return null;
  return (
    <Fold summary={say('guestsAndLots.whyNot')} testId="why-not">
      <Box component="ul" sx={{ m: 0, pl: 2.5 }}>
        {rows.map((row) => (
          <li key={row}>{row}</li>
        ))}
      </Box>
    </Fold>
  );
}

interface Band {
  key: string;
  drinkId: string;
  y0: number;
  y1: number;
  thick: number;
}

/** Bands lie beside one another where they leave and where they arrive. */
function bandsBetween(
  groups: readonly GuestGroup[],
  lots: readonly TableLot[],
  flowOf: (groupId: string, lot: TableLot) => number,
  at: (index: number, count: number) => number,
  px: (litres: number) => number,
): Band[] {
  const GAP = 3;
  const all = groups.flatMap((g, gi) =>
    lots.flatMap((lot, li) => {
      const litresOf = flowOf(g.id, lot);
      return litresOf > 0 ? [{ g, gi, lot, li, thick: px(litresOf) }] : [];
    }),
  );
  const start = (of: typeof all, centre: number, index: number) => {
    const whole = of.reduce((sum, b) => sum + b.thick + GAP, -GAP);
    const before = of.slice(0, index).reduce((sum, b) => sum + b.thick + GAP, 0);
    return centre - whole / 2 + before + of[index]!.thick / 2;
  };
  return all.map((b) => {
    const leaving = all.filter((x) => x.g === b.g);
    const arriving = all.filter((x) => x.lot === b.lot);
    return {
      key: `${b.g.id} ${b.lot.id}`,
      drinkId: b.lot.drinkId,
      thick: b.thick,
      y0: start(leaving, at(b.gi, groups.length), leaving.indexOf(b)),
      y1: start(arriving, at(b.li, lots.length) + ROW / 8, arriving.indexOf(b)),
    };
  });
}

function ribbon(y0: number, y1: number, thick: number, width: number): string {
  const [half, c] = [thick / 2, width / 2];
  return `M0 ${y0 - half}C${c} ${y0 - half} ${c} ${y1 - half} ${width} ${y1 - half}V${y1 + half}C${c} ${y1 + half} ${c} ${y0 + half} 0 ${y0 + half}Z`;
}

/** A band that does not arrive: cut through, and dots from there on. */
function BrokenBand({ y0, y1, width }: { y0: number; y1: number; width: number }) {
  const [x, c] = [width * 0.3, width * 0.5];
  return (
    <g stroke={role('danger')} fill="none" strokeWidth={4} strokeLinecap="round">
      <path d={`M0 ${y0}H${x}`} />
      <path d={`M${x + 6} ${y0 - 9}l8 18M${x + 16} ${y0 - 9}l8 18`} strokeWidth={2.5} />
      <path d={`M${x + 34} ${y0}C${c} ${y0} ${width * 0.7} ${y1} ${width} ${y1}`} strokeDasharray="0.1 11" />
    </g>
  );
}
