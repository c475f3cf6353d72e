import '../../words/places/drinks.ts';
import { sameStrengthG } from '@big-ladle/core/compare';
import type { MethodId, Recipe } from '@big-ladle/core/documents';
import { volumeMl } from '@big-ladle/core/liquor';
import { finishedL, finishedLiquor, largestFilling } from '@big-ladle/core/program';
import type { Tables } from '@big-ladle/core/tables';
import Box from '@mui/material/Box';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { useSearchParams } from 'react-router';
import { useBook } from '../../shared/book.ts';
import { Explain } from '../../shared/Explain.tsx';
import type { Term } from '../../shared/help.ts';
import { useKitchen } from '../../shared/queries.ts';
import { lineGrams } from '../../shared/recipeText/goesIn.ts';
import { ErrorPanel, Loading, PageHead, Panel } from '../../shared/ui.tsx';
import { heading, role } from '../../theme/theme.ts';
import { sayDrink, sayItem } from '../../words/names.ts';
import { num } from '../../words/numbers.ts';
import { grams } from '../../words/quantities.ts';
import { duration, say, sayCode } from '../../words/say.ts';
import { formsOf } from './forms.ts';
import { type Made, useMade } from './useMade.ts';

/** Grams of every plant for a finished litre: forms of one plant together. */
function perLitre(made: Made | null): Map<string, { itemId: string; gPerL: number }> {
  const out = new Map<string, { itemId: string; gPerL: number }>();
  if (!made) return out;
  const litres = finishedL(made.sim) || 1;
  for (const line of made.program.lines) {
    const key = formsOf(line.itemId)[0] ?? line.itemId;
    const grams1 = lineGrams(made, line.id) / litres;
    const before = out.get(key);
    out.set(key, { itemId: before?.itemId ?? line.itemId, gPerL: (before?.gPerL ?? 0) + grams1 });
  }
  return out;
}

interface Amount {
  itemId: string;
  gPerL: number;
}

/** As much of one form as is as strong as this of another; as it is where the two do not compare. */
function inTheForm(amount: Amount, itemId: string, tables: Tables): Amount {
  const from = tables.ingredients.get(amount.itemId);
  const to = tables.ingredients.get(itemId);
  const same = from && to ? sameStrengthG(from, amount.gPerL, to) : null;
  return same === null ? amount : { itemId, gPerL: same };
}

/** Sugar of what was put in to sweeten, for a finished litre: whatever the sweetener is. */
function addedSugarGPerL(made: Made): number {
  const liquor = finishedLiquor(made.sim);
  return liquor ? liquor.addedSugarG / (volumeMl(liquor) / 1000) : 0;
}

/** Two recipes fairly: by weight, for a finished litre. */
export function TwoPage() {
  const [search, setSearch] = useSearchParams();
  const kitchen = useKitchen();
  const { book, tables } = useBook();
  const a = book.find((r) => r.id === search.get('a')) ?? book[0];
  const b = book.find((r) => r.id === search.get('b')) ?? book[1];
  const methodOf = (key: 'ma' | 'mb', recipe: Recipe | undefined): MethodId | undefined =>
    recipe?.methods.find((m) => m === search.get(key)) ?? recipe?.methods[0];
  const madeA = useMade(a, kitchen.data?.kitchen, tables, methodOf('ma', a));
  const madeB = useMade(b, kitchen.data?.kitchen, tables, methodOf('mb', b));
  if (kitchen.isPending) return <Loading />;
  if (kitchen.isError) return <ErrorPanel error={kitchen.error} />;
  const pick = (key: 'a' | 'b', recipe: Recipe | undefined) => (
    <TextField
      select
      label={key === 'a' ? say('twoPage.one') : say('twoPage.theOther')}
      value={recipe?.id ?? ''}
      onChange={(e) => {
        search.set(key, e.target.value);
        search.delete(key === 'a' ? 'ma' : 'mb');
        setSearch(search, { replace: true });
      }}
      sx={{ minWidth: 240 }}
    >
      {book.map((r) => (
        <MenuItem key={r.id} value={r.id}>
          {sayDrink(r.id, r.name)}
        </MenuItem>
      ))}
    </TextField>
  );
  const pickMethod = (key: 'ma' | 'mb', recipe: Recipe | undefined) => (
    <TextField
      select
      label={say(key === 'ma' ? 'twoPage.oneBy' : 'twoPage.otherBy')}
      value={methodOf(key, recipe) ?? ''}
      onChange={(e) => {
        search.set(key, e.target.value);
        setSearch(search, { replace: true });
      }}
      sx={{ minWidth: 200 }}
    >
      {(recipe?.methods ?? []).map((m) => (
        <MenuItem key={m} value={m}>
          {say(`method.${m}`)}
        </MenuItem>
      ))}
    </TextField>
  );
  return (
    <>
      <PageHead title={say('twoPage.twoRecipesLitreFor')} beside={say('twoPage.byWeightInThis')} />
      <Panel>
        <Box sx={{ display: 'flex', gap: 1.5, flexWrap: 'wrap', mb: 1.5 }}>
          {pick('a', a)}
          {pickMethod('ma', a)}
          {pick('b', b)}
          {pickMethod('mb', b)}
        </Box>
        <TwoTable a={a} b={b} madeA={madeA} madeB={madeB} tables={tables} />
      </Panel>
    </>
  );
}

function TwoTable(props: {
  a: Recipe | undefined;
  b: Recipe | undefined;
  madeA: Made | null;
  madeB: Made | null;
  tables: Tables;
}) {
  const { a, b, madeA, madeB, tables } = props;
  const left = perLitre(madeA);
  const right = perLitre(madeB);
  const keys = [...new Set([...left.keys(), ...right.keys()])].sort(
    (x, y) =>
      (right.get(y)?.gPerL ?? 0) +
      (left.get(y)?.gPerL ?? 0) -
      ((right.get(x)?.gPerL ?? 0) + (left.get(x)?.gPerL ?? 0)),
  );
  const cell = { p: 0.75, textAlign: 'left', borderBottom: `1px solid ${role('hairline')}` } as const;
  const figure = (made: Made | null, show: (made: Made) => string) => (made ? show(made) : '–');
  const rows: [string, (made: Made) => string, Term?][] = [
    [say('twoPage.sugar'), (m) => grams(addedSugarGPerL(m))],
    [say('twoPage.brix'), (m) => num(largestFilling(m.sim)?.now.brix ?? 0, 1), 'brix'],
    [
      say('twoPage.sourAsCitricG'),
      (m) => num(Math.max(0, largestFilling(m.sim)?.now.sournessGPerL ?? 0), 1),
      'sourness',
    ],
    [say('editorPage.fromStartToBottles'), (m) => duration(m.sim.endMin)],
  ];
  return (
    <Box
      sx={{ overflowX: 'auto' }}
      tabIndex={0}
      role="region"
      aria-label={say('twoPage.twoRecipesInFigures')}
    >
      <Box
        component="table"
        sx={{ borderCollapse: 'collapse', width: '100%', minWidth: 420 }}
        data-testid="two-table"
      >
        <thead>
          <tr>
            <Box component="th" scope="col" sx={{ ...cell, fontWeight: 400, color: role('inkMuted') }}>
              {say('twoPage.forALitre')}
            </Box>
            <Box component="th" scope="col" sx={{ ...cell, ...heading }}>
              {a ? sayDrink(a.id, a.name) : '–'}
            </Box>
            <Box component="th" scope="col" sx={{ ...cell, ...heading }}>
              {b ? sayDrink(b.id, b.name) : '–'}
            </Box>
          </tr>
        </thead>
        <tbody>
          {keys.map((key) => {
            const l = left.get(key);
            const given = right.get(key);
            // Another form of it counts as so much of the one beside it: 250 g fresh as 33 g dried.
            const r = given && l ? inTheForm(given, l.itemId, tables) : given;
            return (
              <tr key={key}>
                <Box component="th" scope="row" sx={{ ...cell, fontWeight: 400 }}>
                  {sayItem((l ?? r)!.itemId)}
                </Box>
                <Box
                  component="td"
                  sx={{ ...cell, fontWeight: (l?.gPerL ?? 0) > (r?.gPerL ?? 0) * 1.05 ? 700 : 400 }}
                >
                  {l ? grams(l.gPerL) : '–'}
                </Box>
                <Box
                  component="td"
                  sx={{ ...cell, fontWeight: (r?.gPerL ?? 0) > (l?.gPerL ?? 0) * 1.05 ? 700 : 400 }}
                >
                  {r
                    ? given && given.itemId !== r.itemId
                      ? say('twoPage.asMuchAs', {
                          mass: grams(r.gPerL),
                          given: grams(given.gPerL),
                          item: sayItem(given.itemId).toLowerCase(),
                        })
                      : `${grams(r.gPerL)}${l && r.itemId !== l.itemId ? ` (${sayItem(r.itemId).toLowerCase()})` : ''}`
                    : '–'}
                </Box>
              </tr>
            );
          })}
          {rows.map(([label, show, term]) => (
            <tr key={label}>
              <Box component="th" scope="row" sx={{ ...cell, fontWeight: 400, color: role('inkMuted') }}>
                {term ? <Explain term={term}>{label}</Explain> : label}
              </Box>
              <Box component="td" sx={cell}>
                {figure(madeA, show)}
              </Box>
              <Box component="td" sx={cell}>
                {figure(madeB, show)}
              </Box>
            </tr>
          ))}
          <tr>
            <Box component="th" scope="row" sx={{ ...cell, fontWeight: 400, color: role('inkMuted') }}>
              {say('twoPage.by')}
            </Box>
            {[madeA, madeB].map((m, i) => (
              <Box component="td" key={i === 0 ? 'a' : 'b'} sx={cell}>
                {m ? sayCode(`method.${m.program.methodId}`) : '–'}
              </Box>
            ))}
          </tr>
        </tbody>
      </Box>
    </Box>
  );
}
