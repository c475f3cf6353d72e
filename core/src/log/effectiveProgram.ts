import type * as v from 'valibot';
import { WATER_20_G_PER_ML } from '../liquor/composition.ts';
import { COLD_C, minutes } from '../program/compile/usual.ts';
import type { StepId } from '../program/model/ids.ts';
import { lotBottles, lotVessel, lotVessels } from '../program/model/lots.ts';
import type { EffectiveProgram, PlannedProgram, Program } from '../program/model/program.ts';
import type { Step, StrainStep } from '../program/model/steps.ts';
import { BOWL } from '../program/model/vessels.ts';
import { TAP_WATER_ID } from '../tables/choices.ts';
import type { Entry } from './entry.ts';
import type * as bodies from './events/bodies.ts';

const FILL_MIN = 4;

/** The straining that comes next after a step, and what lies between and is left out. */
export function nextStraining(
  program: Pick<Program, 'steps'>,
  stepId: StepId,
): { strain: StrainStep; between: readonly Step[] } | null {
  const at = program.steps.findIndex((s) => s.id === stepId);
  if (at < 0) return null;
  const rest = program.steps.slice(at + 1);
  const to = rest.findIndex((s) => s.kind === 'strain');
  const strain = rest[to];
  return strain?.kind === 'strain' ? { strain, between: rest.slice(0, to) } : null;
}

type Said<Schema extends v.GenericSchema> = Entry<v.InferOutput<Schema>>;

/** Another thing in the place of what a line had. */
export function withSwap(program: EffectiveProgram, { body }: Said<typeof bodies.swapped>): EffectiveProgram {
  const lines = program.lines.map((line) => {
    if (line.id !== body.lineId) return line;
    const { open, ...kept } = line;
    // What is added up to a target has no amount of its own; what went by parts has the one that was said.
    const rule = line.rule.kind === 'byResult' ? { kind: 'linear' as const } : line.rule;
    return { ...kept, rule, itemId: body.itemId, massG: rule.kind === 'toTarget' ? 0 : body.massG };
  });
  return { ...program, lines };
}

/** Strained before its time: the solids may be boiled once more, and what is hot is cooled before it goes on. */
export function withEarlyStraining(
  program: EffectiveProgram,
  event: Said<typeof bodies.strainedEarly>,
): EffectiveProgram {
  const { stepId, waterL, boilMin } = event.body;
  const next = nextStraining(program, stepId);
  if (!next) return program;
  const { strain, between } = next;
  const pot = strain.from[0];
  const tub = strain.to[0];
  if (pot === undefined || tub === undefined) return program;
  const again = waterL > 0;
  const tag = `again-${event.id.slice(-6)}`;
  const at = program.steps.indexOf(strain);
  const later = program.steps.slice(at + 1);
  const cools = later.some((s) => s.kind === 'cool' && s.from[0] === tub);
  const extra: Step[] = [];
  const base = { fill: 0, lines: [], attention: 'handsOn' as const };
  if (again) {
    const onPot = { ...base, from: [pot], to: [pot], burnerId: program.burnerId };
    extra.push(
      {
        ...base,
        id: `combine-${tag}`,
        kind: 'combine',
        from: [BOWL],
        to: [pot],
        lines: [tag],
        until: minutes(FILL_MIN),
      },
      {
        ...onPot,
        id: `heat-${tag}`,
        kind: 'heat',
        lid: 'on',
        until: { kind: 'temp', targetC: null },
        attention: 'watched',
      },
      {
        ...onPot,
        id: `boil-${tag}`,
        kind: 'boil',
        level: 'gentle',
        lid: 'ajar',
        until: minutes(boilMin),
        attention: 'watched',
      },
      { ...strain, id: `strain-${tag}`, fill: 0, keepSolids: strain.keepSolids },
    );
  }
  if (!cools && (again || between.some((s) => s.kind === 'cool')))
    extra.push({
      ...base,
      id: `cool-${tag}`,
      kind: 'cool',
      from: [tub],
      to: [tub],
      place: 'iceBath',
      lid: 'off',
      // As whatever may not be sour enough.
      until: { kind: 'temp', targetC: COLD_C.other },
      attention: 'watched',
    });
  return {
    ...program,
    lines: again
      ? [
          ...program.lines,
          {
            id: tag,
            kind: 'liquid',
            itemId: TAP_WATER_ID,
            rule: { kind: 'linear' },
            massG: waterL * 1000 * WATER_20_G_PER_ML,
            share: 'second',
          },
        ]
      : program.lines,
    steps: [
      ...program.steps.slice(0, at),
      again ? { ...strain, keepSolids: true } : strain,
      ...extra,
      ...later,
    ],
  };
}

/** Nothing that a jug would show. */
const NO_REST_L = 0.03;
const SPLIT_MIN = 2;
const STIR_MIN = 5;

/**
 * A batch in lots: each is poured into a vessel of its own before the step that was on, and finished by itself after the
 * rest: a sweet lot is sweetened as the plan would have, any other is left for what the cook stirs in; then its bottles.
 */
export function withLots(program: EffectiveProgram, { body }: Said<typeof bodies.split>): EffectiveProgram {
  const at = program.steps.findIndex((s) => s.id === body.stepId);
  const on = program.steps[at];
  const from = on?.from[0] ?? on?.to[0];
  const bottle = program.steps.find((s) => s.kind === 'bottle');
  const known = new Set(program.vessels.map((vessel) => vessel.id));
  const lots = body.lots.filter((lot) => !known.has(lotVessel(lot.lotId)));
  if (!on || from === undefined || bottle?.kind !== 'bottle' || lots.length === 0) return program;
  const sweeten = program.steps.find((s) => s.kind === 'sweeten');
  const before = program.steps.slice(0, at);
  const after = program.steps.slice(at);
  const split: Step[] = lots.map((lot) => ({
    id: `split-${lot.lotId}`,
    kind: 'split',
    from: [from],
    to: [lotVessel(lot.lotId)],
    lines: [],
    fill: 0,
    share: 0,
    volumeMl: lot.volumeL * 1000,
    until: minutes(SPLIT_MIN),
    attention: 'handsOn',
  }));
  const finish = lots.flatMap((lot): Step[] => {
    const vessel = lotVessel(lot.lotId);
    const base = { from: [vessel], to: [vessel], fill: 0, attention: 'handsOn' as const };
    return [
      lot.kind === 'sweet' && sweeten?.kind === 'sweeten'
        ? { ...sweeten, ...base, id: `sweeten-${lot.lotId}` }
        : { ...base, id: `mix-${lot.lotId}`, kind: 'mix', lines: [], until: minutes(STIR_MIN) },
      { ...bottle, id: `bottle-${lot.lotId}`, from: [vessel], to: [lotBottles(lot.lotId)] },
    ];
  });
  return {
    ...program,
    vessels: [...program.vessels, ...lots.flatMap((lot) => lotVessels(lot.lotId, lot))],
    // Where nothing is left of it, what was to come of it falls away; other lots go on.
    steps: [
      ...before,
      ...split,
      ...(body.restL > NO_REST_L ? after : after.filter((s) => !s.from.includes(from))),
      ...finish,
    ],
  };
}

/** The program of a batch of which nothing was said yet. */
export const notYetChanged = (planned: PlannedProgram): EffectiveProgram => ({ ...planned, effective: true });
