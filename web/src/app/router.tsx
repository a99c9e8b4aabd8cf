import type { ComponentType } from 'react';
import { createBrowserRouter, createHashRouter, Navigate, type RouteObject } from 'react-router';
import { Fault } from './Fault.tsx';
import { NoSuchPlace } from './NoSuchPlace.tsx';
import { Rail } from '../stations/rail/Rail.tsx';
import { isServed } from '../lib/served.ts';
import { Shell } from './Shell.tsx';

/** A place that is loaded when it is opened, so that the rail is quick. */
const page = (path: string, load: () => Promise<ComponentType>): RouteObject => ({
  path,
  lazy: async () => ({ Component: await load() }),
});

/** Places in the frame: one that cannot be fetched leaves the bar and the tape standing. */
const inFrame = (path: string, places: RouteObject[]): RouteObject => ({
  path,
  element: <Shell />,
  errorElement: <Fault />,
  HydrateFallback: () => null,
  children: [{ errorElement: <Fault />, children: [...places, { path: '*', element: <NoSuchPlace /> }] }],
});

const practice = () => import('../stations/practice/index.ts');

const routes: RouteObject[] = [
  { path: '/', element: <Shell />, errorElement: <Fault />, children: [{ index: true, element: <Rail /> }] },
  inFrame('/job/:job', [
    { index: true, element: <Navigate to="body" replace /> },
    page('body', async () => (await import('../stations/body/Body.tsx')).Body),
    page('measuring-sheet', async () => (await import('../stations/body/MeasuringSheet.tsx')).MeasuringSheet),
    page('pattern', async () => (await import('../stations/pattern/Pattern.tsx')).PatternStation),
    page('bring', async () => (await import('../stations/import/Import.tsx')).ImportStation),
    page('size', async () => (await import('../stations/size/Size.tsx')).Size),
    page('compare', async () => (await import('../stations/compare/Compare.tsx')).Compare),
    page('plan', async () => (await import('../stations/plan/Plan.tsx')).Plan),
    page('table', async () => (await import('../stations/table/Table.tsx')).Table),
    page('check', async () => (await import('../stations/check/Check.tsx')).Check),
    page('toile', async () => (await import('../stations/toile/Toile.tsx')).Toile),
    page('tissue/:fitting', async () => (await import('../stations/tissue/Tissue.tsx')).Tissue),
    page('sheet', async () => (await import('../stations/sheet/Sheet.tsx')).Sheet),
    page('projector', async () => (await import('../devices/projector/Projector.tsx')).Projector),
    page('projector-table', async () => (await import('../devices/projector/StandInTable.tsx')).StandInTable),
    page('print', async () => (await import('../stations/print/Print.tsx')).Print),
  ]),
  inFrame('/practice', [
    page('', async () => (await practice()).Practice),
    page('sums', async () => (await practice()).Sums),
    page('wrinkles', async () => (await practice()).Wrinkles),
    page('toiles', async () => (await import('../stations/practice/Toiles.tsx')).Toiles),
    page('methods', async () => (await practice()).Methods),
    page('rescue', async () => (await practice()).Rescues),
    page('sheet/:lesson', async () => (await practice()).PracticeSheet),
    page('cut/:lesson', async () => (await practice()).CutLesson),
  ]),
  { path: '*', element: <Shell />, children: [{ path: '*', element: <NoSuchPlace /> }] },
];

export const router = isServed
  ? createBrowserRouter(routes, { basename: import.meta.env.BASE_URL })
  : createHashRouter(routes);
