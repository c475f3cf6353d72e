import '../../words/places/drinks.ts';
import type { LaneStep, Lanes } from '@big-ladle/core/plan';
import type { Program } from '@big-ladle/core/program';
import {
  closestCenter,
  DndContext,
  type KeyboardCoordinateGetter,
  KeyboardSensor,
  PointerSensor,
  useSensor,
  useSensors,
} from '@dnd-kit/core';
import { SortableContext, useSortable } from '@dnd-kit/sortable';
import Box from '@mui/material/Box';
import type { Geometry } from '../../shared/lanes/laneGeometry.ts';
import { laneStepText } from '../../shared/lanes/laneWords.ts';
import { role } from '../../theme/theme.ts';
import { say } from '../../words/say.ts';
import { announceMoves } from './announceMoves.ts';

/** A tap is so wide at least, px: a finger's tip at its narrowest. */
const TAP_PX = 30;

/** Steps of the lanes as taps: one for each step of the recipe, where it is done first. */
export function LaneTaps(props: {
  geometry: Geometry;
  height: number;
  lanes: Lanes;
  program: Program;
  chosen: string | null;
  /** A step was tapped, or moved to the place of another. */
  onPick: (recipeStepId: string) => void;
  onMove: (recipeStepId: string, toPlaceOf: string) => void;
}) {
  const { geometry: g, height, lanes, program } = props;
  // What is written in no recipe, as that it is bottled at last, cannot be moved.
  const ids = [...new Set(lanes.steps.flatMap((s) => s.recipeStepId ?? []))];
  const firsts = ids.map((id) => tapOf(lanes, id));
  /** By the arrow keys a step goes from place to place, whatever lane that is in. */
  const byKeys: KeyboardCoordinateGetter = (event, { context, currentCoordinates }) => {
    const delta = event.code === 'ArrowRight' ? 1 : event.code === 'ArrowLeft' ? -1 : 0;
    if (delta === 0) return undefined;
    event.preventDefault();
    const over = String(context.over?.id ?? context.active?.id ?? '');
    const next = ids[ids.indexOf(over) + delta];
    const rect = next ? context.droppableRects.get(next) : undefined;
    return rect ? { x: rect.left, y: rect.top } : currentCoordinates;
  };
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 6 } }),
    useSensor(KeyboardSensor, { coordinateGetter: byKeys }),
  );
  const textOf = (recipeStepId: string): string => {
    const step = firsts.find((s) => s.recipeStepId === recipeStepId);
    return step
      ? say('editorPage.laneTap', { number: step.number, text: laneStepText(lanes, program, step.stepId) })
      : '';
  };
  const announcements = announceMoves((id) => textOf(String(id)));
  return (
    <DndContext
      sensors={sensors}
      collisionDetection={closestCenter}
      onDragEnd={({ active, over }) => {
        if (over && over.id !== active.id) props.onMove(String(active.id), String(over.id));
      }}
      accessibility={{ announcements, screenReaderInstructions: { draggable: say('editorPage.moveHelp') } }}
    >
      <SortableContext items={ids} strategy={() => null}>
        {firsts.map((step) => (
          <Tap
            key={step.recipeStepId}
            step={step}
            text={textOf(step.recipeStepId!)}
            chosen={props.chosen === step.recipeStepId}
            left={`${(g.xOf(step.x0) / g.width) * 100}%`}
            width={`${((g.xOf(step.x1) - g.xOf(step.x0)) / g.width) * 100}%`}
            top={`${(((g.yOf(step.vesselId) ?? firstLane(g, lanes)) + 3) / height) * 100}%`}
            onPick={() => props.onPick(step.recipeStepId!)}
          />
        ))}
      </SortableContext>
    </DndContext>
  );
}

/** A step of the recipe where it is done first; where it means several, by the one that takes longest. */
function tapOf(lanes: Lanes, recipeStepId: string): LaneStep {
  const from = lanes.steps.findIndex((s) => s.recipeStepId === recipeStepId);
  const after = lanes.steps.findIndex((s, i) => i > from && s.recipeStepId !== recipeStepId);
  const group = lanes.steps.slice(from, after < 0 ? undefined : after);
  const main = group.reduce((a, b) => (b.endMin - b.startMin > a.endMin - a.startMin ? b : a));
  return { ...main, x0: group[0]!.x0, x1: group.at(-1)!.x1 };
}

/** What is done before anything is in a vessel stands on the first lane. */
const firstLane = (g: Geometry, lanes: Lanes): number => g.yOf(lanes.lanes[0]?.vesselId ?? '') ?? 0;

function Tap(props: {
  step: LaneStep;
  text: string;
  chosen: boolean;
  left: string;
  width: string;
  top: string;
  onPick: () => void;
}) {
  const { setNodeRef, listeners, attributes, transform, isDragging, isOver } = useSortable({
    id: props.step.recipeStepId!,
  });
  return (
    <Box
      component="button"
      type="button"
      ref={setNodeRef}
      {...listeners}
      {...attributes}
      aria-label={props.text}
      title={props.text}
      data-testid={`lane-${props.step.kind}`}
      onClick={props.onPick}
      sx={{
        all: 'unset',
        position: 'absolute',
        left: props.left,
        top: props.top,
        width: props.width,
        minWidth: TAP_PX * 0.6,
        height: TAP_PX,
        cursor: 'grab',
        touchAction: 'none',
        display: 'flex',
        alignItems: 'start',
        zIndex: isDragging ? 3 : undefined,
        transform: transform ? `translate(${transform.x}px, ${transform.y}px)` : undefined,
        '& > span': {
          font: 'inherit',
          fontSize: '0.8rem',
          fontWeight: 700,
          minWidth: 20,
          textAlign: 'center',
          borderRadius: 1,
          px: 0.4,
          border: `1.5px solid ${isOver || props.chosen ? role('rim') : role('line')}`,
          bgcolor: props.chosen || isOver ? role('rim') : role('enamel'),
          color: props.chosen || isOver ? role('onRim') : role('ink'),
        },
        '&:focus-visible > span': { outline: `3px solid ${role('rim')}` },
      }}
    >
      <span>{props.step.number}</span>
    </Box>
  );
}
