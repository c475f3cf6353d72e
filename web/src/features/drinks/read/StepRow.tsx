import '../../../words/places/drinks.ts';
import type { ReadStep, StepFix } from '@big-ladle/core/exchange';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useState } from 'react';
import { QuantityField } from '../../../shared/QuantityField.tsx';
import { role } from '../../../theme/theme.ts';
import { num } from '../../../words/numbers.ts';
import { celsius } from '../../../words/quantities.ts';
import { duration, say } from '../../../words/say.ts';

/** What a step says besides its deed, in a few words. */
function saysOf(step: ReadStep): string {
  const parts: string[] = [];
  if (step.minutes)
    parts.push(
      step.minutes.max === undefined
        ? duration(step.minutes.value)
        : say('readPage.fromTo', { min: duration(step.minutes.value), max: duration(step.minutes.max) }),
    );
  if (step.tempC !== null) parts.push(say('readPage.toC', { tempC: celsius(Math.round(step.tempC)) }));
  if (step.heatTo === 'hot') parts.push(say('readPage.hot'));
  if (step.rinses) parts.push(say('readPage.times', { times: num(step.rinses) }));
  if (step.lid) parts.push(say(`readPage.lid.${step.lid}`));
  if (step.place) parts.push(say(`readPage.place.${step.place}`));
  for (const pass of step.passes)
    parts.push(say(`readPage.pass.${pass.by}`, { many: pass.times > 1, times: num(pass.times) }));
  if (step.press) parts.push(say(`readPage.press.${step.press}`));
  if (step.thrown) parts.push(say('readPage.thrown'));
  if (step.kept) parts.push(say('readPage.kept'));
  return parts.join(', ');
}

/** One step as it was read; it may be given another time, or left out. */
export function StepRow(props: {
  step: ReadStep;
  left: boolean;
  lit: boolean;
  onFix: (fix: StepFix) => void;
  onLook: () => void;
}) {
  const { step, left, lit, onFix, onLook } = props;
  const sure = step.doubts.length === 0;
  const [open, setOpen] = useState(!sure);
  const said = saysOf(step);
  return (
    <Box
      component="li"
      id={`step-${step.id}`}
      data-testid="read-step"
      data-kind={step.kind}
      data-sure={sure}
      onClick={onLook}
      onFocus={onLook}
      sx={{ bgcolor: lit ? role('cautionGround') : undefined, pb: 0.5 }}
    >
      <Box sx={{ display: 'flex', gap: 1, alignItems: 'center', flexWrap: 'wrap' }}>
        <Box sx={{ flex: '1 1 220px', minWidth: 0, textDecoration: left ? 'line-through' : undefined }}>
          <strong>{say(`step.${step.kind}`)}</strong>
          {said && <>, {said}</>}
          {step.implied ? (
            <Box component="span" sx={{ color: role('inkMuted') }}>
              {' '}
              {say('pastePage.meantNotWritten')}
            </Box>
          ) : (
            <Box component="span" sx={{ color: role('inkMuted'), fontSize: '0.92rem' }}>
              {' '}
              “{step.words.replace(/\s+/g, ' ').slice(0, 160)}”
            </Box>
          )}
        </Box>
        {!step.implied && (
          <Box sx={{ display: 'flex', gap: 0.5, flexWrap: 'wrap', alignItems: 'center' }}>
            {left ? (
              <Button size="small" onClick={() => onFix({ left: false })}>
                {say('readPage.takeItIn')}
              </Button>
            ) : (
              <>
                {open && (
                  <QuantityField
                    label={say('readPage.minutes')}
                    said={say('readPage.minutesOf', { step: say(`step.${step.kind}`) })}
                    value={step.minutes?.value ?? null}
                    min={0}
                    max={10_000}
                    unit="min"
                    width={170}
                    onValue={(minutes) => onFix({ minutes })}
                  />
                )}
                {sure ? (
                  <Button size="small" aria-expanded={open} onClick={() => setOpen(!open)}>
                    {say('readPage.change')}
                  </Button>
                ) : (
                  <Button size="small" onClick={() => onFix({ sure: true })}>
                    {say('pastePage.itIsRight')}
                  </Button>
                )}
                <Button size="small" onClick={() => onFix({ left: true })}>
                  {say('pastePage.leaveItOut')}
                </Button>
              </>
            )}
          </Box>
        )}
      </Box>
      {!sure && !left && (
        <Box sx={{ color: role('caution'), fontSize: '0.92rem' }}>
          {step.doubts.map((d) => say(`doubt.${d}`)).join(' ')}
        </Box>
      )}
    </Box>
  );
}
