import type { LearningChoices, LearningDoc } from '@big-ladle/core/learn';
import '../../../words/places/logbook.ts';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import FormControlLabel from '@mui/material/FormControlLabel';
import Switch from '@mui/material/Switch';
import { Link } from 'react-router';
import { Fold } from '../../../shared/Fold.tsx';
import { useCoarseNow } from '../../../shared/time.ts';
import { Panel, Row } from '../../../shared/ui.tsx';
import { fullDay, moment, say, sayCode } from '../../../words/say.ts';

const MINUTE_MS = 60_000;
/** So many of the newest are in sight. */
const IN_SIGHT = 6;

interface Props {
  doc: LearningDoc;
  /** The drink of a batch. */
  nameOf: (batchId: string) => string;
  zone: string;
  busy: boolean;
  settle: (change: Partial<LearningChoices>) => void;
}

/** The batches that beliefs stand on, each to be left out or counted again. */
function Batches({ doc, nameOf, zone, busy, settle }: Props) {
  const { forgotten, sinceMs } = doc.choices;
  const row = ({ id, atMs, readings }: LearningDoc['batches'][number]) => {
    const out = forgotten.includes(id);
    const tooOld = sinceMs !== null && atMs < sinceMs;
    const about = { drink: nameOf(id), day: fullDay(atMs, zone) };
    return (
      <Row
        key={id}
        testId="stands-on"
        label={<Link to={`/batches/${id}`}>{say('learn.batch', about)}</Link>}
        note={
          tooOld ? (
            say('learn.tooOld')
          ) : readings === 0 ? (
            say('learn.toldNothing')
          ) : (
            <Button
              disabled={busy}
              aria-label={say(out ? 'learn.countIt' : 'learn.leaveItOut', about)}
              onClick={() =>
                settle({ forgotten: out ? forgotten.filter((x) => x !== id) : [...forgotten, id] })
              }
            >
              {say(out ? 'learn.count' : 'learn.leaveOut')}
            </Button>
          )
        }
      >
        {say('learn.readings', { count: readings })}
      </Row>
    );
  };
  const rest = doc.batches.slice(IN_SIGHT);
  return (
    <>
      {doc.batches.slice(0, IN_SIGHT).map(row)}
      {rest.length > 0 && (
        <Fold lazily summary={say('learn.earlier', { count: rest.length })}>
          {rest.map(row)}
        </Fold>
      )}
    </>
  );
}

/** What it all stands on, and what can be settled of it as a whole. */
export function StandsOn(props: Props) {
  const { doc, zone, busy, settle } = props;
  const nowMs = useCoarseNow(MINUTE_MS);
  const { choicesBefore } = doc;
  return (
    <Panel title={say('learn.standsOn')} testId="stands-on-batches">
      <Batches {...props} />
      <FormControlLabel
        control={
          <Switch
            checked={doc.choices.practice}
            disabled={busy}
            onChange={(e) => settle({ practice: e.target.checked })}
          />
        }
        label={say('learn.practice')}
        sx={{ minHeight: 44, mt: 1 }}
      />
      <Box sx={{ display: 'flex', gap: 1.5, flexWrap: 'wrap', mt: 1 }}>
        {doc.batches.length > 0 &&
          (doc.choices.sinceMs === null ? (
            <Button disabled={busy} onClick={() => settle({ sinceMs: nowMs })}>
              {say('learn.anew')}
            </Button>
          ) : (
            <Button disabled={busy} onClick={() => settle({ sinceMs: null })}>
              {say('learn.countAll')}
            </Button>
          ))}
        {choicesBefore && (
          <Button disabled={busy} onClick={() => settle(choicesBefore)}>
            {say('learn.undo')}
          </Button>
        )}
      </Box>
      {doc.versions.length > 0 && (
        <Fold lazily summary={say('learn.before')}>
          {doc.versions.map((v) => (
            <Row
              key={v.version}
              dense
              label={moment(v.atMs, nowMs, zone)}
              note={say('learn.ofBatches', { count: v.batches })}
            >
              {sayCode(`learn.by.${v.by}`)}
            </Row>
          ))}
        </Fold>
      )}
    </Panel>
  );
}
