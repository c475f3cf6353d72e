import { ROUTES } from '@big-ladle/core/contract';
import type { LearningChoices, LearningDoc } from '@big-ladle/core/learn';
import { useQuery } from '@tanstack/react-query';
import { ask } from '../../../shared/api.ts';
import { keys } from '../../../shared/queries.ts';
import { tellError, useSend } from '../../../shared/send.ts';

/** What the kitchen's batches have told, and a way to settle something of it. */
export function useLearning(): {
  doc: LearningDoc | undefined;
  isPending: boolean;
  error: unknown;
  again: () => void;
  /** Something is being settled. */
  busy: boolean;
  settle: (change: Partial<LearningChoices>) => void;
} {
  const {
    data: doc,
    isPending,
    error,
    refetch,
  } = useQuery({
    queryKey: keys.learning,
    queryFn: () => ask(ROUTES.learning, {}),
  });
  const sending = useSend('saveLearning');
  // What was chosen is shown at once, while it is on its way.
  const choices = sending.isPending ? sending.variables.body.choices : doc?.choices;
  return {
    doc: doc && choices && { ...doc, choices },
    isPending,
    error,
    again: () => void refetch(),
    busy: sending.isPending,
    settle: (change) => {
      if (!doc) return;
      const body = { version: doc.version, choices: { ...doc.choices, ...change } };
      sending.mutate({ body }, { onError: (e) => tellError(e) });
    },
  };
}
