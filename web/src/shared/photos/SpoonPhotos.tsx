import '../../words/places/photos.ts';
import type { Photo } from '@big-ladle/core/contract';
import { type Composition, canBeRead } from '@big-ladle/core/liquor';
import Box from '@mui/material/Box';
import { useState } from 'react';
import { role } from '../../theme/theme.ts';
import { say } from '../../words/say.ts';
import { Fold } from '../Fold.tsx';
import { AddPhoto } from './AddPhoto.tsx';
import { photoWords } from './Photos.tsx';
import { photoUrl, usePhotos } from './photos.ts';
import { ReadSpoon, type RedRead } from './ReadSpoon.tsx';

/** This batch's spoon as it was photographed, beside that of the batch before it. */
export function SpoonPhotos(props: {
  batchId: string;
  zone: string;
  /** The drink as the model has it now; null: there is none. */
  liquor: Composition | null;
  /** A picture told how red it is. */
  onRead: (read: RedRead) => void;
}) {
  const { batchId, zone, liquor, onRead } = props;
  const subject = { of: 'batch', ofId: batchId } as const;
  const { data } = usePhotos(subject);
  const [reading, setReading] = useState(false);
  const here = data?.photos.find((p) => p.what === 'spoon');
  const one = (photo: Photo, label: string) => (
    <Box component="figure" sx={{ m: 0 }}>
      <Box
        component="img"
        src={photoUrl(photo.id)}
        alt={photoWords(photo, zone)}
        sx={{ width: '100%', aspectRatio: '4 / 3', objectFit: 'cover', borderRadius: 2, display: 'block' }}
      />
      <Box component="figcaption" sx={{ color: role('inkMuted'), mt: 0.5 }}>
        {label}
      </Box>
    </Box>
  );
  return (
    <Box sx={{ display: 'grid', gap: 1 }} data-testid="spoon-photos">
      {(here || data?.lastSpoon) && (
        <Box sx={{ display: 'grid', gap: 1, gridTemplateColumns: 'repeat(auto-fit, minmax(150px, 1fr))' }}>
          {data?.lastSpoon && one(data.lastSpoon, say('photos.lastSpoon'))}
          {here && one(here, say('photos.thisSpoon'))}
        </Box>
      )}
      {data?.lastSpoon && <Box sx={{ color: role('inkMuted') }}>{say('photos.spoonHint')}</Box>}
      <AddPhoto subject={subject} what="spoon" takeLabel={say('photos.photographSpoon')} />
      {liquor && canBeRead(liquor) && (
        <Fold summary={say('photos.measure')} testId="read-spoon-fold" onToggle={setReading}>
          {reading && (
            <ReadSpoon
              subject={subject}
              liquor={liquor}
              lastBatchId={data?.lastSpoon?.ofId ?? null}
              onRead={onRead}
            />
          )}
        </Fold>
      )}
    </Box>
  );
}
