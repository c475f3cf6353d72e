import '../../../words/places/gatherings.ts';
import '../../../words/places/shelf.ts';
import { tableCards } from '@big-ladle/core/gathering';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useMemo, useState } from 'react';
import { Link, useParams } from 'react-router';
import { useBook } from '../../../shared/book.ts';
import { Choice } from '../../../shared/Choice.tsx';
import { useGathering } from '../../../shared/gatherings/gatherings.ts';
import { sayFeastDrink } from '../../../shared/gatherings/sayJob.ts';
import { useFeast } from '../../../shared/gatherings/useFeast.ts';
import { useMeasure } from '../../../shared/labels/measure.ts';
import { Page } from '../../../shared/labels/Page.tsx';
import { onA4, pagesOf, type SheetFormat, sheetName } from '../../../shared/labels/paper.ts';
import { SheetsOut } from '../../../shared/labels/SheetsOut.tsx';
import { Loading, PageHead, Panel } from '../../../shared/ui.tsx';
import { role } from '../../../theme/theme.ts';
import { say } from '../../../words/say.ts';
import { cardText, setCard } from './setCard.ts';

/** Cards to be cut out: eight on a sheet of either paper. */
const A4_CARDS: SheetFormat = { ...onA4(2, 4, 99, 67, 2), name: 'sheets.a4Cards' };
const LETTER_CARDS: SheetFormat = {
  id: 'letter-2x4',
  name: 'sheets.letterCards',
  pageW: 215.9,
  pageH: 279.4,
  columns: 2,
  rows: 4,
  labelW: 101,
  labelH: 63,
  left: 6,
  top: 12.7,
  gapX: 2,
  gapY: 0.6,
};
const CARD_SHEETS: readonly SheetFormat[] = [A4_CARDS, LETTER_CARDS];

/** Cards for the table: what each drink is, what is in it, and who leaves it. */
export function CardsPage() {
  const { id = '' } = useParams();
  const { gathering, timetable, isPending } = useGathering(id);
  const { sized } = useFeast(id, gathering, timetable);
  const { tables } = useBook();
  const measure = useMeasure();
  const [sheetId, setSheetId] = useState(A4_CARDS.id);
  const sheet = CARD_SHEETS.find((s) => s.id === sheetId) ?? A4_CARDS;
  const cards = useMemo(
    () =>
      gathering && sized
        ? tableCards(gathering, sized).map((card) =>
            cardText(
              card,
              sayFeastDrink(sized.drinks.find((d) => d.id === card.drinkId)),
              gathering.groups.filter((g) => card.notFor.includes(g.id)).map((g) => g.name),
              card.lotId !== card.drinkId,
              tables,
            ),
          )
        : [],
    [gathering, sized, tables],
  );
  const pages = useMemo(
    () =>
      measure ? pagesOf(cards, sheet, 0, (card) => setCard(card, sheet.labelW, sheet.labelH, measure)) : [],
    [cards, sheet, measure],
  );
  if (isPending) return <Loading />;
  if (!gathering)
    return <PageHead title={say('gatherings.notThere')} beside={say('gatherings.notThereWhy')} />;
  const title = say('cards.title', { gathering: gathering.name });
  return (
    <>
      <PageHead title={title} beside={say('cards.beside', { count: cards.length })}>
        <SheetsOut sheet={sheet} pages={pages} fileName="table-cards.pdf" title={title} />
        <Button variant="outlined" component={Link} to={`/gatherings/${id}`}>
          {say('day.back')}
        </Button>
      </PageHead>
      <Box
        sx={{
          display: 'grid',
          gap: 1.75,
          gridTemplateColumns: { xs: 'minmax(0,1fr)', lg: 'minmax(0,1fr) minmax(0,2fr)' },
          alignItems: 'start',
        }}
      >
        <Panel title={say('labelsPage.onWhat')}>
          <Choice
            label={say('cards.paper')}
            value={sheet.id}
            options={CARD_SHEETS.map((s) => ({ value: s.id, text: sheetName(s) }))}
            onChange={setSheetId}
          />
          <Box sx={{ color: role('inkMuted'), mt: 1 }}>{say('labelsPage.printAtWithoutFit')}</Box>
        </Panel>
        <Panel title={say('labelsPage.howItComesOut')} testId="cards">
          {pages.map((page, i) => (
            // biome-ignore lint/suspicious/noArrayIndexKey: pages are only counted
            <Page key={i} page={page} sheet={sheet} trueSize={false} lines />
          ))}
        </Panel>
      </Box>
    </>
  );
}
