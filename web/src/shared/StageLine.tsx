import Box from '@mui/material/Box';
import { useRef } from 'react';
import { heading, role } from '../theme/theme.ts';
import { say } from '../words/say.ts';
import { VisuallyHidden } from './ui.tsx';

export type StageId = 'size' | 'wash' | 'draw' | 'strain' | 'balance' | 'bottle' | 'keep';
export const STAGE_IDS: readonly StageId[] = ['size', 'wash', 'draw', 'strain', 'balance', 'bottle', 'keep'];

export interface Stage {
  id: StageId;
  figure: string;
  unit?: string;
  state: 'done' | 'now' | 'later';
}

const DOT = { done: 'ready', now: 'rim', later: 'line' } as const;

/**
 * The stages of a batch in the order a cook works, each with its one headline figure, each opening its panel. On a
 * narrow screen the line runs down instead of across.
 */
export function StageLine(props: {
  stages: readonly Stage[];
  open: StageId;
  onOpen: (id: StageId) => void;
  panelId: string;
  /** Smaller, where something else is the answer. */
  quiet?: boolean;
}) {
  const tabs = useRef<(HTMLButtonElement | null)[]>([]);
  const move = (index: number) => {
    const stage = props.stages[(index + props.stages.length) % props.stages.length];
    if (!stage) return;
    props.onOpen(stage.id);
    tabs.current[(index + props.stages.length) % props.stages.length]?.focus();
  };
  return (
    <Box
      role="tablist"
      aria-label={say('stageLine.stagesOfThisBatch')}
      sx={{ display: 'flex', flexDirection: { xs: 'column', md: 'row' }, mb: 1.5, position: 'relative' }}
    >
      {props.stages.map((stage, index) => {
        const open = stage.id === props.open;
        return (
          <Box
            key={stage.id}
            component="button"
            type="button"
            role="tab"
            id={`stage-${stage.id}`}
            aria-selected={open}
            aria-controls={props.panelId}
            tabIndex={open ? 0 : -1}
            ref={(element: HTMLButtonElement | null) => {
              tabs.current[index] = element;
            }}
            onClick={() => props.onOpen(stage.id)}
            onKeyDown={(event) => {
              if (event.key === 'ArrowRight' || event.key === 'ArrowDown') move(index + 1);
              else if (event.key === 'ArrowLeft' || event.key === 'ArrowUp') move(index - 1);
              else if (event.key === 'Home') move(0);
              else if (event.key === 'End') move(props.stages.length - 1);
              else return;
              event.preventDefault();
            }}
            sx={{
              all: 'unset',
              cursor: 'pointer',
              flex: 1,
              minWidth: 0,
              minHeight: 44,
              display: { xs: 'grid', md: 'block' },
              gridTemplateColumns: '26px 1fr auto',
              alignItems: 'center',
              color: role('ink'),
              '&:focus-visible': { outline: `3px solid ${role('rim')}`, outlineOffset: 2, borderRadius: 1 },
              '&:hover .stage-label': { textDecoration: 'underline' },
            }}
          >
            <Box
              sx={{
                ...heading,
                fontSize: props.quiet ? '1.05rem' : { xs: '1.05rem', md: '1.2rem', lg: '1.45rem' },
                order: { xs: 3, md: 0 },
                gridColumn: 3,
                gridRow: 1,
                whiteSpace: 'nowrap',
              }}
              data-testid={`stage-figure-${stage.id}`}
            >
              {stage.figure}
              {stage.unit && (
                <Box
                  component="span"
                  sx={{ fontSize: '0.6em', ml: 0.4, color: role('inkMuted'), fontWeight: 500 }}
                >
                  {stage.unit}
                </Box>
              )}
            </Box>
            <Box sx={{ position: 'relative', height: { xs: 44, md: 16 }, gridColumn: 1, gridRow: 1 }}>
              <Box
                sx={{
                  position: 'absolute',
                  bgcolor: stage.state === 'later' ? role('rimSoft') : role('rim'),
                  left: { xs: 9, md: 0 },
                  right: { xs: 'auto', md: 0 },
                  top: { xs: 0, md: 7 },
                  bottom: { xs: 0, md: 'auto' },
                  width: { xs: 2.5, md: 'auto' },
                  height: { xs: 'auto', md: 2.5 },
                }}
              />
              <Box
                sx={{
                  position: 'absolute',
                  left: { xs: 4, md: 0 },
                  top: { xs: 16, md: 2 },
                  width: 8,
                  height: 8,
                  borderRadius: '50%',
                  border: `2.5px solid ${role(DOT[stage.state])}`,
                  bgcolor: stage.state === 'later' ? role('ground') : role(DOT[stage.state]),
                }}
              />
            </Box>
            <Box
              className="stage-label"
              sx={{
                fontSize: '0.9rem',
                color: open ? role('rim') : role('inkMuted'),
                fontWeight: open ? 700 : 400,
                gridColumn: 2,
                gridRow: 1,
              }}
            >
              {say(`stage.${stage.id}`)}
              <VisuallyHidden>, {say(`stage.state.${stage.state}`)}</VisuallyHidden>
              {stage.state === 'done' && <span aria-hidden="true"> ✓</span>}
            </Box>
          </Box>
        );
      })}
    </Box>
  );
}
