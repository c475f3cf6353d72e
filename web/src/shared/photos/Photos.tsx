import '../../words/places/photos.ts';
import type { Photo } from '@big-ladle/core/contract';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import ButtonBase from '@mui/material/ButtonBase';
import { useState } from 'react';
import { role } from '../../theme/theme.ts';
import { moment, say } from '../../words/say.ts';
import { notify } from '../notices.ts';
import { OverlayDialog } from '../OverlayDialog.tsx';
import { sayError, send } from '../send.ts';
import { serverNow } from '../time.ts';
import { Panel } from '../ui.tsx';
import { AddPhoto } from './AddPhoto.tsx';
import { photoUrl, type Subject, usePhotos } from './photos.ts';

/** A photo in words: what it shows, and when it was taken. */
export const photoWords = (photo: Photo, zone: string): string =>
  say('photos.alt', {
    what: say(`photos.what.${photo.what}`),
    when: moment(photo.takenMs, serverNow(), zone),
  });

/** The photos of a batch, a bottle or a recipe, with a way to one more. */
export function Photos({ subject, zone }: { subject: Subject; zone: string }) {
  const { data } = usePhotos(subject);
  const [open, setOpen] = useState<Photo | null>(null);
  return (
    <Panel title={say('photos.title')} testId="photos">
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, mb: 1.5 }}>
        {data?.photos.length === 0 && <Box sx={{ color: role('inkMuted') }}>{say('photos.none')}</Box>}
        {data?.photos.map((photo) => (
          <ButtonBase
            key={photo.id}
            onClick={() => setOpen(photo)}
            sx={{ borderRadius: 2, overflow: 'hidden', bgcolor: role('enamelDeep') }}
          >
            <Box
              component="img"
              src={photoUrl(photo.id)}
              alt={photoWords(photo, zone)}
              loading="lazy"
              sx={{ width: 116, height: 116, objectFit: 'cover', display: 'block' }}
            />
          </ButtonBase>
        ))}
      </Box>
      <AddPhoto subject={subject} />
      {open && <OnePhoto photo={open} zone={zone} onClose={() => setOpen(null)} />}
    </Panel>
  );
}

function OnePhoto(props: { photo: Photo; zone: string; onClose: () => void }) {
  const { photo, zone, onClose } = props;
  const [asked, setAsked] = useState(false);
  const words = photoWords(photo, zone);
  const remove = () =>
    void send('dropPhoto', { params: { id: photo.id } }).then(onClose, (error: unknown) =>
      notify('error', sayError(error, say('problem.offline')) ?? ''),
    );
  return (
    <OverlayDialog title={words} testId="photo-open" onClose={onClose}>
      <Box
        component="img"
        src={photoUrl(photo.id)}
        alt={words}
        width={photo.widthPx}
        height={photo.heightPx}
        sx={{ width: '100%', height: 'auto', borderRadius: 2, display: 'block' }}
      />
      <Box sx={{ mt: 1 }}>{words}</Box>
      {asked && <Box sx={{ mt: 1 }}>{say('photos.reallyDelete')}</Box>}
      <Box sx={{ display: 'flex', gap: 1, mt: 1, flexWrap: 'wrap' }}>
        {asked ? (
          <Button variant="contained" color="error" onClick={remove}>
            {say('photos.yesDelete')}
          </Button>
        ) : (
          <Button color="error" onClick={() => setAsked(true)}>
            {say('photos.delete')}
          </Button>
        )}
        <Button onClick={onClose}>{say('photos.close')}</Button>
      </Box>
    </OverlayDialog>
  );
}
