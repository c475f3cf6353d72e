import '../../words/places/recipeText.ts';
import '../../words/places/steps.ts';
import {
  BLENDER,
  BOWL,
  guidanceFor,
  heatManner,
  isPot,
  JUG,
  KETTLE,
  lotOf,
  lotOfVessel,
  type Program,
  SPICE_POT,
  type Step,
  TUB,
} from '@big-ladle/core/program';
import { isCut } from '@big-ladle/core/tables';
import { sayItem, sayLot } from '../../words/names.ts';
import { num } from '../../words/numbers.ts';
import { celsius, centimetres, decimalsOf, poured } from '../../words/quantities.ts';
import { duration, has, say, sayCode } from '../../words/say.ts';
import { lineGrams, measured } from './goesIn.ts';
import { type MainStep, mainSteps } from './mainSteps.ts';
import type { TextInput } from './types.ts';

/** A step in words: what is done, the cook's own words for it, what is to be minded. */
export interface TextStep {
  sentence: string;
  own: string | null;
  cautions: string[];
}

/** The steps of a recipe in sentences, in their order, each complete in itself. */
export function stepSentences(input: TextInput): TextStep[] {
  const { program, sim, kitchen, tables } = input;
  const writer = new Writer(input);
  const minded = new Set<string>();
  return mainSteps(program).flatMap((main) => {
    const sentence = writer.sentence(main);
    if (!sentence) return [];
    const { step } = main;
    const entry = sim.trace.find((t) => t.stepId === step.id);
    const cautions = guidanceFor(program, step, entry, kitchen, tables)
      .filter((g) => g.severity === 'danger' || g.severity === 'caution')
      // Told once, where it is to be minded first.
      .filter((g) => !minded.has(g.code) && minded.add(g.code))
      .map((g) => sayCode(`guide.${g.code}`));
    const own = step.text && step.text.trim() !== sentence ? step.text.trim() : null;
    return [{ sentence, own, cautions }];
  });
}

const list = (things: readonly string[]): string =>
  things.length < 2
    ? (things[0] ?? '')
    : say('text.list', { before: things.slice(0, -1).join(', '), last: things.at(-1)! });

class Writer {
  /** Where the drink is that was spoken of last. */
  private at: string | null = null;

  constructor(private readonly input: TextInput) {}

  sentence(main: MainStep): string {
    const { program } = this.input;
    const lot = lotOfStep(main.step, program);
    const told = this.told(main);
    if (told && main.step.kind !== 'split') this.at = main.endsIn ?? this.at;
    return lot && told && main.step.kind !== 'split'
      ? say('text.lot', { lot: sayLot(lot), sentence: told })
      : told;
  }

  private told(main: MainStep): string {
    const { step } = main;
    const { program } = this.input;
    const what = main.poured ? say('text.it') : this.what(step.from[0]);
    switch (step.kind) {
      case 'pick':
        return say('text.pick', { list: this.handled(main) });
      case 'wash':
        return sayCode(`text.wash${washManner(step)}`, { list: this.handled(main), rinses: step.rinses });
      case 'prep':
        return step.mill ? say('text.mill', { list: this.handled(main) }) : this.prepared(main);
      case 'combine':
        return step.lift ? say('text.lift', { list: this.handled(main) }) : this.filled(main);
      case 'soak':
        return [
          sayCode(main.lineIds.length ? 'text.soak.list' : 'text.soak', {
            list: this.named(main.lineIds),
            time: time(step),
            place: placeOf(step),
            lid: lidOf(step),
          }),
          step.thrown ? say('text.soak.thrown') : '',
          meanwhile(step, 'text.every'),
        ].join('');
      case 'heat':
        return this.heated(main, what);
      case 'boil':
        return sayCode(`text.boil.${step.level}`, { what, time: time(step), lid: lidOf(step) });
      case 'steep': {
        const manner =
          step.purpose === undefined
            ? 'text.steep'
            : step.purpose === 'settling'
              ? 'text.settle'
              : 'text.mature';
        const put = main.lineIds.length
          ? `${this.filled({ ...main, step: { ...step, kind: 'combine' } as Step })} `
          : '';
        return `${put}${sayCode(manner, { what, time: time(step), place: placeOf(step), lid: lidOf(step) })}${meanwhile(step, step.purpose === 'maturing' ? 'text.shake' : 'text.every')}`;
      }
      case 'strain':
        return this.strained(main, what);
      case 'blend':
        return this.blended(main, what);
      case 'juice':
        return sayCode(`text.juice.${step.tool}`, {
          list: this.handled(main),
          into: this.into(step, this.at ?? TUB),
        });
      case 'cool':
        return sayCode(`text.cool.${step.place}`, {
          what,
          down:
            step.until.kind === 'temp' && step.until.targetC !== null
              ? say('text.cool.down', { temp: celsius(step.until.targetC) })
              : time(step),
        });
      case 'mix':
        return step.skims ? say('text.skim') : this.mixed(main);
      case 'sweeten':
        return say('text.sweeten', { list: this.named(main.lineIds) });
      case 'sour':
        return say('text.sour', { list: this.named(main.lineIds) });
      case 'fortify':
        return main.lineIds.length ? say('text.fortify', { list: this.named(main.lineIds) }) : '';
      case 'split': {
        const lot = sayLot(lotOfVessel(program, step.to[0] ?? '') ?? { kind: 'plain' }).toLowerCase();
        return step.volumeMl
          ? say('text.split.litres', { volume: poured(step.volumeMl / 1000), lot, what })
          : say('text.split.share', { percent: this.percentOfAll(step), lot, what });
      }
      case 'bottle':
        return this.bottled(step);
    }
  }

  /** What a step is about: "it", where it is what was spoken of before. */
  private what(vesselId: string | undefined): string {
    if (vesselId === undefined || vesselId === this.at || this.at === null || lotOf(vesselId) !== null)
      return say('text.it');
    return whatIsIn(vesselId);
  }

  /** Things by their names; how much of them, where they go in at several steps. */
  private named(lineIds: readonly string[]): string {
    return list(lineIds.map((id) => this.name(id, true)));
  }

  /** Things that are handled here, each once; "it" where the recipe names none. */
  private handled({ lineIds }: MainStep): string {
    return list([...new Set(lineIds.map((id) => this.name(id, false)))]) || say('text.it');
  }

  private name(lineId: string, withPart: boolean): string {
    const { program, tables } = this.input;
    const itemId = program.lines.find((l) => l.id === lineId)?.itemId ?? lineId;
    const name = this.plainName(itemId);
    const massG = lineGrams(this.input, lineId);
    const parts = program.lines.filter((l) => l.itemId === itemId).length;
    return withPart && parts > 1 && massG > 0
      ? say('text.named.part', { amount: measured(itemId, massG, tables), name: name })
      : say('text.named', { name });
  }

  /** As short as it can be told apart from everything else that goes in. */
  private plainName(itemId: string): string {
    const [name = '', form] = sayItem(itemId)
      .toLowerCase()
      .split(/, (.*)/);
    const others = this.input.program.lines.filter((l) => l.itemId !== itemId).map((l) => l.itemId);
    const same = others.some((id) => sayItem(id).toLowerCase().split(', ')[0] === name);
    return form && same ? `${name} (${form})` : name;
  }

  /** Which share of what there was before any part was taken: a program says each by what the parts before it left. */
  private percentOfAll(step: Extract<Step, { kind: 'split' }>): string {
    const { steps } = this.input.program;
    const before = steps
      .slice(
        0,
        steps.findIndex((s) => s.id === step.id),
      )
      .flatMap((s) =>
        s.kind === 'split' && s.recipeStepId === step.recipeStepId && !s.volumeMl ? [s.share] : [],
      );
    const percent = before.reduce((left, share) => left * (1 - share), 1) * step.share * 100;
    return num(percent, decimalsOf(percent, 1));
  }

  private prepared(main: MainStep): string {
    const { program } = this.input;
    const byCut = new Map<string, string[]>();
    for (const id of main.lineIds) {
      const cut = program.lines.find((l) => l.id === id)?.cut ?? '';
      const names = byCut.get(cut) ?? [];
      const name = this.name(id, false);
      if (!names.includes(name)) byCut.set(cut, [...names, name]);
    }
    return [...byCut]
      .map(([cut, names]) =>
        cut === ''
          ? say('text.prep', { list: list(names) })
          : isCut(cut) && has(`text.${cut}`)
            ? sayCode(`text.${cut}`, { list: list(names) })
            : say('text.prep.own', { list: list(names), cut }),
      )
      .join(' ');
  }

  private filled({ step, lineIds, from }: MainStep): string {
    const { program } = this.input;
    const [to = ''] = step.to;
    const poured = from.filter((id) => id !== BOWL && id !== to);
    const into = vessel(to);
    const things = this.named(lineIds);
    if (to === BLENDER && lineIds.length) return say('text.combine.rinse', { list: things, vessel: into });
    if (poured.length) {
      const sources = list(poured.map((id) => (lineIds.length ? whatIsIn(id) : this.what(id))));
      return lineIds.length
        ? say('text.combine.both', { list: things, from: sources, vessel: into })
        : say('text.combine.pour', { from: sources, vessel: into });
    }
    if (!lineIds.length) return '';
    const index = program.steps.findIndex((s) => s.id === step.id);
    const onto = program.steps.slice(0, index).findLast((s) => s.kind === 'strain' && s.from[0] === to);
    return onto?.kind === 'strain' && onto.keepSolids
      ? say('text.combine.second', { list: things, vessel: into })
      : say('text.combine', { list: things, vessel: into });
  }

  private heated({ step, hold }: MainStep, what: string): string {
    if (step.kind !== 'heat') return '';
    const lid = lidOf(step);
    const manner = heatManner(step);
    if (manner === 'boil') return say('text.heat', { what, lid });
    if (manner === 'rim') return say('text.heat.rim', { what, lid });
    const temp = celsius(step.until.kind === 'temp' ? (step.until.targetC ?? 100) : 100);
    return hold
      ? say('text.heat.hold', { what, temp, lid, time: time(hold) })
      : say('text.heat.degrees', { what, temp, lid });
  }

  private strained({ step, endsIn }: MainStep, what: string): string {
    if (step.kind !== 'strain') return '';
    const passes = step.passes ?? [
      { by: 'sieve', times: 1 },
      ...(step.cloth ? [{ by: 'cloth', times: 1 }] : []),
    ];
    return [
      say('text.strain', {
        what,
        passes: list(passes.map((p) => say('text.pass', { by: p.by, times: p.times }))),
        press: sayCode(`text.press.${step.press}`),
        into: endsIn === step.to[0] ? this.into(step, TUB) : '',
      }),
      step.rinseMl ? say('text.rinse', { volume: poured(step.rinseMl / 1000) }) : '',
      step.keepSolids ? say('text.keep', { vessel: vessel(step.from[0] ?? '') }) : '',
      step.asideSolids ? say('text.aside') : '',
    ].join('');
  }

  /** Where it goes, if not where it would go anyway. */
  private into(step: Step, usual: string): string {
    const [to = ''] = step.to;
    return to === usual || lotOf(to) !== null ? '' : say('text.into', { vessel: vessel(to) });
  }

  private blended({ step, lineIds, from }: MainStep, what: string): string {
    const poured = from.filter((id) => id !== BOWL && id !== step.to[0]);
    if (!lineIds.length) return say('text.blend.it', { what });
    const things = this.named(lineIds);
    return poured.length
      ? say('text.blend.with', { list: things, from: list(poured.map(whatIsIn)) })
      : say('text.blend', { list: things });
  }

  private mixed({ step, lineIds, from }: MainStep): string {
    const [to = ''] = step.to;
    const poured = from.filter((id) => id !== BOWL && id !== to);
    const sources = list(poured.map(whatIsIn));
    if (poured.length && lineIds.length)
      return say('text.mix.both', { list: this.named(lineIds), from: sources, vessel: vessel(to) });
    if (poured.length) return say('text.mix.pour', { from: sources, vessel: vessel(to) });
    return lineIds.length ? say('text.mix', { list: this.named(lineIds) }) : '';
  }

  private bottled(step: Extract<Step, { kind: 'bottle' }>): string {
    const fills = step.frozen
      ? step.portionMl
        ? say('text.freeze.portions', { volume: poured(step.portionMl / 1000) })
        : say('text.freeze')
      : step.hot
        ? say('text.bottle.hot', { hygiene: step.hygiene })
        : step.hygiene === 'sterilised'
          ? say('text.bottle.sterilised')
          : say('text.bottle');
    const glass = step.inGlass?.lineIds ?? [];
    return glass.length ? `${fills}${say('text.inGlass', { list: this.named(glass) })}` : fills;
  }
}

function lotOfStep(step: Step, program: Program) {
  const id = [...step.to, ...step.from].find((v) => lotOf(v) !== null);
  return id === undefined ? null : lotOfVessel(program, id);
}

const washManner = (step: Extract<Step, { kind: 'wash' }>): '' | '.swirl' | '.scrub' =>
  step.rinses > 2 ? '.swirl' : step.rinses > 1 || step.minutesPerRinse >= 2 ? '.scrub' : '';

const whatIsIn = (vesselId: string): string => say('text.in', { vessel: vessel(vesselId) });

/** What a vessel is called in any kitchen. */
function vessel(id: string): string {
  if (isPot(id)) return say('text.vessel.pot');
  switch (id) {
    case SPICE_POT:
      return say('text.vessel.spicePot');
    case KETTLE:
      return say('text.vessel.kettle');
    case BLENDER:
      return say('text.vessel.blender');
    case JUG:
      return say('text.vessel.jug');
    case TUB:
    case BOWL:
      return say('text.vessel.tub');
    default:
      return say('text.vessel.jar');
  }
}

function time(step: Step): string {
  const { until } = step;
  if (until.kind === 'duration') {
    const { minutes, minMinutes, maxMinutes } = until;
    return minMinutes === undefined && maxMinutes === undefined
      ? say('text.for', { time: duration(minutes) })
      : say('text.for.range', {
          time: duration(minutes),
          min: duration(minMinutes ?? minutes),
          max: duration(maxMinutes ?? minutes),
        });
  }
  if (until.kind !== 'down') return '';
  const { to } = until;
  if ('litres' in to) return say('text.down.litres', { volume: poured(to.litres) });
  return 'share' in to
    ? say('text.down.share', { percent: num(to.share * 100) })
    : say('text.down.mark', { cm: centimetres(to.levelCm) });
}

const lidOf = (step: { lid: 'on' | 'ajar' | 'off' }): string => sayCode(`text.lid.${step.lid}`);
const placeOf = (step: { place: string }): string =>
  has(`text.place.${step.place}`) ? sayCode(`text.place.${step.place}`) : '';

function meanwhile(
  step: Extract<Step, { kind: 'soak' | 'steep' }>,
  every: 'text.every' | 'text.shake',
): string {
  return [
    step.everyMin ? say(every, { every: duration(step.everyMin) }) : '',
    step.branch
      ? say('text.branch', {
          after: duration(step.branch.afterMin),
          volume: poured(step.branch.waterL),
          minutes: duration(step.branch.boilMin),
        })
      : '',
  ].join('');
}
