import '../../words/places/kitchen.ts';
import type { ArchiveCounts, ImportReport } from '@big-ladle/core/contract';
import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useState } from 'react';
import { FileButton } from '../../shared/FileButton.tsx';
import { ImportProgress } from '../../shared/ImportProgress.tsx';
import { useCoarseNow } from '../../shared/time.ts';
import { Panel, Row } from '../../shared/ui.tsx';
import { type Import, useImport } from '../../shared/useImport.ts';
import { role } from '../../theme/theme.ts';
import { num } from '../../words/numbers.ts';
import { moment, say } from '../../words/say.ts';

const COUNTED = [
  'batches',
  'recipes',
  'ingredients',
  'events',
  'instruments',
  'readings',
  'photos',
  'gatherings',
] as const satisfies readonly (keyof ArchiveCounts)[];

/** Everything of this kitchen in one file, out and in. */
export function ArchivePanel({ zone }: { zone: string }) {
  const coming = useImport();
  const { state, runs } = coming;
  return (
    <Panel title={say('archivePanel.title')} testId="archive">
      <Box sx={{ color: role('inkMuted'), mb: 1.5 }}>{say('archivePanel.about')}</Box>
      <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap', alignItems: 'center' }}>
        <Button variant="outlined" component="a" href="/api/archive" download="big-ladle.jsonl">
          {say('archivePanel.export')}
        </Button>
        <Button variant="outlined" component="a" href="/api/archive?photos=1" download="big-ladle.jsonl">
          {say('archivePanel.withPhotos')}
        </Button>
        {runs ? (
          <ImportProgress state={state} />
        ) : (
          <FileButton
            label={say('archivePanel.import')}
            accept=".jsonl,.json,application/json,application/x-ndjson"
            testId="archive-file"
            onFile={coming.upload}
          />
        )}
        {runs && state?.stage !== 'taking' && (
          <Button onClick={coming.dismiss}>{say('archivePanel.callItOff')}</Button>
        )}
      </Box>
      {coming.problem && (
        <Alert severity="error" sx={{ mt: 1.5 }} onClose={coming.dismiss}>
          {coming.problem}
        </Alert>
      )}
      {state?.stage === 'checked' && state.report && (
        <WhatWouldCome report={state.report} zone={zone} coming={coming} />
      )}
      {state?.stage === 'done' && state.mode === 'merge' && (
        <Alert severity="success" sx={{ mt: 1.5 }} onClose={coming.dismiss}>
          {state.report ? takenIn(state.report) : say('archivePanel.takenUp')}
        </Alert>
      )}
      {coming.replaced && (
        <Alert severity="success" sx={{ mt: 1.5 }}>
          {say('archivePanel.replaced')}
        </Alert>
      )}
    </Panel>
  );
}

/** What an archive holds and what would come of it, before anything is changed. */
function WhatWouldCome({ report, zone, coming }: { report: ImportReport; zone: string; coming: Import }) {
  const nowMs = useCoarseNow(60_000);
  const [asking, setAsking] = useState(false);
  const { holds, added, here, writtenMs } = report;
  const odd = oddities(report);
  return (
    <Box sx={{ mt: 2 }} data-testid="what-would-come">
      <Box sx={{ mb: 1 }}>
        {writtenMs
          ? say('archivePanel.holdsOf', { when: moment(writtenMs, nowMs, zone) })
          : say('archivePanel.holds')}
      </Box>
      {COUNTED.filter((what) => holds[what] > 0).map((what) => (
        <Row
          key={what}
          dense
          label={
            <>
              {say(`archivePanel.${what}`)}{' '}
              <Box component="span" sx={{ color: role('inkMuted'), fontSize: '0.9rem' }}>
                {added[what] > 0
                  ? say('archivePanel.newHere', { count: num(added[what]) })
                  : say('archivePanel.allHere')}
              </Box>
            </>
          }
        >
          {num(holds[what])}
        </Row>
      ))}
      <Box sx={{ color: role('inkMuted'), my: 1 }}>
        {report.kitchen ? say('archivePanel.kitchenComes') : say('archivePanel.kitchenStays')}
        {odd && ` ${odd}`}
      </Box>
      <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap' }}>
        <Button variant="contained" onClick={() => coming.take('merge')}>
          {say('archivePanel.addIt')}
        </Button>
        <Button variant="outlined" onClick={() => setAsking(true)}>
          {say('archivePanel.replaceIt')}
        </Button>
        <Button onClick={coming.dismiss}>{say('archivePanel.leaveIt')}</Button>
      </Box>
      {asking && (
        <Alert severity="warning" sx={{ mt: 1.5 }}>
          {say('archivePanel.reallyReplace', { batches: here.batches, recipes: here.recipes })}
          <Box sx={{ display: 'flex', gap: 1, mt: 1 }}>
            <Button size="small" variant="outlined" onClick={() => coming.take('replace')}>
              {say('archivePanel.yesReplace')}
            </Button>
            <Button size="small" onClick={() => setAsking(false)}>
              {say('backupPanel.no')}
            </Button>
          </Box>
        </Alert>
      )}
    </Box>
  );
}

const takenIn = (report: ImportReport): string => {
  const { added, holds } = report;
  const what = [
    ...COUNTED.filter((name) => added[name] > 0).map((name) =>
      say(`archivePanel.counted.${name}`, { count: added[name] }),
    ),
    ...(report.kitchen ? [say('archivePanel.counted.kitchen')] : []),
  ];
  if (what.length === 0) return say('archivePanel.nothingNew', { oddities: oddities(report) });
  return say('archivePanel.takenIn', {
    what: what.join(', '),
    kept: COUNTED.reduce((sum, name) => sum + holds[name] - added[name], 0),
    oddities: oddities(report),
  });
};

/** What is taken in although it would be refused today, and what is not taken in or not understood. */
function oddities({ outside, outsideMore, passedOver, keptSections }: ImportReport): string {
  const named = outside
    .slice(0, NAMED)
    .map((o) => say('archivePanel.of', { field: o.field, id: o.id }))
    .join(', ');
  const unnamed = outsideMore + Math.max(0, outside.length - NAMED);
  const more = unnamed > 0 ? say('archivePanel.andMore', { count: num(unnamed) }) : '';
  return [
    outside.length > 0 ? say('archivePanel.outside', { named, more }) : '',
    passedOver > 0 ? say('archivePanel.passedOver', { count: passedOver }) : '',
    keptSections.length > 0 ? say('archivePanel.keptSections', { names: keptSections.join(', ') }) : '',
  ]
    .filter(Boolean)
    .join(' ');
}
/** So many are named one by one. */
const NAMED = 5;
