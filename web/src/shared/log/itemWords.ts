import '../../words/places/shelf.ts';
import type { Kitchen } from '@big-ladle/core/documents';
import type { LogEvent } from '@big-ladle/core/log';
import { grams, volume } from '../../words/quantities.ts';
import { say } from '../../words/say.ts';
import { sayWhy } from '../../words/thrownWords.ts';
import { placeName } from '../house.ts';

/** An entry of the log of a bottle, a jar or a bag in words. */
export function itemDeedText(event: LogEvent, kitchen: Kitchen): string {
  switch (event.kind) {
    case 'opened':
      return say('history.opened');
    case 'poured':
      return say('history.poured', { volume: volume(event.body.volumeMl / 1000) });
    case 'finished':
      return say('history.finished');
    case 'discarded':
      return say('history.thrownOut', { why: sayWhy(event.body) });
    case 'gaveAway':
      return say('history.givenTo', { to: event.body.to });
    case 'moved':
      return say('history.standsOn', { placeName: placeName(kitchen, event.body.place).toLowerCase() });
    case 'vented':
      return say('history.gasLetOff');
    case 'looked':
      return event.body.signs.length
        ? say('history.lookedAt', { signs: event.body.signs.map((s) => say(`sign.${s}`)).join(', ') })
        : say('history.lookedAtNothingSeen');
    case 'used':
      return say('history.for', {
        mass: grams(event.body.massG),
        what: say(`use.${event.body.use}`).toLowerCase(),
      });
    case 'retimed':
      return say('history.earlier');
    case 'undone':
      return say('history.tookBack');
    default:
      return event.kind;
  }
}
