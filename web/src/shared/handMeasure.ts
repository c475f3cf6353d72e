import type { Kitchen } from '@big-ladle/core/documents';
import { measuringKit } from '@big-ladle/core/program';
import type { SweetenerRow } from '@big-ladle/core/tables';
import { asHandMeasures } from '@big-ladle/core/units';
import { handText } from '../words/say.ts';

/** Grams of a sweetener as a hand measures them: "2 ½ cups". The cook's own measure for other things is left aside. */
export const byHand = (row: SweetenerRow, grams: number, kitchen: Kitchen): string =>
  handText(
    asHandMeasures(
      grams,
      { id: row.id, bulkGPerMl: row.bulkGPerMl, piece: null },
      { ...measuringKit(kitchen), preferredMeasureId: undefined },
    ),
    kitchen.measures,
  );
