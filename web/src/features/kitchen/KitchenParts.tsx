import '../../words/places/kitchen.ts';
import Box from '@mui/material/Box';
import { Link } from 'react-router';
import { role } from '../../theme/theme.ts';
import { say } from '../../words/say.ts';

/** The pages of the kitchen; what is only for practice stands apart from what is real. */
export const KITCHEN_PARTS = ['pots', 'cold', 'measures', 'house', 'data', 'practice'] as const;
export type KitchenPart = (typeof KITCHEN_PARTS)[number];

export function KitchenParts({ part }: { part: KitchenPart }) {
  return (
    <Box
      component="nav"
      aria-label={say('kitchenParts.parts')}
      sx={{ display: 'flex', flexWrap: 'wrap', gap: 0.5, mb: 1.75 }}
    >
      {KITCHEN_PARTS.map((p) => (
        <Box
          key={p}
          component={Link}
          to={p === 'pots' ? '/kitchen' : `/kitchen?part=${p}`}
          aria-current={p === part ? 'page' : undefined}
          sx={{
            px: 1.75,
            py: 1,
            minHeight: 44,
            textDecoration: 'none',
            color: role(p === part ? 'rim' : 'ink'),
            fontWeight: p === part ? 700 : 400,
            borderBottom: `3px ${p === 'practice' ? 'dashed' : 'solid'} ${role(p === part ? 'rim' : 'hairline')}`,
          }}
        >
          {say(`kitchenParts.${p}`)}
        </Box>
      ))}
    </Box>
  );
}
