import { createBrowserRouter, Navigate } from 'react-router';
import { BlanksStation } from './blanks/BlanksStation.js';
import { BoardsView } from './cuts/boards/BoardsView.js';
import { CutsStation } from './cuts/CutsStation.js';
import { PapersView } from './cuts/PapersView.js';
import { SawView } from './cuts/saw/SawView.js';
import { WoodView } from './cuts/wood/WoodView.js';
import { FormStation } from './form/FormStation.js';
import { ChangesView } from './make/ChangesView.js';
import { DryFitView } from './make/DryFitView.js';
import { DayView } from './make/day/DayView.js';
import { LatheView } from './make/lathe/LatheView.js';
import { MakeStation } from './make/MakeStation.js';
import { SettingView } from './make/setting/SettingView.js';
import { WorkView } from './make/WorkView.js';
import { PatternStation } from './pattern/PatternStation.js';
import { RingPlan } from './plan/RingPlan.js';
import { RingsStation } from './rings/RingsStation.js';
import { SafePage } from './safe/SafePage.js';
import { RemovedPage } from './shelf/RemovedPage.js';
import { Shelf } from './shelf/Shelf.js';
import { PieceShell } from './shell/PieceShell.js';
import { Problem } from './shell/Problem.js';
import { Shell } from './shell/Shell.js';
import { ShopStation } from './shop/ShopStation.js';
import { TurntablePage } from './turntable/TurntablePage.js';
import { VersionsPage } from './versions/VersionsPage.js';
import { WoodsStation } from './woods/WoodsStation.js';

/** Every station has its own address; `ring` is counted from 1, as people do. */
export const router = createBrowserRouter([
  {
    element: <Shell />,
    errorElement: <Problem />,
    children: [
      { path: '/', element: <Shelf /> },
      { path: '/woods', element: <WoodsStation /> },
      { path: '/shop', element: <ShopStation /> },
      { path: '/safe', element: <SafePage /> },
      { path: '/removed', element: <RemovedPage /> },
      {
        path: '/piece/:id',
        element: <PieceShell />,
        children: [
          { index: true, element: <Navigate to="form" replace /> },
          { path: 'form', element: <FormStation /> },
          { path: 'rings', element: <RingsStation /> },
          {
            path: 'rings/:ring',
            element: <RingsStation />,
            children: [{ path: 'plan', element: <RingPlan /> }],
          },
          {
            path: 'pattern',
            element: <PatternStation />,
            children: [{ path: 'turntable', element: <TurntablePage /> }],
          },
          {
            path: 'make',
            element: <MakeStation />,
            children: [
              { index: true, element: <WorkView /> },
              { path: 'day', element: <DayView /> },
              { path: 'setting', element: <SettingView /> },
              { path: 'dry-fit', element: <DryFitView /> },
              { path: 'lathe', element: <LatheView /> },
              { path: 'changes', element: <ChangesView /> },
            ],
          },
          { path: 'blanks', element: <BlanksStation /> },
          { path: 'versions', element: <VersionsPage /> },
          {
            path: 'cuts',
            element: <CutsStation />,
            children: [
              { index: true, element: <WoodView /> },
              { path: 'saw', element: <SawView /> },
              { path: 'boards', element: <BoardsView /> },
              { path: 'boards/:board', element: <BoardsView /> },
              { path: 'papers', element: <PapersView /> },
            ],
          },
        ],
      },
      { path: '*', element: <Problem missing /> },
    ],
  },
]);
