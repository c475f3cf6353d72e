import {
  asHandMeasures,
  FRUIT_ROWS,
  fruitForJuice,
  type Kitchen,
  measuringKit,
  SUBSTITUTE_ROWS,
  type Tables,
  USUAL_ROWS,
} from '@big-ladle/core';
import Box from '@mui/material/Box';
import { Link } from 'react-router';
import { role } from '../../theme/theme.ts';
import { sayItem } from '../../words/names.ts';
import { grams, handText, num, say, sayCode, volume } from '../../words/say.ts';

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
          Squeezed from about{' '}
          {juice.pieces !== null ? `${num(juice.pieces)} × ${sayItem(row!.id).toLowerCase()}` : ''} (
          {grams(juice.massG)}); fruit differs by a third.
        </div>
      )}
      {solid?.piece && (
        <div>
          One {sayCode(`piece.${solid.piece.id}`).split('|')[0]} weighs about {grams(solid.piece.massG)}.
        </div>
      )}
      {usual && litres > 0 && (
        <div>
          Usual: {grams(usual.lowGPerL * litres)} to {grams(usual.highGPerL * litres)} for {num(litres, 1)} L.
        </div>
      )}
      {subs.map((s) => (
        <div key={s.insteadId}>
          Instead: <strong>{hand(massG * s.ratio, s.insteadId)}</strong> {sayItem(s.insteadId).toLowerCase()}{' '}
          ({grams((massG * s.ratio) / s.range)} to {grams(massG * s.ratio * s.range)}),{' '}
          {say(`moment.${s.moment}`)}. {sayCode(s.note)}
        </div>
      ))}
      {solid && solid.rate100PerMin === null && (
        <Box sx={{ color: role('caution') }}>
          What it gives is not modelled: strength and acid leave it out.
        </Box>
      )}
      <Link to={`/drinks/facts/${itemId}`}>All facts about it</Link>
    </Box>
  );
}
