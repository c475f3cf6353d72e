import type { LogEvent, Program } from '@big-ladle/core';
import { stepDeed, stepName } from '../../shared/batch/stepWords.ts';
import { sayItem } from '../../words/names.ts';
import { sayClock, sayNoted } from '../../words/saidWords.ts';
import '../../words/shelfWords.ts';
import { celsius, duration, grams, litres, num, say, sayCode } from '../../words/say.ts';

/** A reading in words. */
export function readingText(reading: Extract<LogEvent, { kind: 'measured' }>['body']['reading']): string {
  switch (reading.what) {
    case 'volume':
      return `${litres(reading.volumeL, 2)}${reading.atC > 40 ? ' hot' : ''}`;
    case 'level':
      return `${num(reading.levelCm, 1)} cm`;
    case 'mass':
      return `${num(reading.massKg, 2)} kg`;
    case 'temperature':
      return celsius(reading.tempC);
    case 'brix':
      return `${num(reading.brix, 1)} °Bx`;
    case 'pH':
      return `pH ${num(reading.pH, 2)}`;
  }
}

/** An entry of the log in words. */
export function deedText(event: LogEvent, live: { program: Program }): string {
  const stepId = 'stepId' in event.body ? event.body.stepId : undefined;
  const step = live.program.steps.find((s) => s.id === stepId);
  const name = step ? stepName(step, live.program).toLowerCase() : '';
  switch (event.kind) {
    case 'planned':
      return 'planned';
    case 'stepStarted':
      return `began to ${name}`;
    case 'stepEnded':
      return step ? stepDeed(step, live.program) : 'step over';
    case 'skipped':
      return `skipped: ${name}`;
    case 'flame':
      return event.body.on ? 'the flame is back' : 'the flame went out';
    case 'strainedEarly':
      return event.body.waterL > 0
        ? `strained early, once more with ${litres(event.body.waterL)}`
        : 'strained early';
    case 'swapped': {
      const line = live.program.lines.find((l) => l.id === event.body.lineId);
      return `really went in: ${event.body.massG > 0 ? `${grams(event.body.massG)} ` : ''}${sayItem(event.body.itemId).toLowerCase()}${line ? '' : ' (not in this batch)'}`;
    }
    case 'split':
      return `split: ${event.body.lots.map((l) => `${l.name.toLowerCase()} ${litres(l.volumeL)}`).join(', ')}`;
    case 'setAside':
      return `set aside: ${event.body.leftovers.map((l) => `${grams(l.massG)} of ${say(`leftover.${l.kind}`).toLowerCase()}`).join(', ')}`;
    case 'gifts':
      return `for ${event.body.occasion}: ${event.body.rows.map((r) => `${num(r.count)} for ${r.to}`).join(', ')}`;
    case 'cueSeen':
      return event.body.cue === 'rinse'
        ? 'rinsed once'
        : event.body.clockId
          ? 'stopped a clock'
          : `saw: ${sayCode(`cue.${event.body.cue}`)}`;
    case 'clockStarted':
      return `clock: ${sayClock({ label: event.body.label ?? null, code: event.body.code ?? null, itemIds: event.body.itemIds ?? [] })}, ${duration(event.body.minutes)}`;
    case 'measured':
      return `measured ${readingText(event.body.reading)}`;
    case 'added':
      return `added ${grams(event.body.massG)} ${sayItem(event.body.itemId).toLowerCase()}`;
    case 'removed':
      return `${event.body.why === 'spill' ? 'spilt' : event.body.why === 'taste' ? 'tasted' : 'served'}: ${litres(event.body.volumeL, 2)} less`;
    case 'tasted':
      return `tasted: ${Object.entries(event.body.axes)
        .map(([axis, v]) => sayCode(`taste.${axis}.${v < 0 ? 'less' : v > 0 ? 'more' : 'right'}`))
        .join(', ')}`;
    case 'bottled':
      return `filled ${num(event.body.bottles.length)} bottles`;
    case 'scored':
      return `${num(event.body.score)} of 5${event.body.words ? `: ${event.body.words}` : ''}`;
    case 'noted':
      return sayNoted(event.body);
    case 'retimed':
      return 'set an earlier time';
    case 'undone':
      return 'took back';
    default:
      return event.kind;
  }
}
