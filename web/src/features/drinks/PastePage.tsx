import '../../words/places/drinks.ts';
import {
  type Kitchen,
  measuringKit,
  type PastedLine,
  type PastedRecipe,
  parsePasted,
  type Recipe,
  readAs,
  readRecipeLd,
  recipeFromPasted,
  recipeWarnings,
  type Tables,
} from '@big-ladle/core';
import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { useMemo, useState } from 'react';
import { useNavigate } from 'react-router';
import { v7 as uuid } from 'uuid';
import { useBook } from '../../shared/book.ts';
import { Choice } from '../../shared/Choice.tsx';
import { FileButton } from '../../shared/FileButton.tsx';
import { PlausibilityQuestions } from '../../shared/PlausibilityQuestions.tsx';
import { QuantityField } from '../../shared/QuantityField.tsx';
import { useKitchen } from '../../shared/queries.ts';
import { ErrorPanel, Loading, PageHead, Panel } from '../../shared/ui.tsx';
import { heading, role } from '../../theme/theme.ts';
import { sayItem } from '../../words/names.ts';
import { duration, grams, num, say, sayCode } from '../../words/say.ts';
import { formsOf } from './forms.ts';
import { NewIngredient } from './NewIngredient.tsx';
import { useRecipeDrafts } from './recipeDraft.ts';

const LD_WORDS = {
  notJson: 'pastePage.notJson',
  noRecipe: 'pastePage.noRecipe',
  noIngredients: 'pastePage.noIngredients',
} as const;

/** What the cook has set right: by line, the item and its grams. */
type Fixes = Readonly<Record<number, { itemId?: string; massG?: number; left?: boolean; good?: boolean }>>;

/** A recipe from somewhere else: pasted words, or a page's source with a recipe in it. Every guess is shown. */
export function PastePage() {
  const kitchen = useKitchen();
  const { tables } = useBook();
  const [text, setText] = useState('');
  const [system, setSystem] = useState<'metric' | 'us' | null>(null);
  if (kitchen.isPending) return <Loading />;
  if (kitchen.isError) return <ErrorPanel error={kitchen.error} />;
  const k = kitchen.data.kitchen;
  return (
    <>
      <PageHead title={say('pastePage.pasteARecipe')} beside={say('pastePage.freeTextOrThe')} />
      <Box
        sx={{
          display: 'grid',
          gridTemplateColumns: { xs: 'minmax(0,1fr)', md: 'minmax(0,4fr) minmax(0,7fr)' },
          gap: 1.75,
          alignItems: 'start',
        }}
      >
        <Panel title={say('pastePage.theWords')}>
          <TextField
            label={say('pastePage.pasteItHere')}
            value={text}
            onChange={(e) => setText(e.target.value)}
            multiline
            minRows={12}
            maxRows={24}
            fullWidth
            slotProps={{ htmlInput: { 'data-testid': 'paste-text' } }}
          />
          <Box sx={{ display: 'flex', gap: 1.5, mt: 1.5, flexWrap: 'wrap', alignItems: 'flex-end' }}>
            <Choice
              label={say('pastePage.itsCupsAndSpoons')}
              value={system ?? k.units}
              options={[
                { value: 'metric', text: say('pastePage.metric') },
                { value: 'us', text: say('pastePage.us') },
              ]}
              onChange={(v) => setSystem(v as 'us')}
            />
            <FileButton
              label={say('pastePage.fromAFile')}
              accept=".json,.jsonld,.html,.htm,.txt"
              testId="paste-file"
              onFile={(file) => void file.text().then(setText)}
            />
          </Box>
        </Panel>
        {text.trim() && (
          <Read key={text} text={text} kitchen={k} tables={tables} system={system ?? k.units} />
        )}
      </Box>
    </>
  );
}

function Read(props: { text: string; kitchen: Kitchen; tables: Tables; system: 'metric' | 'us' }) {
  const { text, kitchen, tables, system } = props;
  const navigate = useNavigate();
  const { put } = useRecipeDrafts();
  const [fixes, setFixes] = useState<Fixes>({});
  const [asking, setAsking] = useState<number | null>(null);
  const [meant, setMeant] = useState<readonly string[]>([]);
  const read = useMemo((): { pasted: PastedRecipe; name: string; about: string } | { problem: string } => {
    const kit = { ...measuringKit(kitchen), system };
    const data = /^\s*[{[]/.test(text) || /application\/ld\+json/i.test(text);
    if (!data) {
      const pasted = parsePasted(text, tables, kit);
      return { pasted, name: pasted.title ?? say('pastePage.aPastedDrink'), about: '' };
    }
    const ld = readRecipeLd(text, tables, kit);
    if (!ld.ok)
      return {
        problem: say(LD_WORDS[ld.problem.kind], ld.problem.kind === 'notJson' ? { at: ld.problem.at } : {}),
      };
    return { pasted: ld.value.pasted, name: ld.value.name, about: ld.value.about };
  }, [text, kitchen, tables, system]);
  if ('problem' in read) return <Alert severity="error">{read.problem}</Alert>;
  const { pasted, name, about } = read;
  const fix = (index: number, change: Fixes[number]) =>
    setFixes({ ...fixes, [index]: { ...fixes[index], ...change } });
  const settled = pasted.lines.map((line, i): PastedLine => {
    const f = fixes[i];
    if (!f) return line;
    const said = f.itemId ? readAs(line, f.itemId, tables, measuringKit(kitchen)) : line;
    return { ...said, massG: f.massG ?? said.massG, sure: f.good ?? said.sure };
  });
  const kept = { ...pasted, lines: settled.filter((_, i) => !fixes[i]?.left) };
  const unknown = settled.filter((l, i) => !l.itemId && !fixes[i]?.left).length;
  const unsure = settled.filter((l, i) => !l.sure && !fixes[i]?.left).length;

  const recipe: Recipe = { ...recipeFromPasted(kept, { id: 'pasted', name }), about };
  // The text's own amounts: in the recipe sugar and water follow from sweetness and litres.
  const said = kept.lines.flatMap((l) => (l.itemId && l.massG ? [{ itemId: l.itemId, massG: l.massG }] : []));
  const slips = recipeWarnings({ ...recipe, lines: said }, tables).filter((s) => !meant.includes(s.key));

  const take = () => {
    put('new', { recipe: { ...recipe, id: uuid() }, openedAt: 0, meant: [...meant] });
    navigate('/drinks/write');
  };

  return (
    <Box sx={{ display: 'grid', gap: 1.75, minWidth: 0 }}>
      <Panel
        title={name}
        aside={say('pastePage.ingredientsStepsToLook', {
          lines: pasted.lines.length,
          steps: pasted.steps.filter((s) => !s.implied).length,
          unsure: unsure + slips.length,
          unsureIs: Boolean(unsure + slips.length),
        })}
      >
        {settled.map((line, i) => (
          <Box
            // biome-ignore lint/suspicious/noArrayIndexKey: lines stand in the order of the text and never move
            key={`${line.text}${i}`}
            data-testid="pasted-line"
            data-sure={line.sure}
            sx={{ borderBottom: `1px solid ${role('hairline')}`, py: 1, opacity: fixes[i]?.left ? 0.5 : 1 }}
          >
            <Box sx={{ display: 'flex', gap: 1, alignItems: 'center', flexWrap: 'wrap' }}>
              <Box sx={{ flex: '1 1 180px', minWidth: 0 }}>
                <Box sx={{ ...heading }}>
                  {line.itemId ? sayItem(line.itemId) : `“${line.unknownName}”`}
                  {line.massG !== null && <> · {grams(line.massG)}</>}
                  {line.toTaste && say('pastePage.toTaste')}
                </Box>
                <Box sx={{ color: role('inkMuted'), fontSize: '0.9rem' }}>“{line.text}”</Box>
                {!line.sure && (
                  <Box sx={{ color: role('caution'), fontSize: '0.92rem' }}>
                    {say('pastePage.aGuess', {
                      doubts: line.doubts.map((d) => say(`doubt.${d}`)).join(' '),
                      what: sayCode(`friend.${line.falseFriend}`),
                      isFalseFriend: Boolean(line.falseFriend),
                    })}
                  </Box>
                )}
              </Box>
              {!line.sure && !fixes[i]?.left && (
                <>
                  {line.itemId && (
                    <FormSelect line={line} onPick={(itemId) => fix(i, { itemId, good: true })} />
                  )}
                  <QuantityField
                    label={say('pastePage.gramsOf', {
                      item: line.itemId ? sayItem(line.itemId) : (line.unknownName ?? 'it'),
                    })}
                    value={line.massG === null ? null : Math.round(line.massG * 10) / 10}
                    min={0}
                    max={100_000}
                    unit="g"
                    width={170}
                    onCommit={(massG) => fix(i, { massG, good: line.itemId !== null })}
                  />
                  {line.itemId ? (
                    <Button size="small" variant="outlined" onClick={() => fix(i, { good: true })}>
                      {say('pastePage.itIsRight')}
                    </Button>
                  ) : (
                    <Button size="small" variant="outlined" onClick={() => setAsking(i)}>
                      {say('pastePage.sayWhatItIs')}
                    </Button>
                  )}
                  <Button size="small" onClick={() => fix(i, { left: true })}>
                    {say('pastePage.leaveItOut')}
                  </Button>
                </>
              )}
            </Box>
            {asking === i && (
              <Box sx={{ mt: 1 }}>
                <NewIngredient
                  name={line.unknownName ?? ''}
                  onMade={(facts) => {
                    fix(i, { itemId: facts.id, good: true });
                    setAsking(null);
                  }}
                  onCancel={() => setAsking(null)}
                />
              </Box>
            )}
          </Box>
        ))}
        {pasted.lines.length === 0 && <Box>{say('pastePage.noIngredientWithAn')}</Box>}
      </Panel>
      <Panel title={say('editorPage.steps')}>
        <Box component="ol" sx={{ m: 0, pl: 3, display: 'grid', gap: 0.5 }}>
          {pasted.steps.map((s, i) => (
            // biome-ignore lint/suspicious/noArrayIndexKey: steps stand in the order of the text and never move
            <li key={`${s.kind}${i}`}>
              <strong>{say(`step.${s.kind}`)}</strong>
              {s.length && (
                <>
                  , {duration(s.length.minutes)}
                  {s.length.max !== undefined && <> {say('pastePage.to', { max: duration(s.length.max) })}</>}
                </>
              )}
              {s.implied && (
                <Box component="span" sx={{ color: role('inkMuted') }}>
                  {' '}
                  {say('pastePage.meantNotWritten')}
                </Box>
              )}
              {!s.sure && (
                <Box component="span" sx={{ color: role('caution') }}>
                  {' '}
                  {say('pastePage.aGuess2')}
                </Box>
              )}
              {!s.implied && (
                <Box component="span" sx={{ color: role('inkMuted') }}>
                  {' '}
                  “{s.text}”
                </Box>
              )}
            </li>
          ))}
        </Box>
        {pasted.unread.length > 0 && (
          <Alert severity="info" sx={{ mt: 1.5 }} icon={false}>
            {say('pastePage.notUnderstoodAndLeft', { unread: pasted.unread.map((u) => `“${u}”`).join(', ') })}
          </Alert>
        )}
      </Panel>
      {slips.length > 0 && (
        <Panel title={say('slip.ask')}>
          <PlausibilityQuestions
            slips={slips}
            forL={recipe.basisL}
            onMeant={(key) => setMeant([...meant, key])}
          />
        </Panel>
      )}
      <Box sx={{ display: 'flex', gap: 1.5, alignItems: 'center', flexWrap: 'wrap' }}>
        <Button variant="contained" disabled={kept.lines.length === 0 || unknown > 0} onClick={take}>
          {say('pastePage.takeItToThe')}
        </Button>
        {unknown > 0 && <span>{say('pastePage.notKnownYetSay', { unknown: num(unknown) })}</span>}
      </Box>
    </Box>
  );
}

/** The other forms of the same thing, one tap away. */
function FormSelect({ line, onPick }: { line: PastedLine; onPick: (itemId: string) => void }) {
  const forms = formsOf(line.itemId ?? '');
  if (forms.length < 2) return null;
  return (
    <TextField
      select
      label={say('pastePage.form')}
      value={line.itemId ?? ''}
      onChange={(e) => onPick(e.target.value)}
      sx={{ minWidth: 170 }}
    >
      {forms.map((id) => (
        <MenuItem key={id} value={id}>
          {sayItem(id)}
        </MenuItem>
      ))}
    </TextField>
  );
}
