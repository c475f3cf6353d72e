import '../../words/places/gatherings.ts';
import type { GatheringDoc } from '@big-ladle/core/documents';
import {
  mdiCardTextOutline,
  mdiCartOutline,
  mdiClipboardCheckOutline,
  mdiCommentQuestionOutline,
} from '@mdi/js';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { Link } from 'react-router';
import { Icon } from '../../shared/Icon.tsx';
import { say } from '../../words/say.ts';

/** From a gathering on to its other pages. */
export function WaysOn({ id, gathering, isOver }: { id: string; gathering: GatheringDoc; isOver: boolean }) {
  if (gathering.drinks.length === 0) return null;
  const way = (to: string, text: string, icon: string, isFirst = false) => (
    <Button
      component={Link}
      to={to}
      variant={isFirst ? 'contained' : 'outlined'}
      startIcon={<Icon path={icon} />}
    >
      {text}
    </Button>
  );
  return (
    <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap', mb: 1.75 }}>
      {isOver && way(`/gatherings/${id}/after`, say('gathering.after'), mdiCommentQuestionOutline, true)}
      {way(`/gatherings/${id}/day`, say('gathering.day'), mdiClipboardCheckOutline)}
      {way(`/shopping?gathering=${id}`, say('gathering.shopping'), mdiCartOutline)}
      {way(`/gatherings/${id}/cards`, say('gathering.cards'), mdiCardTextOutline)}
    </Box>
  );
}
