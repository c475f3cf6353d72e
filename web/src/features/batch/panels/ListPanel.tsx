import '../../../words/places/batch.ts';
import { isWater, measuringKit, POT, type ProgramLine, standsSideBySide } from '@big-ladle/core/program';
import { asHandMeasures } from '@big-ladle/core/units';
import Box from '@mui/material/Box';
import { memo, type ReactNode } from 'react';
import { partsOnShelf } from '../../../shared/batch/stepWords.ts';
import { PlantDrawing } from '../../../shared/drawings/PlantDrawing.tsx';
import { plantOf } from '../../../shared/drawings/plants/plants.ts';
import { Panel, Row } from '../../../shared/ui.tsx';
import { role } from '../../../theme/theme.ts';
import { sayItem } from '../../../words/names.ts';
import { num } from '../../../words/numbers.ts';
import { centimetres, grams, volume } from '../../../words/quantities.ts';
import { handText, say } from '../../../words/say.ts';
import '../../../words/places/items.ts';
import type { PanelInput } from './input.ts';

/** What goes in: as a hand measures it, with the weight beside. */
export function ListPanel({
  title,
  children,
  ...input
}: PanelInput & { title?: string; children?: ReactNode }) {
  const { program, sim, kitchen, tables, addedG } = input;
  return (
    <Panel title={title}>
      {children}
      <Lines program={program} sim={sim} kitchen={kitchen} tables={tables} {...(addedG ? { addedG } : {})} />
    </Panel>
  );
}

/** Why the list is as it is: what set the size, whose cup weights count, what grows more slowly than the water. */
export function ListNotes({ program, kitchen, note }: PanelInput & { note?: ReactNode }) {
  const own = kitchen.cupWeights.filter((w) => program.lines.some((l) => l.itemId === w.ingredientId));
  const power = program.lines.filter((l) => l.rule.kind === 'power');
  return (
    <Box sx={{ mb: 1.5 }}>
      {note}
      {own.map((w) => (
        <span key={`${w.ingredientId}${w.measureId}`}>
          {say('panels.yourOfWeighs', {
            name: kitchen.measures.find((m) => m.id === w.measureId)?.name ?? 'cup',
            item: sayItem(w.ingredientId).toLowerCase(),
            mass: grams(w.massG),
          })}{' '}
        </span>
      ))}
      {power.length > 0 && <>{say('panels.wholeSpicesRunAhead')} </>}
      {program.fills > 1 &&
        (standsSideBySide(program)
          ? say('panels.amountsAreForBoth')
          : say('panels.amountsAreForAll', { fills: num(program.fills) }))}
    </Box>
  );
}

function rootText({ vigour, from }: NonNullable<ProgramLine['root']>): string {
  const said = say(`vigour.${vigour}`);
  return from ? say('panels.rootFrom', { vigour: said, from }) : say('panels.root', { vigour: said });
}

/** Every line with its amount; it stays as it is while only the wish above it moves. */
const Lines = memo(function Lines({
  program,
  sim,
  kitchen,
  tables,
  addedG,
}: Pick<PanelInput, 'program' | 'sim' | 'kitchen' | 'tables' | 'addedG'>) {
  const kit = measuringKit(kitchen);
  const dosed = sim.dosedG;
  const combine = sim.trace.find((t) => t.kind === 'combine' && t.vesselId === POT);
  const filling = program.steps.find((step) => step.id === combine?.stepId);
  const inGlass = program.steps.flatMap((step) =>
    step.kind === 'bottle' ? (step.inGlass?.lineIds ?? []) : [],
  );
  return (
    <Box data-testid="ingredient-list">
      {program.lines.map((line) => {
        const solid = tables.ingredients.get(line.itemId);
        const liquid = tables.liquids.get(line.itemId);
        const sweet = tables.sweeteners.get(line.itemId);
        const massG = line.massG || (dosed[line.id] ?? 0) + (addedG?.[line.id] ?? 0);
        if (massG <= 0 && line.rule.kind !== 'toTarget') return null;
        const water = isWater(tables, line.itemId);
        const words = (
          <>
            {sayItem(line.itemId)}
            {line.root && (
              <Box component="span" sx={{ color: role('inkMuted') }}>
                {rootText(line.root)}
              </Box>
            )}
            {line.share && `, ${say(`share.${line.share}`)}`}
            {inGlass.includes(line.id)
              ? say('panels.inTheGlass')
              : line.rule.kind === 'toTarget' && say('common.byTaste')}
            {line.rule.kind === 'byResult' && say('panels.asMuchAsThere')}
            {solid && solid.rate100PerMin === null && (
              <Box component="span" sx={{ color: role('caution') }}>
                {' '}
                {say('panels.whatItGivesIs')}
              </Box>
            )}
          </>
        );
        const label = (
          <Box sx={{ display: 'flex', alignItems: 'center', gap: 1 }}>
            <PlantDrawing plant={plantOf(line.itemId, tables)} size={30} />
            <span>{words}</span>
          </Box>
        );
        if (liquid) {
          const litresEach = massG / liquid.densityGPerMl / 1000;
          return (
            <Row
              key={line.id}
              dense
              drawn
              testId={`line-${line.id}`}
              label={label}
              note={
                water && filling?.lines.includes(line.id) && combine?.now.levelCm != null
                  ? say('panels.toHeight', { levelCm: centimetres(combine.now.levelCm) })
                  : grams(massG)
              }
            >
              <span data-mass-g={massG}>{volume(litresEach)}</span>
            </Row>
          );
        }
        const item = solid ?? (sweet ? { id: sweet.id, bulkGPerMl: sweet.bulkGPerMl, piece: null } : null);
        if (!item || massG <= 0) return null;
        const amount = asHandMeasures(massG, item, sweet ? { ...kit, preferredMeasureId: undefined } : kit);
        return (
          <Row
            key={line.id}
            dense
            drawn
            testId={`line-${line.id}`}
            label={label}
            note={<span data-mass-g={massG}>{grams(massG)}</span>}
          >
            {line.rule.kind === 'toTarget' && dosed[line.id] ? say('panels.about') : ''}
            {handText(amount, kitchen.measures, line.itemId)}
          </Row>
        );
      })}
      {partsOnShelf(program).map((part) => (
        <Row
          key={part.vesselId}
          dense
          testId={`shelf-${part.vesselId}`}
          label={say('panels.fromTheShelf', { name: part.name })}
          note={grams(part.massG)}
        >
          {volume(part.litres)}
        </Row>
      ))}
    </Box>
  );
});
