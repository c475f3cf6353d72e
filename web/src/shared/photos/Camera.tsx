import '../../words/places/photos.ts';
import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useEffect, useRef, useState } from 'react';
import { say } from '../../words/say.ts';

/** What the camera sees, and a button that takes it. Over plain http browsers lend no camera: then it says so. */
export function Camera({ onTaken }: { onTaken: (picture: Blob) => void }) {
  const video = useRef<HTMLVideoElement>(null);
  const [state, setState] = useState<'waits' | 'sees' | 'none'>('waits');
  useEffect(() => {
    let stream: MediaStream | null = null;
    let left = false;
    const open = async () => {
      try {
        // The camera at the back of a phone, where there is one.
        const opened = await navigator.mediaDevices.getUserMedia({
          video: { facingMode: 'environment', width: { ideal: 1920 }, height: { ideal: 1080 } },
        });
        stream = opened;
        if (left) stopAll(opened);
        else if (video.current) {
          video.current.srcObject = opened;
          await video.current.play();
          setState('sees');
        }
      } catch {
        if (!left) setState('none');
      }
    };
    void open();
    return () => {
      left = true;
      if (stream) stopAll(stream);
    };
  }, []);
  const shoot = () => {
    const seen = video.current;
    if (!seen) return;
    const canvas = document.createElement('canvas');
    canvas.width = seen.videoWidth;
    canvas.height = seen.videoHeight;
    canvas.getContext('2d')?.drawImage(seen, 0, 0);
    canvas.toBlob((picture) => picture && onTaken(picture), 'image/png');
  };
  if (state === 'none') return <Alert severity="info">{say('photos.noCamera')}</Alert>;
  return (
    <Box>
      {state === 'waits' && <Box>{say('photos.cameraWaits')}</Box>}
      <Box
        component="video"
        ref={video}
        muted
        playsInline
        sx={{ width: '100%', borderRadius: 2, display: state === 'sees' ? 'block' : 'none' }}
      />
      {state === 'sees' && (
        <Button
          variant="contained"
          fullWidth
          sx={{ mt: 1.5, minHeight: 56, fontSize: '1.15rem' }}
          onClick={shoot}
        >
          {say('photos.shoot')}
        </Button>
      )}
    </Box>
  );
}

const stopAll = (stream: MediaStream): void => {
  for (const track of stream.getTracks()) track.stop();
};
