import '../../words/places/photos.ts';
import type { Photo } from '@big-ladle/core/contract';
import Box from '@mui/material/Box';
import { role } from '../../theme/theme.ts';
import { say } from '../../words/say.ts';
import { AddPhoto } from './AddPhoto.tsx';
import { photoWords } from './Photos.tsx';
import { photoUrl, usePhotos } from './photos.ts';

/** This batch's spoon as it was photographed, beside that of the batch before it. */
export function SpoonPhotos({ batchId, zone }: { batchId: string; zone: string }) {
  const subject = { of: 'batch', ofId: batchId } as const;
  const { data } = usePhotos(subject);
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
    </Box>
  );
}
