import { ThemeProvider } from '@mui/material/styles';
import { QueryClientProvider } from '@tanstack/react-query';
import { type RenderResult, render } from '@testing-library/react';
import type { ReactNode } from 'react';
import { MemoryRouter } from 'react-router';
import { queryClient } from '../shared/queries.ts';
import { theme } from '../theme/theme.ts';

/** Something on a screen, with all that a page stands in, at an address. */
export function show(what: ReactNode, path = '/'): RenderResult {
  queryClient.clear();
  return render(
    <ThemeProvider theme={theme}>
      <QueryClientProvider client={queryClient}>
        <MemoryRouter initialEntries={[path]}>{what}</MemoryRouter>
      </QueryClientProvider>
    </ThemeProvider>,
  );
}
