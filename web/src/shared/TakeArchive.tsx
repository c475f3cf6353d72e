import { type ImportReport, ROUTES } from '@big-ladle/core';
import { num, say } from '../words/say.ts';
import { ApiError, ask } from './api.ts';
import { FileButton } from './FileButton.tsx';
import { queryClient } from './queries.ts';

export type Taken = { ok: true; said: string } | { ok: false; said: string };

/** Takes a kitchen in from a file, adding what is not here; says what came in, or what is wrong with the file. */
async function takeArchive(file: File): Promise<Taken> {
  let value: unknown;
  try {
    value = JSON.parse(await file.text());
  } catch (error) {
    return {
      ok: false,
      said: say('takeArchive.isNoJsonFile', {
        name: file.name,
        message: error instanceof Error ? error.message : say('takeArchive.itCannotBeRead'),
      }),
    };
  }
  try {
    const r = await ask(ROUTES.importArchive, { body: value });
    await queryClient.invalidateQueries();
    return {
      ok: true,
      said: say('takeArchive.takenInRecipesIngredients', {
        recipes: num(r.recipes),
        ingredients: num(r.ingredients),
        batches: num(r.batches),
        events: num(r.events),
        isKitchen: Boolean(r.kitchen),
        kept: num(r.kept),
        keptSome: r.kept > 0,
        oddities: oddities(r),
      }),
    };
  } catch (error) {
    return {
      ok: false,
      said: error instanceof ApiError ? error.detail : say('takeArchive.theKitchenServerDoes'),
    };
  }
}

/** What was taken in although it would be refused today, and what was not taken in. */
function oddities({ outside, passedOver }: ImportReport): string {
  const named = outside.slice(0, NAMED).map((o) => say('takeArchive.of', { field: o.field, id: o.id }));
  const more =
    outside.length > NAMED ? say('takeArchive.andMore', { count: num(outside.length - NAMED) }) : '';
  return [
    outside.length > 0 ? say('takeArchive.keptThoughOutsideOf', { named: named.join(', '), more }) : '',
    passedOver > 0 ? say('takeArchive.entriesOfAKind', { passedOver: num(passedOver) }) : '',
  ].join('');
}
/** So many are named one by one. */
const NAMED = 5;

/** The button that asks for the file. */
export function TakeArchive({ label, onTaken }: { label: string; onTaken: (taken: Taken | null) => void }) {
  return (
    <FileButton
      label={label}
      accept=".json,application/json"
      testId="archive-file"
      onFile={(file) => {
        onTaken(null);
        void takeArchive(file).then(onTaken);
      }}
    />
  );
}
