import { type BeliefWithCourse, isOfModel, type LearntId, readFactorId } from '@big-ladle/core/learn';
import '../../../words/places/logbook.ts';
import '../../../words/places/items.ts';
import Box from '@mui/material/Box';
import { useBatchNames } from '../../../shared/batchQueries.ts';
import { Fold } from '../../../shared/Fold.tsx';
import { useKitchen } from '../../../shared/queries.ts';
import { ErrorPanel, Loading, PageHead, Panel, Row } from '../../../shared/ui.tsx';
import { heading, role } from '../../../theme/theme.ts';
import { sayDrink } from '../../../words/names.ts';
import { say, shortDay } from '../../../words/say.ts';
import { BeliefRow, type DaysOf, HoldButtons } from './BeliefRow.tsx';
import { CourseDrawing } from './CourseDrawing.tsx';
import { Guests } from './Guests.tsx';
import { StandsOn } from './StandsOn.tsx';
import { isAsBook, sayBelief, saySure, sayWhat, surenessOf } from './sayBelief.ts';
import { useLearning } from './useLearning.ts';

const HEAD_PX = 220;

const isSteam = (id: LearntId): boolean => isOfModel(id) && readFactorId(id).kind === 'boilOff';

/** What the batches that were made have told of this kitchen: how it differs from the book, how surely, and what is open. */
export function LearntPage() {
  const kitchen = useKitchen().data?.kitchen;
  const names = useBatchNames().data?.batches;
  const { doc, isPending, error, again, busy, settle } = useLearning();
  if (error && !doc) return <ErrorPanel error={error} again={again} />;
  if (!kitchen || isPending || !doc || !names) return <Loading />;
  const { zone } = kitchen;
  const { beliefs, notApart, letGo } = doc.told;
  const atOf = new Map(doc.batches.map((b) => [b.id, b.atMs]));
  const daysOf: DaysOf = ({ course }) =>
    course.map(({ batchId }) => {
      const atMs = atOf.get(batchId);
      return atMs === undefined ? '' : shortDay(atMs, zone);
    });
  const hold = (id: LearntId) => (factor: number | null) => {
    const others = doc.choices.held.filter((h) => h.id !== id);
    settle({ held: factor === null ? others : [...others, { id, factor }] });
  };
  const nameOf = (batchId: string): string => {
    const recipeId = names.find((n) => n.id === batchId)?.recipeId;
    return recipeId === undefined ? say('learn.practised') : sayDrink(recipeId);
  };
  // What tells a cook most comes first: what is otherwise, by how much against how far it may still be off.
  const sharpest = [...beliefs].sort((a, b) => Math.abs(b.mean) / b.spread - Math.abs(a.mean) / a.spread);
  const known = sharpest.filter((b) => !b.held && surenessOf(b) !== 'hunch');
  const open = sharpest.filter((b) => !b.held && surenessOf(b) === 'hunch');
  const asBook = known.filter(isAsBook);
  const [first, ...others] = known.filter((b) => !isAsBook(b));
  const rows = [...sharpest.filter((b) => b.held), ...others];
  const row = (b: BeliefWithCourse) => (
    <BeliefRow key={b.id} belief={b} kitchen={kitchen} daysOf={daysOf} busy={busy} onHold={hold(b.id)} />
  );
  return (
    <>
      <PageHead
        title={say('learn.title')}
        beside={say('learn.beside', { count: doc.versions[0]?.batches ?? 0 })}
      />
      <Box sx={{ display: 'grid', gap: 1.75, gridTemplateColumns: 'minmax(0,1fr)' }}>
        {doc.waiting > 0 && <Panel>{say('learn.waiting', { count: doc.waiting })}</Panel>}
        {beliefs.length === 0 && doc.waiting === 0 && <Panel>{say('learn.none')}</Panel>}
        {first && (
          <Panel testId="learnt-first">
            <Box
              component="h2"
              sx={{
                ...heading,
                m: 0,
                fontSize: { xs: '1.5rem', md: '2rem' },
                maxWidth: '24em',
                textWrap: 'balance',
              }}
            >
              {sayBelief(first, kitchen)}
            </Box>
            <Box sx={{ color: role('inkMuted'), my: 0.5 }}>{saySure(first)}</Box>
            <CourseDrawing belief={first} height={HEAD_PX} days={daysOf(first)} />
            <Box sx={{ color: role('inkMuted') }}>{say('learn.band')}</Box>
            <HoldButtons belief={first} busy={busy} onHold={hold(first.id)} />
          </Panel>
        )}
        {beliefs.length > 0 && (
          <Panel title={say('learn.known')} testId="learnt">
            {rows.map(row)}
            {letGo > 0 && <p>{say('learn.letGo', { count: letGo })}</p>}
            {asBook.length > 0 && (
              <Fold lazily summary={say('learn.knownAsBook', { count: asBook.length })}>
                {asBook.map(row)}
              </Fold>
            )}
            {open.length > 0 && (
              <Fold lazily summary={say('learn.open')}>
                {open.map(row)}
              </Fold>
            )}
          </Panel>
        )}
        {notApart.length > 0 && (
          <Panel title={say('learn.apart')} testId="not-apart">
            {notApart.map(({ ids: [a, b] }) => (
              <Row key={`${a} ${b}`} label={sayWhat(a, kitchen)}>
                {sayWhat(b, kitchen)}
              </Row>
            ))}
            {notApart.some(({ ids }) => ids.some(isSteam)) && <p>{say('learn.tell')}</p>}
          </Panel>
        )}
        <Guests />
        <StandsOn doc={doc} nameOf={nameOf} zone={zone} busy={busy} settle={settle} />
      </Box>
    </>
  );
}
