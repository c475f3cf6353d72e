import '../../../web/src/theme/fonts/fonts.css';
import Button from '@mui/material/Button';
import CssBaseline from '@mui/material/CssBaseline';
import { ThemeProvider } from '@mui/material/styles';
import { QueryClient, QueryClientProvider, useQuery } from '@tanstack/react-query';
import { createRoot } from 'react-dom/client';
import { createBrowserRouter, Link } from 'react-router';
import { RouterProvider } from 'react-router/dom';
import { theme } from '../../../web/src/theme/theme.ts';

/** What every page of ours stands on, and one button: as high as its address says, to be scrolled beside the shelf. */
function Empty() {
  const { data } = useQuery({
    queryKey: ['height'],
    queryFn: () => new URLSearchParams(location.search).get('height'),
  });
  return (
    <div style={{ height: `${data ?? 0}px` }}>
      <h1 style={{ fontFamily: 'Bricolage Grotesque', fontWeight: 600 }}>Empty</h1>
      <b style={{ fontWeight: 700 }}>Bold</b>
      <Button variant="contained" component={Link} to="/">
        Start a drink
      </Button>
    </div>
  );
}

createRoot(document.getElementById('root')).render(
  <ThemeProvider theme={theme}>
    <CssBaseline />
    <QueryClientProvider client={new QueryClient()}>
      <RouterProvider
        router={createBrowserRouter([
          { path: '/', Component: Empty },
          { path: '*', lazy: async () => ({ Component: Empty }) },
        ])}
      />
    </QueryClientProvider>
  </ThemeProvider>,
);
