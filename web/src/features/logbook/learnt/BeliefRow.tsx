import type { BeliefWithCourse } from '@big-ladle/core/learn';
import '../../../words/places/logbook.ts';
import type { Kitchen } from '@big-ladle/core/documents';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { Fold } from '../../../shared/Fold.tsx';
import { heading, role } from '../../../theme/theme.ts';
import { say } from '../../../words/say.ts';
import { CourseDrawing } from './CourseDrawing.tsx';
import { isAsBook, sayBelief, saySure } from './sayBelief.ts';

const SMALL_PX = 34;
const LARGE_PX = 180;

/** The days of the batches that a belief came about by. */
export type DaysOf = (belief: BeliefWithCourse) => readonly string[];

/** What can be settled of a belief: held where it is or by the book, or left to the readings again. */
export function HoldButtons(props: {
  belief: BeliefWithCourse;
  busy: boolean;
  onHold: (factor: number | null) => void;
}) {
  const { belief, busy, onHold } = props;
  return (
    <Box sx={{ display: 'flex', gap: 1.5, flexWrap: 'wrap', my: 1 }}>
      {belief.held ? (
        <Button variant="outlined" disabled={busy} onClick={() => onHold(null)}>
          {say('learn.letReadingsSay')}
        </Button>
      ) : (
        <>
          {!isAsBook(belief) && (
            <Button variant="outlined" disabled={busy} onClick={() => onHold(Math.exp(belief.mean))}>
              {say('learn.holdHere')}
            </Button>
          )}
          <Button disabled={busy} onClick={() => onHold(1)}>
            {say('learn.holdBook')}
          </Button>
        </>
      )}
    </Box>
  );
}

/** One belief: a sentence, how sure it is, how it narrowed; what can be settled of it is folded away. */
export function BeliefRow(props: {
  belief: BeliefWithCourse;
  kitchen: Kitchen;
  daysOf: DaysOf;
  busy: boolean;
  onHold: (factor: number | null) => void;
}) {
  const { belief, kitchen } = props;
  return (
    <Box sx={{ borderBottom: `1px solid ${role('hairline')}` }} data-testid={`learnt-${belief.id}`}>
      <Fold
        lazily
        summary={
          <Box
            component="span"
            sx={{
              display: 'inline-grid',
              gridTemplateColumns: { xs: 'minmax(0,1fr)', sm: 'minmax(0,1fr) 140px' },
              columnGap: 2,
              alignItems: 'center',
              width: 'calc(100% - 24px)',
              verticalAlign: 'middle',
            }}
          >
            <span>
              <Box component="span" sx={{ ...heading, color: role('ink'), display: 'block' }}>
                {sayBelief(belief, kitchen)}
              </Box>
              <Box component="span" sx={{ color: role('inkMuted'), fontWeight: 400, fontSize: '0.9rem' }}>
                {saySure(belief)}
              </Box>
            </span>
            <CourseDrawing belief={belief} height={SMALL_PX} />
          </Box>
        }
      >
        <CourseDrawing belief={belief} height={LARGE_PX} days={props.daysOf(belief)} />
        <HoldButtons belief={belief} busy={props.busy} onHold={props.onHold} />
      </Fold>
    </Box>
  );
}
