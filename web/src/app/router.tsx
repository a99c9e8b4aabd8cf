import { createBrowserRouter, Navigate } from 'react-router';
import { Body } from '../stations/body/Body.tsx';
import { Check } from '../stations/check/Check.tsx';
import { Compare, Toile } from '../stations/later/Later.tsx';
import { PatternStation } from '../stations/pattern/Pattern.tsx';
import { Plan } from '../stations/plan/Plan.tsx';
import { Print } from '../stations/print/Print.tsx';
import { Rail } from '../stations/rail/Rail.tsx';
import { Size } from '../stations/size/Size.tsx';
import { Table } from '../table/Table.tsx';
import { Shell } from './Shell.tsx';

export const router = createBrowserRouter([
  { path: '/', element: <Shell />, children: [{ index: true, element: <Rail /> }] },
  {
    path: '/job/:job',
    element: <Shell />,
    children: [
      { index: true, element: <Navigate to="body" replace /> },
      { path: 'body', element: <Body /> },
      { path: 'pattern', element: <PatternStation /> },
      { path: 'size', element: <Size /> },
      { path: 'compare', element: <Compare /> },
      { path: 'plan', element: <Plan /> },
      { path: 'table', element: <Table /> },
      { path: 'check', element: <Check /> },
      { path: 'toile', element: <Toile /> },
      { path: 'print', element: <Print /> },
    ],
  },
  { path: '*', element: <Navigate to="/" replace /> },
]);
