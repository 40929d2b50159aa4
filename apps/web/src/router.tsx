import type { ComponentType } from 'react';
import { createBrowserRouter, Navigate } from 'react-router';
import { Problem } from './shell/Problem.js';
import { Shell } from './shell/Shell.js';

/** What is fetched besides: what the first screen does not come with, and the turntable, which stands within several stations. */
const stations: (() => Promise<unknown>)[] = [
  () => import('./shelf/Starts.js'),
  () => import('./shelf/another.js'),
  () => import('./guide/firstPiece.js'),
  () => import('./store/saveProject.js'),
  () => import('./turntable/Turntable.js'),
];

/** A station that is fetched when somebody goes there, or when there is nothing else to do. */
const station = <K extends string>(load: () => Promise<Readonly<Record<K, ComponentType>>>, name: K) => {
  stations.push(load);
  return { lazy: async () => ({ Component: (await load())[name] as ComponentType }) };
};

const idle = () =>
  new Promise<void>((then) =>
    typeof requestIdleCallback === 'undefined'
      ? setTimeout(then, 50)
      : requestIdleCallback(() => then(), { timeout: 1000 }),
  );

/** Whether the browser was told to fetch no more than is asked for, as over a mobile line; not every browser can be told. */
const sparing = () =>
  (navigator as Navigator & { connection?: { saveData?: boolean } }).connection?.saveData === true;

/**
 * Fetches all stations, one after another and while there is nothing else to do: from then on none is missing when the server
 * is away. One that cannot be fetched is left to whoever goes there; where data are saved, all of them are.
 */
export async function fetchStations(): Promise<void> {
  if (sparing()) return;
  for (const load of stations) {
    await idle();
    await load().catch(() => {});
  }
}

/** Every station has its own address; `ring` is counted from 1, as people do. */
export const router = createBrowserRouter([
  {
    element: <Shell />,
    errorElement: <Problem />,
    HydrateFallback: () => null,
    children: [
      { path: '/', ...station(() => import('./shelf/Shelf.js'), 'Shelf') },
      { path: '/woods', ...station(() => import('./woods/WoodsStation.js'), 'WoodsStation') },
      { path: '/shop', ...station(() => import('./shop/ShopStation.js'), 'ShopStation') },
      { path: '/safe', ...station(() => import('./safe/SafePage.js'), 'SafePage') },
      { path: '/removed', ...station(() => import('./shelf/RemovedPage.js'), 'RemovedPage') },
      { path: '/workbook', ...station(() => import('./workbook/WorkbookPage.js'), 'WorkbookPage') },
      {
        path: '/piece/:id',
        ...station(() => import('./shell/PieceShell.js'), 'PieceShell'),
        children: [
          { index: true, element: <Navigate to="form" replace /> },
          { path: 'form', ...station(() => import('./form/FormStation.js'), 'FormStation') },
          { path: 'rings', ...station(() => import('./rings/RingsStation.js'), 'RingsStation') },
          {
            path: 'rings/:ring',
            ...station(() => import('./rings/RingsStation.js'), 'RingsStation'),
            children: [{ path: 'plan', ...station(() => import('./plan/RingPlan.js'), 'RingPlan') }],
          },
          {
            path: 'pattern',
            ...station(() => import('./pattern/PatternStation.js'), 'PatternStation'),
            children: [
              {
                path: 'turntable',
                ...station(() => import('./turntable/TurntablePage.js'), 'TurntablePage'),
              },
            ],
          },
          {
            path: 'make',
            ...station(() => import('./make/MakeStation.js'), 'MakeStation'),
            children: [
              { index: true, ...station(() => import('./make/WorkView.js'), 'WorkView') },
              {
                path: 'rehearsal',
                ...station(() => import('./make/rehearsal/RehearsalView.js'), 'RehearsalView'),
              },
              { path: 'day', ...station(() => import('./make/day/DayView.js'), 'DayView') },
              { path: 'setting', ...station(() => import('./make/setting/SettingView.js'), 'SettingView') },
              { path: 'dry-fit', ...station(() => import('./make/DryFitView.js'), 'DryFitView') },
              { path: 'lathe', ...station(() => import('./make/lathe/LatheView.js'), 'LatheView') },
              { path: 'ageing', ...station(() => import('./make/ageing/AgeingView.js'), 'AgeingView') },
              { path: 'changes', ...station(() => import('./make/ChangesView.js'), 'ChangesView') },
            ],
          },
          {
            path: 'record',
            ...station(() => import('./record/RecordStation.js'), 'RecordStation'),
            children: [
              { index: true, ...station(() => import('./record/journal/JournalView.js'), 'JournalView') },
              { path: 'passport', ...station(() => import('./record/PassportView.js'), 'PassportView') },
              { path: 'again', ...station(() => import('./record/AgainView.js'), 'AgainView') },
              { path: 'boards', ...station(() => import('./record/OtherBoardsView.js'), 'OtherBoardsView') },
            ],
          },
          { path: 'blanks', ...station(() => import('./blanks/BlanksStation.js'), 'BlanksStation') },
          { path: 'versions', ...station(() => import('./versions/VersionsPage.js'), 'VersionsPage') },
          {
            path: 'cuts',
            ...station(() => import('./cuts/CutsStation.js'), 'CutsStation'),
            children: [
              { index: true, ...station(() => import('./cuts/wood/WoodView.js'), 'WoodView') },
              { path: 'saw', ...station(() => import('./cuts/saw/SawView.js'), 'SawView') },
              { path: 'boards', ...station(() => import('./cuts/boards/BoardsView.js'), 'BoardsView') },
              {
                path: 'boards/:board',
                ...station(() => import('./cuts/boards/BoardsView.js'), 'BoardsView'),
              },
              { path: 'papers', ...station(() => import('./cuts/PapersView.js'), 'PapersView') },
            ],
          },
        ],
      },
      { path: '*', element: <Problem missing /> },
    ],
  },
]);
