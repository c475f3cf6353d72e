import '../../../words/places/batch.ts';
import '../../../words/places/steps.ts';
import { insteadOfLine, swapSour, swapSweetener, sweetenWithFruit } from '@big-ladle/core/balance';
import { completeChoices, insteadWith } from '@big-ladle/core/book';
import type { Instead, PlanDoc, Recipe, RecipeLine } from '@big-ladle/core/documents';
import { type Composition, ofLiquid, sournessGPerL } from '@big-ladle/core/liquor';
import { traitsOf } from '@big-ladle/core/program';
import { type LiquidRow, SOURING_IDS, SWEET_FRUIT_IDS, type Tables } from '@big-ladle/core/tables';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { OwnVerdict } from '../../../shared/OwnVerdict.tsx';
import { PickItem } from '../../../shared/PickItem.tsx';
import { useStock } from '../../../shared/stock.ts';
import { Panel, Row } from '../../../shared/ui.tsx';
import { role } from '../../../theme/theme.ts';
import { sayItem } from '../../../words/names.ts';
import { num } from '../../../words/numbers.ts';
import { celsius, grams, litres, volume } from '../../../words/quantities.ts';
import { sayRich } from '../../../words/rich.ts';
import { say } from '../../../words/say.ts';

/** Sour enough to take the place of lemon, g/L as citric. */
const SOUR_GPERL = 15;

const isSour = (row: LiquidRow): boolean => sournessGPerL(ofLiquid(row, 1000)) > SOUR_GPERL;

export interface SwapProps {
  plan: PlanDoc;
  recipe: Recipe;
  tables: Tables;
  /** Grams that the plan takes of each line now, by line. */
  massOf: (lineId: string) => number;
  /** The drink before it is sweetened. */
  base: Composition | null;
  /** Finished millilitres. */
  finishedMl: number;
  onChange: (plan: PlanDoc) => void;
}

/** What may go in instead: a sweetener for a sweetener, something sour for something sour, with what that moves. */
export function SwapChoices(props: SwapProps) {
  const { plan, recipe, tables, onChange } = props;
  const { instead, targetSweetnessPct, way } = completeChoices(recipe, plan.choices);
  const put = (lineId: string, other: Instead | null, target = targetSweetnessPct) =>
    onChange({
      ...plan,
      choices: {
        ...plan.choices,
        targetSweetnessPct: target,
        instead: insteadWith(instead, lineId, other),
      },
    });
  // A way that was taken says what sweetens.
  const sweet = way ? [] : recipe.lines.filter((l) => l.kind === 'sweetener');
  const sour = recipe.lines.filter((l) => {
    const row = l.kind === 'liquid' ? tables.liquids.get(l.itemId) : undefined;
    return row !== undefined && isSour(row);
  });
  if (sweet.length + sour.length === 0) return null;
  return (
    <Panel title={say('swapChoices.somethingElseInstead')} testId="swaps">
      {sweet.map((line) => (
        <SweetSwap
          key={line.id}
          {...props}
          line={line}
          instead={instead}
          put={put}
          target={targetSweetnessPct}
        />
      ))}
      {sweet.length > 0 && props.base && (
        <FruitInstead base={props.base} target={targetSweetnessPct} tables={tables} />
      )}
      {sour.map((line) => (
        <SourSwapChoice key={line.id} {...props} line={line} instead={instead} put={put} />
      ))}
    </Panel>
  );
}

interface LineProps extends SwapProps {
  line: RecipeLine;
  instead: readonly Instead[];
  put: (lineId: string, other: Instead | null, target?: number) => void;
}

const nowOf = ({ line, instead }: LineProps): string =>
  instead.find((i) => i.lineId === line.id)?.itemId ?? line.itemId;

/** How much fruit it would take, and what that does to litres, body and keeping. */
function FruitInstead(props: { base: Composition; target: number; tables: Tables }) {
  const { base, target, tables } = props;
  const ways = SWEET_FRUIT_IDS.map((id) => ({ id, way: sweetenWithFruit(base, target, id, tables) }));
  return (
    <Box component="details" sx={{ mt: 1 }} data-testid="fruit-instead">
      <Box component="summary" sx={{ cursor: 'pointer', minHeight: 32 }}>
        {say('swapChoices.withFruitInsteadOf')}
      </Box>
      {ways.map(({ id, way }) => (
        <Row
          key={id}
          dense
          label={sayItem(id)}
          note={
            way
              ? say('swapChoices.moreRawKeeps', {
                  litresMore: litres(way.litresMore),
                  body: say(`swap.body.${way.body}`),
                  isRaw: Boolean(way.raw),
                })
              : say('swapChoices.notSweetEnoughFor')
          }
        >
          {way &&
            `${volume(way.volumeMl / 1000)}${way.fruit ? say('swapChoices.fruit', { pieces: num(way.fruit.pieces) }) : ''}`}
        </Row>
      ))}
      <Box sx={{ color: role('inkMuted'), fontSize: '0.9rem' }}>{say('swapChoices.theSugarOfFruit')}</Box>
    </Box>
  );
}

function SweetSwap(props: LineProps & { target: number }) {
  const { line, tables, put, massOf, finishedMl, target } = props;
  const stock = useStock().data?.stock.find((s) => s.itemId === nowOf(props));
  const itemId = nowOf(props);
  const own = tables.sweeteners.get(line.itemId);
  const row = tables.sweeteners.get(itemId);
  if (!own || !row) return null;
  const pick = (id: string) => put(line.id, insteadOfLine(line, id, tables));
  const massG = massOf(line.id);
  const back = swapSweetener(row, massG, own, 'sweetness', finishedMl);
  const swap = back ? swapSweetener(own, back.massG, row, 'sweetness', finishedMl) : null;
  // As much sugar as before is less or more sweet: the target that keeps the sugar.
  const sameSugar =
    row.sugarPct > 0 && own.sugarPct > 0
      ? (target * (row.relativeSweetness / row.sugarPct)) / (own.relativeSweetness / own.sugarPct)
      : null;
  return (
    <Box sx={{ mt: 1 }}>
      <PickItem
        label={say('swapChoices.sweetenedWithTheRecipe', { item: sayItem(line.itemId).toLowerCase() })}
        ids={[...tables.sweeteners.keys()]}
        value={itemId}
        onPick={pick}
      />
      <OwnVerdict itemId={itemId} />
      {stock && massG > 0 && (
        <Box
          sx={{ mt: 0.5, color: stock.inHouseG < massG ? role('caution') : role('inkMuted') }}
          data-testid="in-house"
        >
          {say('swapChoices.inTheHouseWanted', {
            inHouse: grams(stock.inHouseG),
            mass: grams(massG),
            isPack: stock.packG !== null && stock.packG > 0,
            packsInHouse: num(stock.inHouseG / (stock.packG || 1), 1),
            packsWanted: num(massG / (stock.packG || 1), 1),
            pack: grams(stock.packG ?? 0),
          })}
        </Box>
      )}
      {itemId !== line.itemId && swap && back && (
        <Box sx={{ mt: 1 }} data-testid="swap-facts">
          {sayRich('swapChoices.asSweetAsOf', {
            mass: grams(back.massG),
            item: sayItem(line.itemId).toLowerCase(),
            mass2: <strong>{grams(massG)}</strong>,
            bulk: volume(swap.bulkMl / 1000),
            water: volume(swap.waterG / 1000),
            waterSome: swap.waterG > 1,
            sugarMore: grams(Math.abs(swap.sugarMoreG)),
            sugarMoreLow: swap.sugarMoreG < 0,
            sugarMoreSome: Math.abs(swap.sugarMoreG) >= 1,
            kcalMore: num(Math.abs(swap.kcalMore)),
            kcalMoreLow: swap.kcalMore < 0,
            dissolves:
              swap.dissolvesFromC > 0
                ? say('swap.dissolves', { temp: celsius(swap.dissolvesFromC) })
                : say('swap.dissolvesAny'),
            more: [
              swap.mostC !== null && say('swap.mostC', { temp: celsius(swap.mostC) }),
              swap.colour && say(`swap.colour.${swap.colour}`),
              traitsOf([itemId], tables).has('honey') && say('swap.honey'),
            ]
              .filter(Boolean)
              .map((text) => ` ${text}`)
              .join(''),
          })}
          {swap.overCap && (
            <Box sx={{ color: role('caution'), fontWeight: 700 }}>
              {say('balance.binds.cap', { what: sayItem(itemId).toLowerCase() })}
            </Box>
          )}
          {sameSugar !== null && Math.abs(sameSugar - target) > 0.05 && sameSugar <= 40 && (
            <Button
              size="small"
              onClick={() => {
                const current = props.instead.find((i) => i.lineId === line.id);
                if (current) put(line.id, current, Math.round(sameSugar * 10) / 10);
              }}
            >
              {say('swapChoices.asMuchSugarInstead', { sameSugar: num(sameSugar, 1) })}
            </Button>
          )}
        </Box>
      )}
    </Box>
  );
}

function SourSwapChoice(props: LineProps) {
  const { line, tables, put, massOf } = props;
  const itemId = nowOf(props);
  const own = tables.liquids.get(line.itemId);
  if (!own) return null;
  const ids = [...tables.liquids.values()].filter((r) => isSour(r)).map((r) => r.id);
  const pick = (id: string) => put(line.id, insteadOfLine(line, id, tables));
  const row = tables.liquids.get(itemId);
  const ml = row ? massOf(line.id) / row.densityGPerMl : 0;
  const swap = itemId === line.itemId ? null : swapSour(itemId, ml, itemId, tables);
  return (
    <Box sx={{ mt: 1 }}>
      <PickItem
        label={say('swapChoices.souredWithTheRecipe', { item: sayItem(line.itemId).toLowerCase() })}
        ids={ids}
        value={itemId}
        onPick={pick}
      />
      <Box sx={{ color: role('inkMuted'), fontSize: '0.9rem', mt: 0.5 }} data-testid="as-sour">
        {say('swapChoices.asSourAs', {
          ml: volume(ml / 1000),
          list: SOURING_IDS.filter((id) => id !== itemId)
            .flatMap((id) => {
              const same = swapSour(itemId, ml, id, tables);
              if (!same) return [];
              const amount = same.volumeMl === null ? grams(same.massG) : volume(same.volumeMl / 1000);
              return [say('swapChoices.of', { amount, item: sayItem(id).toLowerCase() })];
            })
            .join(', '),
        })}
      </Box>
      {swap && (
        <Box sx={{ mt: 1 }} data-testid="sour-facts">
          {sayRich('swapChoices.asSourByAcid', {
            ml: <strong>{volume(ml / 1000)}</strong>,
            pieces: num(swap.fruit?.pieces ?? 0),
            isFruit: swap.fruit !== null,
            acetic: swap.acetic ? say('swap.acetic') : swap.raw ? say('swap.raw') : say('swap.bottled'),
          })}
        </Box>
      )}
    </Box>
  );
}
