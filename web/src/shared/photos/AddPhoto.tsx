import '../../words/places/photos.ts';
import { PHOTO_KINDS, type PhotoKind } from '@big-ladle/core/contract';
import { mdiCameraOutline, mdiFileImageOutline } from '@mdi/js';
import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { type ReactNode, useState } from 'react';
import { v7 as uuid } from 'uuid';
import { heading, thumb } from '../../theme/theme.ts';
import { say } from '../../words/say.ts';
import { Choice } from '../Choice.tsx';
import { FileButton } from '../FileButton.tsx';
import { Icon } from '../Icon.tsx';
import { OverlayDialog } from '../OverlayDialog.tsx';
import { sayError } from '../send.ts';
import { Camera } from './Camera.tsx';
import { encodePhoto, keepPhoto, NoPicture, type Subject } from './photos.ts';

/** A picture that is not stored yet, under the id that it will have. */
interface Draft {
  id: string;
  picture: Blob;
  url: string;
}

/** A photo taken or chosen, looked at, and kept; until it is stored it stays here. */
export function AddPhoto(props: {
  subject: Subject;
  /** What it shows, where that is known. */
  what?: PhotoKind;
  takeLabel?: string;
  fileLabel?: string;
  /** What is done with a picture before it is kept; else it is only looked at. */
  looking?: (picture: Blob, url: string) => ReactNode;
  /** It is stored. */
  onKept?: () => void;
}) {
  const { subject } = props;
  const [camera, setCamera] = useState(false);
  const [what, setWhat] = useState<PhotoKind>(props.what ?? 'drink');
  const [draft, setDraft] = useState<Draft | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);
  const drop = () => {
    if (draft) URL.revokeObjectURL(draft.url);
    setDraft(null);
  };
  const close = () => {
    drop();
    setCamera(false);
    setProblem(null);
  };
  const take = async (file: Blob) => {
    setProblem(null);
    try {
      const picture = await encodePhoto(file);
      setDraft({ id: uuid(), picture, url: URL.createObjectURL(picture) });
    } catch (error) {
      if (!(error instanceof NoPicture)) throw error;
      setProblem(say('photos.noPicture'));
    }
  };
  const keep = async () => {
    if (!draft) return;
    setBusy(true);
    try {
      await keepPhoto(subject, what, draft.picture, draft.id);
      props.onKept?.();
      close();
    } catch (error) {
      setProblem(say('photos.notStored', { detail: sayError(error, say('problem.offline')) ?? '' }));
    } finally {
      setBusy(false);
    }
  };
  return (
    <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap' }}>
      <Button
        variant="outlined"
        startIcon={<Icon path={mdiCameraOutline} />}
        sx={thumb}
        onClick={() => setCamera(true)}
        data-testid="take-photo"
      >
        {props.takeLabel ?? say('photos.take')}
      </Button>
      <FileButton
        label={props.fileLabel ?? say('photos.fromAFile')}
        icon={<Icon path={mdiFileImageOutline} />}
        sx={thumb}
        accept="image/*"
        testId="photo-file"
        onFile={(file) => void take(file)}
      />
      {problem && !draft && (
        <Alert severity="error" onClose={() => setProblem(null)}>
          {problem}
        </Alert>
      )}
      {(camera || draft) && (
        <OverlayDialog title={say('photos.take')} testId="photo-dialog" onClose={close}>
          <Box component="h2" sx={{ ...heading, m: 0, mb: 1 }}>
            {say('photos.take')}
          </Box>
          {draft && props.looking ? (
            props.looking(draft.picture, draft.url)
          ) : draft ? (
            <Box
              component="img"
              src={draft.url}
              alt=""
              data-testid="photo-draft"
              sx={{ width: '100%', borderRadius: 2, display: 'block' }}
            />
          ) : (
            <Camera onTaken={(picture) => void take(picture)} />
          )}
          {draft && props.what === undefined && (
            <Box sx={{ mt: 1.5 }}>
              <Choice
                label={say('photos.what')}
                value={what}
                options={PHOTO_KINDS.map((value) => ({ value, text: say(`photos.what.${value}`) }))}
                onChange={(v) => setWhat(v as PhotoKind)}
              />
            </Box>
          )}
          {problem && (
            <Alert severity="error" sx={{ mt: 1.5 }}>
              {problem}
            </Alert>
          )}
          <Box sx={{ display: 'flex', gap: 1, mt: 1.5, flexWrap: 'wrap' }}>
            {draft && (
              <>
                <Button variant="contained" disabled={busy} onClick={() => void keep()}>
                  {say('photos.keep')}
                </Button>
                <Button
                  variant="outlined"
                  onClick={() => {
                    drop();
                    setCamera(true);
                  }}
                >
                  {say('photos.again')}
                </Button>
              </>
            )}
            <Button onClick={close}>{say('photos.close')}</Button>
          </Box>
        </OverlayDialog>
      )}
    </Box>
  );
}
