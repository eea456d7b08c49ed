// What is made on threads of its own because it takes long: sheets of paper and calendars.
import { calendarOf, type CalendarMade } from '../core/formats/calendarText';
import type { Paper, PaperKind } from '../core/formats/paper';
import { lifeSizeSheets, type LifeSizeKnife } from '../paper/lifeSize';
import { placesAtTrueSize, placesPlan, type PlacesPaper } from '../paper/placeSheets';
import { planSheets, type PlanPapers } from '../paper/planSheets';
import { wallPaper } from '../paper/wallPaper';
import type { WallSheet } from '../core/formats/wallSheet';
import { reference } from '../../data/reference';

const names = {
  type: (id: string) => reference.types.get(id)?.name ?? reference.tools.get(id)?.name ?? id,
  task: (id: string) => reference.tasks.get(id)?.name ?? id,
};

/** Every job by its name; input and result pass between threads, so they hold data alone. */
export const JOBS = {
  plan: ({ papers, kinds, paper }: { papers: Omit<PlanPapers, 'names'>; kinds: readonly PaperKind[]; paper: Paper }) =>
    planSheets({ ...papers, names }, kinds, paper),
  lifeSize: async ({ title, knives, paper }: { title: string; knives: readonly LifeSizeKnife[]; paper: Paper }) =>
    (await lifeSizeSheets(title, knives, paper)).bytes,
  places: ({ asked, paper, trueSize }: { asked: PlacesPaper; paper: Paper; trueSize: boolean }) =>
    (trueSize ? placesAtTrueSize : placesPlan)(asked, paper),
  wall: ({ sheet, paper }: { sheet: WallSheet; paper: Paper }) => wallPaper(sheet, paper),
  calendar: (made: CalendarMade) => Promise.resolve(Buffer.from(calendarOf(made), 'utf8')),
} as const;

export type JobName = keyof typeof JOBS;
export type JobInput<N extends JobName> = Parameters<(typeof JOBS)[N]>[0];
