import { type ImportReport, ROUTES } from '@big-ladle/core';
import { num } from '../words/say.ts';
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
      said: `${file.name} is no JSON file: ${error instanceof Error ? error.message : 'it cannot be read'}. Nothing was taken in.`,
    };
  }
  try {
    const r = await ask(ROUTES.importArchive, { body: value });
    await queryClient.invalidateQueries();
    return {
      ok: true,
      said: `Taken in: ${num(r.recipes)} recipes, ${num(r.ingredients)} ingredients, ${num(r.batches)} batches with ${num(r.events)} entries${r.kitchen ? ', and the kitchen' : ''}. ${r.kept > 0 ? `${num(r.kept)} were here already and stayed as they are. ` : ''}${oddities(r)}`,
    };
  } catch (error) {
    return {
      ok: false,
      said:
        error instanceof ApiError
          ? error.detail
          : 'The kitchen server does not answer. Nothing was taken in.',
    };
  }
}

/** What was taken in although it would be refused today, and what was not taken in. */
function oddities({ outside, passedOver }: ImportReport): string {
  const named = outside.slice(0, NAMED).map((o) => `${o.field} of ${o.id}`);
  const more = outside.length > NAMED ? ` and ${num(outside.length - NAMED)} more` : '';
  return [
    outside.length > 0 ? `Kept, though outside of today’s limits: ${named.join(', ')}${more}. ` : '',
    passedOver > 0 ? `${num(passedOver)} entries of a kind that is not known were left out.` : '',
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
