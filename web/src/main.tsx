import './theme/fonts.js';
import { ChakraProvider } from '@chakra-ui/react';
import { QueryClientProvider } from '@tanstack/react-query';
import { StrictMode, type ComponentType } from 'react';
import { createRoot } from 'react-dom/client';
import { Navigate, RouterProvider, createBrowserRouter } from 'react-router';
import { Fault } from '#core/units';
import { App } from './App.js';
import { NARROW_QUERY } from './theme/narrow.js';
import { system } from './theme/system.js';
import { guardLeaving } from './wire/leaving.js';
import { shareBench } from './wire/benchNow.js';
import { client, followChanges } from './wire/queries.js';
import { ErrorPage } from './parts/ErrorPage.js';
import { tellUncaught } from './state/faults.js';

const station = (load: () => Promise<{ default: ComponentType }>) => ({
  lazy: async () => ({ Component: (await load()).default }),
});

const router = createBrowserRouter([
  {
    path: '/',
    Component: App,
    HydrateFallback: () => null,
    ErrorBoundary: ErrorPage,
    children: [
      {
        ErrorBoundary: ErrorPage,
        children: [
          { index: true, element: <Navigate to="/shelf" replace /> },
          { path: 'shelf/shopping', ...station(() => import('./stations/shelf/shopping/Shopping.js')) },
          { path: 'shelf/back/:blockId', ...station(() => import('./stations/shelf/rescue/Rescue.js')) },
          { path: 'shelf/list', ...station(() => import('./stations/shelf/list/ShelfList.js')) },
          { path: 'shelf/there/:thingId?', ...station(() => import('./stations/shelf/there/There.js')) },
          { path: 'shelf/:clayId?', ...station(() => import('./stations/shelf/Shelf.js')) },
          { path: 'mixes/:mixId?/:detail?', ...station(() => import('./stations/mixes/Mixes.js')) },
          { path: 'sheets/book/:sheetId?', ...station(() => import('./stations/sheets/SheetBook.js')) },
          { path: 'sheets/roll', ...station(() => import('./stations/sheets/RollSheet.js')) },
          { path: 'sheets/condition/:detail?', ...station(() => import('./stations/sheets/Condition.js')) },
          { path: 'sheets/:machineId?', ...station(() => import('./stations/sheets/Sheets.js')) },
          { path: 'blends/:blendId?/:detail?', ...station(() => import('./stations/blends/Blends.js')) },
          { path: 'canes/:caneId?/:detail?', ...station(() => import('./stations/canes/Canes.js')) },
          { path: 'patterns/:patternId?/:detail?', ...station(() => import('./stations/patterns/Patterns.js')) },
          { path: 'batches/ovens', ...station(() => import('./stations/batches/ovens/Ovens.js')) },
          { path: 'batches/drawer', ...station(() => import('./stations/batches/drawer/Drawer.js')) },
          { path: 'batches/days', ...station(() => import('./stations/batches/days/Days.js')) },
          { path: 'batches/findings', ...station(() => import('./stations/batches/findings/Findings.js')) },
          { path: 'batches/:batchId?/:view?', ...station(() => import('./stations/batches/Batches.js')) },
          { path: 'bench/others', ...station(() => import('./stations/bench/others/Others.js')) },
          { path: 'bench/:batchId?', ...station(() => import('./stations/bench/Bench.js')) },
          { path: 'diary/wall', ...station(() => import('./stations/diary/wall/Wall.js')) },
          { path: 'diary/taught', ...station(() => import('./stations/diary/taught/Taught.js')) },
          { path: 'diary/months', ...station(() => import('./stations/diary/months/Months.js')) },
          { path: 'diary/:entryId/card', ...station(() => import('./stations/diary/descent/Descent.js')) },
          { path: 'diary/:entryId/again', ...station(() => import('./stations/diary/again/Again.js')) },
          { path: 'diary/:entryId?', ...station(() => import('./stations/diary/Diary.js')) },
          { path: 'copies', ...station(() => import('./stations/copies/Copies.js')) },
          { path: '*', element: <Navigate to="/shelf" replace /> },
        ],
      },
    ],
  },
]);

/** ms after the start when there is time for it. */
const QUIET = 3000;

/** A screen that is held may lose the network: what its stations need is there before that. */
function loadForHands(): void {
  if (!window.matchMedia(NARROW_QUERY).matches) return;
  setTimeout(() => {
    const stations = [
      import('./stations/bench/Bench.js'),
      import('./stations/batches/days/Days.js'),
      import('./stations/shelf/Shelf.js'),
      import('./stations/diary/Diary.js'),
      import('./stations/bench/PieceArt.js'),
      import('./stations/bench/DoneForm.js'),
      import('./parts/PhotographsTaken.js'),
      import('./stations/shelf/ConditionNote.js'),
      import('./stations/patterns/faces/SheetImage.js'),
      import('./workers/picture.js').then(({ wakePictures }) => wakePictures()),
    ];
    // what cannot be loaded now is loaded when it is gone to
    void Promise.allSettled(stations);
  }, QUIET);
}

tellUncaught();
followChanges();
shareBench();
guardLeaving();
loadForHands();

const root = document.getElementById('root');
if (!root) throw new Fault('the page was begun', 'it has no root');
createRoot(root).render(
  <StrictMode>
    <ChakraProvider value={system}>
      <QueryClientProvider client={client}>
        <RouterProvider router={router} />
      </QueryClientProvider>
    </ChakraProvider>
  </StrictMode>,
);
