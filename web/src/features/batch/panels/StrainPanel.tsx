import '../../../words/places/batch.ts';
import { drawsOf, mainMarker, type StrainingFacts, strainings, toolCounts } from '@big-ladle/core/compare';
import { KEEPING } from '@big-ladle/core/keeping';
import { finishedLiquor, type Program, TUB } from '@big-ladle/core/program';
import type { MarkerId } from '@big-ladle/core/tables';
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { stepName } from '../../../shared/batch/stepNames.ts';
import { Panel, Row } from '../../../shared/ui.tsx';
import { role } from '../../../theme/theme.ts';
import { sayItem } from '../../../words/names.ts';
import { num } from '../../../words/numbers.ts';
import { celsius, litres, volume } from '../../../words/quantities.ts';
import { duration, percent, say } from '../../../words/say.ts';
import '../../../words/places/items.ts';
import '../../../words/places/steps.ts';
import { lengthText } from './figures.ts';
import type { PanelInput } from './input.ts';

export function StrainPanel({ program, sim, kitchen, tables }: PanelInput) {
  const counts = toolCounts(program, sim, kitchen, tables);
  const draws = drawsOf(program, sim, mainMarker(program, tables));
  const strain = program.steps.findLast((s) => s.kind === 'strain' && s.to[0] === TUB);
  const strained = sim.trace.findLast((t) => t.kind === 'strain' && t.vesselId === TUB);
  const cool = sim.trace.findLast((t) => t.kind === 'cool');
  if (strain?.kind !== 'strain' || !strained)
    return (
      <Panel title={say('panels.strainAndCool')}>
        <Box>{say('panels.nothingIsStrained')}</Box>
      </Panel>
    );
  const liquor = finishedLiquor(sim);
  const goesOn = liquor?.cooling.hot && !liquor.cooling.cold;
  return (
    <Panel title={say('panels.strainAndCool')}>
      {strainings(program, sim, tables).map((facts) => (
        <Straining key={facts.stepId} facts={facts} program={program} />
      ))}
      {program.lines
        .filter((l) => l.kind === 'solid')
        .map((line) => {
          const held = sim.flows
            .filter((f) => f.code === 'held' && f.lineId === line.id)
            .reduce((sum, f) => sum + f.volumeL, 0);
          return held > 0.005 ? (
            <Row key={line.id} label={say('panels.heldInThe', { item: sayItem(line.itemId).toLowerCase() })}>
              {volume(held)}
            </Row>
          ) : null;
        })}
      {cool && (
        <Row
          label={say('panels.coolingTo', { tempC: celsius(cool.now.tempC) })}
          note={say('panels.from', { tempC: celsius(cool.before.liquor.tempC) })}
        >
          {lengthText(cool)}
        </Row>
      )}
      {liquor && (
        <>
          <Row
            label={say('panels.betweenAndC')}
            note={
              goesOn && liquor.tempC > KEEPING.firstStageToC ? say('panels.andOnInThe') : say('panels.aimH')
            }
          >
            {duration(liquor.cooling.from60To21Min)}
          </Row>
          <Row label={say('panels.thenToC')} note={goesOn ? say('panels.andOnInThe') : say('panels.aimH2')}>
            {duration(liquor.cooling.from21To5Min)}
          </Row>
        </>
      )}
      {draws && <DrawsWorth draws={draws} marker={mainMarker(program, tables)} />}
      {counts.receiverShortL > 0 && (
        <Box sx={{ color: role('caution'), fontWeight: 700, mt: 1 }}>
          {say('panels.yourReceivingVesselsHold', {
            receiver: litres(counts.receiverL),
            receiverShort: litres(counts.receiverShortL),
          })}
        </Box>
      )}
      <Box sx={{ color: role('inkMuted'), fontSize: '0.9rem', mt: 1 }}>
        {say('panels.yourFridgeStandsAt', { fridgeC: celsius(kitchen.fridgeC) })}
      </Box>
    </Panel>
  );
}

/** One straining: what comes through and in how long, how clear it is, what pressing gains and a rinse thins. */
function Straining({ facts, program }: { facts: StrainingFacts; program: Program }) {
  const step = program.steps.find((s) => s.id === facts.stepId)!;
  const gains = facts.pressGainL > 0.005;
  return (
    <Row
      label={say('straining.through', {
        step: stepName(step, program),
        passes: facts.passes.map((p) => say('how.strain.pass', p)).join(', '),
      })}
      note={[
        duration(facts.minutes),
        say(`straining.${facts.clarity}`),
        gains ? say('straining.gain', { volume: volume(facts.pressGainL) }) : '',
        facts.rinseL > 0
          ? say('straining.rinse', { volume: volume(facts.rinseL), share: percent(facts.rinseThins) })
          : '',
      ]
        .filter(Boolean)
        .join(', ')}
    >
      {litres(facts.litres, 2)}
    </Row>
  );
}

/** What each draw gives by itself, and what the second is worth. */
function DrawsWorth({ draws, marker }: { draws: NonNullable<ReturnType<typeof drawsOf>>; marker: MarkerId }) {
  const { first, second } = draws;
  return (
    <Box sx={{ mt: 1.5 }} data-testid="draws-worth">
      <Typography variant="h3">{say('panels.theTwoDraws')}</Typography>
      {(
        [
          ['first', first],
          ['second', second],
        ] as const
      ).map(([name, d]) => (
        <Row key={name} label={`${name}: ${litres(d.litres)}`} note={duration(d.minutes)}>
          {num(d.gPerL, 1)} g/L {say(`marker.${marker}`)}
        </Row>
      ))}
      <Box sx={{ color: role('inkMuted'), fontSize: '0.9rem', mt: 0.5 }}>
        {say('panels.theSecondWinsBack', {
          marker: percent(second.markerG / Math.max(1e-9, first.markerG + second.markerG)),
          litres: litres(second.litres),
          minutes: duration(second.minutes),
        })}
      </Box>
    </Box>
  );
}
