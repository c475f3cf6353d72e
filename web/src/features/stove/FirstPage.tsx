import '../../words/places/pages.ts';
import '../../words/places/stove.ts';
import { type KitchenDoc, ROUTES } from '@big-ladle/core/contract';
import type { Pot } from '@big-ladle/core/documents';
import type { BurnerKind } from '@big-ladle/core/tables';
import { POT_UNITS, type PotUnit, potLitres, usualShape } from '@big-ladle/core/units';
import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import ToggleButton from '@mui/material/ToggleButton';
import { useDeferredValue, useMemo, useState } from 'react';
import { useNavigate } from 'react-router';
import { v7 as uuid } from 'uuid';
import { ApiError, ask } from '../../shared/api.ts';
import { useBook } from '../../shared/book.ts';
import { Choice } from '../../shared/Choice.tsx';
import { FileButton } from '../../shared/FileButton.tsx';
import { ImportProgress } from '../../shared/ImportProgress.tsx';
import { PageTitle } from '../../shared/PageTitle.tsx';
import { QuantityField } from '../../shared/QuantityField.tsx';
import { keys, queryClient, takeKitchen } from '../../shared/queries.ts';
import { Panel } from '../../shared/ui.tsx';
import { useImport } from '../../shared/useImport.ts';
import { heading, role } from '../../theme/theme.ts';
import { num } from '../../words/numbers.ts';
import { sayFamily } from '../../words/plainNames.ts';
import { litres, speakUnits } from '../../words/quantities.ts';
import { say } from '../../words/say.ts';
import { useJob } from '../../workers/useJob.ts';
import { atHand, firstKitchen, type Proposal, proposalsFor } from './firstKitchen.ts';
import { MoreAboutThePot } from './MoreAboutThePot.tsx';
import { Proposed } from './Proposed.tsx';

/** A pot that many kitchens have. */
const USUAL_POT_L = 12;
/** In bottles before eleven in the evening is today. */
const EVENING_H = 23;
const WHEN = ['any', 'today', 'tomorrow'] as const;
type When = (typeof WHEN)[number];

/** Minutes until then, from now on. */
function minutesUntil(when: When, now: Date): number | null {
  if (when === 'any') return null;
  const then = new Date(now);
  then.setHours(EVENING_H + (when === 'tomorrow' ? 24 : 0), 0, 0, 0);
  return Math.max(0, (then.getTime() - now.getTime()) / 60_000);
}

/** The first page of an empty kitchen: a pot by its size, what is at hand, and one drink to begin with. */
export function FirstPage({ doc, nowMs }: { doc: KitchenDoc; nowMs: number }) {
  const navigate = useNavigate();
  const { book, own, custom } = useBook();
  const [size, setSize] = useState(USUAL_POT_L);
  const [unit, setUnit] = useState<PotUnit>('litre');
  const [about, setAbout] = useState<Partial<Pot>>({});
  const [ring, setRing] = useState<BurnerKind>('gas');
  const [held, setHeld] = useState<ReadonlySet<string>>(new Set());
  const [when, setWhen] = useState<When>('any');
  const [picked, setPicked] = useState<string | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);
  // Nothing is here that a file could be added to: it is taken in at once.
  const coming = useImport('merge');
  const potId = useState(() => uuid())[0];
  const potL = potLitres(size, unit);
  const isPot = potL >= 1 && potL <= 150;
  const pot = useMemo((): Pot => {
    const measured = about.diameterCm !== undefined && about.heightCm !== undefined;
    return {
      id: potId,
      name: say('firstPot.bigPot'),
      material: 'stainless',
      lid: true,
      massG: null,
      ...usualShape(isPot ? potL : USUAL_POT_L),
      ...about,
      ...(measured ? {} : { shapeGuessed: true }),
    };
  }, [potId, potL, isPot, about]);
  const kitchen = useMemo(() => firstKitchen(doc, pot, ring, unit), [doc, pot, ring, unit]);
  // What is typed answers first; the drinks follow when the typing rests.
  const settled = useDeferredValue(kitchen);
  const job = useMemo(() => ({ kind: 'overview' as const, kitchen: settled }), [settled]);
  const { result } = useJob(job, own, custom);
  const families = useMemo(() => atHand(), []);
  const proposals = useMemo(
    () => (result ? proposalsFor(result.drinks, held, minutesUntil(when, new Date(nowMs))) : []),
    [result, held, when, nowMs],
  );
  const proposal = proposals.find((p) => p.recipeId === picked) ?? proposals[0];
  const recipe = book.find((r) => r.id === proposal?.recipeId);

  const save = async (to: string) => {
    setProblem(null);
    setBusy(true);
    try {
      const saved = await ask(ROUTES.saveKitchen, { body: { version: doc.version, kitchen } });
      queryClient.setQueryData(keys.kitchen, takeKitchen(saved));
      navigate(to);
    } catch (error) {
      setProblem(error instanceof ApiError ? error.detail : say('firstPot.theKitchenServerDoes'));
      setBusy(false);
    }
  };
  const make = (p: Proposal) => void save(`/new/${p.recipeId}?method=${p.methodId}`);

  return (
    <>
      <Box sx={{ display: 'flex', gap: 2, flexWrap: 'wrap', alignItems: 'center', mb: 1.75 }}>
        <PageTitle
          title={say('firstPage.what')}
          sx={{
            ...heading,
            fontSize: { xs: '1.4rem', md: '1.75rem' },
            lineHeight: 1.15,
            m: 0,
            flex: '1 1 300px',
          }}
        />
        {coming.runs ? (
          <ImportProgress state={coming.state} />
        ) : (
          <FileButton
            label={say('firstPot.takeInAKitchen')}
            accept=".jsonl,.json,application/json,application/x-ndjson"
            testId="archive-file"
            onFile={coming.upload}
          />
        )}
      </Box>
      {(problem ?? coming.problem) && (
        <Alert severity="error" sx={{ mb: 1.75 }}>
          {problem ?? coming.problem}
        </Alert>
      )}
      <Box
        sx={{
          display: 'grid',
          gridTemplateColumns: { xs: 'minmax(0,1fr)', md: 'minmax(0,5fr) minmax(0,7fr)' },
          gap: 1.75,
          alignItems: 'stretch',
        }}
      >
        <Panel title={say('firstPage.whichPot')}>
          <Box sx={{ display: 'flex', gap: 2, flexWrap: 'wrap', alignItems: 'flex-end' }}>
            <QuantityField
              label={say('firstPage.itHolds')}
              value={size}
              min={1}
              max={160}
              decimals={1}
              onValue={(v) => {
                setSize(v);
                setAbout(({ diameterCm: _, heightCm: __, ...rest }) => rest);
              }}
              width={110}
              testId="pot-size"
            />
            <Choice
              label={say('firstPage.in')}
              value={unit}
              options={POT_UNITS.map((value) => ({ value, text: say(`potUnit.${value}`) }))}
              onChange={(v) => {
                const next = v as PotUnit;
                // What is proposed is told in the units that the pot is told in.
                speakUnits(firstKitchen(doc, pot, ring, next));
                setUnit(next);
              }}
            />
          </Box>
          <Box sx={{ color: role('inkMuted'), mt: 1 }}>{say('firstPage.howToTell')}</Box>
          {!isPot && (
            <Box role="alert" sx={{ color: role('danger'), mt: 1 }}>
              {say('firstPage.noPot', { least: litres(1), most: litres(150) })}
            </Box>
          )}
          <MoreAboutThePot
            pot={pot}
            ring={ring}
            onPot={(change) => setAbout((a) => ({ ...a, ...change }))}
            onRing={setRing}
          />
        </Panel>
        <Panel title={say('firstPage.atHand')} aside={say('firstPage.tapAll', { count: held.size })}>
          <Box
            sx={{ display: 'flex', flexWrap: 'wrap', gap: 1 }}
            role="group"
            aria-label={say('firstPage.atHand')}
          >
            {families.map((id) => (
              <ToggleButton
                key={id}
                value={id}
                selected={held.has(id)}
                onChange={() => {
                  const next = new Set(held);
                  if (!next.delete(id)) next.add(id);
                  setHeld(next);
                  setPicked(null);
                }}
                sx={{ minHeight: 48, px: 1.75 }}
              >
                {sayFamily(id)}
              </ToggleButton>
            ))}
          </Box>
          <Box sx={{ color: role('inkMuted'), mt: 1.25 }}>{say('firstPage.hibiscusNames')}</Box>
          <Box sx={{ mt: 1.25 }}>
            <Choice
              label={say('firstPage.byWhen')}
              value={when}
              options={WHEN.map((value) => ({ value, text: say(`firstPage.when.${value}`) }))}
              onChange={(v) => setWhen(v as When)}
            />
          </Box>
        </Panel>
      </Box>
      {proposal && recipe && isPot ? (
        <Proposed
          proposal={proposal}
          recipe={recipe}
          kitchen={settled}
          nowMs={nowMs}
          busy={busy}
          onMake={() => make(proposal)}
          others={proposals.filter((p) => p !== proposal).slice(0, 3)}
          onPick={(p) => setPicked(p.recipeId)}
        />
      ) : (
        <Box role="status" sx={{ mt: 2.5, minHeight: 160, color: role('inkMuted') }}>
          {result ? say('firstPage.nothing') : say('common.oneMoment')}
        </Box>
      )}
      <Button disabled={busy || !isPot} sx={{ mt: 1 }} onClick={() => void save('/drinks')}>
        {say('firstPage.allDrinks', { count: num(book.length) })}
      </Button>
    </>
  );
}
