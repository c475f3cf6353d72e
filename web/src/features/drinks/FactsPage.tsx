import '../../words/places/drinks.ts';
import { familyOfItem } from '@big-ladle/core/book';
import { goesWith, sameStrengthG } from '@big-ladle/core/compare';
import { measuringKit } from '@big-ladle/core/program';
import {
  ALIAS_ROWS,
  FAMILY_ROWS,
  FRUIT_ROWS,
  type IngredientRow,
  SUBSTITUTE_ROWS,
  TOOL_ROWS,
} from '@big-ladle/core/tables';
import { asHandMeasures, fruitForJuice, juicePerKg } from '@big-ladle/core/units';
import Box from '@mui/material/Box';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { useState } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { useBook } from '../../shared/book.ts';
import { Choice } from '../../shared/Choice.tsx';
import { GoesWellWith } from '../../shared/GoesWellWith.tsx';
import { QuantityField } from '../../shared/QuantityField.tsx';
import { useKitchen } from '../../shared/queries.ts';
import { ErrorPanel, Loading, PageHead, Panel, Row } from '../../shared/ui.tsx';
import { role } from '../../theme/theme.ts';
import { sayItem } from '../../words/names.ts';
import { num } from '../../words/numbers.ts';
import { sayFamily } from '../../words/plainNames.ts';
import { grams, volume } from '../../words/quantities.ts';
import { sayRich } from '../../words/rich.ts';
import { handText, languageName, say, sayCode } from '../../words/say.ts';

/** How pale or pungent a root is, against the middling one of the tables. */
const ROOTS = [
  { value: 'weak', text: 'factsPage.youngAndMild', factor: 1.35 },
  { value: 'usual', text: 'factsPage.usual', factor: 1 },
  { value: 'strong', text: 'factsPage.oldAndSharp', factor: 0.75 },
] as const;

/** Whole fruit go by their name, pieces of a root by the name of the piece. */
function piecesText(count: number, row: IngredientRow): string {
  const code = `piece.${row.piece?.id}`;
  const piece = sayCode(code, { count });
  const name = sayItem(row.id).split(',')[0]!.toLowerCase();
  return name.includes(sayCode(code, { count: 1 }).toLowerCase())
    ? `${num(count)} × ${piece}`
    : say('factsPage.of', { count: num(count), piece, name });
}

/** Everything a cook asks of one plant: its forms against each other, pieces, juice, names, what stands in for it. */
export function FactsPage() {
  const { id = 'hibiscus' } = useParams();
  const navigate = useNavigate();
  const kitchen = useKitchen();
  const { tables } = useBook();
  const [massG, setMassG] = useState(100);
  const [juiceMl, setJuiceMl] = useState(500);
  const [root, setRoot] = useState<string>('usual');
  if (kitchen.isPending) return <Loading />;
  if (kitchen.isError) return <ErrorPanel error={kitchen.error} />;
  const k = kitchen.data.kitchen;
  const family = FAMILY_ROWS.find((f) => f.id === id) ?? familyOfItem(id) ?? FAMILY_ROWS[0]!;
  const forms = family.forms.flatMap((f) => {
    const row = tables.ingredients.get(f.itemId);
    return row ? [row] : [];
  });
  const [from] = family.forms.some((f) => f.itemId === id) ? forms.filter((f) => f.id === id) : forms;
  const kit = measuringKit(k);
  const fruit = FRUIT_ROWS.find((f) =>
    f.parts.some((p) => family.forms.some((form) => form.itemId === p.itemId)),
  );
  const juiceRow = family.juice
    ? tables.ingredients.get(family.juice.from)
    : forms.find((f) => juicePerKg(f, 'juicer') !== null);
  const subs = SUBSTITUTE_ROWS.filter((s) => family.forms.some((f) => f.itemId === s.itemId));
  const names = ALIAS_ROWS.filter((a) => a.family === family.id);
  const rootFactor = ROOTS.find((r) => r.value === root)?.factor ?? 1;
  const isRoot = forms.some((f) => f.traits.includes('varies'));
  const others = forms.flatMap((row) => {
    const sameG = from ? sameStrengthG(from, massG, row) : null;
    return sameG === null ? [] : [{ row, sameG }];
  });
  const name = sayFamily(family.id);
  return (
    <>
      <PageHead title={say('factsPage.facts', { name })} beside={say('factsPage.startingValuesWeighYour')}>
        <TextField
          select
          label={say('factsPage.of2')}
          value={family.id}
          onChange={(e) => navigate(`/drinks/facts/${e.target.value}`)}
          sx={{ minWidth: 200 }}
        >
          {FAMILY_ROWS.map((f) => (
            <MenuItem key={f.id} value={f.id}>
              {sayFamily(f.id)}
            </MenuItem>
          ))}
        </TextField>
      </PageHead>
      <Box
        sx={{
          display: 'grid',
          gridTemplateColumns: { xs: 'minmax(0,1fr)', md: 'minmax(0,1fr) minmax(0,1fr)' },
          gap: 1.75,
          alignItems: 'start',
        }}
      >
        {from && others.length > 1 && (
          <Panel title={say('factsPage.oneFormForAnother')} aside={say('factsPage.asStrongAsEach')}>
            <Box sx={{ display: 'flex', gap: 1.5, flexWrap: 'wrap', alignItems: 'flex-end', mb: 1 }}>
              <QuantityField
                label={sayItem(from.id)}
                value={massG}
                min={0.1}
                max={20_000}
                unit="g"
                onValue={setMassG}
                width={220}
              />
              {isRoot && (
                <Choice
                  label={say('factsPage.theRootIs')}
                  value={root}
                  options={ROOTS.map((r) => ({ value: r.value, text: say(r.text) }))}
                  onChange={setRoot}
                />
              )}
            </Box>
            {others.map(({ row, sameG }) => {
              const grams1 = sameG * (row.waterPct > 50 ? rootFactor : 1);
              const range = row.id === from.id ? 1 : 1.25;
              return (
                <Row
                  key={row.id}
                  dense
                  label={sayItem(row.id)}
                  note={range === 1 ? '' : `${grams(grams1 / range)}–${grams(grams1 * range)}`}
                >
                  {handText(asHandMeasures(grams1, row, kit), k.measures, row.id)} · {grams(grams1)}
                </Row>
              );
            })}
            <Box sx={{ color: role('inkMuted'), fontSize: '0.9rem', mt: 1 }}>
              {sayRich('factsPage.aCupSpoonOr', {
                link: <Link to="/kitchen?weigh=1">{say('factsPage.weighYourOwnCup')}</Link>,
                isRoot: Boolean(isRoot),
              })}
            </Box>
          </Panel>
        )}
        {juiceRow && (
          <Panel title={say('factsPage.fromFruitToJuice')}>
            <QuantityField
              label={say('factsPage.juiceWanted')}
              value={juiceMl}
              min={10}
              max={20_000}
              decimals={0}
              unit="mL"
              onValue={setJuiceMl}
            />
            {(['hand', 'blender', 'juicer'] as const).map((tool) => {
              const need =
                juiceRow.juiceMlPerKg[tool] === null ? null : fruitForJuice(juiceRow, juiceMl, tool);
              return need ? (
                <Row
                  key={tool}
                  dense
                  label={
                    tool === 'hand'
                      ? say('factsPage.squeezedByHand')
                      : tool === 'blender'
                        ? say('factsPage.blenderAndCloth')
                        : say('factsPage.juicer')
                  }
                  note={grams(need.massG)}
                >
                  {need.pieces === null
                    ? grams(need.massG)
                    : piecesText(Math.ceil(need.pieces - 0.05), juiceRow)}
                </Row>
              ) : null;
            })}
            <Box sx={{ color: role('inkMuted'), fontSize: '0.9rem', mt: 1 }}>
              {say('factsPage.fruitGivesAThird')}
            </Box>
          </Panel>
        )}
        {fruit && (
          <Panel
            title={say('factsPage.whereEachPartGoes')}
            aside={say('factsPage.aWholeOneWeighs', { whole: grams(fruit.wholeG) })}
          >
            {fruit.parts.map((p) => {
              const row = tables.ingredients.get(p.itemId);
              return (
                <Row key={p.itemId} dense label={sayItem(p.itemId)}>
                  {row?.piece
                    ? grams(row.piece.massG)
                    : p.share === 'juice' && juiceRow?.piece
                      ? volume(((juiceRow.piece.massG / 1000) * (juicePerKg(juiceRow, 'hand') ?? 0)) / 1000)
                      : '–'}
                </Row>
              );
            })}
            {fruit.bitter.map((b) => (
              <Box key={b.part} sx={{ color: role('caution'), fontSize: '0.92rem', mt: 0.5 }}>
                {say('factsPage.cookedOverMinTurns', { part: b.part, after: num(b.afterMin) })}
              </Box>
            ))}
            <Box sx={{ color: role('inkMuted'), fontSize: '0.9rem', mt: 1 }}>
              {say('factsPage.fleshJuiceAndWhole')}
            </Box>
          </Panel>
        )}
        {subs.length > 0 && (
          <Panel title={say('factsPage.whenItIsMissing')}>
            {subs.map((s) => (
              <Row
                key={`${s.itemId}${s.insteadId}`}
                dense
                label={say('factsPage.hundredGrams', { item: sayItem(s.itemId).toLowerCase() })}
                note={say(`moment.${s.moment}`)}
              >
                {grams(100 * s.ratio)} {sayItem(s.insteadId).toLowerCase()}
                <Box sx={{ color: role('inkMuted'), fontSize: '0.88rem', fontWeight: 400 }}>
                  {sayCode(s.note)}
                </Box>
              </Row>
            ))}
          </Panel>
        )}
        {family.forms.some((f) => goesWith(f.itemId, tables)) && (
          <Panel title={say('goesWith.title')}>
            <GoesWellWith itemIds={family.forms.map((f) => f.itemId)} tables={tables} />
          </Panel>
        )}
        <Panel title={say('factsPage.itsNames')}>
          <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap' }}>
            {names.map((a) => (
              <Box
                key={`${a.lang}${a.text}`}
                component="span"
                lang={a.lang === 'und' ? undefined : a.lang}
                sx={{ border: `1px solid ${role('line')}`, borderRadius: 2, px: 1, py: 0.25 }}
              >
                {a.text}{' '}
                <Box component="span" sx={{ color: role('inkMuted'), fontSize: '0.8rem' }}>
                  {a.lang === 'und' ? '' : languageName(a.lang)}
                </Box>
              </Box>
            ))}
          </Box>
          {names
            .filter((a) => a.falseFriend)
            .map((a) => (
              <Box key={a.text} sx={{ color: role('caution'), fontSize: '0.92rem', mt: 0.5 }}>
                <strong lang={a.lang === 'und' ? undefined : a.lang}>{a.text}</strong>:{' '}
                {sayCode(`friend.${a.falseFriend}`)}
              </Box>
            ))}
        </Panel>
        <Panel title={say('factsPage.whenAToolIs')}>
          {TOOL_ROWS.map((t) => (
            <Row
              key={t.missing + t.instead}
              dense
              label={`${say(`missing.${t.missing}`)}: ${sayCode(t.instead)}`}
              note={say('factsPage.theTime', { timeFactor: num(t.timeFactor, 1) })}
            >
              <Box component="span" sx={{ fontWeight: 400, fontSize: '0.92rem' }}>
                {say(`foam.${t.foam}`)}, {say(`clarity.${t.clarity}`)}
              </Box>
            </Row>
          ))}
        </Panel>
      </Box>
    </>
  );
}
