import '../../../words/places/drinks.ts';
import type { Kitchen } from '@big-ladle/core/documents';
import { LONGEST_TEXT, readRecipeLd, readText, type TextReading } from '@big-ladle/core/exchange';
import { measuringKit } from '@big-ladle/core/program';
import type { Tables } from '@big-ladle/core/tables';
import { UNIT_SYSTEMS, type UnitSystem } from '@big-ladle/core/units';
import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { useMemo, useState } from 'react';
import { useBook } from '../../../shared/book.ts';
import { Choice } from '../../../shared/Choice.tsx';
import { FileButton } from '../../../shared/FileButton.tsx';
import { useKitchen } from '../../../shared/queries.ts';
import { ErrorPanel, Loading, PageHead, Panel } from '../../../shared/ui.tsx';
import { num } from '../../../words/numbers.ts';
import { say } from '../../../words/say.ts';
import { DrinkReview } from './DrinkReview.tsx';
import { MarkedText } from './MarkedText.tsx';
import { useReadDraft } from './readDraft.ts';

const LD_WORDS = {
  notJson: 'pastePage.notJson',
  noRecipe: 'pastePage.noRecipe',
  noIngredients: 'pastePage.noIngredients',
} as const;

/** A recipe from somewhere else: a message, a page's source, a file. What became of every piece of it is seen. */
export function ReadPage() {
  const kitchen = useKitchen();
  const { tables } = useBook();
  const draft = useReadDraft();
  const [tooLong, setTooLong] = useState(false);
  if (kitchen.isPending) return <Loading />;
  if (kitchen.isError) return <ErrorPanel error={kitchen.error} />;
  const k = kitchen.data.kitchen;
  const write = (text: string) => {
    setTooLong(text.length > LONGEST_TEXT);
    draft.set({ text: text.slice(0, LONGEST_TEXT) });
  };
  const system = draft.system ?? k.units;
  return (
    <>
      <PageHead title={say('pastePage.pasteARecipe')} beside={say('pastePage.freeTextOrThe')} />
      <Panel title={say('pastePage.theWords')} sx={{ mb: 1.75 }}>
        <TextField
          label={say('pastePage.pasteItHere')}
          value={draft.text}
          onChange={(e) => write(e.target.value)}
          multiline
          minRows={draft.text ? 3 : 10}
          maxRows={draft.text ? 5 : 24}
          fullWidth
          slotProps={{ htmlInput: { 'data-testid': 'paste-text' } }}
        />
        {tooLong && (
          <Alert severity="warning" sx={{ mt: 1 }}>
            {say('readPage.tooLong', { most: num(LONGEST_TEXT) })}
          </Alert>
        )}
        <Box sx={{ display: 'flex', gap: 1.5, mt: 1.5, flexWrap: 'wrap', alignItems: 'flex-end' }}>
          <Choice
            label={say('pastePage.itsCupsAndSpoons')}
            value={system}
            options={UNIT_SYSTEMS.map((value) => ({ value, text: say(`pastePage.${value}`) }))}
            onChange={(v) => draft.set({ system: v as UnitSystem })}
          />
          <FileButton
            label={say('pastePage.fromAFile')}
            accept=".json,.jsonld,.html,.htm,.txt,.md"
            testId="paste-file"
            onFile={(file) => void file.text().then(write)}
          />
          {draft.text && <Button onClick={draft.clear}>{say('readPage.startAgain')}</Button>}
        </Box>
      </Panel>
      {draft.text.trim() && <Read text={draft.text} kitchen={k} tables={tables} system={system} />}
    </>
  );
}

type Source = { reading: TextReading; text: string; name: string | null; about: string };

function Read(props: { text: string; kitchen: Kitchen; tables: Tables; system: UnitSystem }) {
  const { text, kitchen, tables, system } = props;
  const draft = useReadDraft();
  const [focus, setFocus] = useState<string | null>(null);
  const kit = useMemo(() => ({ ...measuringKit(kitchen), system }), [kitchen, system]);
  const read = useMemo((): Source | { problem: string } => {
    const data = /^\s*[{[]/.test(text) || /application\/ld\+json/i.test(text);
    if (!data) return { reading: readText(text, tables, kit), text, name: null, about: '' };
    const ld = readRecipeLd(text, tables, kit);
    return ld.ok
      ? { reading: ld.value.reading, text: ld.value.text, name: ld.value.name, about: ld.value.about }
      : {
          problem: say(LD_WORDS[ld.problem.kind], ld.problem.kind === 'notJson' ? { at: ld.problem.at } : {}),
        };
  }, [text, tables, kit]);
  if ('problem' in read) return <Alert severity="error">{read.problem}</Alert>;
  const { drinks, spans } = read.reading;
  const at = Math.min(draft.drink, drinks.length - 1);
  const drink = drinks[at];
  if (!drink) return <Alert severity="info">{say('pastePage.noIngredientWithAn')}</Alert>;
  const look = (facts: readonly string[]) => {
    const [fact] = [...facts].sort((a, b) => Number(b.includes(':l')) - Number(a.includes(':l')));
    if (!fact) return;
    const [index, id] = fact.split(':');
    if (Number(index) !== at) draft.set({ drink: Number(index) });
    setFocus(fact);
    document
      .getElementById(`${id!.startsWith('l') ? 'line' : 'step'}-${id}`)
      ?.scrollIntoView({ block: 'nearest' });
  };
  return (
    <>
      {drinks.length > 1 && (
        <Box sx={{ mb: 1.5 }}>
          <Choice
            label={say('readPage.severalDrinks', { count: num(drinks.length) })}
            value={String(at)}
            options={drinks.map((d, i) => ({
              value: String(i),
              text: d.title?.words ?? say('readPage.drinkNumber', { number: num(i + 1) }),
            }))}
            onChange={(v) => draft.set({ drink: Number(v) })}
          />
        </Box>
      )}
      <Box
        sx={{
          display: 'grid',
          gridTemplateColumns: { xs: 'minmax(0,1fr)', md: 'minmax(0,5fr) minmax(0,8fr)' },
          gap: 1.75,
          alignItems: 'start',
        }}
      >
        <Panel title={say('readPage.whatBecameOfIt')} sx={{ position: { md: 'sticky' }, top: 8 }}>
          <Box
            sx={{ maxHeight: { md: '78vh' }, overflow: 'auto' }}
            tabIndex={0}
            role="group"
            aria-label={say('readPage.whatBecameOfIt')}
          >
            <MarkedText text={read.text} spans={spans} focus={focus} onFocus={look} />
          </Box>
        </Panel>
        <DrinkReview
          key={at}
          index={at}
          drink={drink}
          text={read.text}
          reading={read.reading}
          name={read.name ?? drink.title?.words ?? say('pastePage.aPastedDrink')}
          about={read.about}
          tables={tables}
          kit={kit}
          focus={focus}
          onFocus={setFocus}
        />
      </Box>
    </>
  );
}
