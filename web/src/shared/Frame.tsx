import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { NavLink, Outlet } from 'react-router';
import { heading, role } from '../theme/theme.ts';
import { say } from '../words/say.ts';
import { useOverlay } from './help.ts';
import { useScheme } from './scheme.ts';

/** Only places that work stand here. */
const PLACES = [
  { to: '/', label: 'frame.stove', end: true },
  { to: '/drinks', label: 'frame.drinks' },
  { to: '/gatherings', label: 'frame.gatherings' },
  { to: '/shopping', label: 'frame.shopping' },
  { to: '/shelf', label: 'frame.coldShelf' },
  // At the foot of a phone there is room for six: there it is found from the drinks.
  { to: '/logbook', label: 'frame.logbook', wide: true },
  { to: '/kitchen', label: 'frame.kitchen' },
] as const satisfies readonly { to: string; label: string; end?: true; wide?: true }[];

function SchemeButton() {
  const { word, next } = useScheme();
  return (
    <Button
      size="small"
      color="inherit"
      onClick={next}
      sx={{
        color: role('inkMuted'),
        fontWeight: 400,
        fontSize: '0.8rem',
        px: 1,
        justifyContent: 'flex-start',
      }}
    >
      {word}
    </Button>
  );
}

function OverlayButtons() {
  const { find, help } = useOverlay();
  const quiet = { color: role('inkMuted'), fontWeight: 400, px: 1, minWidth: 44 };
  return (
    <>
      <Button size="small" color="inherit" onClick={find} sx={quiet}>
        {say('frame.find')}
      </Button>
      <Button size="small" color="inherit" onClick={() => help()} sx={quiet}>
        {say('frame.help')}
      </Button>
    </>
  );
}

/** The frame of every place: navigation at the side, or at the foot of a phone. */
export function Frame() {
  return (
    <Box sx={{ display: 'flex', minHeight: '100vh', flexDirection: { xs: 'column', md: 'row' } }}>
      <Box
        component="a"
        href="#main"
        sx={{
          position: 'absolute',
          left: -9999,
          '&:focus': { left: 8, top: 8, zIndex: 2000, bgcolor: role('enamel'), p: 1 },
        }}
      >
        {say('frame.skipToThePage')}
      </Box>
      <Box
        component="nav"
        aria-label={say('frame.places')}
        sx={{
          width: { md: 128 },
          flexShrink: 0,
          display: 'flex',
          flexDirection: { xs: 'row', md: 'column' },
          position: { xs: 'fixed', md: 'sticky' },
          top: { md: 0 },
          bottom: { xs: 0, md: 'auto' },
          left: 0,
          right: { xs: 0, md: 'auto' },
          height: { md: '100vh' },
          zIndex: 1100,
          bgcolor: { xs: role('enamel'), md: 'transparent' },
          borderTop: { xs: `2px solid ${role('rim')}`, md: 'none' },
          pt: { md: 2.5 },
          pb: { md: 2 },
        }}
      >
        <Box
          sx={{
            ...heading,
            fontSize: '1.3rem',
            lineHeight: 1,
            px: 2.5,
            mb: 2.5,
            color: role('ink'),
            display: { xs: 'none', md: 'block' },
          }}
        >
          {say('frame.big')}
          <br />
          {say('frame.ladle')}
        </Box>
        {PLACES.map((place) => (
          <Box
            key={place.to}
            component={NavLink}
            to={place.to}
            end={'end' in place}
            sx={{
              display: { xs: 'wide' in place ? 'none' : 'flex', md: 'flex' },
              alignItems: 'center',
              justifyContent: { xs: 'center', md: 'flex-start' },
              flex: { xs: 1, md: 'none' },
              minHeight: { xs: 60, md: 44 },
              px: { xs: 0.5, md: 2.25 },
              textAlign: 'center',
              textDecoration: 'none',
              color: role('inkMuted'),
              borderLeft: { md: '3px solid transparent' },
              borderTop: { xs: '3px solid transparent', md: 'none' },
              '&.active': { color: role('rim'), fontWeight: 700, borderColor: role('rim') },
              // A border that is only there to be coloured is nothing where the system sets the colours.
              '@media (forced-colors: active)': {
                '&:not(.active)': { borderColor: 'Canvas', forcedColorAdjust: 'none' },
              },
              '&:hover': { color: role('rim') },
            }}
          >
            {say(place.label)}
          </Box>
        ))}
        <Box sx={{ mt: 'auto', px: 1.25, display: { xs: 'none', md: 'grid' }, justifyItems: 'start' }}>
          <OverlayButtons />
          <SchemeButton />
        </Box>
      </Box>
      <Box
        component="main"
        id="main"
        sx={{
          flex: 1,
          minWidth: 0,
          p: { xs: 1.5, md: 2 },
          pl: { md: 0 },
          pb: { xs: 12, md: 3 },
          pt: { md: 2 },
        }}
      >
        {/* What stands under a page does not come up while it loads. */}
        <Box sx={{ minHeight: { xs: '100vh', md: 0 } }}>
          <Outlet />
        </Box>
        <Box sx={{ display: { xs: 'flex', md: 'none' }, mt: 3, flexWrap: 'wrap' }}>
          <OverlayButtons />
          <SchemeButton />
        </Box>
      </Box>
    </Box>
  );
}
