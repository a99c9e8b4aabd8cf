import './lib/zodSetup.ts';
import '@fontsource/atkinson-hyperlegible/latin-400.css';
import '@fontsource/atkinson-hyperlegible/latin-700.css';
import '@fontsource/bitter/latin-600.css';
import '@fontsource/spline-sans-mono/latin-400.css';
import '@fontsource/spline-sans-mono/latin-500.css';
import './styles.css';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { RouterProvider } from 'react-router/dom';
import { takeHandedFiles } from './store/handed.ts';
import { DEMO } from '@ample/samples';
import { openLibrary, setDemo } from './store/library.ts';
import { followStations, keepFocus } from './lib/focus.ts';
import { takeOnLeaving } from './app/leaving.ts';
import { useOffline } from './store/update.ts';
import { router } from './app/router.tsx';

const root = document.getElementById('root');
if (!root) throw new Error('main: expected an element #root');
setDemo(DEMO);
void openLibrary().then(() =>
  createRoot(root).render(
    <StrictMode>
      <RouterProvider router={router} />
    </StrictMode>,
  ),
);
// Not needed for the first screen.
void import('./store/watchUpdates.ts').then(
  (m) => m.watchForUpdates(),
  () => useOffline.setState({ state: 'never' }),
);
keepFocus();
takeOnLeaving();
followStations(router);
takeHandedFiles(() => void router.navigate('/'));
