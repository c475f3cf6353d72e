import '../../words/places/pages.ts';
import '../../words/places/find.ts';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { TERMS, type Term } from '../../shared/help.ts';
import { OverlayDialog } from '../../shared/OverlayDialog.tsx';
import { heading, role } from '../../theme/theme.ts';
import { say } from '../../words/say.ts';

const SHORTCUTS = ['find', 'help', 'close'] as const;

/** What the keys do, what the figures mean. */
export function HelpDialog({ term, onClose }: { term: Term | null; onClose: () => void }) {
  const terms = term ? [term, ...TERMS.filter((t) => t !== term)] : TERMS;
  return (
    <OverlayDialog title={say('help.title')} testId="help" onClose={onClose}>
      <Box component="h2" sx={{ ...heading, m: 0, mb: 1 }}>
        {say('help.glossary')}
      </Box>
      <Box component="dl" sx={{ m: 0 }}>
        {terms.map((t) => (
          <Box
            key={t}
            sx={{
              mb: 1,
              p: t === term ? 1 : 0,
              bgcolor: t === term ? role('enamelDeep') : 'transparent',
              borderRadius: 1,
            }}
          >
            <Box component="dt" sx={{ fontWeight: 700 }}>
              {say(`term.${t}`)}
            </Box>
            <Box component="dd" sx={{ m: 0 }}>
              {say(`term.${t}.is`)}
            </Box>
          </Box>
        ))}
      </Box>
      <Box component="h2" sx={{ ...heading, mt: 2, mb: 1 }}>
        {say('help.shortcuts')}
      </Box>
      <Box
        component="dl"
        sx={{ m: 0, display: 'grid', gridTemplateColumns: 'auto 1fr', columnGap: 2, rowGap: 0.5 }}
      >
        {SHORTCUTS.map((s) => (
          <Box key={s} sx={{ display: 'contents' }}>
            <Box component="dt" sx={{ fontWeight: 700 }}>
              {say(`help.key.${s}`)}
            </Box>
            <Box component="dd" sx={{ m: 0 }}>
              {say(`help.key.${s}.does`)}
            </Box>
          </Box>
        ))}
      </Box>
      <Button sx={{ mt: 2 }} variant="outlined" onClick={onClose}>
        {say('help.close')}
      </Button>
    </OverlayDialog>
  );
}
