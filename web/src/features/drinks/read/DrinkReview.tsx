import '../../../words/places/drinks.ts';
import { recipeWarnings } from '@big-ladle/core/compare';
import {
  measureToWeigh,
  mended,
  type ReadDrink,
  type ReadingKit,
  recipeOfRead,
  type TextReading,
} from '@big-ladle/core/exchange';
import type { Tables } from '@big-ladle/core/tables';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useMemo } from 'react';
import { useNavigate } from 'react-router';
import { v7 as uuid } from 'uuid';
import { PlausibilityQuestions } from '../../../shared/PlausibilityQuestions.tsx';
import { Panel } from '../../../shared/ui.tsx';
import { role } from '../../../theme/theme.ts';
import { num } from '../../../words/numbers.ts';
import { litres } from '../../../words/quantities.ts';
import { say } from '../../../words/say.ts';
import { useRecipeDrafts } from '../recipeDraft.ts';
import { Checks } from './Checks.tsx';
import { LineRow } from './LineRow.tsx';
import { NotUnderstood } from './NotUnderstood.tsx';
import { ReadHead } from './ReadHead.tsx';
import { keyOf, useReadDraft } from './readDraft.ts';
import { StepRow } from './StepRow.tsx';

/** How far the litres of the text may be from what its amounts give before it is said. */
const LITRES_OFF = 0.25;
const BOIL_MIN = 10;

/** One drink of a text: what was read of it, what is unsure, what is missing; then on to the editor. */
export function DrinkReview(props: {
  index: number;
  drink: ReadDrink;
  text: string;
  reading: TextReading;
  name: string;
  about: string;
  tables: Tables;
  kit: ReadingKit;
  focus: string | null;
  onFocus: (fact: string) => void;
}) {
  const { index, drink, text, reading, name, about, tables, kit, focus, onFocus } = props;
  const draft = useReadDraft();
  const { put } = useRecipeDrafts();
  const navigate = useNavigate();
  const boils = draft.meant.includes(`${index}:boil`);
  const { lineFixes, stepFixes } = useMemo(
    () => ({
      lineFixes: Object.fromEntries(
        drink.lines.flatMap((l) => {
          const fix = draft.lines[keyOf(index, l.words)];
          return fix ? [[l.id, fix]] : [];
        }),
      ),
      stepFixes: Object.fromEntries(
        drink.steps.flatMap((s) => {
          const fix = draft.steps[keyOf(index, s.words)];
          return fix && !s.implied ? [[s.id, fix]] : [];
        }),
      ),
    }),
    [drink, draft.lines, draft.steps, index],
  );
  const added = draft.added[index] ?? [];
  const fixes = useMemo(
    () => ({ lines: lineFixes, steps: stepFixes, added, ...(boils ? { boilMin: BOIL_MIN } : {}) }),
    [lineFixes, stepFixes, added, boils],
  );
  const settled = useMemo(() => mended(drink, fixes, tables, kit), [drink, fixes, tables, kit]);
  const { recipe, missing, givesL } = useMemo(
    () => recipeOfRead(settled, { id: 'read', name }, tables),
    [settled, name, tables],
  );
  const lost = reading.spans
    .filter((s) => s.mark === 'notUnderstood')
    .map((s) => text.slice(s.start, s.end))
    .filter((w) => !draft.settled.includes(w));
  const facts = [...settled.lines, ...settled.steps.filter((s) => !s.implied)];
  const unsure = facts.filter((f) => f.doubts.some((d) => d !== 'optional')).length;
  const known = new Map(settled.lines.map((l) => [l.id, l]));
  const checks = settled.checks.filter((c) => !draft.meant.includes(`${index}:${c.kind}`));
  const slips = recipeWarnings(recipe, tables).filter((s) => !draft.meant.includes(s.key));
  const unknown = missing.filter((m) => m.kind === 'unknownThing').length;
  const meant = (key: string) => draft.set({ meant: [...draft.meant, key] });
  const saidL = drink.yield?.litres ?? null;
  const off = saidL !== null && givesL !== null && Math.abs(givesL / saidL - 1) > LITRES_OFF;

  const take = () => {
    put('new', {
      recipe: { ...recipe, id: uuid(), about },
      openedAt: 0,
      meant: draft.meant.filter((m) => !m.startsWith(`${index}:`)),
    });
    navigate('/drinks/write');
  };
  const stepNumber = new Map(settled.steps.map((s, i) => [s.id, i + 1]));

  return (
    <Box sx={{ display: 'grid', gap: 1.75, minWidth: 0 }}>
      <ReadHead
        counts={{
          read: facts.length - unsure + (drink.title ? 1 : 0) + (drink.yield ? 1 : 0) + drink.notes.length,
          unsure: unsure + slips.length,
          notUnderstood: lost.length,
        }}
      />
      <Panel
        title={name}
        aside={
          drink.yield
            ? `“${drink.yield.words}”`
            : givesL !== null && say('readPage.gives', { litres: litres(givesL) })
        }
      >
        {off && (
          <Box sx={{ color: role('caution') }} data-testid="litres-differ">
            {say('readPage.litresDiffer', { said: litres(saidL), gives: litres(givesL) })}
          </Box>
        )}
        {[...drink.lines, ...added].map((line) => {
          const shown = known.get(line.id) ?? line;
          const fact = `${index}:${line.id}`;
          return (
            <LineRow
              key={line.id}
              line={shown}
              weigh={measureToWeigh(shown, tables, kit)}
              places={placesOf(shown.stepIds, stepNumber)}
              left={Boolean(lineFixes[line.id]?.left)}
              lit={focus === fact}
              onFix={(fix) => draft.fixLine(keyOf(index, line.words), fix)}
              onLook={() => onFocus(fact)}
            />
          );
        })}
        {drink.lines.length === 0 && <Box>{say('pastePage.noIngredientWithAn')}</Box>}
        {drink.without.length > 0 && (
          <Box sx={{ color: role('inkMuted'), pt: 1 }}>
            {say('readPage.without', { what: drink.without.map((w) => `“${w.words}”`).join(', ') })}
          </Box>
        )}
      </Panel>
      <Panel title={say('readPage.theWay')}>
        <Box component="ol" sx={{ m: 0, pl: 3, display: 'grid', gap: 0.5 }}>
          {[...drink.steps, ...settled.steps.filter((s) => s.id === 'boil')].map((step) => (
            <StepRow
              key={step.id}
              step={settled.steps.find((s) => s.id === step.id) ?? step}
              left={Boolean(stepFixes[step.id]?.left)}
              lit={focus === `${index}:${step.id}`}
              onFix={(fix) => draft.fixStep(keyOf(index, step.words), fix)}
              onLook={() => onFocus(`${index}:${step.id}`)}
            />
          ))}
        </Box>
      </Panel>
      <NotUnderstood
        words={lost}
        tables={tables}
        kit={kit}
        onAdd={(line, words) => draft.add(index, line, words)}
        onLeave={draft.settle}
      />
      <Checks
        checks={checks}
        onMeant={(kind) => meant(`${index}:${kind}`)}
        onBoil={() => meant(`${index}:boil`)}
      />
      {slips.length > 0 && (
        <Panel title={say('slip.ask')}>
          <PlausibilityQuestions slips={slips} forL={recipe.basisL} onMeant={meant} />
        </Panel>
      )}
      <Box sx={{ display: 'flex', gap: 1.5, alignItems: 'center', flexWrap: 'wrap' }}>
        <Button variant="contained" disabled={settled.lines.length === 0 || unknown > 0} onClick={take}>
          {say('pastePage.takeItToThe')}
        </Button>
        <Box data-testid="still-missing">
          {unknown > 0 && <>{say('pastePage.notKnownYetSay', { unknown: num(unknown) })} </>}
          {missingText(missing.map((m) => m.kind))}
        </Box>
      </Box>
    </Box>
  );
}

const placesOf = (ids: readonly string[], numbers: ReadonlyMap<string, number>): string => {
  const at = ids.flatMap((id) => {
    const n = numbers.get(id);
    return n === undefined ? [] : [num(n)];
  });
  return at.length ? say('readPage.atStep', { steps: at.join(', ') }) : '';
};

/** What the recipe will still lack in the editor. */
function missingText(kinds: readonly string[]): string {
  const count = (kind: string) => kinds.filter((k) => k === kind).length;
  return [
    count('noAmount') && say('readPage.missingAmounts', { count: num(count('noAmount')) }),
    count('noTime') && say('readPage.missingTimes', { count: num(count('noTime')) }),
    count('noLitres') && say('readPage.missingLitres'),
    count('noSteps') && say('readPage.missingSteps'),
  ]
    .filter(Boolean)
    .join(' ');
}
