import '../../../words/places/batch.ts';
import '../../../words/places/steps.ts';
import {
  type BalanceAnswer,
  type BalanceWish,
  balanceAnswer,
  type Candidate,
  dosesToCome,
  FIRST_SHARE,
  FIRST_SOUR_SHARE,
  nextDose,
  waysBack,
} from '@big-ladle/core/balance';
import type { Kitchen } from '@big-ladle/core/documents';
import type { Keeping } from '@big-ladle/core/keeping';
import { type Composition, sournessGPerL, sweetnessPct, volumeMl } from '@big-ladle/core/liquor';
import type { EventBody } from '@big-ladle/core/log';
import type { Taste } from '@big-ladle/core/program';
import { FIRST_SOUR_ID, TAP_WATER_ID, type Tables } from '@big-ladle/core/tables';
import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { Panel, Row } from '../../../shared/ui.tsx';
import { role, thumb } from '../../../theme/theme.ts';
import { sayItem } from '../../../words/names.ts';
import { num } from '../../../words/numbers.ts';
import { eachMeasure, grams, litres, millilitres, volume } from '../../../words/quantities.ts';
import { days, percent, say } from '../../../words/say.ts';
import { limitsOf } from './place.ts';
import { amountOf, bindingWords, candidateName } from './Ways.tsx';

const AXES = ['sweet', 'sour', 'strong', 'hot'] as const;
type Axis = (typeof AXES)[number];

/** From so much acid on a part is dosed as what sours, g/L. */
const SOUR_G_PER_L = 20;

interface DosedPart {
  part: BalanceAnswer['parts'][number];
  /** Further doses after this one. */
  after: number;
}

/** Each part of an answer as the next dose takes it: what sours begins lower; whole fruit stay whole. */
export function nextParts(
  answer: BalanceAnswer,
  candidates: readonly Candidate[],
  addedG: (part: { id: string }) => number,
): DosedPart[] {
  return answer.parts.flatMap((p): DosedPart[] => {
    const candidate = candidates.find((c) => c.id === p.id);
    const sour = candidate !== undefined && sournessGPerL(candidate.unit) > SOUR_G_PER_L;
    const firstShare = sour ? FIRST_SOUR_SHARE : FIRST_SHARE;
    const dose = nextDose(addedG(p), p.massG, firstShare);
    if (!dose) return [];
    const after = dosesToCome(addedG(p), p.massG, firstShare).length - 1;
    const pieces =
      p.pieces === null
        ? null
        : Math.min(p.pieces, Math.max(1, Math.round((p.pieces * dose.grams) / p.massG)));
    const share =
      p.pieces === null || pieces === null ? Math.min(1, dose.grams / p.massG) : pieces / p.pieces;
    return [
      {
        part: { ...p, pieces, massG: p.massG * share, volumeMl: p.volumeMl * share },
        after: share < 1 ? after : 0,
      },
    ];
  });
}

/** What is booked when a dose is in: fruit by the juice it gives. */
export function deedsOf(
  parts: BalanceAnswer['parts'],
  candidates: readonly Candidate[],
  into: { stepId: string; vesselId: string },
  lineOf: (itemId: string) => string,
): EventBody[] {
  return parts.map((p): EventBody => {
    const juice = candidates.find((c) => c.id === p.id)?.juice;
    const itemId = juice?.itemId ?? p.id;
    return {
      kind: 'added',
      body: {
        ...into,
        lineKind: p.kind === 'sweetener' ? 'sweetener' : 'liquid',
        itemId,
        lineId: lineOf(itemId),
        massG: Math.round(p.massG * 10) / 10,
      },
    };
  });
}

/**
 * A way taken by taste: never all at once. Three fifths of what it wants (less than a third of what sours), stirred,
 * tasted with a clean spoon; then quarters of the rest. Every verdict moves the target, and what is still to come follows.
 */
export function StepsByTaste(props: {
  liquor: Composition;
  wish: BalanceWish;
  /** What this way is made with. */
  candidates: readonly Candidate[];
  kitchen: Kitchen;
  tables: Tables;
  /** Grams of an item that went in at this step already. */
  addedOf: (itemId: string) => number;
  tastes: readonly Taste[];
  /** How long it keeps as it is, and with so much more of a liquid. */
  keptWith?: (poured: { itemId: string; volumeMl: number } | null) => Keeping | null;
  onDose: (parts: BalanceAnswer['parts']) => void;
  onTaste: (axis: Axis, verdict: number) => void;
}) {
  const each = eachMeasure();
  const { liquor, wish, candidates, kitchen, tables, addedOf, tastes, keptWith, onDose, onTaste } = props;
  const limits = limitsOf(kitchen);
  const answer = balanceAnswer(liquor, wish, candidates, limits, 'leastAdded');
  const itemOf = (id: string) => candidates.find((c) => c.id === id)?.juice?.itemId ?? id;
  const dosed = answer ? nextParts(answer, candidates, (p) => addedOf(itemOf(p.id))) : [];
  const parts = dosed.map((d) => d.part);
  const after = Math.max(0, ...dosed.map((d) => d.after));
  const addedG = [...new Set(candidates.map((c) => itemOf(c.id)))].reduce((sum, id) => sum + addedOf(id), 0);
  const perL = (p: DosedPart['part']) => p.volumeMl / (volumeMl(liquor) / 1000);
  const last = tastes.at(-1);
  // A hair above what is wanted nobody tastes.
  const tooFar = sweetnessPct(liquor) > wish.sweetPct * 1.02;
  const back = tooFar ? waysBack(liquor, wish.sweetPct, limits.roomMl, FIRST_SOUR_ID, tables) : [];
  const keptDays = keptWith ? keptWith(null)?.sealedDays : undefined;
  return (
    <Panel title={say('stepsByTaste.byTaste')} testId="by-taste">
      {parts.length > 0 ? (
        <>
          <Box component="ul" sx={{ m: 0, mb: 1, pl: 2.5 }}>
            {parts.map((p) => (
              <li key={p.id}>
                <strong>{amountOf(p, kitchen, tables)}</strong> {candidateName(p.id).toLowerCase()}
                {p.kind !== 'sweetener' &&
                  say('stepsByTaste.mlForEachLitre', {
                    per: millilitres(perL(p) * each.litres),
                    each: say(`each.${each.name}`),
                  })}
              </li>
            ))}
          </Box>
          <Button variant="contained" sx={{ ...thumb, width: '100%' }} onClick={() => onDose(parts)}>
            {say('stepsByTaste.itIsInStirred')}
          </Button>
          <Box sx={{ color: role('inkMuted'), fontSize: '0.92rem', mt: 0.75 }}>
            {addedG > 0 && <>{say('stepsByTaste.soFar', { added: grams(addedG) })} </>}
            {after > 0
              ? say('stepsByTaste.thenTastingEachTime', { after: num(after), afterCount: after })
              : say('stepsByTaste.thenItIsWhere')}
          </Box>
        </>
      ) : tooFar ? (
        <Alert severity="info">{say('stepsByTaste.itIsSweeterThan')}</Alert>
      ) : (
        <Alert severity="success">
          {say('stepsByTaste.itIsWhereYou', { added: grams(addedG), addedSome: addedG > 0 })}
        </Alert>
      )}
      {answer?.binding && !tooFar && (
        <Box sx={{ color: role('caution'), mt: 1 }}>
          {say('balance.nearest')} {bindingWords(answer.binding)}
        </Box>
      )}
      <Box sx={{ mt: 2 }}>{say('stepsByTaste.tasteWithAClean')}</Box>
      {AXES.map((axis) => (
        <Box key={axis} sx={{ display: 'flex', gap: 1, flexWrap: 'wrap', mt: 0.75 }}>
          {[-1, 0, 1].map((verdict) => (
            <Button
              key={verdict}
              variant={last?.[axis] === verdict ? 'contained' : 'outlined'}
              color={last?.[axis] === verdict ? 'primary' : 'inherit'}
              sx={{ ...thumb, flex: '1 1 96px' }}
              aria-pressed={last?.[axis] === verdict}
              onClick={() => onTaste(axis, verdict)}
            >
              {say(`taste.${axis}.${verdict < 0 ? 'less' : verdict > 0 ? 'more' : 'right'}`)}
            </Button>
          ))}
        </Box>
      ))}
      {last && (
        <Box data-testid="now-aiming" role="status" sx={{ mt: 1, color: role('inkMuted') }}>
          {say('stepsByTaste.tastedAtGIn', {
            atSweetnessPct: num(last.atSweetnessPct, 1),
            sweetPct: num(wish.sweetPct, 1),
            sour: num(wish.sourGPerL ?? 0, 1),
            sourGPerIs: wish.sourGPerL !== null,
            sweetnessPct: num(sweetnessPct(liquor), 1),
            sourness: num(Math.max(0, sournessGPerL(liquor)), 1),
          })}
        </Box>
      )}
      {back.length > 0 && (
        <Box sx={{ mt: 1.5 }} data-testid="ways-back">
          <strong>{say('stepsByTaste.tooFarWaysBack')}</strong>
          {back.map((way) => {
            switch (way.kind) {
              case 'dilute':
                return (
                  <Row
                    key={way.kind}
                    label={say('stepsByTaste.ofWater', { water: volume(way.waterMl / 1000) })}
                  >
                    {say('stepsByTaste.asStrongMoreThan', {
                      litres: litres(way.litres),
                      strengthShare: percent(way.strengthShare),
                      costInDays: costInDays(
                        keptDays,
                        keptWith?.({ itemId: TAP_WATER_ID, volumeMl: way.waterMl })?.sealedDays,
                      ),
                      noIsFits: !way.fits,
                    })}
                  </Row>
                );
              case 'sour':
                return (
                  <Row
                    key={way.kind}
                    label={say('common.of2', {
                      volume: volume(way.volumeMl / 1000),
                      item: sayItem(way.itemId).toLowerCase(),
                    })}
                  >
                    {say('stepsByTaste.sournessGLMore', {
                      litres: litres(way.litres),
                      sour: num(way.sourGPerL, 1),
                      costInDays: costInDays(keptDays, keptWith?.(way)?.sealedDays),
                      noIsFits: !way.fits,
                    })}
                  </Row>
                );
              default:
                return (
                  <Row
                    key={way.kind}
                    label={say('stepsByTaste.takeOutFillUp', { taken: volume(way.takenMl / 1000) })}
                  >
                    {say('stepsByTaste.theLitresStayWhat', {
                      costInDays: costInDays(
                        keptDays,
                        keptWith?.({ itemId: TAP_WATER_ID, volumeMl: way.waterMl })?.sealedDays,
                      ),
                    })}
                  </Row>
                );
            }
          })}
        </Box>
      )}
    </Panel>
  );
}

/** "keeps 4 days instead of 7": what a way back costs in days. */
function costInDays(before: number | undefined, after: number | undefined): string {
  if (before === undefined || after === undefined) return '';
  return after === before
    ? say('stepsByTaste.keepsAsBefore', { after: days(after) })
    : say('stepsByTaste.keepsInsteadOf', { after: days(after), before: days(before) });
}
