import { later } from '@/ui/later';

/** Parts of the bench that come a moment after it: it can be typed into before they are there. */

export const LaterMenu = later(
  () => import('./bench-menu').then(({ BenchMenu }) => BenchMenu),
  <span className="size-11" />,
);

export const LaterSheets = later(() => import('./sheets/bench-sheets').then(({ BenchSheets }) => BenchSheets));

export const LaterDayChart = later(() => import('./material/day-chart').then(({ DayChart }) => DayChart));

export const LaterMapView = later(
  () => import('./material/map-view').then(({ MapView }) => MapView),
  <p className="p-6 text-mute">Drawing the map…</p>,
);

/** Most formulas stand as their brief asks. */
export const LaterBriefNote = later(() => import('./brief-note').then(({ BriefNote }) => BriefNote));

export const LaterSideBySide = later(() => import('./sheets/side-by-side').then(({ SideBySide }) => SideBySide));

/** All of them, in the order in which they may be asked for. */
export const LATER_PARTS = [LaterMenu, LaterSheets, LaterDayChart, LaterMapView, LaterBriefNote, LaterSideBySide];
