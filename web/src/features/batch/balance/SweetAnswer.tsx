import '../../../words/places/batch.ts';
import '../../../words/places/steps.ts';
import type { Suggestion } from '@big-ladle/core/balance';
import type { Kitchen } from '@big-ladle/core/documents';
import type { Tables } from '@big-ladle/core/tables';
import type { ReactNode } from 'react';
import { Answer } from '../../../shared/Answer.tsx';
import { byHand } from '../../../shared/handMeasure.ts';
import { num } from '../../../words/numbers.ts';
import { grams, volume } from '../../../words/quantities.ts';
import { say } from '../../../words/say.ts';
import { candidateName } from './Ways.tsx';

type Part = Suggestion['parts'][number];

/** An amount as the hand measures it first; by weight where there is no measure. */
function inHand(part: Part, kitchen: Kitchen, tables: Tables): string {
  if (part.pieces !== null) return num(part.pieces);
  if (part.kind === 'liquid' || part.kind === 'lessWater') return volume(part.volumeMl / 1000);
  const row = tables.sweeteners.get(part.id);
  return row && part.massG >= 1 ? byHand(row, part.massG, kitchen) : grams(part.massG);
}

/** The answer, before anything else: how much of what brings it to where it is wanted. */
export function SweetAnswer(props: {
  suggestion: Suggestion | undefined;
  kitchen: Kitchen;
  tables: Tables;
  children?: ReactNode;
}) {
  const { suggestion, kitchen, tables, children } = props;
  if (!suggestion) return null;
  return (
    <Answer
      label={say('answer.title')}
      title={
        suggestion.parts.length === 0
          ? say('balance.nothingToAdd')
          : suggestion.parts
              .map((p) =>
                say('answer.part', {
                  amount: inHand(p, kitchen, tables),
                  what: candidateName(p.id).toLowerCase(),
                }),
              )
              .join(say('answer.and'))
      }
      below={
        suggestion.parts.length > 0 &&
        say('answer.inAll', { mass: grams(suggestion.parts.reduce((sum, p) => sum + p.massG, 0)) })
      }
    >
      {children}
    </Answer>
  );
}
