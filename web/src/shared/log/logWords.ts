import '../../words/places/batch.ts';
import type { LogEvent } from '@big-ladle/core/log';
import type { Program } from '@big-ladle/core/program';
import { sayItem, sayLot } from '../../words/names.ts';
import { sayClock, sayNoted } from '../../words/saidWords.ts';
import { stepName } from '../batch/stepNames.ts';
import { stepDeed } from '../batch/stepWords.ts';
import '../../words/places/items.ts';
import '../../words/places/steps.ts';
import { num } from '../../words/numbers.ts';
import { celsius, centimetres, grams, kilograms, litres } from '../../words/quantities.ts';
import { duration, say, sayCode } from '../../words/say.ts';

/** A reading in words. */
export function readingText(reading: Extract<LogEvent, { kind: 'measured' }>['body']['reading']): string {
  switch (reading.what) {
    case 'volume':
      return `${litres(reading.volumeL, 2)}${reading.atC > 40 ? say('logWords.hot') : ''}`;
    case 'level':
      return centimetres(reading.levelCm);
    case 'mass':
      return kilograms(reading.massKg, 2);
    case 'temperature':
      return celsius(reading.tempC);
    case 'brix':
      return `${num(reading.brix, 1)} °Bx`;
    case 'red':
      return say('logWords.red', { mass: grams(reading.redGPerL) });
    case 'pH':
      return `pH ${num(reading.pH, 2)}`;
  }
}

/** An entry of a batch's log in words. @param program of the batch; null: it is not known here. */
export function deedText(event: LogEvent, program: Program | null): string {
  const stepId = 'stepId' in event.body ? event.body.stepId : undefined;
  const step = program?.steps.find((s) => s.id === stepId);
  const name = step && program ? stepName(step, program).toLowerCase() : '';
  switch (event.kind) {
    case 'planned':
      return say('logWords.planned');
    case 'stepStarted':
      return name ? say('logWords.beganTo', { name }) : say('logWords.stepBegan');
    case 'stepEnded':
      return step && program ? stepDeed(step, program) : say('logWords.stepOver');
    case 'skipped':
      return name ? say('logWords.skipped', { name }) : say('logWords.stepSkipped');
    case 'flame':
      return event.body.on ? say('logWords.theFlameIsBack') : say('logWords.theFlameWentOut');
    case 'strainedEarly':
      return event.body.waterL > 0
        ? say('logWords.strainedEarlyOnceMore', { water: litres(event.body.waterL) })
        : say('logWords.strainedEarly');
    case 'swapped': {
      const line = program?.lines.find((l) => l.id === event.body.lineId);
      return say('logWords.reallyWentInNot', {
        mass: grams(event.body.massG),
        massSome: event.body.massG > 0,
        item: sayItem(event.body.itemId).toLowerCase(),
        isLine: Boolean(line),
      });
    }
    case 'split':
      return say('logWords.split', {
        lots: event.body.lots.map((l) => `${sayLot(l).toLowerCase()} ${litres(l.volumeL)}`).join(', '),
      });
    case 'setAside':
      return say('logWords.setAside', {
        leftovers: event.body.leftovers
          .map((l) =>
            say('logWords.of', { mass: grams(l.massG), what: say(`leftover.${l.kind}`).toLowerCase() }),
          )
          .join(', '),
      });
    case 'gifts':
      return say('logWords.for2', {
        occasion: event.body.occasion,
        rows: event.body.rows.map((r) => say('logWords.for', { count: num(r.count), to: r.to })).join(', '),
      });
    case 'cueSeen':
      return event.body.cue === 'rinse'
        ? say('logWords.rinsedOnce')
        : event.body.clockId
          ? say('logWords.stoppedAClock')
          : say('logWords.saw', { what: sayCode(`cue.${event.body.cue}`) });
    case 'clockStarted':
      return say('logWords.clock', {
        clock: sayClock({
          label: event.body.label ?? null,
          code: event.body.code ?? null,
          itemIds: event.body.itemIds ?? [],
        }),
        minutes: duration(event.body.minutes),
      });
    case 'measured':
      return say('logWords.measured', { readingText: readingText(event.body.reading) });
    case 'added':
      return say('logWords.added', {
        mass: grams(event.body.massG),
        item: sayItem(event.body.itemId).toLowerCase(),
      });
    case 'removed':
      return say('logWords.less', {
        why: say(`logWords.out.${event.body.why}`),
        volume: litres(event.body.volumeL, 2),
      });
    case 'tasted':
      return say('logWords.tasted', {
        entries: Object.entries(event.body.axes)
          .map(([axis, v]) => sayCode(`taste.${axis}.${v < 0 ? 'less' : v > 0 ? 'more' : 'right'}`))
          .join(', '),
      });
    case 'bottled':
      return say('logWords.filledBottles', { bottles: num(event.body.bottles.length) });
    case 'stopped':
      return say('logWords.stopped', {
        why: event.body.code ? sayCode(event.body.code) : (event.body.why ?? ''),
        isWhy: Boolean(event.body.code ?? event.body.why),
      });
    case 'fromPurchase':
      return say('logWords.fromPurchase', {
        item: sayItem(event.body.itemId),
        purchase: event.body.purchase,
      });
    case 'scored':
      return say('logWords.of2', {
        score: num(event.body.score),
        words: event.body.words ?? '',
        isWords: Boolean(event.body.words),
      });
    case 'noted':
      return sayNoted(event.body);
    case 'retimed':
      return say('logWords.setAnEarlierTime');
    case 'undone':
      return say('logWords.tookBack');
    default:
      return event.kind;
  }
}
