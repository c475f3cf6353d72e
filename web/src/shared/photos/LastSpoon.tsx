import '../../words/places/photos.ts';
import Box from '@mui/material/Box';
import { role } from '../../theme/theme.ts';
import { say } from '../../words/say.ts';
import { photoWords } from './Photos.tsx';
import { photoUrl, usePhotos } from './photos.ts';

/** The spoon of a batch as it was photographed last, small. */
export function LastSpoon({ batchId, zone }: { batchId: string; zone: string }) {
  const { data } = usePhotos({ of: 'batch', ofId: batchId });
  const spoon = data?.photos.find((p) => p.what === 'spoon');
  if (!data) return null;
  if (!spoon) return <Box sx={{ color: role('inkMuted') }}>{say('photos.noSpoon')}</Box>;
  return (
    <Box
      component="img"
      src={photoUrl(spoon.id)}
      alt={photoWords(spoon, zone)}
      loading="lazy"
      data-testid="last-spoon"
      sx={{ width: 132, height: 99, objectFit: 'cover', borderRadius: 2, display: 'block' }}
    />
  );
}
