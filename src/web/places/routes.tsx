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
        path: '/login',
        lazy: async () => ({ Component: (await import('./login/LoginPage.tsx')).LoginPage }),
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
            path: 'calendar',
            lazy: async () => ({ Component: (await import('./calendar/CalendarPage.tsx')).CalendarPage }),
          },
          {
            path: 'laying',
            lazy: async () => ({ Component: (await import('./calendar/LayingDayPage.tsx')).LayingDayPage }),
          },
          {
            path: 'log',
            lazy: async () => ({ Component: (await import('./log/LogPage.tsx')).LogPage }),
          },
          {
            path: 'pale',
            lazy: async () => ({ Component: (await import('./pale/PalePage.tsx')).PalePage }),
          },
          {
            path: 'trials',
            lazy: async () => ({ Component: (await import('./trials/TrialsPage.tsx')).TrialsPage }),
          },
          {
            path: 'year',
            lazy: async () => ({ Component: (await import('./year/YearPage.tsx')).YearPage }),
          },
          {
            path: 'years',
            lazy: async () => ({ Component: (await import('./years/YearsPage.tsx')).YearsPage }),
          },
          {
            path: 'stock',
            lazy: async () => ({ Component: (await import('./stock/StockPage.tsx')).StockPage }),
          },
          {
            path: 'share',
            lazy: async () => ({ Component: (await import('./stock/SharePage.tsx')).SharePage }),
          },
          {
            path: 'stock/:lotId',
            lazy: async () => ({ Component: (await import('./stock/LotPage.tsx')).LotPage }),
          },
          {
            path: 'prepare',
            lazy: async () => ({ Component: (await import('./prepare/MixPage.tsx')).MixPage }),
          },
          {
            path: 'prepare/heaps',
            lazy: async () => ({ Component: (await import('./prepare/HeapsPage.tsx')).HeapsPage }),
          },
          {
            path: 'prepare/char',
            lazy: async () => ({ Component: (await import('./prepare/CharPage.tsx')).CharPage }),
          },
          {
            path: 'prepare/ash',
            lazy: async () => ({ Component: (await import('./prepare/AshPage.tsx')).AshPage }),
          },
          {
            path: 'prepare/brews',
            lazy: async () => ({ Component: (await import('./prepare/BrewsPage.tsx')).BrewsPage }),
          },
          {
            path: 'materials',
            lazy: async () => ({ Component: (await import('./materials/MaterialsPage.tsx')).MaterialsPage }),
          },
          {
            path: 'data',
            lazy: async () => ({ Component: (await import('./data/DataPage.tsx')).DataPage }),
          },
          {
            path: 'method',
            lazy: async () => ({ Component: (await import('./method/MethodPage.tsx')).MethodPage }),
          },
          {
            path: 'method/checks',
            lazy: async () => ({ Component: (await import('./method/ChecksPage.tsx')).ChecksPage }),
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
