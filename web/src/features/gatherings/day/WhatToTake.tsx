import '../../../words/places/gatherings.ts';
import type { Kitchen } from '@big-ladle/core/documents';
import type { FeastJob, Sized } from '@big-ladle/core/gathering';
import type { Tables } from '@big-ladle/core/tables';
import Box from '@mui/material/Box';
import { lineAmount } from '../../../shared/batch/lineAmount.ts';
import { lineGrams } from '../../../shared/recipeText/goesIn.ts';
import { role } from '../../../theme/theme.ts';
import { sayItem } from '../../../words/names.ts';
import { say } from '../../../words/say.ts';

/** What goes in with a job, to be fetched beforehand, of all drinks that it is done for. */
export function WhatToTake(props: { job: FeastJob; sized: Sized; kitchen: Kitchen; tables: Tables }) {
  const { job, sized, kitchen, tables } = props;
  const steps = new Set(job.parts.map((p) => p.stepId));
  const massG = new Map<string, number>();
  for (const drinkId of job.together) {
    const made = sized.drinks.find((d) => d.id === drinkId)?.made;
    if (!made) continue;
    const lines = made.program.steps.filter((s) => steps.has(s.id)).flatMap((s) => s.lines);
    for (const line of made.program.lines.filter((l) => lines.includes(l.id)))
      massG.set(line.itemId, (massG.get(line.itemId) ?? 0) + lineGrams(made, line.id));
  }
  const list = [...massG]
    .filter(([, g]) => g > 0)
    .map(([itemId, g]) => `${lineAmount(itemId, g, kitchen, tables).hand} ${sayItem(itemId).toLowerCase()}`);
  if (list.length === 0) return null;
  return <Box sx={{ color: role('inkMuted') }}>{say('day.take', { list: list.join(', ') })}</Box>;
}
