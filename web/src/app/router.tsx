import { createBrowserRouter, createHashRouter, Navigate, type RouteObject } from 'react-router';
import { Fault } from './Fault.tsx';
import { NoSuchPlace } from './NoSuchPlace.tsx';
import { Rail } from '../stations/rail/Rail.tsx';
import { isServed } from '../lib/served.ts';
import { Shell } from './Shell.tsx';

/** Stations are loaded when they are opened, so that the rail is quick. */
const routes: RouteObject[] = [
  { path: '/', element: <Shell />, errorElement: <Fault />, children: [{ index: true, element: <Rail /> }] },
  {
    path: '/job/:job',
    element: <Shell />,
    errorElement: <Fault />,
    HydrateFallback: () => null,
    // A station that cannot be fetched leaves the bar and the tape standing.
    children: [
      {
        errorElement: <Fault />,
        children: [
          { index: true, element: <Navigate to="body" replace /> },
          { path: 'body', lazy: async () => ({ Component: (await import('../stations/body/Body.tsx')).Body }) },
          {
            path: 'measuring-sheet',
            lazy: async () => ({ Component: (await import('../stations/body/MeasuringSheet.tsx')).MeasuringSheet }),
          },
          {
            path: 'pattern',
            lazy: async () => ({ Component: (await import('../stations/pattern/Pattern.tsx')).PatternStation }),
          },
          {
            path: 'bring',
            lazy: async () => ({ Component: (await import('../stations/import/Import.tsx')).ImportStation }),
          },
          { path: 'size', lazy: async () => ({ Component: (await import('../stations/size/Size.tsx')).Size }) },
          {
            path: 'compare',
            lazy: async () => ({ Component: (await import('../stations/compare/Compare.tsx')).Compare }),
          },
          { path: 'plan', lazy: async () => ({ Component: (await import('../stations/plan/Plan.tsx')).Plan }) },
          { path: 'table', lazy: async () => ({ Component: (await import('../stations/table/Table.tsx')).Table }) },
          { path: 'check', lazy: async () => ({ Component: (await import('../stations/check/Check.tsx')).Check }) },
          { path: 'toile', lazy: async () => ({ Component: (await import('../stations/toile/Toile.tsx')).Toile }) },
          {
            path: 'tissue/:fitting',
            lazy: async () => ({ Component: (await import('../stations/tissue/Tissue.tsx')).Tissue }),
          },
          { path: 'sheet', lazy: async () => ({ Component: (await import('../stations/sheet/Sheet.tsx')).Sheet }) },
          {
            path: 'projector',
            lazy: async () => ({ Component: (await import('../devices/projector/Projector.tsx')).Projector }),
          },
          {
            path: 'projector-table',
            lazy: async () => ({ Component: (await import('../devices/projector/StandInTable.tsx')).StandInTable }),
          },
          { path: 'print', lazy: async () => ({ Component: (await import('../stations/print/Print.tsx')).Print }) },
          { path: '*', element: <NoSuchPlace /> },
        ],
      },
    ],
  },
  {
    path: '/practice',
    element: <Shell />,
    errorElement: <Fault />,
    HydrateFallback: () => null,
    children: [
      {
        errorElement: <Fault />,
        children: [
          {
            index: true,
            lazy: async () => ({ Component: (await import('../stations/practice/Practice.tsx')).Practice }),
          },
          {
            path: 'sums',
            lazy: async () => ({ Component: (await import('../stations/practice/Sums.tsx')).Sums }),
          },
          {
            path: 'wrinkles',
            lazy: async () => ({ Component: (await import('../stations/practice/Wrinkles.tsx')).Wrinkles }),
          },
          {
            path: 'methods',
            lazy: async () => ({ Component: (await import('../stations/practice/Methods.tsx')).Methods }),
          },
          {
            path: 'rescue',
            lazy: async () => ({ Component: (await import('../stations/practice/Rescues.tsx')).Rescues }),
          },
          {
            path: 'sheet/:lesson',
            lazy: async () => ({
              Component: (await import('../stations/practice/cut/PracticeSheet.tsx')).PracticeSheet,
            }),
          },
          {
            path: 'cut/:lesson',
            lazy: async () => ({ Component: (await import('../stations/practice/cut/CutLesson.tsx')).CutLesson }),
          },
          { path: '*', element: <NoSuchPlace /> },
        ],
      },
    ],
  },
  { path: '*', element: <Shell />, children: [{ path: '*', element: <NoSuchPlace /> }] },
];

export const router = isServed
  ? createBrowserRouter(routes, { basename: import.meta.env.BASE_URL })
  : createHashRouter(routes);
