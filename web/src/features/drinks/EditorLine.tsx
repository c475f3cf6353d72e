import '../../words/places/drinks.ts';
import type { RecipeProblem } from '@big-ladle/core/book';
import type { Kitchen, RecipeLine, ScaleRule } from '@big-ladle/core/documents';
import { isWater, measuringKit } from '@big-ladle/core/program';
import { type Tables, WHOLE_SPICE_EXPONENT } from '@big-ladle/core/tables';
import { asHandMeasures } from '@big-ladle/core/units';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { useId, useState } from 'react';
import { QuantityField } from '../../shared/QuantityField.tsx';
import { role } from '../../theme/theme.ts';
import { sayItem } from '../../words/names.ts';
import { handText, say } from '../../words/say.ts';
import { LineMore } from './LineMore.tsx';

/** What is wrong with a line or a step, where it stands. */
export function ProblemLine({ problem }: { problem: RecipeProblem }) {
  return (
    <Box
      data-testid="recipe-problem"
      sx={{ color: role(problem.severity === 'error' ? 'danger' : 'caution'), fontSize: '0.92rem' }}
    >
      {problem.severity === 'error' ? say('editorLine.wrong') : say('editorLine.look')}
      {say(`recipe.${problem.code}`)}
    </Box>
  );
}

type RuleKind = ScaleRule['kind'];
/** Rules under which the amount is worked out, not entered. */
const WORKED_OUT: ReadonlySet<RuleKind> = new Set(['toVolume', 'toTarget', 'byResult', 'cover']);

/** How a line may grow with the batch, by what it is. */
function rulesFor(line: RecipeLine, tables: Tables): readonly RuleKind[] {
  if (isWater(tables, line.itemId)) return ['toVolume', 'cover', 'linear'];
  switch (line.kind) {
    case 'solid':
      return ['linear', 'power', 'perPot'];
    case 'liquid':
      return ['linear', 'byResult'];
    case 'sweetener':
      return ['toTarget', 'linear', 'byResult'];
  }
}

/** A rule as it starts: whole spices run ahead in a big pot, water stands two fingers over what it covers. */
function freshRule(kind: RuleKind): ScaleRule {
  switch (kind) {
    case 'power':
      return { kind, exponent: WHOLE_SPICE_EXPONENT };
    case 'cover':
      return { kind, plusCm: 4 };
    case 'byResult':
      return { kind, lineId: 'juice', ratio: 1 };
    case 'linear':
    case 'perPot':
    case 'toTarget':
    case 'toVolume':
      return { kind };
  }
}

/** A line of the recipe that is being written: how much, and how that grows with the batch. */
export function EditorLine(props: {
  line: RecipeLine;
  kitchen: Kitchen;
  tables: Tables;
  problems: readonly RecipeProblem[];
  onChange: (change: Partial<RecipeLine>) => void;
  onRemove: () => void;
}) {
  const { line, kitchen, tables, onChange } = props;
  const { rule } = line;
  const solid = tables.ingredients.get(line.itemId);
  const liquid = tables.liquids.get(line.itemId);
  const name = sayItem(line.itemId);
  const rules = rulesFor(line, tables);
  const [open, setOpen] = useState(false);
  const moreId = useId();
  return (
    <Box sx={{ borderBottom: `1px solid ${role('hairline')}`, py: 1 }} data-testid={`line-of-${line.itemId}`}>
      <Box sx={{ display: 'flex', gap: 1, alignItems: 'center' }}>
        <Box sx={{ flex: 1, minWidth: 0 }}>
          {name}
          {solid && line.massG > 0 && (
            <Box sx={{ color: role('inkMuted'), fontSize: '0.88rem' }}>
              {handText(
                asHandMeasures(line.massG, solid, measuringKit(kitchen)),
                kitchen.measures,
                line.itemId,
              )}
            </Box>
          )}
        </Box>
        {solid && (
          <Button
            size="small"
            aria-expanded={open}
            aria-controls={open ? moreId : undefined}
            aria-label={say('lineMore.moreOf', { name })}
            onClick={() => setOpen(!open)}
          >
            {open ? say('stepCard.less') : say('stepCard.more', { count: 0 })}
          </Button>
        )}
        <Button size="small" onClick={props.onRemove} aria-label={say('common.remove', { name })}>
          {say('common.remove2')}
        </Button>
      </Box>
      <Box sx={{ display: 'flex', gap: 1, mt: 0.75, alignItems: 'start' }}>
        <TextField
          select
          label={say('editorLine.amount')}
          value={rule.kind}
          onChange={(e) => onChange({ rule: freshRule(e.target.value as RuleKind) })}
          sx={{ flex: 1, minWidth: 0 }}
          slotProps={{
            select: { SelectDisplayProps: { 'aria-label': say('editorLine.amount2', { name }) } },
          }}
        >
          {(rules.includes(rule.kind) ? rules : [rule.kind, ...rules]).map((kind) => (
            <MenuItem key={kind} value={kind}>
              {say(`rule.${kind}`)}
            </MenuItem>
          ))}
        </TextField>
        {!WORKED_OUT.has(rule.kind) && (
          <QuantityField
            label={liquid ? `${name}, mL` : `${name}, g`}
            value={liquid ? line.massG / liquid.densityGPerMl : line.massG}
            min={0}
            max={200_000}
            decimals={1}
            unit={liquid ? 'mL' : 'g'}
            width={150}
            onValue={(value) => onChange({ massG: liquid ? value * liquid.densityGPerMl : value })}
          />
        )}
        {rule.kind === 'cover' && (
          <QuantityField
            label={say('editorLine.aboveWhatItCovers')}
            value={rule.plusCm}
            min={0}
            max={30}
            decimals={1}
            unit="cm"
            width={150}
            onValue={(plusCm) => onChange({ rule: { kind: 'cover', plusCm } })}
          />
        )}
        {rule.kind === 'byResult' && (
          <QuantityField
            label={say('editorLine.partsToOneOf', { name })}
            value={rule.ratio}
            min={0.05}
            max={20}
            decimals={2}
            width={150}
            onValue={(ratio) => onChange({ rule: { ...rule, ratio } })}
          />
        )}
      </Box>
      {solid && open && <LineMore id={moreId} line={line} tables={tables} onChange={onChange} />}
      {props.problems.map((p) => (
        <ProblemLine key={p.code} problem={p} />
      ))}
    </Box>
  );
}
