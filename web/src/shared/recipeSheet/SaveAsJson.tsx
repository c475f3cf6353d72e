import '../../words/places/drinks.ts';
import { type LdRecipe, toRecipeLd } from '@big-ladle/core/exchange';
import { timetableFrom } from '@big-ladle/core/plan';
import type { Tables } from '@big-ladle/core/tables';
import Button from '@mui/material/Button';
import { say } from '../../words/say.ts';
import { useBook } from '../book.ts';
import { lineGrams } from '../recipeText/goesIn.ts';
import type { TextStep } from '../recipeText/sentences.ts';
import type { TextInput } from '../recipeText/types.ts';
import { saveText } from '../saveText.ts';

/** Saves a recipe, or a batch as it was made, as JSON-LD that other programs read. */
export function SaveAsJson(props: {
  /** Without its ending. */
  fileName: string;
  /** What is said of it: the recipe's own lines, or what really went in. */
  said: LdRecipe;
  name: string;
  about: string;
  made: Pick<TextInput, 'program' | 'sim' | 'addedG'>;
  steps: readonly TextStep[];
  tables: Tables;
}) {
  const { fileName, said, name, about, made, steps, tables } = props;
  const { facts } = useBook();
  const save = () => {
    const { handsOnMin, totalMin } = timetableFrom(made.program, made.sim, 0);
    const words = {
      name,
      about,
      // Cautions go along with the step at which they are to be minded.
      steps: steps.map(({ sentence, cautions }) => ({ text: sentence, cautions })),
      solvedG: Object.fromEntries(made.program.lines.map((l) => [l.id, lineGrams(made, l.id)])),
      customNames: Object.fromEntries(facts.map((f) => [f.id, f.name])),
    };
    const ld = toRecipeLd(said, words, tables, { handsOnMin, totalMin });
    saveText(`${fileName}.recipe.json`, JSON.stringify(ld, null, 2), 'application/ld+json');
  };
  return (
    <Button variant="outlined" onClick={save}>
      {say('recipePage.saveAsRecipeJson')}
    </Button>
  );
}
