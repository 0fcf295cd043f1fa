import '@mantine/core/styles.css';
import '@fontsource/atkinson-hyperlegible-next/latin-400.css';
import '@fontsource/atkinson-hyperlegible-next/latin-700.css';
import '@fontsource-variable/bricolage-grotesque/wght.css';
import './styles.css';
import { MantineProvider, mergeThemeOverrides, Portal } from '@mantine/core';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { RouterProvider } from 'react-router/dom';
import { ApiError } from './api/client.ts';
import { restoreQueries } from './app/keptQueries.ts';
import { createRouter, fetchTableSide } from './router.tsx';
import { cssVariables, theme } from './theme.ts';

const queries = new QueryClient({
  defaultOptions: {
    queries: {
      staleTime: 10_000,
      // A refusal stays one, however often it is asked for.
      retry: (failures, error) => !(error instanceof ApiError) && failures < 2,
    },
  },
});

/** On the page what opens over it has a place of its own. */
const pageTheme = mergeThemeOverrides(theme, {
  components: { Portal: Portal.extend({ defaultProps: { target: '#opened' } }) },
});

const root = document.getElementById('root');
if (root === null) throw new Error('index.html has no element with the id root');

// What this device knows is there before the first question to the server goes out.
await restoreQueries(queries, Date.now()).catch(() => undefined);
createRoot(root).render(
  <StrictMode>
    <MantineProvider theme={pageTheme} cssVariablesResolver={cssVariables} defaultColorScheme="auto">
      <QueryClientProvider client={queries}>
        <RouterProvider router={createRouter()} />
      </QueryClientProvider>
    </MantineProvider>
  </StrictMode>,
);

// Without network there is nothing to fetch: the rooms are tried again when they are entered.
window.addEventListener('load', () => setTimeout(() => void fetchTableSide().catch(() => undefined), 1_000));
