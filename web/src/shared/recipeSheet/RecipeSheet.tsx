import '../../words/places/drinks.ts';
import '../../words/places/recipeText.ts';
import type { Kitchen, Recipe } from '@big-ladle/core/documents';
import { bandOf, lanesOf } from '@big-ladle/core/plan';
import { finishedL } from '@big-ladle/core/program';
import type { Tables, Tag } from '@big-ladle/core/tables';
import Box from '@mui/material/Box';
import { sayItem } from '../../words/names.ts';
import { litres } from '../../words/quantities.ts';
import { days, duration, say } from '../../words/say.ts';
import { sayCautions } from '../LotMarks.tsx';
import { amountText, lineGrams } from '../recipeText/goesIn.ts';
import type { TextStep } from '../recipeText/sentences.ts';
import type { TextInput } from '../recipeText/types.ts';
import { PAPER_PX, Sheet, type SheetPlace } from '../Sheet.tsx';
import { BandDrawing } from './BandDrawing.tsx';
import { daysKept } from './daysKept.ts';

/** A recipe on one page, to hang beside the stove: it shows on paper, or stands beside the screen for a picture of it. */
export function RecipeSheet(props: {
  recipe: Recipe;
  name: string;
  about: string;
  made: Pick<TextInput, 'program' | 'sim' | 'addedG'>;
  steps: readonly TextStep[];
  tags: ReadonlySet<Tag>;
  kitchen: Kitchen;
  tables: Tables;
  place: SheetPlace;
}) {
  const { place, name, about, made, steps, tags, kitchen, tables } = props;
  const keeps = daysKept(made, kitchen);
  const cautions = sayCautions(tags);
  return (
    <Sheet place={place} testId="recipe-sheet" fontSize="10pt">
      <Box component="h1" sx={{ fontSize: '20pt', m: 0 }}>
        {name}
      </Box>
      <Box>{about}</Box>
      <Box sx={{ mb: '2mm' }}>
        {[
          say('recipePage.forInBottles', { basis: litres(finishedL(made.sim)) }),
          duration(made.sim.endMin),
          ...(keeps === null ? [] : [`${say('recipeFace.drinkWithin').toLowerCase()} ${days(keeps)}`]),
        ].join(' · ')}
      </Box>
      <BandDrawing
        spans={bandOf(lanesOf(made.program, made.sim, tables))}
        program={made.program}
        pours={false}
        width={PAPER_PX}
      />
      <Box sx={{ display: 'grid', gridTemplateColumns: '5fr 7fr', gap: '8mm', mt: '3mm' }}>
        <Box>
          <Box component="h2" sx={{ fontSize: '13pt', m: 0 }}>
            {say('common.whatGoesIn')}
          </Box>
          {made.program.lines.map((line) => {
            const massG = lineGrams(made, line.id);
            return (
              <Box
                key={line.id}
                sx={{
                  display: 'flex',
                  gap: '3mm',
                  justifyContent: 'space-between',
                  borderBottom: '1px solid #999',
                }}
              >
                <span>{sayItem(line.itemId)}</span>
                <strong>
                  {massG > 0 ? amountText(line.itemId, massG, kitchen, tables) : say('recipePage.byTaste')}
                </strong>
              </Box>
            );
          })}
        </Box>
        <Box>
          <Box component="h2" sx={{ fontSize: '13pt', m: 0 }}>
            {say('common.whatToDo')}
          </Box>
          <Box component="ol" sx={{ m: 0, pl: '6mm' }}>
            {steps.map(({ sentence, own }) => (
              <li key={sentence}>
                {sentence} {own && say('text.ownWords', { text: own })}
              </li>
            ))}
          </Box>
        </Box>
      </Box>
      {cautions.length > 0 && (
        <Box sx={{ mt: '3mm', border: '1px solid #000', p: '2mm' }}>{cautions.join(' ')}</Box>
      )}
    </Sheet>
  );
}
