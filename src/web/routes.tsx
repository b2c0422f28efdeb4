import type { RouteObject } from 'react-router';
import { GardenPage } from './places/garden/index.ts';
import { Book } from './frame/Book.tsx';
import { Broken } from './frame/Broken.tsx';
import { Home } from './frame/Home.tsx';

/** Everything but the garden is loaded when it is visited. */
export const routes: RouteObject[] = [
  {
    errorElement: <Broken />,
    HydrateFallback: () => <p className="page soft">Opening the books …</p>,
    children: [
      { path: '/', element: <Home /> },
      {
        path: '/welcome',
        lazy: async () => ({ Component: (await import('./places/welcome/index.ts')).Welcome }),
      },
      {
        path: '/login',
        lazy: async () => ({ Component: (await import('./places/login/index.ts')).LoginPage }),
      },
      {
        path: '/look/:token',
        lazy: async () => ({ Component: (await import('./places/login/index.ts')).LookPage }),
      },
      {
        path: '/garden/:gardenId',
        element: <Book />,
        children: [
          { index: true, element: <GardenPage /> },
          {
            path: 'bed/:bedId',
            lazy: async () => ({ Component: (await import('./places/bed/index.ts')).BedPage }),
          },
          {
            path: 'calendar',
            lazy: async () => ({ Component: (await import('./places/calendar/index.ts')).CalendarPage }),
          },
          {
            path: 'week',
            lazy: async () => ({ Component: (await import('./places/calendar/index.ts')).WeekPage }),
          },
          {
            path: 'laying',
            lazy: async () => ({ Component: (await import('./places/calendar/index.ts')).LayingDayPage }),
          },
          {
            path: 'log',
            lazy: async () => ({ Component: (await import('./places/log/index.ts')).LogPage }),
          },
          {
            path: 'labels',
            lazy: async () => ({ Component: (await import('./places/labels/index.ts')).LabelsPage }),
          },
          {
            path: 'log/all',
            lazy: async () => ({ Component: (await import('./places/log/index.ts')).WholeLogPage }),
          },
          {
            path: 'pale',
            lazy: async () => ({ Component: (await import('./places/pale/index.ts')).PalePage }),
          },
          {
            path: 'trials',
            lazy: async () => ({ Component: (await import('./places/trials/index.ts')).TrialsPage }),
          },
          {
            path: 'year',
            lazy: async () => ({ Component: (await import('./places/year/index.ts')).YearPage }),
          },
          {
            path: 'years',
            lazy: async () => ({ Component: (await import('./places/years/index.ts')).YearsPage }),
          },
          {
            path: 'stock',
            lazy: async () => ({ Component: (await import('./places/stock/index.ts')).StockPage }),
          },
          {
            path: 'share',
            lazy: async () => ({ Component: (await import('./places/stock/index.ts')).SharePage }),
          },
          {
            path: 'ways',
            lazy: async () => ({ Component: (await import('./places/ways/index.ts')).WaysPage }),
          },
          {
            path: 'stock/:lotId',
            lazy: async () => ({ Component: (await import('./places/stock/index.ts')).LotPage }),
          },
          {
            path: 'prepare',
            lazy: async () => ({ Component: (await import('./places/prepare/index.ts')).MixPage }),
          },
          {
            path: 'prepare/heaps',
            lazy: async () => ({ Component: (await import('./places/prepare/index.ts')).HeapsPage }),
          },
          {
            path: 'prepare/char',
            lazy: async () => ({ Component: (await import('./places/prepare/index.ts')).CharPage }),
          },
          {
            path: 'prepare/ash',
            lazy: async () => ({ Component: (await import('./places/prepare/index.ts')).AshPage }),
          },
          {
            path: 'prepare/brews',
            lazy: async () => ({ Component: (await import('./places/prepare/index.ts')).BrewsPage }),
          },
          {
            path: 'materials',
            lazy: async () => ({ Component: (await import('./places/materials/index.ts')).MaterialsPage }),
          },
          {
            path: 'data',
            lazy: async () => ({ Component: (await import('./places/data/index.ts')).DataPage }),
          },
          {
            path: 'method',
            lazy: async () => ({ Component: (await import('./places/method/index.ts')).MethodPage }),
          },
          {
            path: 'method/checks',
            lazy: async () => ({ Component: (await import('./places/method/index.ts')).ChecksPage }),
          },
          {
            path: 'bed/:bedId/sheet',
            lazy: async () => ({ Component: (await import('./places/bed/index.ts')).PrintSheet }),
          },
        ],
      },
      { path: '*', element: <Broken /> },
    ],
  },
];
