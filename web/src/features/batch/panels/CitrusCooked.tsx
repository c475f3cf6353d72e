import '../../../words/places/batch.ts';
import { type CitrusMoment, citrusMoments } from '@big-ladle/core/compare';
import Typography from '@mui/material/Typography';
import { Row } from '../../../shared/ui.tsx';
import { role } from '../../../theme/theme.ts';
import { sayItem } from '../../../words/names.ts';
import { duration, percent, say } from '../../../words/say.ts';
import type { PanelInput } from './input.ts';

/** Cooked citrus against late citrus: what is left of its fresh smell, and from when on it turns bitter. */
export function CitrusCooked({ program, sim, tables }: PanelInput) {
  const rows = citrusMoments(program, sim, tables);
  if (rows.length === 0) return null;
  return (
    <>
      <Typography variant="h3" sx={{ mt: 2 }}>
        {say('citrus.title')}
      </Typography>
      {rows.map((row) => (
        <Row
          key={row.lineId}
          label={say('citrus.cooked', { item: sayItem(row.itemId), time: duration(row.boilMin) })}
          note={
            <>
              {say('citrus.late', { late: percent(row.lateFreshLeft) })}{' '}
              <span style={row.isBitter ? { color: role('caution'), fontWeight: 700 } : undefined}>
                {bitterText(row)}
              </span>
            </>
          }
        >
          {say('citrus.left', { now: percent(row.freshLeft) })}
        </Row>
      ))}
    </>
  );
}

const bitterText = ({ bitterAfterMin, isBitter }: CitrusMoment): string =>
  bitterAfterMin === null
    ? ''
    : say(isBitter ? 'citrus.bitter' : 'citrus.notBitter', { time: duration(bitterAfterMin) });
