import '../../../words/places/batch.ts';
import type { Kitchen, PlanDoc } from '@big-ladle/core/documents';
import { type PlanRisk, type SafeWay, safeWays } from '@big-ladle/core/keeping';
import type { Program } from '@big-ladle/core/program';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useMemo } from 'react';
import { stepName } from '../../../shared/batch/stepNames.ts';
import { useBook } from '../../../shared/book.ts';
import { Panel } from '../../../shared/ui.tsx';
import { role } from '../../../theme/theme.ts';
import { sayReason } from '../../../words/coreWords.ts';
import { sayItem } from '../../../words/names.ts';
import { eachMeasure, grams } from '../../../words/quantities.ts';
import { duration, say } from '../../../words/say.ts';

/** A plan that ends at "throw out": why, at which step, and the nearest ways by which it can be kept, each in one tap. */
export function NotToBeKept(props: {
  plan: PlanDoc;
  risk: PlanRisk;
  program: Program;
  kitchen: Kitchen;
  onChange: (plan: PlanDoc) => void;
}) {
  const { plan, risk, program, kitchen, onChange } = props;
  const { book, tables } = useBook();
  const ways = useMemo(() => safeWays(plan, book, kitchen, tables), [plan, book, kitchen, tables]);
  const step = program.steps.find((s) => s.id === risk.stepId);
  return (
    <Panel
      title={say('notToBeKept.notToBeKept')}
      sx={{ mb: 1.75, borderTopColor: role('danger') }}
      testId="not-to-be-kept"
    >
      <Box>
        {say('notToBeKept.madeLikeThisIt', {
          stepName: step ? stepName(step, program).toLowerCase() : '',
          isStep: Boolean(step),
        })}
      </Box>
      <Box component="ul" sx={{ m: 0, mt: 0.5, pl: 2.5 }}>
        {risk.reasons.map((reason) => (
          <li key={reason.code}>{sayReason(reason)}</li>
        ))}
      </Box>
      {ways.length > 0 && (
        <Box sx={{ mt: 1.25, display: 'flex', gap: 1, flexWrap: 'wrap', alignItems: 'center' }}>
          <span>{say('notToBeKept.itCanBeKept')}</span>
          {ways.map((way) => (
            <Button key={way.kind} variant="outlined" onClick={() => onChange(way.plan)}>
              {wayWords(way)}
            </Button>
          ))}
        </Box>
      )}
    </Panel>
  );
}

function wayWords({ kind, minutes, acid }: SafeWay): string {
  const each = eachMeasure();
  return say(`safeWay.${kind}`, {
    each: say(`each.${each.name}`),
    ...(minutes === undefined ? {} : { length: duration(minutes) }),
    ...(acid ? { amount: grams(acid.gPerL * each.litres), what: sayItem(acid.itemId).toLowerCase() } : {}),
  });
}
