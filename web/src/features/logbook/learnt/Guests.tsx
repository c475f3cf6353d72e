import '../../../words/places/logbook.ts';
import { houseThirst } from '@big-ladle/core/gathering';
import { useMemo } from 'react';
import { useGatherings } from '../../../shared/gatherings/list.ts';
import { Panel, Row } from '../../../shared/ui.tsx';
import { percent, say } from '../../../words/say.ts';

/** Nearer to what was counted with than this it is as much. */
const AS_COUNTED = 0.02;

/** How thirsty the guests of this house are against what is counted with, by the evenings that were asked about. */
export function Guests() {
  const stored = useGatherings().data?.gatherings;
  const { gatherings, factor } = useMemo(() => houseThirst((stored ?? []).map((g) => g.gathering)), [stored]);
  if (gatherings === 0) return null;
  const share = factor - 1;
  const figure = percent(Math.abs(share));
  const by =
    Math.abs(share) < AS_COUNTED
      ? say('learn.guests.as')
      : say(share > 0 ? 'learn.guests.over' : 'learn.guests.under', { figure });
  return (
    <Panel title={say('learn.guests')} testId="learnt-guests">
      <Row label={by} note={say('learn.guests.from', { count: gatherings })}>
        {null}
      </Row>
    </Panel>
  );
}
