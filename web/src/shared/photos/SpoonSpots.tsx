import '../../words/places/photos.ts';
import type { Pixels } from '@big-ladle/core/liquor';
import Box from '@mui/material/Box';
import { type KeyboardEvent, type PointerEvent, type ReactNode, useEffect, useState } from 'react';
import { role } from '../../theme/theme.ts';
import { num } from '../../words/numbers.ts';
import { say } from '../../words/say.ts';
import { Choice } from '../Choice.tsx';

/** A point of a picture, as shares of its width and height. */
export interface Point {
  x: number;
  y: number;
}
export type Spots = Record<'white' | 'drink', Point | null>;
export const NO_SPOTS: Spots = { white: null, drink: null };

const WHICH = ['white', 'drink'] as const;
/** Where a spot begins that is moved by keys. */
const MIDDLE: Point = { x: 0.5, y: 0.5 };
/** An arrow key moves a spot by this share of the picture. */
const STEP = 0.01;
const ARROWS: Readonly<Record<string, Point>> = {
  ArrowLeft: { x: -STEP, y: 0 },
  ArrowRight: { x: STEP, y: 0 },
  ArrowUp: { x: 0, y: -STEP },
  ArrowDown: { x: 0, y: STEP },
};
const within = (share: number): number => Math.min(1, Math.max(0, share));

/** The longest side of a picture whose pixels are read: enough for two spots. */
const READ_SIDE_PX = 900;

/** The pixels of a picture; null until they are read. */
export function usePixels(picture: Blob): Pixels | null {
  const [read, setRead] = useState<{ of: Blob; pixels: Pixels } | null>(null);
  useEffect(() => {
    let left = false;
    void createImageBitmap(picture).then((bitmap) => {
      const scale = Math.min(1, READ_SIDE_PX / Math.max(bitmap.width, bitmap.height));
      const canvas = document.createElement('canvas');
      canvas.width = Math.max(1, Math.round(bitmap.width * scale));
      canvas.height = Math.max(1, Math.round(bitmap.height * scale));
      const context = canvas.getContext('2d', { willReadFrequently: true });
      context?.drawImage(bitmap, 0, 0, canvas.width, canvas.height);
      bitmap.close();
      if (context && !left)
        setRead({ of: picture, pixels: context.getImageData(0, 0, canvas.width, canvas.height) });
    });
    return () => {
      left = true;
    };
  }, [picture]);
  return read?.of === picture ? read.pixels : null;
}

/** A picture on which the white of a spoon and the drink in it are pointed at: by a tap, or by the arrow keys. */
export function SpoonSpots(props: {
  url: string;
  spots: Spots;
  onSpots: (spots: Spots) => void;
  /** What else is asked about the picture. */
  children: ReactNode;
}) {
  const { url, spots, onSpots } = props;
  const [which, setWhich] = useState<keyof Spots>('white');
  const tap = (e: PointerEvent<HTMLElement>) => {
    const { left, top, width, height } = e.currentTarget.getBoundingClientRect();
    onSpots({
      ...spots,
      [which]: { x: within((e.clientX - left) / width), y: within((e.clientY - top) / height) },
    });
    if (which === 'white' && !spots.drink) setWhich('drink');
  };
  const move = (e: KeyboardEvent) => {
    const by = ARROWS[e.key];
    if (!by) return;
    e.preventDefault();
    const from = spots[which] ?? MIDDLE;
    onSpots({ ...spots, [which]: { x: within(from.x + by.x), y: within(from.y + by.y) } });
  };
  const place = (spot: Point | null): string =>
    spot
      ? say('photos.spotAt', { x: num(spot.x * 100, 0), y: num(spot.y * 100, 0) })
      : say('photos.spotNowhere');
  return (
    <Box sx={{ display: 'grid', gap: 1 }}>
      <Box sx={{ display: 'flex', columnGap: 4, rowGap: 1, flexWrap: 'wrap' }}>
        {props.children}
        <Choice
          label={say('photos.tapNow')}
          value={which}
          options={WHICH.map((value) => ({ value, text: say(`photos.spot.${value}`) }))}
          onChange={(v) => setWhich(v as keyof Spots)}
        />
      </Box>
      <Box
        component="button"
        type="button"
        aria-label={say('photos.pictureOfSpoon', {
          which: say(`photos.spot.${which}`),
          at: place(spots[which]),
        })}
        data-testid="spoon-picture"
        onPointerDown={tap}
        onKeyDown={move}
        sx={{
          position: 'relative',
          p: 0,
          border: 0,
          bgcolor: 'transparent',
          cursor: 'crosshair',
          display: 'block',
          width: '100%',
        }}
      >
        <Box component="img" src={url} alt="" sx={{ width: '100%', borderRadius: 2, display: 'block' }} />
        {WHICH.map((name) => {
          const spot = spots[name];
          return (
            spot && (
              <Box
                key={name}
                component="span"
                data-testid={`spot-${name}`}
                sx={{
                  position: 'absolute',
                  left: `${spot.x * 100}%`,
                  top: `${spot.y * 100}%`,
                  width: 26,
                  height: 26,
                  m: '-13px 0 0 -13px',
                  borderRadius: '50%',
                  border: `3px ${name === 'white' ? 'solid' : 'dashed'} ${role('ink')}`,
                  boxShadow: `0 0 0 2px ${role('enamel')}`,
                }}
              />
            )
          );
        })}
      </Box>
    </Box>
  );
}
