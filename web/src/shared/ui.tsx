import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import type { ReactNode } from 'react';
import { heading, role } from '../theme/theme.ts';
import { say } from '../words/say.ts';
import { ApiError } from './api.ts';
import { Explain } from './Explain.tsx';
import type { Term } from './help.ts';
import { Notice } from './Notice.tsx';
import { PageTitle } from './PageTitle.tsx';

/** Enamel with a cobalt rim along its upper edge. */
export function Panel(props: {
  title?: ReactNode;
  /** What it is called where it has no title. */
  label?: string;
  aside?: ReactNode;
  children: ReactNode;
  sx?: object;
  id?: string;
  testId?: string;
  flush?: boolean;
}) {
  return (
    <Box
      component="section"
      id={props.id}
      data-testid={props.testId}
      aria-label={typeof props.title === 'string' ? props.title : props.label}
      sx={{
        bgcolor: role('enamel'),
        borderTop: `2.5px solid ${role('rim')}`,
        borderRadius: '3px 3px 14px 14px',
        p: props.flush ? 0 : { xs: 2, md: 2.25 },
        minWidth: 0,
        ...props.sx,
      }}
    >
      {props.title !== undefined && (
        <Box sx={{ display: 'flex', alignItems: 'baseline', gap: 2, flexWrap: 'wrap', mb: 1 }}>
          <Typography variant="h2">{props.title}</Typography>
          {props.aside && (
            <Box sx={{ ml: 'auto', color: role('inkMuted'), fontSize: '0.875rem' }}>{props.aside}</Box>
          )}
        </Box>
      )}
      {props.children}
    </Box>
  );
}

/** The head of a place: its name, a line beside it, and its one clear deed. */
export function PageHead(props: { title: string; beside?: ReactNode; children?: ReactNode }) {
  return (
    <Box
      sx={{
        display: 'flex',
        flexWrap: 'wrap',
        alignItems: 'center',
        columnGap: 2,
        rowGap: 1,
        mb: 1.5,
        minHeight: 44,
      }}
    >
      <PageTitle title={props.title} />
      {props.beside && <Box sx={{ color: role('inkMuted'), fontSize: '0.9rem' }}>{props.beside}</Box>}
      {props.children && (
        <Box sx={{ ml: { md: 'auto' }, display: 'flex', gap: 1, flexWrap: 'wrap' }}>{props.children}</Box>
      )}
    </Box>
  );
}

/** A figure with its small unit. */
export function Figure(props: {
  value: ReactNode;
  unit?: ReactNode;
  size?: string;
  testId?: string;
  /** What the unit means, a tap away. */
  term?: Term;
}) {
  return (
    <Box
      component="span"
      data-testid={props.testId}
      sx={{ ...heading, fontSize: props.size ?? '1.5rem', whiteSpace: 'nowrap' }}
    >
      {props.value}
      {props.unit && (
        <Box component="span" sx={{ fontSize: '0.58em', color: role('inkMuted'), ml: 0.4, fontWeight: 500 }}>
          {props.term ? <Explain term={props.term}>{props.unit}</Explain> : props.unit}
        </Box>
      )}
    </Box>
  );
}

/** A row: what, and how much. */
export function Row(props: {
  label: ReactNode;
  children: ReactNode;
  note?: ReactNode;
  testId?: string;
  /** Closer together, where many rows are read at one glance. */
  dense?: boolean;
  /** A drawing stands in it: all of it about one middle. */
  drawn?: boolean;
}) {
  return (
    <Box
      data-testid={props.testId}
      sx={{
        display: 'flex',
        alignItems: props.drawn ? 'center' : 'baseline',
        gap: 1.5,
        py: props.dense ? 0.35 : 0.75,
        borderBottom: `1px solid ${role('hairline')}`,
        flexWrap: 'wrap',
      }}
    >
      <Box sx={{ flex: '1 1 140px', minWidth: 0 }}>{props.label}</Box>
      <Box sx={{ ...heading, textAlign: 'right' }}>{props.children}</Box>
      {props.note !== undefined && (
        <Box
          sx={{ minWidth: 72, ml: 'auto', textAlign: 'right', color: role('inkMuted'), fontSize: '0.9rem' }}
        >
          {props.note}
        </Box>
      )}
    </Box>
  );
}

export function ErrorPanel(props: { error: unknown; again?: () => void }) {
  const text = props.error instanceof ApiError ? props.error.detail : say('ui.theKitchenServerDoes');
  return (
    <Panel>
      <Notice
        severity="error"
        action={
          props.again && (
            <Button color="inherit" onClick={props.again}>
              {say('ui.tryAgain')}
            </Button>
          )
        }
      >
        {text}
      </Notice>
    </Panel>
  );
}

export const Loading = () => (
  <Box role="status" data-testid="loading" sx={{ p: 4, color: role('inkMuted') }}>
    {say('common.oneMoment')}
  </Box>
);

/** Read out, not shown. */
export const VisuallyHidden = (props: { children: ReactNode; id?: string }) => (
  <Box
    component="span"
    id={props.id}
    sx={{
      position: 'absolute',
      width: '1px',
      height: '1px',
      overflow: 'hidden',
      clip: 'rect(0 0 0 0)',
      whiteSpace: 'nowrap',
    }}
  >
    {props.children}
  </Box>
);

const TONES = { danger: 'danger', caution: 'caution', check: 'ink', hint: 'ink' } as const;

/** A caution with its word, so that colour is never alone. */
export function Caution(props: {
  severity: 'danger' | 'caution' | 'check' | 'hint';
  word: string;
  text: string;
}) {
  const tone = TONES[props.severity];
  const ground =
    props.severity === 'danger'
      ? role('dangerGround')
      : props.severity === 'caution'
        ? role('cautionGround')
        : 'transparent';
  return (
    <Box
      data-severity={props.severity}
      sx={{
        bgcolor: ground,
        borderRadius: 2,
        px: tone === 'ink' ? 0 : 1.5,
        py: tone === 'ink' ? 0.25 : 1,
        color: role('ink'),
      }}
    >
      <Box component="strong" sx={{ color: role(tone), mr: 0.75 }}>
        {props.word}:
      </Box>
      {props.text}
    </Box>
  );
}
