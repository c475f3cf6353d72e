import { Explain } from '../../shared/Explain.tsx';
import { Fold } from '../../shared/Fold.tsx';
import type { Term } from '../../shared/help.ts';
import '../../words/places/batch.ts';
import {
  asHandMeasures,
  type BottleLife,
  bottledMl,
  bottlesFor,
  bowlsOf,
  drawsOf,
  fillMl,
  finishedLiquor,
  type GlassFacts,
  glassFacts,
  isWater,
  KEEPING,
  type Kitchen,
  keepDate,
  largestFilling,
  ledgerOf,
  type MarkerId,
  mainMarker,
  measuringKit,
  POT,
  type Pot,
  type Program,
  potAt,
  potCapacityMl,
  type Schedule,
  type Simulation,
  saysAlcohol,
  standsSideBySide,
  type Tables,
  type Timetable,
  TUB,
  toolCounts,
  wouldKeepLonger,
} from '@big-ladle/core';
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { memo, type ReactNode } from 'react';
import { colours, itemIdOf } from '../../shared/batch/liquorColour.ts';
import { partsOnShelf, stepName, vesselName } from '../../shared/batch/stepWords.ts';
import { LedgerDrawing } from '../../shared/drawings/LedgerDrawing.tsx';
import { Spoon } from '../../shared/drawings/Spoon.tsx';
import { VesselDrawing } from '../../shared/drawings/VesselDrawing.tsx';
import { houseOf } from '../../shared/house.ts';
import { Figure, Panel, Row } from '../../shared/ui.tsx';
import { role } from '../../theme/theme.ts';
import { sayDrink, sayItem } from '../../words/names.ts';
import {
  celsius,
  centimetres,
  duration,
  grams,
  handText,
  litres,
  moment,
  num,
  percent,
  say,
  sayDate,
  sayNote,
  sayReason,
  timeOfDay,
  volume,
} from '../../words/say.ts';
import '../../words/places/items.ts';
import { CitrusCooked } from './CitrusCooked.tsx';
import { FurtherHours } from './FurtherHours.tsx';
import { entryOf, keepingInput, lengthText, potView, stageOf } from './figures.ts';
import { TimetableOut } from './TimetableOut.tsx';

export interface PanelInput {
  program: Program;
  sim: Simulation;
  kitchen: Kitchen;
  tables: Tables;
  pot: Pot;
  startMs: number;
  nowMs: number;
  /** What the log has booked of a batch that is on: sweetener by line. */
  addedG?: Readonly<Record<string, number>>;
  /** What the bottles really were, once they are filled. */
  hygiene?: 'clean' | 'sterilised';
}

/** Two columns side by side; on a narrow screen one under the other, the right one first where it holds what was asked for. */
export const TwoColumns = (props: { left: ReactNode; right: ReactNode; rightFirst?: boolean }) => (
  <Box
    sx={{
      display: 'grid',
      gridTemplateColumns: { xs: 'minmax(0,1fr)', md: 'minmax(0,5fr) minmax(0,8fr)' },
      gap: 1.75,
      alignItems: 'start',
    }}
  >
    <Box
      sx={{
        display: 'grid',
        gap: 1.75,
        alignContent: 'start',
        minWidth: 0,
        order: { xs: props.rightFirst ? 2 : 0, md: 0 },
      }}
    >
      {props.left}
    </Box>
    <Box sx={{ display: 'grid', gap: 1.75, alignContent: 'start', minWidth: 0, order: 1 }}>{props.right}</Box>
  </Box>
);

/** The pot at its fullest. */
export function PotPanel({ program, sim, pot, kitchen }: PanelInput) {
  const view = potView(program, sim, pot);
  const heat = sim.trace.find((t) => t.kind === 'heat' && t.vesselId === POT);
  const combine = sim.trace.find((t) => t.kind === 'combine' && t.vesselId === POT);
  const burner = kitchen.burners.find((b) => b.id === program.burnerId);
  return (
    <Panel>
      {view && (
        <VesselDrawing
          name={pot.name}
          diameterCm={pot.diameterCm}
          heightCm={pot.heightCm}
          levelCm={view.levelCm}
          standsL={view.standsL}
          limitCm={view.limitCm}
          foamCm={view.foamCm}
          colour={view.colour}
          marks={view.marks}
          solids={view.solids}
          description={view.description}
        />
      )}
      <Box sx={{ textAlign: 'center', mt: 0.5 }}>
        <Typography variant="h3" component="p">
          {say('panels.cmWide', {
            name: pot.name,
            potCapacity: litres(potCapacityMl(pot) / 1000),
            diameterCm: num(pot.diameterCm),
          })}
        </Typography>
        <Box sx={{ color: role('inkMuted'), fontSize: '0.9rem' }} data-testid="pot-facts">
          {standsSideBySide(program) ? (
            <>{say('panels.besideIt', { pots: potShares(program, kitchen) })} </>
          ) : (
            program.fills > 1 && <>{say('panels.fillsEachTheSame', { fills: num(program.fills) })} </>
          )}
          {!view?.heated && <>{say('panels.nothingIsHeatedIt')} </>}
          {combine?.now.levelCm != null && (
            <>{say('panels.fillTo', { levelCm: centimetres(combine.now.levelCm) })} </>
          )}
          {heat && burner && (
            <>
              {standsSideBySide(program)
                ? say('panels.allBoilAfterAbout', { lengthText: lengthText(heat) })
                : say('panels.boilsAfterAboutOn', {
                    lengthText: lengthText(heat),
                    name: burner.name.toLowerCase(),
                  })}{' '}
            </>
          )}
        </Box>
      </Box>
    </Panel>
  );
}

/** What each of several pots takes: "Blue pot takes 58 %, Tall pot takes 42 %". */
const potShares = (program: Program, kitchen: Kitchen): string =>
  (program.loadShares ?? [])
    .map((share, i) =>
      say('panels.shareOfPot', {
        pot: vesselName(program, kitchen, potAt(i)),
        percent: num(share * 100),
      }),
    )
    .join(', ');

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
        const label = (
          <>
            {sayItem(line.itemId)}
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
        if (liquid) {
          const litresEach = massG / liquid.densityGPerMl / 1000;
          return (
            <Row
              key={line.id}
              dense
              testId={`line-${line.id}`}
              label={label}
              note={
                water && filling?.lines.includes(line.id) && combine?.now.levelCm != null
                  ? say('panels.toCm', { levelCm: num(combine.now.levelCm, 1) })
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

export function LedgerPanel({
  program,
  sim,
  finishedWord,
  likely,
}: PanelInput & { finishedWord?: string; likely?: ReactNode }) {
  return (
    <Panel title={say('panels.whereTheLitresGo')} aside={say('panels.allAtC')}>
      <LedgerDrawing
        ledger={ledgerOf(sim)}
        itemOf={itemIdOf(program)}
        colour={colours(entryOf(sim, 'bottle') ?? entryOf(sim, 'strain', true)).glass}
        {...(finishedWord ? { finishedWord } : {})}
      />
      {likely}
    </Panel>
  );
}

export function WashPanel({ program, sim, kitchen, tables }: PanelInput) {
  const washedOut = Math.max(0, ...Object.values(sim.trace.find((t) => t.kind === 'wash')?.drawn ?? {}));
  return (
    <Panel title={say('panels.washAndCut')}>
      {program.steps
        .filter((s) => stageOf(program, s) === 'wash')
        .map((step) => {
          const entry = sim.trace.find((t) => t.stepId === step.id);
          return (
            <Row
              key={step.id}
              label={`${stepName(step, program)}: ${step.lines.map((id) => sayItem(itemIdOf(program)(id)).toLowerCase()).join(', ')}`}
              note={
                step.kind === 'wash'
                  ? say('panels.rinsesInBowls', {
                      rinses: num(step.rinses),
                      bowls: bowlsOf(step, program, kitchen, tables),
                    })
                  : ''
              }
            >
              {lengthText(entry)}
            </Row>
          );
        })}
      <Box sx={{ color: role('inkMuted'), fontSize: '0.9rem', mt: 1 }}>
        {washedOut > 0 && <>{say('panels.coldRinsesTakeAbout', { washedOut: percent(washedOut) })}</>}
      </Box>
    </Panel>
  );
}

/** What the drawing gives and costs. */
export function DrawPanel(input: PanelInput) {
  const { program, sim, tables } = input;
  // Each solid at the last moment it was in a vessel.
  const drawn: Record<string, number> = Object.assign({}, ...sim.trace.map((t) => t.drawn));
  const solids = program.lines.filter((l) => l.kind === 'solid');
  const notes = sim.trace
    .filter((t) => t.kind === 'heat' || t.kind === 'boil' || t.kind === 'cool')
    .flatMap((t) => t.notes);
  const seen = new Set<string>();
  const look = colours(
    sim.trace.findLast((t) => t.kind === 'strain' && t.vesselId === TUB) ?? entryOf(sim, 'bottle'),
  );
  return (
    <Panel title={say('panels.draw')}>
      {program.steps
        .filter((s) => stageOf(program, s) === 'draw')
        .map((step) => (
          <Row key={step.id} label={stepName(step, program)}>
            {lengthText(sim.trace.find((t) => t.stepId === step.id))}
          </Row>
        ))}
      <Typography variant="h3" sx={{ mt: 2 }}>
        {say('panels.drawnFromThePlants')}
      </Typography>
      {solids.map((line) => {
        const row = tables.ingredients.get(line.itemId);
        const share = drawn[line.id];
        return (
          <Row key={line.id} label={sayItem(line.itemId)}>
            {row?.rate100PerMin === null || share === undefined ? say('panels.notModelled') : percent(share)}
          </Row>
        );
      })}
      <Box sx={{ mt: 1.5 }}>
        <Spoon {...look} label={say('panels.expectedColourStrainedIn')} />
      </Box>
      <CitrusCooked {...input} />
      <FurtherHours {...input} />
      {notes.map((note) => {
        const text = sayNote(note);
        if (seen.has(text)) return null;
        seen.add(text);
        return (
          <Box
            key={text}
            sx={{ mt: 0.5, color: note.code.startsWith('boil') ? role('caution') : role('inkMuted') }}
          >
            {text}
          </Box>
        );
      })}
    </Panel>
  );
}

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
      <Row label={say(`how.strain.${strain.press}`)} note={strain.cloth ? say('panels.andACloth') : ''}>
        {litres(strained.now.volumeL, 2)}
      </Row>
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

const figureBox = { display: 'grid', gap: 0.25 };

/** Sweet, sour, and what a glass of it holds. */
export function BalancePanel({
  program,
  sim,
  kitchen,
  tables,
  children,
}: PanelInput & { children?: ReactNode }) {
  const entry = largestFilling(sim);
  if (!entry) return null;
  const { now } = entry;
  const glass = glassFacts(entry.after.liquor, kitchen.servingMl);
  const cell = (value: string, unit: string, label: string, testId: string, term: Term) => (
    <Box sx={figureBox}>
      <Figure value={value} unit={unit} testId={testId} />
      <Box sx={{ color: role('inkMuted'), fontSize: '0.85rem' }}>
        <Explain term={term}>{label}</Explain>
      </Box>
    </Box>
  );
  return (
    <Panel title={say('balancePage.balance')}>
      {children}
      <Box
        sx={{
          display: 'grid',
          gridTemplateColumns: 'repeat(auto-fill, minmax(120px, 1fr))',
          gap: 2,
          my: 1.5,
        }}
      >
        {cell(num(now.brix, 1), '°Bx', say('panels.allThatIsDissolved'), 'figure-brix', 'brix')}
        {cell(
          num(now.sweetnessPct, 1),
          say('common.gG'),
          say('panels.sweetnessAsSugar'),
          'figure-sweetness',
          'sweetness',
        )}
        {cell(
          num(Math.max(0, now.sournessGPerL), 1),
          'g/L',
          say('panels.titratableAcidityAsCitric'),
          'figure-ta',
          'sourness',
        )}
        {cell(
          now.ph.kind === 'estimate' ? num(now.ph.pH, 1) : '–',
          'pH',
          now.ph.kind === 'estimate'
            ? entry.after.liquor.read
              ? say('panels.asYouReadIt')
              : say('panels.estimate')
            : say('panels.tooLittleAcidTo'),
          'figure-ph',
          'ph',
        )}
        {saysAlcohol(now.abvPct) &&
          cell(num(now.abvPct, 1), '%', say('panels.alcohol'), 'figure-abv', 'strength')}
      </Box>
      <Typography variant="h3">{say('panels.inAGlassOf', { serving: num(kitchen.servingMl) })}</Typography>
      <Row label={say('panels.sugar')} note={`${num(glass.kcal)} kcal`}>
        <span data-testid="figure-glass-sugar">{grams(glass.sugarG)}</span>
      </Row>
      <Row label={say('panels.freeSugarsOfThe')}>
        <span data-testid="figure-glass-share">{percent(glass.shareOfCeiling)}</span>
      </Row>
      <Row label={say('panels.andOfTheG')}>{percent(glass.shareOfAim)}</Row>
      <Row label={glass.noAddedSugar ? say('panels.noAddedSugar') : say('panels.addedSugar')}>
        {glass.noAddedSugar ? say('panels.onlyThatOfThe') : grams(glass.addedSugarG)}
      </Row>
      <HouseLimits program={program} kitchen={kitchen} tables={tables} litresL={now.volumeL} glass={glass} />
      <Box sx={{ mt: 1.5 }}>
        <Spoon {...colours(entry)} label={say('panels.expectedColourOfThe')} />
      </Box>
    </Panel>
  );
}

/** Where a drink passes what the house has settled. */
function HouseLimits(props: {
  program: PanelInput['program'];
  kitchen: PanelInput['kitchen'];
  tables: PanelInput['tables'];
  litresL: number;
  glass: GlassFacts;
}) {
  const { program, kitchen, tables, litresL, glass } = props;
  const { freeSugarGPerGlass, citrusMlPerL } = houseOf(kitchen);
  const citrusMl = program.lines.reduce((sum, l) => {
    const row = tables.liquids.get(l.itemId);
    return row?.traits.includes('citrus') && row.traits.includes('sour')
      ? sum + l.massG / row.densityGPerMl
      : sum;
  }, 0);
  const perL = litresL > 0 ? citrusMl / litresL : 0;
  const passed = [
    ...(freeSugarGPerGlass !== null && glass.freeSugarG > freeSugarGPerGlass + 0.5
      ? [say('house.sugar', { is: num(glass.freeSugarG), most: num(freeSugarGPerGlass) })]
      : []),
    ...(citrusMlPerL !== null && perL > citrusMlPerL + 0.5
      ? [say('house.citrus', { is: num(perL), most: num(citrusMlPerL) })]
      : []),
  ];
  return passed.map((text) => (
    <Box key={text} data-testid="house-limit" sx={{ mt: 1, color: role('caution'), fontWeight: 700 }}>
      {text}
    </Box>
  ));
}

/** Bottles that fit what comes out, each lot in its own. */
export function BottlesPanel({ sim, kitchen, children }: PanelInput & { children?: ReactNode }) {
  const mls = bottledMl(sim);
  const { plans, bottles, leftMl } = bottlesFor(mls, kitchen.bottles);
  const total = mls.reduce((sum, ml) => sum + ml, 0);
  return (
    <Panel title={say('batchPage.bottle')} aside={say('panels.toFill', { total: litres(total / 1000, 2) })}>
      {children}
      {kitchen.bottles.map((size) => {
        const count = plans.reduce(
          (sum, plan) => sum + (plan.counts.find((row) => row.sizeId === size.id)?.count ?? 0),
          0,
        );
        return (
          count > 0 && (
            <Row
              key={size.id}
              label={`${size.name}, ${num(size.volumeMl)} mL`}
              note={say('panels.mlEach', { fill: num(fillMl(size.volumeMl)) })}
            >
              {num(count)}
            </Row>
          )
        );
      })}
      <Row label={bottles > 0 ? say('panels.leftOverAGlass') : say('panels.noBottlesInYour')}>
        {volume(leftMl / 1000)}
      </Row>
    </Panel>
  );
}

/** How long it will keep, reason by reason. */
export function KeepPanel({
  program,
  sim,
  kitchen,
  hygiene,
  life,
}: PanelInput & { life: BottleLife | null }) {
  const input = keepingInput(sim, program, hygiene);
  if (!input || !life) return null;
  const longer = [...life.longer, ...wouldKeepLonger(input)];
  return (
    <Panel title={say('panels.keepDrinkBy')}>
      <Box sx={{ mb: 1 }}>
        <Figure
          value={sayDate(keepDate(life, kitchen.zone), kitchen.zone)}
          unit={life.verdict === 'good' ? say('keep.wholeDays') : ''}
          testId="drink-by"
        />
      </Box>
      <Box component="ul" sx={{ m: 0, pl: 2.5, display: 'grid', gap: 0.5 }} data-testid="keep-reasons">
        {life.reasons.map((reason) => (
          <li key={reason.code}>{sayReason(reason)}</li>
        ))}
        <li>{say('panels.theClockStartsWhen')}</li>
      </Box>
      {longer.length > 0 && (
        <Box sx={{ mt: 1.5 }}>
          {say('panels.itWouldKeepLonger')}
          <Box component="ul" sx={{ m: 0, pl: 2.5 }} data-testid="keep-longer">
            {longer.map((reason) => (
              <li key={reason.code}>{sayReason(reason)}</li>
            ))}
          </Box>
        </Box>
      )}
      <Box sx={{ color: role('inkMuted'), fontSize: '0.9rem', mt: 1 }}>
        {say('panels.cautiousHomeRulesYour', { fridgeC: celsius(kitchen.fridgeC) })}
      </Box>
    </Panel>
  );
}

/** When to begin, and when the cook is needed. */
export function TimePanel(props: {
  program: Program;
  timetable: Timetable & { stretched?: Schedule['stretched'] };
  kitchen: Kitchen;
  nowMs: number;
  /** The end stands here where no head says it. */
  withEnd?: boolean;
}) {
  const { program, timetable, kitchen, nowMs, withEnd } = props;
  const { zone } = kitchen;
  // Calls that follow directly on one another are one sitting.
  const sittings: { startMs: number; endMs: number; kinds: string[] }[] = [];
  for (const call of timetable.calls) {
    const step = program.steps.find((s) => s.id === call.stepId);
    const name = (step ? stepName(step, program) : say(`step.${call.kind}`)).toLowerCase();
    const last = sittings.at(-1);
    if (last && call.startMs - last.endMs < 60_000) {
      last.endMs = call.endMs;
      last.kinds.push(name);
    } else sittings.push({ startMs: call.startMs, endMs: call.endMs, kinds: [name] });
  }
  return (
    <Panel label={say('panels.whenYouAreNeeded')}>
      {withEnd && <Row label={say('common.inBottles2')}>{moment(timetable.readyMs, nowMs, zone)}</Row>}
      {(timetable.stretched ?? []).map((s) => {
        const step = program.steps.find((p) => p.id === s.beforeStepId);
        return (
          <Box key={s.beforeStepId} sx={{ color: role('inkMuted'), mt: 1 }} data-testid="stretched">
            {say('panels.itWaitsLongerBefore', {
              by: duration(s.byMin),
              stepName: step ? stepName(step, program).toLowerCase() : '',
            })}
          </Box>
        );
      })}
      <Fold summary={say('panels.whenYouAreNeeded')} testId="hour-by-hour">
        <Box sx={{ color: role('inkMuted') }}>
          {say('panels.inAllOfYour', {
            total: duration(timetable.totalMin),
            handsOn: duration(timetable.handsOnMin),
          })}
        </Box>
        {sittings.map((s) => (
          <Row key={s.startMs} label={s.kinds.join(', ')} note={duration((s.endMs - s.startMs) / 60_000)}>
            {moment(s.startMs, nowMs, zone)}–{timeOfDay(s.endMs, zone)}
          </Row>
        ))}
        {!withEnd && <Row label={say('common.inBottles2')}>{moment(timetable.readyMs, nowMs, zone)}</Row>}
        <TimetableOut
          title={sayDrink(program.recipeId)}
          program={program}
          kitchen={kitchen}
          timetable={timetable}
          fileName={`timetable-${program.recipeId}`}
        />
      </Fold>
    </Panel>
  );
}
