import '../../words/places/cost.ts';
import { type Cost, type Course, costInAll, costOf } from '@big-ladle/core/compare';
import type { Kitchen, PlanDoc } from '@big-ladle/core/documents';
import { TZDate } from '@date-fns/tz';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { type ReactNode, useMemo } from 'react';
import { Link } from 'react-router';
import { heading, role } from '../../theme/theme.ts';
import { sayItem } from '../../words/names.ts';
import { num } from '../../words/numbers.ts';
import { eachMeasure } from '../../words/quantities.ts';
import { sayRich } from '../../words/rich.ts';
import { say } from '../../words/say.ts';
import { useJob } from '../../workers/useJob.ts';
import { useBook } from '../book.ts';
import { useStock } from '../stock.ts';
import { rowName } from './rowName.ts';

/** Something that is made, and when. */
export interface Costed {
  id: string;
  /** Its drink, where several are counted together. */
  name?: string;
  plan: PlanDoc;
  madeAtMs: number;
}

const WAYS = ['now', 'cheap', 'dear'] as const;

/**
 * What plans cost as they are, and by the cheapest and the dearest way that this kitchen knows, side by side.
 * @param iceKg for the glasses, beside what the plans take for cooling.
 * @param onTake is told the choices of each plan.
 */
export function CostTable(props: {
  plans: readonly Costed[];
  kitchen: Kitchen;
  servingMl: number;
  iceKg?: number;
  guests?: number;
  onTake: (plans: readonly { id: string; plan: PlanDoc }[]) => void;
}) {
  const { plans, kitchen, servingMl, iceKg = 0, guests, onTake } = props;
  const { own, custom, tables } = useBook();
  const stock = useStock().data?.stock;
  const job = useMemo(
    () =>
      stock && {
        kind: 'courses' as const,
        plans: plans.map(({ id, plan, madeAtMs }) => ({
          id,
          plan,
          month: new TZDate(madeAtMs, kitchen.zone).getMonth() + 1,
        })),
        kitchen,
        stock,
      },
    [plans, kitchen, stock],
  );
  const { result } = useJob(job ?? null, own, custom);
  if (!result || !stock) return <Box sx={{ color: role('inkMuted') }}>{say('common.oneMoment')}</Box>;
  const made = result.courses.flatMap(({ id, courses }) => {
    const of = plans.find((p) => p.id === id);
    return of && courses ? [{ of, courses }] : [];
  });
  if (made.length === 0) return <Box>{say('cost.notNow')}</Box>;
  const glasses = { program: { lines: [] }, dosedG: {}, litres: 0, month: 1, iceKg };
  const ice = costOf(glasses, [], kitchen, stock, tables);
  const all = WAYS.map((way) => costInAll([...made.map((m) => m.courses[way].cost), ice]));
  const [now] = all as [Cost];
  const same = made.every(({ courses }) => courses.cheap === courses.now && courses.dear === courses.now);
  const shown = WAYS.flatMap((way, i) => (same && i > 0 ? [] : [{ way, cost: all[i]! }]));
  const each = eachMeasure();
  const row = (label: string, of: (cost: Cost) => ReactNode) => (
    <tr>
      <Box component="th" scope="row" sx={{ textAlign: 'left', fontWeight: 400, py: 0.6, pr: 2 }}>
        {label}
      </Box>
      {shown.map(({ way, cost }) => (
        <Box component="td" key={way} data-testid={`cost-${way}`} sx={{ ...figure }}>
          {of(cost)}
        </Box>
      ))}
    </tr>
  );
  const litre = (cost: Cost) => num((cost.total / cost.litres) * each.litres, 2);
  return (
    <Box sx={{ overflowX: 'auto', mt: 1 }} data-testid="cost">
      <Box
        component="table"
        sx={{ borderCollapse: 'collapse', '& tr': { borderBottom: `1px solid ${role('hairline')}` } }}
      >
        <thead>
          <tr>
            <td />
            {shown.map(({ way }) => (
              <Box
                component="th"
                scope="col"
                key={way}
                sx={{ ...figure, fontFamily: 'inherit', fontWeight: 400 }}
              >
                {say(`cost.${way}`)}
              </Box>
            ))}
          </tr>
        </thead>
        <tbody>
          <tr>
            <Box component="th" scope="row" sx={{ textAlign: 'left', fontWeight: 400, py: 0.6, pr: 2 }}>
              {say('cost.way')}
            </Box>
            {shown.map(({ way }) => (
              <Box component="td" key={way} sx={{ pl: 3, textAlign: 'right', verticalAlign: 'top' }}>
                {made.map(({ of, courses }) => (
                  <Box key={of.id}>{sayWay(courses[way], of)}</Box>
                ))}
              </Box>
            ))}
          </tr>
          {row(say('cost.things'), (c) => num(c.things - ice.things, 2))}
          {iceKg > 0 && ice.things > 0 && row(say('cost.ice'), () => num(ice.things, 2))}
          <tr>
            <Box component="th" scope="row" sx={{ textAlign: 'left', fontWeight: 400, py: 0.6, pr: 2 }}>
              {say('cost.heat')}
            </Box>
            {shown.map(({ way, cost }) => (
              <Box component="td" key={way} sx={figure}>
                {cost.unpricedFuels.length === 0 && num(cost.heat, 2)}
                <Box sx={{ fontFamily: 'inherit', fontSize: '0.9rem', color: role('inkMuted') }}>
                  {say('cost.energy', { figure: num(cost.kWh.electricity + cost.kWh.gas, 1) })}
                </Box>
              </Box>
            ))}
          </tr>
          {row(say('cost.all'), (c) => (
            <strong>{num(c.total, 2)}</strong>
          ))}
          {row(say('cost.each', { each: say(`each.${each.name}`) }), litre)}
          {row(say('cost.glass'), (c) => num((c.total / c.litres) * (servingMl / 1000), 2))}
          {guests ? row(say('cost.guest'), (c) => num(c.total / guests, 2)) : null}
          {!same && (
            <tr>
              <td />
              {shown.map(({ way }) => (
                <Box component="td" key={way} sx={{ pl: 3, py: 1, textAlign: 'right' }}>
                  {way !== 'now' && made.some(({ courses }) => courses[way] !== courses.now) && (
                    <Button
                      size="small"
                      variant="outlined"
                      onClick={() =>
                        onTake(made.map(({ of, courses }) => ({ id: of.id, plan: courses[way].plan })))
                      }
                    >
                      {say('cost.take')}
                    </Button>
                  )}
                </Box>
              ))}
            </tr>
          )}
        </tbody>
      </Box>
      <Notes {...{ now, same }} />
    </Box>
  );
}

const figure = { ...heading, textAlign: 'right', pl: 3, verticalAlign: 'top', whiteSpace: 'nowrap' } as const;

/** What is not counted, and where it is noted. */
function Notes({ now, same }: { now: Cost; same: boolean }) {
  return (
    <Box sx={{ color: role('inkMuted'), fontSize: '0.9rem', mt: 1, display: 'grid', gap: 0.5 }}>
      {now.unpriced.length > 0 && (
        <Box data-testid="unpriced" sx={{ color: role('caution') }}>
          {sayRich('cost.noPrice', {
            things: now.unpriced.map(rowName).join(', '),
            count: now.unpriced.length,
            list: <Link to="/shopping">{say('cost.list')}</Link>,
          })}
        </Box>
      )}
      {now.unpricedFuels.length > 0 && (
        <Box sx={{ color: role('caution') }}>
          {sayRich('cost.noFuel', { kitchen: <Link to="/kitchen?part=house">{say('common.kitchen')}</Link> })}
        </Box>
      )}
      {same && <Box>{say('cost.same')}</Box>}
      <Box>{say('cost.usedUp')}</Box>
    </Box>
  );
}

/** How it is made, and with what instead of what the recipe has. */
function sayWay({ methodId, instead }: Course, { name }: Costed): string {
  const way = [
    say(`method.${methodId}`),
    ...instead.map(({ itemId }) => say('cost.insteadOf', { item: sayItem(itemId).toLowerCase() })),
  ].join(', ');
  return name ? say('cost.drinkBy', { drink: name, way }) : way;
}
