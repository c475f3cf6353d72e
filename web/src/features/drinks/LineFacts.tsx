import '../../words/places/drinks.ts';
import type { Kitchen } from '@big-ladle/core/documents';
import { measuringKit } from '@big-ladle/core/program';
import { FRUIT_ROWS, SUBSTITUTE_ROWS, type Tables, USUAL_ROWS } from '@big-ladle/core/tables';
import { asHandMeasures, fruitForJuice } from '@big-ladle/core/units';
import Box from '@mui/material/Box';
import { Link } from 'react-router';
import { role } from '../../theme/theme.ts';
import { sayItem } from '../../words/names.ts';
import { num } from '../../words/numbers.ts';
import { grams, volume } from '../../words/quantities.ts';
import { sayRich } from '../../words/rich.ts';
import { handText, say, sayCode } from '../../words/say.ts';

/** What a cook asks of one line: what it is by the piece, what may stand in for it, how much is usual. */
export function LineFacts(props: {
  itemId: string;
  massG: number;
  litres: number;
  kitchen: Kitchen;
  tables: Tables;
}) {
  const { itemId, massG, litres, kitchen, tables } = props;
  const kit = measuringKit(kitchen);
  const subs = SUBSTITUTE_ROWS.filter((s) => s.itemId === itemId);
  const usual = USUAL_ROWS.find((r) => r.itemId === itemId);
  const solid = tables.ingredients.get(itemId);
  const fruit = FRUIT_ROWS.find((f) => f.parts.some((p) => p.itemId === itemId && p.share === 'juice'));
  const from = fruit?.parts.find((p) => p.share === 'whole' || p.share === 'flesh');
  const row = from ? tables.ingredients.get(from.itemId) : undefined;
  const liquid = tables.liquids.get(itemId);
  const juice = row && liquid ? fruitForJuice(row, massG / liquid.densityGPerMl, 'hand') : null;
  const hand = (g: number, id: string): string => {
    const item = tables.ingredients.get(id);
    const sweet = tables.sweeteners.get(id);
    const l = tables.liquids.get(id);
    if (l) return volume(g / l.densityGPerMl / 1000);
    const measurable = item ?? (sweet ? { id, bulkGPerMl: sweet.bulkGPerMl, piece: null } : null);
    return measurable ? handText(asHandMeasures(g, measurable, kit), kitchen.measures, id) : grams(g);
  };
  return (
    <Box
      sx={{
        bgcolor: role('enamelDeep'),
        borderRadius: 2,
        p: 1.25,
        my: 0.5,
        fontSize: '0.92rem',
        display: 'grid',
        gap: 0.5,
      }}
      data-testid="line-facts"
    >
      {juice && (
        <div>
          {say('lineFacts.squeezedFromAboutFruit', {
            pieces: num(juice.pieces ?? 0),
            item: sayItem(row!.id).toLowerCase(),
            piecesIs: juice.pieces !== null,
            mass: grams(juice.massG),
          })}
        </div>
      )}
      {solid?.piece && (
        <div>
          {say('lineFacts.oneWeighsAbout', {
            piece: sayCode(`piece.${solid.piece.id}`, { count: 1 }),
            mass: grams(solid.piece.massG),
          })}
        </div>
      )}
      {usual && litres > 0 && (
        <div>
          {say('lineFacts.usualFor', {
            low: grams(usual.lowGPerL * litres),
            high: grams(usual.highGPerL * litres),
            litres: volume(litres),
          })}
        </div>
      )}
      {subs.map((s) => (
        <div key={s.insteadId}>
          {sayRich('lineFacts.insteadTo', {
            hand: <strong>{hand(massG * s.ratio, s.insteadId)}</strong>,
            item: sayItem(s.insteadId).toLowerCase(),
            mass: grams((massG * s.ratio) / s.range),
            mass2: grams(massG * s.ratio * s.range),
            how: say(`moment.${s.moment}`),
            why: sayCode(s.note),
          })}
        </div>
      ))}
      {solid && solid.rate100PerMin === null && (
        <Box sx={{ color: role('caution') }}>{say('lineFacts.whatItGivesIs')}</Box>
      )}
      <Link to={`/drinks/facts/${itemId}`}>{say('lineFacts.allFactsAboutIt')}</Link>
    </Box>
  );
}
