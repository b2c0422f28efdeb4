import type { RouteObject } from 'react-router';
import { GardenPage } from './garden/GardenPage.tsx';
import { Book } from './shell/Book.tsx';
import { Broken } from './shell/Broken.tsx';
import { Home } from './shell/Home.tsx';

/** Everything but the garden is loaded when it is visited. */
export const routes: RouteObject[] = [
  {
    errorElement: <Broken />,
    HydrateFallback: () => <p className="page soft">Opening the books …</p>,
    children: [
      { path: '/', element: <Home /> },
      {
        path: '/welcome',
        lazy: async () => ({ Component: (await import('./welcome/Welcome.tsx')).Welcome }),
      },
      {
        path: '/garden/:gardenId',
        element: <Book />,
        children: [
          { index: true, element: <GardenPage /> },
          {
            path: 'bed/:bedId',
            lazy: async () => ({ Component: (await import('./bed/BedPage.tsx')).BedPage }),
          },
          {
            path: 'stock',
            lazy: async () => ({ Component: (await import('./stock/StockPage.tsx')).StockPage }),
          },
          {
            path: 'stock/:lotId',
            lazy: async () => ({ Component: (await import('./stock/LotPage.tsx')).LotPage }),
          },
          {
            path: 'bed/:bedId/sheet',
            lazy: async () => ({ Component: (await import('./bed/PrintSheet.tsx')).PrintSheet }),
          },
        ],
      },
      { path: '*', element: <Broken /> },
    ],
  },
];
