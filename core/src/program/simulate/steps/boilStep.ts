import { volumeMl } from '../../../liquor/composition.ts';
import { expansion } from '../../../liquor/water.ts';
import { boilingPointC } from '../../../physics/heat.ts';
import { areaM2 } from '../../../physics/vesselShape.ts';
import { said } from '../../../units/result.ts';
import type { BoilStep } from '../../model/steps.ts';
import type { Vessel } from '../../model/vessel.ts';
import { advanceVessel, boilPath, pathOf, type Recorder, type Surroundings } from '../evolve.ts';
import { noteRoom, type SimState, StepStop, setVessel, solidsInfo, vesselOf, widthM } from '../state.ts';
import { burn, burnerIdOf, cutAfter, powerFor } from './flame.ts';
import { inPieces, plannedRemaining, type StepRun, wetVessels } from './stepTime.ts';

/** A boil that would have to go on for longer never gets there, minutes. */
const LONGEST_BOIL_MIN = 24 * 60;

/** What a boil goes down to, mL as at 20 °C; null where it goes by the clock. A cook's litres are read as it stands hot. */
function goalMlOf(sim: SimState, step: BoilStep, start: Vessel, boilC: number): number | null {
  if (step.until.kind !== 'down') return null;
  const { to } = step.until;
  if ('share' in to) return to.share * volumeMl(start.liquor);
  // Up to a mark there is liquor and what lies in it.
  const hotMl =
    'litres' in to
      ? to.litres * 1000
      : areaM2(widthM(sim, start)) * to.levelCm * 1e4 - solidsInfo(sim, start).volumeMl;
  return Math.max(0, hotMl) / expansion(boilC);
}

/** Minutes of boiling until so much is left: what the plants still give is counted by trying. */
function downMin(
  sim: SimState,
  step: BoilStep,
  vessel: Vessel,
  boil: Parameters<typeof boilPath>[2],
  goalMl: number,
): number {
  const hasMl = volumeMl(vessel.liquor);
  if (hasMl <= goalMl) return 0;
  const mlPerMin = boilPath(sim, vessel, boil, 1).litresPerMin * 1000;
  let minutes = (hasMl - goalMl) / mlPerMin;
  const never = { kind: 'neverDown' as const, stepId: step.id, vesselId: vessel.id, toL: goalMl / 1000 };
  if (!(minutes < LONGEST_BOIL_MIN)) throw new StepStop(never);
  const quiet = { ...sim, flows: null };
  for (let round = 0; round < 3; round++) {
    const { stretches } = boilPath(sim, vessel, boil, minutes);
    const left = volumeMl(advanceVessel(quiet, step.id, vessel, stretches, 'stove', null).liquor);
    minutes = Math.max(0, minutes + (left - goalMl) / mlPerMin);
  }
  return minutes;
}

/** So near the boiling point it boils, °C. */
const AT_THE_BOIL_C = 0.2;

/** One pot of a boil, from its start on. */
class BoilingPot {
  /** Minutes in which it did not boil: without a flame, and on the way to the boil. */
  stillMin = 0;
  private readonly around: Surroundings;
  private readonly boil: Parameters<typeof boilPath>[2];
  /** What it goes down to, mL; null where it goes by the clock. */
  private readonly goalMl: number | null;

  constructor(
    private readonly sim: SimState,
    private readonly step: BoilStep,
    private readonly run: StepRun,
    private readonly start: Vessel,
    /** Of several pots the first is the one that the trace follows. */
    private readonly lived: Recorder | null,
  ) {
    const boilC = boilingPointC(sim.kitchen.altitudeM);
    const powerW = powerFor(sim, step, start);
    this.boil = {
      level: step.level,
      lid: step.lid,
      powerW,
      boilC,
      burnerId: burnerIdOf(sim, step, start.id),
    };
    this.around = { place: 'stove', lid: step.lid, powerW };
    // A heat step has brought it to the boil; where that was left out, the flame does so now.
    const liquor = this.boils(start) ? { ...start.liquor, tempC: boilC } : start.liquor;
    setVessel(sim, { ...start, place: 'stove', lid: step.lid, liquor });
    noteRoom(sim, this.here(), true);
    const { rate } = boilPath(sim, start, this.boil, 1);
    // Of several pots the first that it is true of says it.
    const note = rate.tooWeak
      ? said('boil.tooWeak')
      : rate.turnUp
        ? said('boil.turnUp', { percent: Math.round(rate.setting * 100) })
        : null;
    if (note && !run.notes.some((n) => n.code === note.code)) run.notes.push(note);
    this.goalMl = goalMlOf(sim, step, start, boilC);
  }

  get id(): string {
    return this.start.id;
  }

  private here(): Vessel {
    return vesselOf(this.sim, this.step.id, this.id);
  }

  private boils(vessel: Vessel): boolean {
    return vessel.liquor.tempC > this.boil.boilC - AT_THE_BOIL_C;
  }

  private toBoil(): ReturnType<typeof pathOf> | null {
    return this.boils(this.here())
      ? null
      : pathOf(this.sim, this.here(), this.around, { targetC: this.boil.boilC });
  }

  /** Minutes that it still takes. */
  remainingMin(goneMin: number): number {
    const leftMin =
      this.goalMl === null
        ? plannedRemaining(this.step)(goneMin) + this.stillMin
        : downMin(this.sim, this.step, this.here(), this.boil, this.goalMl);
    // What is poured in at its end is not brought back to the boil.
    if (leftMin <= 1e-9) return 0;
    // A flame too weak for it never gets there: the planned minutes go by all the same.
    const way = this.toBoil();
    return leftMin + (way?.end === 'reached' ? way.minutes : 0);
  }

  pass(minutes: number): void {
    const { sim, step, lived } = this;
    if (this.run.flameOut) {
      const { stretches } = pathOf(sim, this.here(), { ...this.around, powerW: 0 }, { minutes });
      setVessel(sim, advanceVessel(sim, step.id, this.here(), stretches, 'stove', lived));
      this.stillMin += minutes;
      return;
    }
    const way = this.toBoil();
    if (way && way.end !== 'reached') {
      const { stretches } = pathOf(sim, this.here(), this.around, { minutes });
      burn(sim, step, this.id, minutes);
      setVessel(sim, advanceVessel(sim, step.id, this.here(), stretches, 'stove', lived));
      return;
    }
    const warmMin = Math.min(minutes, way?.minutes ?? 0);
    const warmed = way ? cutAfter(way.stretches, warmMin) : [];
    this.stillMin += warmMin;
    const { stretches, rate } = boilPath(sim, this.here(), this.boil, minutes - warmMin);
    burn(sim, step, this.id, warmMin);
    burn(sim, step, this.id, minutes - warmMin, rate.setting);
    setVessel(sim, advanceVessel(sim, step.id, this.here(), [...warmed, ...stretches], 'stove', lived));
  }
}

/** Boiling by the clock, or down to so much; of several pots each by its own flame, and the last sets the time. */
export function boilStep(sim: SimState, step: BoilStep, run: StepRun): void {
  const pots = wetVessels(sim, step).map(
    (start, i) => new BoilingPot(sim, step, run, start, i === 0 ? run.lived : null),
  );
  inPieces(
    sim,
    step,
    run,
    new Set(pots.map((p) => p.id)),
    (goneMin) => Math.max(...pots.map((p) => p.remainingMin(goneMin))),
    (minutes) => {
      for (const pot of pots) pot.pass(minutes);
    },
  );
}
