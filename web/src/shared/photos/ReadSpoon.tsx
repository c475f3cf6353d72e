import '../../words/places/photos.ts';
import { ROUTES } from '@big-ladle/core/contract';
import { picturesAreOff, redByPicture } from '@big-ladle/core/learn';
import { type Composition, markerGPerL, type Thinned, thinnedFor } from '@big-ladle/core/liquor';
import Box from '@mui/material/Box';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { say } from '../../words/say.ts';
import { ask } from '../api.ts';
import { useBatchesAsTold } from '../batch/state.ts';
import { keys } from '../queries.ts';
import { AddPhoto } from './AddPhoto.tsx';
import type { Subject } from './photos.ts';
import { SpoonMeter } from './SpoonMeter.tsx';

/** What a picture of a thinned spoonful tells. */
export interface RedRead {
  redGPerL: number;
  thinned: Thinned;
}

/** How to thin a spoonful, and a picture of it that is read and kept. */
export function ReadSpoon(props: {
  subject: Subject;
  /** The drink as the model has it. */
  liquor: Composition;
  /** The batch whose spoon was photographed before. */
  lastBatchId: string | null;
  onRead: (read: RedRead) => void;
}) {
  const { subject, liquor, lastBatchId, onRead } = props;
  const [read, setRead] = useState<RedRead | null>(null);
  const learning = useQuery({ queryKey: keys.learning, queryFn: () => ask(ROUTES.learning, {}) });
  const [last] = useBatchesAsTold(lastBatchId === null ? NONE : [lastBatchId]).states;
  const before = {
    off: learning.data ? picturesAreOff(learning.data.told.beliefs) : null,
    lastGPerL: last ? redByPicture(last.now.log) : null,
  };
  return (
    <Box sx={{ display: 'grid', gap: 1 }} data-testid="read-spoon">
      <Box>{say('photos.measureHow', { count: thinnedFor(markerGPerL(liquor, 'red')) })}</Box>
      <AddPhoto
        subject={subject}
        what="spoon"
        takeLabel={say('photos.takeThinned')}
        fileLabel={say('photos.thinnedFromAFile')}
        looking={(picture, url) => (
          <SpoonMeter picture={picture} url={url} liquor={liquor} before={before} onRead={setRead} />
        )}
        onKept={() => read && onRead(read)}
      />
    </Box>
  );
}

const NONE: readonly string[] = [];
