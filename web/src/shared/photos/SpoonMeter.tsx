import '../../words/places/photos.ts';
import { EIGHT_OF_TEN } from '@big-ladle/core/learn';
import {
  againstLast,
  type Composition,
  markerGPerL,
  readSpoon,
  type SpoonProblem,
  type SpoonResult,
  spotOf,
  THINNED,
  type Thinned,
  thinnedFor,
} from '@big-ladle/core/liquor';
import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import { useEffect, useState } from 'react';
import { role } from '../../theme/theme.ts';
import { num } from '../../words/numbers.ts';
import { grams } from '../../words/quantities.ts';
import { say } from '../../words/say.ts';
import { Choice } from '../Choice.tsx';
import { NO_SPOTS, SpoonSpots, type Spots, usePixels } from './SpoonSpots.tsx';

/** What is known of earlier pictures. */
export interface PicturesBefore {
  /** How much redder this house's pictures are than the drink; null: too few have told. */
  off: number | null;
  /** What was read of the batch before of the same drink, g/L by the colour table; null: nothing. */
  lastGPerL: number | null;
}

/** A spot is a circle of this share of the shorter side. */
const RADIUS = 0.022;

/**
 * A spoonful, thinned and photographed, as a reading: the white and the drink are pointed at, and it is said at once what
 * they tell or why they tell nothing.
 */
export function SpoonMeter(props: {
  picture: Blob;
  url: string;
  /** The drink as the model has it. */
  liquor: Composition;
  before: PicturesBefore;
  /** What the picture tells as it stands; null: nothing. */
  onRead: (read: { redGPerL: number; thinned: Thinned } | null) => void;
}) {
  const { picture, url, liquor, before, onRead } = props;
  const pixels = usePixels(picture);
  const [spots, setSpots] = useState<Spots>(NO_SPOTS);
  const [thinned, setThinned] = useState<Thinned>(() => thinnedFor(markerGPerL(liquor, 'red')));
  const result = resultOf();
  const redGPerL = result?.ok ? result.read.redGPerL : null;
  useEffect(() => onRead(redGPerL === null ? null : { redGPerL, thinned }), [redGPerL, thinned, onRead]);

  function resultOf(): SpoonResult | null {
    if (!pixels || !spots.white || !spots.drink) return null;
    const radius = Math.max(3, RADIUS * Math.min(pixels.width, pixels.height));
    const at = ({ x, y }: { x: number; y: number }) =>
      spotOf(pixels, x * pixels.width, y * pixels.height, radius);
    return readSpoon(at(spots.white), at(spots.drink), thinned, liquor);
  }

  return (
    <Box sx={{ display: 'grid', gap: 1.5 }} data-testid="spoon-meter">
      <SpoonSpots url={url} spots={spots} onSpots={setSpots}>
        <Choice
          label={say('photos.thinnedWith')}
          value={String(thinned)}
          options={THINNED.map((t) => ({ value: String(t), text: num(t) }))}
          onChange={(v) => setThinned(Number(v) as Thinned)}
        />
      </SpoonSpots>
      <Box role="status" sx={{ minHeight: 76 }} data-testid="spoon-result">
        {result === null ? (
          <Box sx={{ color: role('inkMuted') }}>{say('photos.tapBoth')}</Box>
        ) : (
          <Alert severity={result.ok ? 'success' : 'warning'}>
            {result.ok ? sayRead(result.read, before) : sayProblem(result.problem)}
          </Alert>
        )}
      </Box>
    </Box>
  );
}

function sayRead(
  { redGPerL, spread }: { redGPerL: number; spread: number },
  { off, lastGPerL }: PicturesBefore,
): string {
  const last = lastGPerL === null ? null : say(`photos.against.${againstLast(redGPerL, lastGPerL)}`);
  if (off === null) return [last ?? say('photos.firstRed'), say('photos.fewPictures')].join(' ');
  const real = redGPerL / off;
  const end = (sign: number) => grams(real * Math.exp(sign * EIGHT_OF_TEN * spread));
  return [say('photos.red', { mass: grams(real), low: end(-1), high: end(1) }), last]
    .filter(Boolean)
    .join(' ');
}

function sayProblem(problem: SpoonProblem): string {
  return 'thinned' in problem
    ? say(`photos.problem.${problem.kind}`, { count: problem.thinned })
    : say(`photos.problem.${problem.kind}`);
}
