import '../../words/places/drinks.ts';
import { handlesOnly, putLine, type RecipeProblem, takeLineOut } from '@big-ladle/core/book';
import {
  OWN_STEP_KINDS,
  type OwnStepKind,
  type Recipe,
  type RecipeLine,
  type RecipeStep,
} from '@big-ladle/core/documents';
import {
  closestCenter,
  DndContext,
  type DragEndEvent,
  KeyboardSensor,
  PointerSensor,
  type UniqueIdentifier,
  useDraggable,
  useSensor,
  useSensors,
} from '@dnd-kit/core';
import {
  arrayMove,
  SortableContext,
  sortableKeyboardCoordinates,
  verticalListSortingStrategy,
} from '@dnd-kit/sortable';
import Box from '@mui/material/Box';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { v7 as uuid } from 'uuid';
import { role } from '../../theme/theme.ts';
import { sayItem } from '../../words/names.ts';
import { sayRich } from '../../words/rich.ts';
import { say } from '../../words/say.ts';
import { announceMoves } from './announceMoves.ts';
import { StepCard } from './StepCard.tsx';

/** Steps in their order; each holds the lines that go in with it. */
export function Steps(props: {
  recipe: Recipe;
  problems: readonly RecipeProblem[];
  onChange: (steps: RecipeStep[]) => void;
}) {
  const { recipe, problems, onChange } = props;
  const steps = [...(recipe.steps ?? [])];
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 5 } }),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  );
  const stepOf = (id: string): string | null => (id.startsWith('step:') ? id.slice(5) : null);
  const put = (lineId: string, stepId: string) => onChange(putLine(steps, lineId, stepId));
  const dropped = ({ active, over }: DragEndEvent) => {
    if (!over) return;
    const from = String(active.id);
    const target = stepOf(String(over.id));
    if (!target) return;
    if (from.startsWith('line:')) put(from.slice(5).split('@')[0]!, target);
    else {
      const a = steps.findIndex((s) => s.id === stepOf(from));
      const b = steps.findIndex((s) => s.id === target);
      if (a >= 0 && b >= 0 && a !== b) onChange(arrayMove(steps, a, b));
    }
  };
  /** A step or an ingredient as it is read aloud while it is moved. */
  const spoken = (id: UniqueIdentifier): string => {
    const text = String(id);
    if (text.startsWith('line:')) {
      const line = recipe.lines.find((l) => l.id === text.slice(5).split('@')[0]);
      return line ? sayItem(line.itemId) : '';
    }
    const index = steps.findIndex((s) => s.id === stepOf(text));
    return index < 0
      ? ''
      : say('editorPage.stepOf', {
          what: say(`step.${steps[index]!.kind}`),
          index: index + 1,
          length: steps.length,
        });
  };
  const announcements = announceMoves(spoken);
  const used = new Set(steps.filter((s) => !handlesOnly(s.kind)).flatMap((s) => s.lineIds));
  const unused = recipe.lines.filter((l) => !used.has(l.id));
  return (
    <DndContext
      sensors={sensors}
      collisionDetection={closestCenter}
      onDragEnd={dropped}
      accessibility={{ announcements, screenReaderInstructions: { draggable: say('editorPage.dragHelp') } }}
    >
      {unused.length > 0 && (
        <Box sx={{ mb: 1.5, p: 1, bgcolor: role('cautionGround'), borderRadius: 2 }} data-testid="unused">
          {sayRich('editorPage.notInAnyStep', {
            unused: (
              <Box component="span" sx={{ display: 'inline-flex', gap: 0.75, flexWrap: 'wrap' }}>
                {unused.map((l) => (
                  <LineChip
                    key={l.id}
                    line={l}
                    where={NOWHERE}
                    steps={steps}
                    onPut={(stepId) => put(l.id, stepId)}
                  />
                ))}
              </Box>
            ),
          })}
        </Box>
      )}
      <SortableContext items={steps.map((s) => `step:${s.id}`)} strategy={verticalListSortingStrategy}>
        <Box component="ol" sx={{ listStyle: 'none', m: 0, p: 0, display: 'grid', gap: 1 }}>
          {steps.map((step, index) => (
            <StepCard
              key={step.id}
              step={step}
              number={index + 1}
              problems={problems.filter((p) => p.stepId === step.id)}
              lineName={(id) => sayItem(recipe.lines.find((l) => l.id === id)?.itemId ?? id)}
              lots={steps.slice(0, index).flatMap((s) => s.lots ?? [])}
              onChange={(next) => onChange(steps.map((s) => (s.id === step.id ? next : s)))}
              onRemove={() => onChange(steps.filter((s) => s.id !== step.id))}
            >
              {step.lineIds.flatMap((id) => {
                const line = recipe.lines.find((l) => l.id === id);
                return line
                  ? [
                      <LineChip
                        key={id}
                        line={line}
                        where={step.id}
                        steps={steps}
                        onPut={(stepId) =>
                          stepId === NOWHERE ? onChange(takeLineOut(steps, id, step.id)) : put(id, stepId)
                        }
                      />,
                    ]
                  : [];
              })}
            </StepCard>
          ))}
        </Box>
      </SortableContext>
      <TextField
        select
        label={say('editorPage.addAStep')}
        value=""
        onChange={(e) => {
          const kind = e.target.value as OwnStepKind;
          const at = steps.findIndex((s) => s.kind === 'bottle');
          const next = [...steps];
          next.splice(at < 0 ? steps.length : at, 0, {
            id: uuid(),
            kind,
            lineIds: [],
          });
          onChange(next);
        }}
        sx={{ mt: 1.5, minWidth: 200 }}
      >
        {OWN_STEP_KINDS.map((kind) => (
          <MenuItem key={kind} value={kind}>
            {say(`step.${kind}`)}
          </MenuItem>
        ))}
      </TextField>
    </DndContext>
  );
}

/** In none of the steps. */
const NOWHERE = 'none';

function LineChip(props: {
  line: RecipeLine;
  where: string;
  steps: readonly RecipeStep[];
  onPut: (stepId: string) => void;
}) {
  const { line, where, steps, onPut } = props;
  const { setNodeRef, listeners, attributes, transform, isDragging } = useDraggable({
    id: `line:${line.id}@${where}`,
  });
  const name = sayItem(line.itemId);
  return (
    <Box
      component="span"
      ref={setNodeRef}
      data-testid={`chip-${line.itemId}`}
      sx={{
        display: 'inline-flex',
        alignItems: 'center',
        gap: 0.5,
        border: `1.5px solid ${role('line')}`,
        borderRadius: 2,
        bgcolor: role('enamel'),
        pl: 1,
        position: 'relative',
        zIndex: isDragging ? 10 : undefined,
        transform: transform ? `translate(${transform.x}px, ${transform.y}px)` : undefined,
      }}
    >
      <Box
        component="span"
        {...listeners}
        {...attributes}
        aria-roledescription={say('editorPage.ingredientToBeMoved')}
        sx={{ cursor: 'grab', py: 0.5, touchAction: 'none' }}
      >
        {name}
      </Box>
      <Box
        component="select"
        aria-label={say('editorPage.goesInWithStep', { name })}
        value={where}
        onChange={(e: React.ChangeEvent<HTMLSelectElement>) => onPut(e.target.value)}
        sx={{
          border: 0,
          bgcolor: 'transparent',
          color: role('inkMuted'),
          font: 'inherit',
          fontSize: '0.8rem',
          minHeight: 32,
          maxWidth: 62,
        }}
      >
        <option value={NOWHERE}>{say(where === NOWHERE ? 'editorPage.step' : 'editorPage.notHere')}</option>
        {steps.map((s, i) => (
          <option key={s.id} value={s.id}>
            {i + 1}. {say(`step.${s.kind}`)}
          </option>
        ))}
      </Box>
    </Box>
  );
}
