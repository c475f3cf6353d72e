import '../../../words/places/batch.ts';
import type { Kitchen, PlanDoc } from '@big-ladle/core/documents';
import { withBeside, withoutClash } from '@big-ladle/core/plan';
import Box from '@mui/material/Box';
import { say } from '../../../words/say.ts';
import { sentenceField } from './sentenceField.ts';

interface Props {
  plan: PlanDoc;
  kitchen: Kitchen;
  onChange: (plan: PlanDoc) => void;
}

/** One of the pots or rings of the kitchen, in the sentence of the plan. */
function Pick(props: {
  label: string;
  value: string;
  options: readonly { id: string; name: string }[];
  onPick: (id: string) => void;
  none?: string;
  testId?: string;
}) {
  return (
    <Box
      component="select"
      aria-label={props.label}
      value={props.value}
      onChange={(e: React.ChangeEvent<HTMLSelectElement>) => props.onPick(e.target.value)}
      sx={sentenceField}
      {...(props.testId ? { 'data-testid': props.testId } : {})}
    >
      {props.none !== undefined && <option value={NONE}>{props.none}</option>}
      {props.options.map((o) => (
        <option key={o.id} value={o.id}>
          {o.name}
        </option>
      ))}
    </Box>
  );
}
const NONE = '';

/** From which pot and on which ring it is made. */
export function PotsAndRings({ plan, kitchen, onChange }: Props) {
  return (
    <>
      <span>
        {say('planTable.fromThe')}{' '}
        <Pick
          label={say('common.pot')}
          value={plan.potId}
          options={kitchen.pots}
          onPick={(potId) => onChange(withoutClash({ ...plan, potId, fills: 1 }))}
        />
      </span>
      <span>
        {say('planTable.onThe')}{' '}
        <Pick
          label={say('planTable.ring')}
          value={plan.burnerId}
          options={kitchen.burners}
          onPick={(burnerId) => onChange(withoutClash({ ...plan, burnerId }))}
        />
      </span>
      <PotsBeside plan={plan} kitchen={kitchen} onChange={onChange} />
    </>
  );
}

/** The pots that stand beside the first: another one, on another ring, or none any more. */
function PotsBeside({ plan, kitchen, onChange }: Props) {
  const beside = plan.beside ?? [];
  const usedPots = new Set([plan.potId, ...beside.map((p) => p.potId)]);
  const usedRings = new Set([plan.burnerId, ...beside.map((p) => p.burnerId)]);
  return beside.map((one, index) => {
    const set = (next: typeof one | null) =>
      onChange(
        withBeside(
          plan,
          beside.flatMap((p, i) => (i !== index ? [p] : next ? [next] : [])),
        ),
      );
    return (
      <span key={one.potId}>
        {say('planTable.andThe')}{' '}
        <Pick
          label={say('planTable.potBeside')}
          testId="pot-beside"
          value={one.potId}
          none={say('planTable.noPotBeside')}
          options={kitchen.pots.filter((p) => p.id === one.potId || !usedPots.has(p.id))}
          onPick={(potId) => set(potId === NONE ? null : { ...one, potId })}
        />{' '}
        {say('planTable.onThe')}{' '}
        <Pick
          label={say('planTable.ringBeside')}
          value={one.burnerId}
          options={kitchen.burners.filter((b) => b.id === one.burnerId || !usedRings.has(b.id))}
          onPick={(burnerId) => set({ ...one, burnerId })}
        />
      </span>
    );
  });
}
