import '../../words/places/drinks.ts';
import { type RecipeProblem, STEP_TABLE, type StepField, saysOf } from '@big-ladle/core/book';
import type { RecipeLot, RecipeStep } from '@big-ladle/core/documents';
import { useSortable } from '@dnd-kit/sortable';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { type ReactNode, useId, useState } from 'react';
import { heading, role } from '../../theme/theme.ts';
import { sayLot } from '../../words/names.ts';
import { say } from '../../words/say.ts';
import { ProblemLine } from './EditorLine.tsx';
import { StepFieldInput } from './StepFields.tsx';

/** Where a step's card stands on the page. */
export const idOfStep = (stepId: string): string => `step-${stepId}`;

/** A step as it is written: what nearly every recipe says of it in sight, what few say folded away. */
export function StepCard(props: {
  step: RecipeStep;
  number: number;
  problems: readonly RecipeProblem[];
  lots: readonly RecipeLot[];
  lineName: (lineId: string) => string;
  onChange: (step: RecipeStep) => void;
  onRemove: () => void;
  children: ReactNode;
}) {
  const { step, number, problems, lots, lineName, onChange } = props;
  const { setNodeRef, listeners, attributes, transform, transition, isDragging, isOver } = useSortable({
    id: `step:${step.id}`,
  });
  const lot = lots.find((l) => l.id === step.lot);
  const alone = say(`step.${step.kind}`);
  const name = lot ? `${alone}: ${sayLot(lot).toLowerCase()}` : alone;
  const { first, more } = STEP_TABLE[step.kind];
  const [open, setOpen] = useState(false);
  const moreId = useId();
  const said = more.filter((field) => field !== 'text' && saysOf(step, field)).length;
  const row = { display: 'flex', gap: 1, flexWrap: 'wrap', alignItems: 'center' };
  const input = (field: StepField) => (
    <StepFieldInput
      key={field}
      field={field}
      step={step}
      name={name}
      lots={lots}
      lineName={lineName}
      onChange={onChange}
    />
  );
  return (
    <Box
      component="li"
      ref={setNodeRef}
      id={idOfStep(step.id)}
      tabIndex={-1}
      data-testid={`step-${step.kind}`}
      sx={{
        border: `1.5px solid ${isOver ? role('rim') : role('hairline')}`,
        borderRadius: 2,
        p: 1,
        bgcolor: role('enamel'),
        position: 'relative',
        zIndex: isDragging ? 5 : undefined,
        transform: transform ? `translate(${transform.x}px, ${transform.y}px)` : undefined,
        transition: transition ?? undefined,
      }}
    >
      <Box sx={row}>
        <Box
          component="button"
          type="button"
          {...listeners}
          {...attributes}
          aria-label={say('editorPage.stepMove', { number, name })}
          sx={{
            all: 'unset',
            cursor: 'grab',
            touchAction: 'none',
            px: 1,
            minHeight: 40,
            display: 'flex',
            alignItems: 'center',
            '&:focus-visible': { outline: `3px solid ${role('rim')}` },
          }}
        >
          ⠿
        </Box>
        <Box sx={{ ...heading, minWidth: 110 }}>
          {number}. {name}
        </Box>
        {first.map(input)}
        <Box sx={{ ml: 'auto', whiteSpace: 'nowrap' }}>
          <Button
            size="small"
            aria-expanded={open}
            aria-controls={open ? moreId : undefined}
            aria-label={say('stepCard.moreOf', { number, name, count: said })}
            onClick={() => setOpen(!open)}
          >
            {open ? say('stepCard.less') : say('stepCard.more', { count: said })}
          </Button>
          <Button
            size="small"
            onClick={props.onRemove}
            aria-label={say('editorPage.removeStep', { number, name })}
          >
            {say('common.remove2')}
          </Button>
        </Box>
      </Box>
      <Box sx={{ display: 'flex', gap: 0.75, flexWrap: 'wrap', mt: 0.75 }}>{props.children}</Box>
      {step.text && !open && (
        <Box sx={{ color: role('inkMuted'), fontSize: '0.88rem', mt: 0.5 }}>“{step.text}”</Box>
      )}
      {open && (
        <Box sx={{ ...row, pt: 1.5 }} id={moreId} data-testid="step-more">
          {more.map(input)}
        </Box>
      )}
      {problems.map((p) => (
        <ProblemLine key={p.code + p.lineId} problem={p} />
      ))}
    </Box>
  );
}
