import '../../words/places/drinks.ts';
import { presetsOf } from '@big-ladle/core/book';
import { sameStrengthG } from '@big-ladle/core/compare';
import type { RecipeLine } from '@big-ladle/core/documents';
import { CUT_ROWS, isCut, type Tables } from '@big-ladle/core/tables';
import Box from '@mui/material/Box';
import { sayItem } from '../../words/names.ts';
import { say } from '../../words/say.ts';
import { formsOf } from './forms.ts';
import { PickField } from './PickField.tsx';

/** As it is by itself: nothing is said of it. */
const USUAL = '';

/** What few recipes say of a thing: its form, how it is cut, whether it follows light and dark, mild and hot. */
export function LineMore(props: {
  id: string;
  line: RecipeLine;
  tables: Tables;
  onChange: (change: Partial<RecipeLine>) => void;
}) {
  const { id, line, tables, onChange } = props;
  const name = sayItem(line.itemId);
  const forms = formsOf(line.itemId).filter((form) => tables.ingredients.has(form));
  const usual = presetsOf({ lines: [{ ...line, strong: undefined, hot: undefined }] }, tables);
  const pick = (
    label: string,
    value: string,
    options: readonly (readonly [string, string])[],
    onPick: (value: string) => void,
  ) => <PickField label={label} name={name} value={value} options={options} onPick={onPick} minWidth={150} />;
  /** Another form of the same plant, as much of it as is as strong. */
  const toForm = (itemId: string) => {
    const from = tables.ingredients.get(line.itemId);
    const to = tables.ingredients.get(itemId);
    const massG = from && to ? (sameStrengthG(from, line.massG, to) ?? line.massG) : line.massG;
    onChange({ itemId, massG: Math.round(massG * 10) / 10 });
  };
  const follows = (key: 'strong' | 'hot') =>
    pick(
      say(`lineMore.${key}`),
      line[key] === undefined ? USUAL : line[key] ? 'yes' : 'no',
      [
        [USUAL, say('lineMore.usual', { follows: usual[key].has(line.id) })],
        ['yes', say('lineMore.follows')],
        ['no', say('lineMore.stays')],
      ],
      (value) => onChange({ [key]: value === USUAL ? undefined : value === 'yes' }),
    );
  return (
    <Box id={id} sx={{ display: 'flex', gap: 1, flexWrap: 'wrap', pt: 1 }} data-testid="line-more">
      {forms.length > 1 &&
        pick(
          say('lineMore.form'),
          line.itemId,
          forms.map((form) => [form, sayItem(form)] as const),
          toForm,
        )}
      {pick(
        say('lineMore.cut'),
        line.prep?.code ?? USUAL,
        [
          [USUAL, say('lineMore.notCut')],
          ...CUT_ROWS.map((row) => [row.code, say(row.code)] as const),
          ...(line.prep && !isCut(line.prep.code) ? [[line.prep.code, line.prep.code] as const] : []),
        ],
        (code) => {
          const row = CUT_ROWS.find((r) => r.code === code);
          onChange({ prep: code === USUAL ? null : { code, minutes: row?.minutes ?? 5 } });
        },
      )}
      {follows('strong')}
      {follows('hot')}
    </Box>
  );
}
