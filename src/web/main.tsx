import '@fontsource-variable/atkinson-hyperlegible-next/wght.css';
import '@fontsource-variable/literata/wght.css';
import 'antd/dist/reset.css';
import 'virtual:controls.css';
import './theme/global.css';
import './theme/forms.css';
import './theme/touch.css';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { App, ConfigProvider } from 'antd';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { createBrowserRouter, RouterProvider } from 'react-router';
import { listenToBooks } from './api/books-in-hand.ts';
import { booksKey } from './api/books-key.ts';
import { tellTogether } from './api/tell-together.ts';
import { workedOutAhead } from './api/worked-out.ts';
import { routes } from './routes.tsx';
import { antdTheme } from './theme/antd-theme.ts';
import { setAheadSource } from './worker/kept-answers.ts';

const queries = new QueryClient({ defaultOptions: { queries: { retry: 1, refetchOnWindowFocus: true } } });
listenToBooks({
  changed: (gardenId, books) => void queries.setQueryData(booksKey(gardenId), books),
  outdated: (gardenId) => void queries.invalidateQueries({ queryKey: booksKey(gardenId) }),
});
tellTogether();
setAheadSource(workedOutAhead);
const router = createBrowserRouter(routes);

if (import.meta.env.PROD && 'serviceWorker' in navigator) void navigator.serviceWorker.register('/sw.js');

createRoot(document.getElementById('root')!).render(
  <StrictMode>
    <ConfigProvider theme={antdTheme} wave={{ disabled: true }}>
      <App component={false}>
        <QueryClientProvider client={queries}>
          <RouterProvider router={router} />
        </QueryClientProvider>
      </App>
    </ConfigProvider>
  </StrictMode>,
);
