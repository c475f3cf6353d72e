import '../../../words/places/batch.ts';
import {
  type BalanceAim,
  type BalanceWish,
  type Candidate,
  candidateOf,
  glassFacts,
  likedRegion,
  type Suggestion,
  suggestAdditions,
} from '@big-ladle/core/balance';
import type { Kitchen } from '@big-ladle/core/documents';
import {
  abvPct,
  brix,
  type Composition,
  heatGPerL,
  markerGPerL,
  phOf,
  sournessGPerL,
  sweetnessPct,
  volumeMl,
} from '@big-ladle/core/liquor';
import { saysAlcohol } from '@big-ladle/core/program';
import type { Tables } from '@big-ladle/core/tables';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { memo, type ReactNode, useCallback, useDeferredValue, useMemo, useRef, useState } from 'react';
import { useLikedPoints } from '../../../shared/batchQueries.ts';
import { dailySugar } from '../../../shared/dailySugar.ts';
import { Explain } from '../../../shared/Explain.tsx';
import type { Term } from '../../../shared/help.ts';
import { alcoholUnitOf, houseOf } from '../../../shared/house.ts';
import { Figure, Panel } from '../../../shared/ui.tsx';
import { role } from '../../../theme/theme.ts';
import { num } from '../../../words/numbers.ts';
import { litresApart, millilitres } from '../../../words/quantities.ts';
import { sayRich } from '../../../words/rich.ts';
import { percent, say, sayCode } from '../../../words/say.ts';
import { pointOf, withUnits } from './arrows.ts';
import { Plane } from './Plane.tsx';
import { limitsOf } from './place.ts';
import { PLAINLY, Served, type ServingWish, servedAs } from './Served.tsx';
import { SweetAnswer } from './SweetAnswer.tsx';
import { amountWords, candidateName, Ways } from './Ways.tsx';

/** More arrows than this are a thicket. */
const MOST_ARROWS = 5;

/** Which way a candidate moves a drink: one arrow of each is enough to begin with. */
function directionKind(c: Candidate): string {
  if (c.kind === 'sweetener' || c.kind === 'lessWater') return c.kind;
  const sour = sournessGPerL(c.unit);
  return sour > 20 ? 'sour' : sweetnessPct(c.unit) > 4 ? 'sweetJuice' : 'thin';
}

function firstArrows(candidates: readonly Candidate[]): Candidate[] {
  const seen = new Set<string>();
  return candidates.filter((c) => {
    const kind = directionKind(c);
    if (seen.has(kind)) return false;
    seen.add(kind);
    return true;
  });
}

/** An arrow that is dragged leaves the ways to the target as they are. */
const QuietWays = memo(Ways);

export interface BoardProps {
  liquor: Composition;
  kitchen: Kitchen;
  tables: Tables;
  wish: BalanceWish;
  onWish: (wish: BalanceWish) => void;
  /** What may be added, the preferred first, where this drink has a say in it besides the house. */
  prefers?: readonly string[];
  /** Further candidates of a plan: less water. */
  extra?: readonly Candidate[];
  /** Shown below the plane: what is done with a way. */
  taking?: (suggestion: Suggestion) => ReactNode;
  children?: ReactNode;
}

/** What may be added here, as candidates, with those that this drink prefers in front. */
export function allowedOf(props: Pick<BoardProps, 'kitchen' | 'tables' | 'prefers' | 'extra'>): Candidate[] {
  const { kitchen, tables, prefers = [], extra = [] } = props;
  const ids = [...new Set([...prefers, ...houseOf(kitchen).allows])];
  return [
    ...ids.flatMap((id) => {
      const candidate = candidateOf(id, tables, kitchen);
      return candidate ? [candidate] : [];
    }),
    ...extra,
  ];
}

/** The plane with its figures and the ways to the target. */
export function BalanceBoard(props: BoardProps) {
  const { liquor, kitchen, tables, wish, onWish, prefers, extra, taking, children } = props;
  const candidates = useMemo(
    () => allowedOf({ kitchen, tables, prefers: prefers ?? [], extra: extra ?? [] }),
    [kitchen, tables, prefers, extra],
  );
  const [shown, setShown] = useState<readonly string[] | null>(null);
  const [units, setUnits] = useState<Readonly<Record<string, number>>>({});
  const [serving, setServing] = useState<ServingWish>(PLAINLY);
  const onPlane = useMemo(() => {
    return shown ? candidates.filter((c) => shown.includes(c.id)) : firstArrows(candidates);
  }, [candidates, shown]);
  const { data } = useLikedPoints();
  const liked = useMemo(() => likedRegion(data?.points ?? []), [data]);
  const together = withUnits(liquor, onPlane, units);
  const served = servedAs(together, serving, kitchen.servingMl, tables);
  const asItIs = serving.ice === 'none' && serving.mixerShare === 0;
  const [aim, setAim] = useState<BalanceAim>('leastAdded');
  const settled = useDeferredValue(wish);
  const suggestions = useMemo(
    () => suggestAdditions(liquor, settled, candidates, limitsOf(kitchen), aim),
    [liquor, settled, candidates, kitchen, aim],
  );
  const target = {
    sweet: wish.sweetPct,
    // Without a wish for sourness the target stands where the drink will be, sweetened.
    sour: wish.sourGPerL ?? pointOf(suggestions[0]?.result ?? liquor).sour,
  };
  const plane = useRef<HTMLDivElement>(null);
  const show = useCallback(
    (suggestion: Suggestion) => {
      // On a phone the plane lies above the ways.
      plane.current?.scrollIntoView({ block: 'nearest' });
      const ids = suggestion.parts.map((p) => p.id);
      setShown(
        [...new Set([...ids, ...onPlane.map((c) => c.id)])].slice(0, Math.max(MOST_ARROWS, ids.length)),
      );
      setUnits(
        Object.fromEntries(
          suggestion.parts.map((p) => [p.id, p.pieces ?? p.massG / Math.abs(unitOf(candidates, p.id))]),
        ),
      );
    },
    [candidates, onPlane],
  );
  const toggle = useCallback(
    (c: Candidate) => {
      const ids = onPlane.map((o) => o.id);
      setShown(ids.includes(c.id) ? ids.filter((id) => id !== c.id) : [...ids, c.id]);
      setUnits((u) => ({ ...u, [c.id]: 0 }));
    },
    [onPlane],
  );
  return (
    <>
      <SweetAnswer suggestion={suggestions[0]} kitchen={kitchen} tables={tables}>
        {suggestions[0] && suggestions[0].parts.length > 0 && taking?.(suggestions[0])}
      </SweetAnswer>
      <Box
        sx={{
          display: 'grid',
          gridTemplateColumns: { xs: 'minmax(0,1fr)', lg: 'minmax(0,2fr) minmax(0,1fr)' },
          gap: 1.75,
          alignItems: 'start',
        }}
      >
        <Box ref={plane} sx={{ scrollMarginTop: 8 }}>
          <Panel>
            <Plane
              drink={liquor}
              arrows={onPlane.map((candidate) => ({
                candidate,
                name: candidateName(candidate.id),
                amount: amountWords(candidate, units[candidate.id] ?? 0, kitchen, tables),
              }))}
              units={units}
              onUnits={(id, value) => setUnits((u) => ({ ...u, [id]: value }))}
              target={target}
              onTarget={(t) => onWish({ sweetPct: t.sweet, sourGPerL: t.sour })}
              together={pointOf(together)}
              iced={asItIs ? null : { sour: Math.max(0, served.sourGPerL), sweet: served.sweetPct }}
              liked={liked}
            />
            <ArrowChoice candidates={candidates} shown={onPlane} onToggle={toggle} />
            <Box sx={{ color: role('inkMuted'), fontSize: '0.9rem', mt: 1 }}>
              {say('balanceBoard.dragAnArrowBy')}
            </Box>
          </Panel>
        </Box>
        <Box sx={{ display: 'grid', gap: 1.75, minWidth: 0 }}>
          {children}
          <QuietWays
            suggestions={suggestions}
            kitchen={kitchen}
            tables={tables}
            onShow={show}
            aim={aim}
            onAim={setAim}
            {...(taking ? { taking } : {})}
          />
          <Panel
            title={say('balanceBoard.withThese')}
            testId="figures"
            sx={{ contain: 'layout paint style' }}
          >
            <Figures drink={together} start={liquor} kitchen={kitchen} />
          </Panel>
          <Served
            drink={together}
            wish={serving}
            onWish={setServing}
            aimPct={wish.sweetPct}
            onAim={(sweetPct) => onWish({ ...wish, sweetPct })}
            kitchen={kitchen}
            tables={tables}
          />
        </Box>
      </Box>
    </>
  );
}

/** Which of what may be added has an arrow. */
const ArrowChoice = memo(function ArrowChoice(props: {
  candidates: readonly Candidate[];
  shown: readonly Candidate[];
  onToggle: (candidate: Candidate) => void;
}) {
  return (
    <Box
      sx={{ display: 'flex', gap: 1, flexWrap: 'wrap', mt: 1 }}
      role="group"
      aria-label={say('balanceBoard.arrowsOnThePlane')}
    >
      {props.candidates.map((c) => {
        const on = props.shown.includes(c);
        return (
          <Button
            key={c.id}
            size="small"
            variant={on ? 'contained' : 'outlined'}
            color={on ? 'primary' : 'inherit'}
            aria-pressed={on}
            onClick={() => props.onToggle(c)}
          >
            {candidateName(c.id)}
          </Button>
        );
      })}
    </Box>
  );
});

const unitOf = (candidates: readonly Candidate[], id: string): number =>
  candidates.find((c) => c.id === id)?.unitG ?? 1;

/** A figure with its name: drawn again only when what it shows is another. */
const Cell = memo(function Cell(props: {
  value: string;
  unit: string;
  label: string;
  term: Term;
  testId: string;
}) {
  return (
    <Box>
      <Figure value={props.value} unit={props.unit} testId={props.testId} />
      <Box sx={{ color: role('inkMuted'), fontSize: '0.85rem' }}>
        <Explain term={props.term}>{props.label}</Explain>
      </Box>
    </Box>
  );
});

/** What the drink is with everything that is shown, beside what it is now. */
function Figures({ drink, start, kitchen }: { drink: Composition; start: Composition; kitchen: Kitchen }) {
  const ph = phOf(drink);
  const glass = glassFacts(drink, kitchen.servingMl);
  const house = houseOf(kitchen);
  const unit = alcoholUnitOf(kitchen);
  const all = litresApart(volumeMl(drink) / 1000);
  const over = house.freeSugarGPerGlass !== null && glass.freeSugarG > house.freeSugarGPerGlass + 0.5;
  const sour = sournessGPerL(drink);
  const cell = (value: string, unit: string, label: string, term: Term, testId: string) => (
    <Cell value={value} unit={unit} label={label} term={term} testId={testId} />
  );
  return (
    <>
      <Box
        sx={{ display: 'grid', gridTemplateColumns: 'repeat(auto-fill, minmax(104px, 1fr))', gap: 1.5 }}
        aria-live="off"
      >
        {cell(
          num(sweetnessPct(drink), 1),
          say('common.gG'),
          say('balanceBoard.sweetness'),
          'sweetness',
          'plane-sweet',
        )}
        {cell(num(brix(drink), 1), '°Bx', say('balanceBoard.dissolved'), 'brix', 'plane-brix')}
        {cell(num(Math.max(0, sour), 1), 'g/L', say('balanceBoard.sourness'), 'sourness', 'plane-sour')}
        {cell(ph.kind === 'estimate' ? num(ph.pH, 1) : '–', 'pH', say('panels.estimate'), 'ph', 'plane-ph')}
        {cell(
          sour > 0.2 ? num((10 * sweetnessPct(drink)) / sour) : '–',
          ': 1',
          say('balanceBoard.sweetToSour'),
          'sourness',
          'plane-ratio',
        )}
        {cell(all.figure, all.unit, say('common.inAll'), 'litres', 'plane-litres')}
      </Box>
      <Box sx={{ mt: 1.5, color: over ? role('caution') : undefined, fontWeight: over ? 700 : undefined }}>
        {sayRich('balanceBoard.ofFreeSugarsIn', {
          freeSugar: <span data-testid="plane-glass">{num(glass.freeSugarG)} g</span>,
          serving: millilitres(kitchen.servingMl),
          ...dailySugar(),
          shareOfCeiling: percent(glass.shareOfCeiling),
          shareOfAim: percent(glass.shareOfAim),
          addedSugar: num(glass.addedSugarG),
          kcal: num(glass.kcal),
          freeSugarGPerGlass: num(house.freeSugarGPerGlass ?? 0),
          isOver: Boolean(over),
        })}
      </Box>
      {saysAlcohol(abvPct(drink)) && (
        <Box sx={{ mt: 0.5, fontWeight: 700 }}>
          {say('balanceBoard.withAlcoholUnitsA', {
            ethanol: num(glass.ethanolG / unit.ethanolG, 1),
            name: sayCode(`alcoholUnit.${unit.id}`),
          })}
        </Box>
      )}
      <Bar
        label={say('balanceBoard.strengthOfWhatIt')}
        value={volumeMl(start) / volumeMl(drink)}
        words={percent(volumeMl(start) / volumeMl(drink))}
      />
      <Bar
        label={say('balanceBoard.heatGingerAndChilli')}
        value={heatGPerL(drink) / MOST_HEAT_G_PER_L}
        words={`${num(markerGPerL(drink, 'ginger'), 1)} g/L`}
      />
    </>
  );
}

/** A drink with so much ginger in it, g/L, is as hot as the scale goes. */
const MOST_HEAT_G_PER_L = 60;

/** A small scale: how much of the whole. */
const Bar = memo(function Bar({ label, value, words }: { label: string; value: number; words: string }) {
  const share = Math.round(Math.min(1, Math.max(0, value)) * 200) / 200;
  return (
    <Box sx={{ mt: 1.25 }}>
      <Box sx={{ display: 'flex', fontSize: '0.9rem' }}>
        <Box sx={{ color: role('inkMuted'), flex: 1 }}>{label}</Box>
        <Box>{words}</Box>
      </Box>
      <Box sx={{ height: 8, borderRadius: 4, bgcolor: role('hairline') }}>
        <Box sx={{ height: 8, borderRadius: 4, bgcolor: role('rim') }} style={{ width: `${share * 100}%` }} />
      </Box>
    </Box>
  );
});
