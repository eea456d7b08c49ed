/** A page of a kitchen: its address behind the kitchen’s, its name in the navigation, its title, and what is under way until it answers. */
interface KitchenPage {
  path: string;
  name: string;
  /** Where it says more than the name. */
  title?: string;
  waiting?: string;
}

/** The pages of a kitchen in the order of the work: eight stages, the first page of each standing for it. */
export const STAGES = [
  { name: 'Cooks', pages: [{ path: 'cooks', name: 'Cooks', title: 'Who cooks, and where' }] },
  {
    name: 'Cutting',
    pages: [{ path: 'cutting', name: 'Cutting', title: 'What gets cut', waiting: 'Turning meals into cutting…' }],
  },
  {
    name: 'Drawer',
    pages: [{ path: 'drawer', name: 'Drawer', title: 'What is in the drawer', waiting: 'Reading it knife by knife…' }],
  },
  {
    name: 'Plan',
    pages: [
      { path: '', name: 'Knife roll', title: 'Your plan', waiting: 'Trying every blade on your cooking' },
      { path: 'schools', name: 'Schools of thought', waiting: 'Planning by each of them…' },
      { path: 'what-if', name: 'What if', title: 'What if…' },
      { path: 'match', name: 'Knives by task', waiting: 'Trying every blade at every task…' },
      { path: 'compare', name: 'Compare knives' },
      { path: 'paper', name: 'Print & share', title: 'Paper, files and links' },
    ],
  },
  {
    name: 'Try',
    pages: [
      { path: 'try', name: 'Life size', title: 'Try at life size' },
      { path: 'try/hand', name: 'In the hand' },
      { path: 'try/feel', name: 'Feel it with coins' },
      { path: 'try/food', name: 'On the food' },
      { path: 'try/measure', name: 'Measure yours' },
      { path: 'try/wishes', name: 'Wish list' },
    ],
  },
  { name: 'Buy', pages: [{ path: 'shop', name: 'In a shop', waiting: 'Looking up what you still need…' }] },
  {
    name: 'Storage',
    pages: [
      { path: 'keep', name: 'Storage', waiting: 'Laying them in…' },
      { path: 'keep/away', name: 'Travel roll' },
      { path: 'keep/use', name: 'Which knife now' },
      { path: 'keep/wall', name: 'Care sheet' },
    ],
  },
  { name: 'Sharpness', pages: [{ path: 'edge', name: 'Sharpness', waiting: 'Working out every edge…' }] },
] as const satisfies readonly { name: string; pages: readonly [KitchenPage, ...KitchenPage[]] }[];

export type Stage = (typeof STAGES)[number];
export type PagePath = Stage['pages'][number]['path'];

/** What a phone shows under the thumb; everything else is behind one more press. */
export const AT_HAND = ['', 'shop', 'keep/use', 'edge'] as const satisfies readonly PagePath[];

const pagesOf = ({ pages }: { pages: readonly KitchenPage[] }) => pages;
const PAGES = STAGES.flatMap(pagesOf);

/** The page of a path. */
export const pageAt = (path: PagePath): KitchenPage => found(PAGES.find((page) => page.path === path));

export const titleOf = (path: PagePath): string => pageAt(path).title ?? pageAt(path).name;

/** The stage a page belongs to. */
export const stageOf = (path: PagePath): Stage =>
  found(STAGES.find((stage) => pagesOf(stage).some((page) => page.path === path)));

function found<T>(it: T | undefined): T {
  if (it === undefined) throw new Error('the path of a page is missing from the stages');
  return it;
}

export const addressOf = (kitchenId: string, path: PagePath): string =>
  path === '' ? `/kitchens/${kitchenId}` : `/kitchens/${kitchenId}/${path}`;
