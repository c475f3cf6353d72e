import '../../../../words/places/batch.ts';
import { dailySugar } from '../../../../shared/dailySugar.ts';
import '../../../../words/places/steps.ts';
import {
  dosesToCome,
  FIRST_SHARE,
  glassFacts,
  nextDose,
  nextStated,
  nextSweetener,
} from '@big-ladle/core/balance';
import { sweetWeights } from '@big-ladle/core/book';
import { DISSOLVES_FROM_C, massG, sournessGPerL } from '@big-ladle/core/liquor';
import type { EventBody } from '@big-ladle/core/log';
import { TUB } from '@big-ladle/core/program';
import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useState } from 'react';
import { Link } from 'react-router';
import { Fold } from '../../../../shared/Fold.tsx';
import { byHand } from '../../../../shared/handMeasure.ts';
import { OwnVerdict } from '../../../../shared/OwnVerdict.tsx';
import { QuantityField } from '../../../../shared/QuantityField.tsx';
import { Figure } from '../../../../shared/ui.tsx';
import { role } from '../../../../theme/theme.ts';
import { sayItem } from '../../../../words/names.ts';
import { num } from '../../../../words/numbers.ts';
import { celsius, grams, millilitres, volume } from '../../../../words/quantities.ts';
import { sayRich } from '../../../../words/rich.ts';
import { percent, say } from '../../../../words/say.ts';
import type { LiveBatch } from '../../useLiveBatch.ts';
import { PrimaryAction } from '../PrimaryAction.tsx';

const TASTES = [
  { axes: { sweet: -1 }, text: 'sweetenForm.notSweetEnough' },
  { axes: { sweet: 0 }, text: 'sweetenForm.aboutRight' },
  { axes: { sweet: 1 }, text: 'sweetenForm.tooSweet' },
] as const;
/** Before any sugar: how sharp this year's fruit and flowers are. */
const CROPS = [
  { axes: { crop: -1 }, text: 'sweetenForm.milder' },
  { axes: { crop: 0 }, text: 'sweetenForm.asUsual' },
  { axes: { crop: 1 }, text: 'sweetenForm.sharper' },
] as const;
/** Less sour than this, nobody tastes the crop in it, g/L. */
const TART_FROM_G_PER_L = 1;

type Taste = Extract<EventBody, { kind: 'tasted' }>['body']['axes'];

/** Sweetening in steps: some, stir, taste, some more. Each taste moves the target, and the remainder follows. */
export function SweetenForm({ live, onEnough }: { live: LiveBatch; onEnough?: () => void }) {
  const { step, now, kitchen, batch } = live;
  const [other, setOther] = useState<number | null>(null);
  if (step?.kind !== 'sweeten') return null;
  const entry = now.moment?.trace.at(-1);
  const stirred = step.lines.flatMap((lineId) => {
    const line = live.program.lines.find((l) => l.id === lineId);
    const sweetener = line ? live.tables.sweeteners.get(line.itemId) : undefined;
    if (!line || !sweetener) return [];
    const addedG = now.log.added
      .filter((e) => e.body.stepId === step.id && e.body.lineId === line.id)
      .reduce((sum, e) => sum + e.body.massG, 0);
    return [{ line, sweetener, addedG, relativeSweetness: sweetener.relativeSweetness }];
  });
  if (!entry || stirred.length === 0) return null;
  const liquor = entry.after.liquor;
  const target = now.log.actuals[step.id]?.targetSweetnessPct ?? step.targetSweetnessPct;
  // What is written goes in first, all of it; what is left to the taste comes after it.
  const toCome = now.forecast.trace.find((t) => t.stepId === step.id)?.dosedG ?? {};
  const stated = nextStated(stirred, toCome);
  const byTaste = stirred.filter((s) => s.line.rule.kind === 'toTarget');
  const next = nextSweetener(
    byTaste,
    { sweetG: liquor.sweetG, massG: massG(liquor) },
    target,
    sweetWeights(
      byTaste.map((s) => s.line.id),
      step.sweetShares,
    ),
  );
  const { line, sweetener, addedG } = stated?.of ?? byTaste[next?.index ?? 0] ?? stirred.at(-1)!;
  const remainingG = stated ? stated.remainingG : (next?.remainingG ?? 0);
  const allG = stirred.reduce((sum, one) => sum + one.addedG, 0);
  const dose = stated ? { grams: stated.remainingG } : nextDose(addedG, remainingG);
  const plan = stated ? [] : dosesToCome(addedG, remainingG);
  const glass = glassFacts(liquor, kitchen.servingMl);
  const add = (grams: number) =>
    live.record([
      {
        kind: 'added',
        body: {
          stepId: step.id,
          vesselId: step.to[0] ?? TUB,
          lineKind: 'sweetener',
          itemId: sweetener.id,
          lineId: line.id,
          massG: Math.round(grams * 10) / 10,
        },
      },
    ]);
  const tastes = now.log.tastes.filter((t) => t.stepId === step.id);
  const crop = tastes.findLast((t) => t.crop !== undefined)?.crop;
  // What is written goes in as it is written, whatever the crop.
  const asksCrop = allG === 0 && byTaste.length > 0 && sournessGPerL(liquor) >= TART_FROM_G_PER_L;
  const taste = (axes: Taste) =>
    void live.record([
      {
        kind: 'tasted',
        body: {
          stepId: step.id,
          axes,
          atSweetnessPct: Math.round(entry.now.sweetnessPct * 1000) / 1000,
        },
      },
    ]);
  const verdicts = tastes.flatMap((t) => (t.sweet === undefined ? [] : [{ ...t, sweet: t.sweet }]));
  const last = verdicts.at(-1);

  return (
    <Box sx={{ display: 'grid', gap: 2 }} data-testid="sweeten-form">
      <Box
        role="img"
        aria-label={say('sweetenForm.sweetnessOfAimedAt', {
          sweetnessPct: num(entry.now.sweetnessPct, 1),
          target: num(target, 1),
        })}
        sx={{ height: 14, borderRadius: 7, bgcolor: role('hairline'), position: 'relative' }}
      >
        <Box
          sx={{
            position: 'absolute',
            inset: 0,
            right: 'auto',
            width: `${Math.min(100, (entry.now.sweetnessPct / Math.max(16, target)) * 100)}%`,
            bgcolor: role('rim'),
            borderRadius: 7,
          }}
        />
        <Box
          sx={{
            position: 'absolute',
            top: -4,
            bottom: -4,
            width: 3,
            left: `${Math.min(100, (target / Math.max(16, target)) * 100)}%`,
            bgcolor: role('ink'),
          }}
        />
      </Box>
      {dose ? (
        <Box sx={{ display: 'grid', gap: 1 }}>
          <Box sx={{ fontSize: '1.5rem', lineHeight: 1.2 }} data-testid="dose-line">
            {sayRich(stated ? 'sweetenForm.statedOf' : 'sweetenForm.stirInOfUntil', {
              byHand: <strong>{byHand(sweetener, dose.grams, kitchen)}</strong>,
              grams: grams(dose.grams),
              item: sayItem(sweetener.id).toLowerCase(),
              lengthSome: stirred.length > 1,
            })}
          </Box>
          <PrimaryAction testId="dose" onClick={() => void add(dose.grams)}>
            {say('sweetenForm.isIn', { grams: grams(dose.grams) })}
          </PrimaryAction>
          {stated && addedG === 0 && (
            <Button
              variant="outlined"
              color="inherit"
              sx={{ minHeight: 56, fontSize: '1.1rem' }}
              onClick={() => void add(FIRST_SHARE * stated.remainingG)}
            >
              {say('sweetenForm.beginWith', { grams: grams(FIRST_SHARE * stated.remainingG) })}
            </Button>
          )}
          {entry.now.tempC < DISSOLVES_FROM_C[sweetener.dissolves] && (
            <Fold summary={say('sweetenForm.slowly')} testId="syrup">
              {say('sweetenForm.atItDissolvesSlowly', {
                tempC: celsius(entry.now.tempC),
                grams: volume(dose.grams / 1000),
                grams2: grams(dose.grams),
              })}
            </Fold>
          )}
        </Box>
      ) : (
        <Alert severity="success">
          {say(byTaste.length > 0 ? 'sweetenForm.itIsAsSweet' : 'sweetenForm.allIsIn', { all: grams(allG) })}
        </Alert>
      )}
      {onEnough &&
        (dose ? (
          <Button
            variant="outlined"
            color="inherit"
            sx={{ minHeight: 56, fontSize: '1.1rem' }}
            data-testid="done"
            onClick={onEnough}
          >
            {say('deed.sweeten')}
          </Button>
        ) : (
          <PrimaryAction testId="done" onClick={onEnough}>
            {say('deed.sweeten')}
          </PrimaryAction>
        ))}
      <Box>
        <Box id="taste-label" sx={{ mb: 0.5 }}>
          {say(asksCrop ? 'sweetenForm.beforeAnySugar' : 'sweetenForm.tasteWithAClean')}
        </Box>
        <Box role="group" aria-labelledby="taste-label" sx={{ display: 'flex', gap: 1, flexWrap: 'wrap' }}>
          {(asksCrop ? CROPS : TASTES).map((t) => (
            <Button
              key={t.text}
              variant={'crop' in t.axes && t.axes.crop === crop ? 'contained' : 'outlined'}
              aria-pressed={'crop' in t.axes ? t.axes.crop === crop : undefined}
              disabled={!asksCrop && allG === 0 && 'sweet' in t.axes && t.axes.sweet === 0}
              sx={{ minHeight: 56 }}
              onClick={() => taste(t.axes)}
            >
              {say(t.text)}
            </Button>
          ))}
        </Box>
        {asksCrop && crop !== undefined && crop !== 0 && (
          <Box data-testid="crop-result" sx={{ mt: 1, color: role('inkMuted') }}>
            {say('sweetenForm.cropSays', {
              sharper: crop > 0,
              target: num(target, 1),
              planned: num(step.targetSweetnessPct, 1),
            })}
          </Box>
        )}
        {last && (
          <Box data-testid="taste-result" sx={{ mt: 1, color: role('inkMuted') }}>
            {say('sweetenForm.youTastedAtNow', {
              text: say((TASTES.find((t) => t.axes.sweet === last.sweet) ?? TASTES[1]).text),
              atSweetnessPct: num(last.atSweetnessPct, 1),
              target: num(target, 1),
              water: millilitres(
                Math.max(
                  0,
                  liquor.sweetG / (target / 100) - (liquor.waterG + liquor.sugarG + liquor.otherSolublesG),
                ),
              ),
              sweetSome: last.sweet > 0,
            })}
          </Box>
        )}
      </Box>
      <Fold summary={say('sweetenForm.more')} testId="sweet-figures">
        <Box sx={{ display: 'flex', gap: 1.5, alignItems: 'center', flexWrap: 'wrap' }}>
          <QuantityField
            label={say('sweetenForm.anotherAmount')}
            value={other}
            min={1}
            max={20_000}
            decimals={0}
            unit="g"
            onValue={setOther}
            width={170}
          />
          <Button
            variant="outlined"
            disabled={other === null}
            onClick={() => {
              if (other !== null) void add(other);
              setOther(null);
            }}
          >
            {say('sweetenForm.isIn2')}
          </Button>
        </Box>
        <OwnVerdict itemId={sweetener.id} />
        <Box sx={{ display: 'grid', gridTemplateColumns: 'repeat(auto-fit, minmax(140px, 1fr))', gap: 2 }}>
          <Box>
            <Figure
              value={num(entry.now.sweetnessPct, 1)}
              unit={say('sweetenForm.ofGG', { target: num(target, 1) })}
              testId="sweet-now"
              term="sweetness"
            />
            <Box sx={{ color: role('inkMuted'), fontSize: '0.92em' }}>
              {say('sweetenForm.sweetnessNowAndAimed')}
            </Box>
          </Box>
          <Box>
            <Figure value={num(entry.now.brix, 1)} unit="°Bx" term="brix" />
            <Box sx={{ color: role('inkMuted'), fontSize: '0.92em' }}>
              {say('sweetenForm.asARefractometerReads')}
            </Box>
          </Box>
          <Box>
            <Figure
              value={num(glass.freeSugarG)}
              unit={say('sweetenForm.gAGlass')}
              testId="sweet-glass"
              term="freeSugar"
            />
            <Box sx={{ color: role('inkMuted'), fontSize: '0.92em' }}>
              {say('sweetenForm.ofGADay', {
                ...dailySugar(),
                shareOfCeiling: percent(glass.shareOfCeiling),
                shareOfAim: percent(glass.shareOfAim),
              })}
            </Box>
          </Box>
        </Box>
        {dose && (
          <Box sx={{ color: role('inkMuted'), fontSize: '0.92em' }}>
            {say('sweetenForm.soFarThenTasting', {
              all: grams(allG),
              allSome: allG > 0,
              plan:
                plan
                  .slice(1)
                  .map((d) => grams(d.grams))
                  .join(', ') || say('sweetenForm.nothingMore'),
            })}
          </Box>
        )}
      </Fold>
      <Button
        component={Link}
        to={`/batches/${batch.id}/balance`}
        variant="outlined"
        color="inherit"
        sx={{ minHeight: 56 }}
      >
        {say('batchPage.sweetSourAndStrong')}
      </Button>
    </Box>
  );
}
