import { useMemo, type ReactNode } from 'react';
import type { KitchenFile } from '../../core/formats/kitchenFile';
import { isAnswered } from '../../core/kitchen/nextQuestion';
import { dueBy } from './dueDays';
import css from './KitchenMast.module.css';
import { Masthead } from './Masthead';
import { addressOf, AT_HAND, pageAt, STAGES, stageOf, type PagePath, type Stage } from './stages';
import { today } from './today';

/** Stages in which nothing has been said yet. */
const lackingIn = (kitchen: KitchenFile): readonly Stage['name'][] => [
  ...(kitchen.cooks ? [] : (['Cooks'] as const)),
  ...(isAnswered('cooking', kitchen) ? [] : (['Cutting'] as const)),
  ...(kitchen.owned?.length || kitchen.tools?.length ? [] : (['Drawer'] as const)),
];

interface Props {
  kitchenId: string;
  kitchen: KitchenFile;
  /** The page that is open; null where none of them is. */
  here: PagePath | null;
  /** The name as text or as a field. */
  name: ReactNode;
  children?: ReactNode;
}

/** The head of a kitchen's pages: its name, whatever the page puts beside it, the stages of the work and the pages of this one. */
export function KitchenMast({ kitchenId, kitchen, here, name, children }: Props) {
  const stage = here === null ? null : stageOf(here);
  const signs = useSigns(kitchenId, kitchen);
  return (
    <>
      <Masthead>
        {typeof name === 'string' ? <strong className={css.name}>{name}</strong> : name}
        {children}
      </Masthead>
      <nav className={css.stages} aria-label="Stages of the work" data-way>
        {STAGES.map((each) => (
          <a
            key={each.name}
            href={addressOf(kitchenId, each.pages[0].path)}
            aria-current={each.pages[0].path === here ? 'page' : each === stage || undefined}
          >
            {each.name}
            {signs(each)}
          </a>
        ))}
      </nav>
      {stage && stage.pages.length > 1 && (
        <nav className={css.pages} aria-label={`${stage.name}: its pages`} data-way>
          <Pages {...{ kitchenId, here, stage }} />
        </nav>
      )}
      <AtHand {...{ kitchenId, here, signs }} />
    </>
  );
}

const Pages = ({ kitchenId, here, stage }: Pick<Props, 'kitchenId' | 'here'> & { stage: Stage }) =>
  stage.pages.map(({ path, name }) => (
    <a key={path} href={addressOf(kitchenId, path)} aria-current={path === here ? 'page' : undefined}>
      {name}
    </a>
  ));

/** What stands beside the name of a stage: how many edges are due, or that nothing has been said. */
function useSigns(kitchenId: string, kitchen: KitchenFile): (stage: Stage) => ReactNode {
  const lacking = lackingIn(kitchen);
  const due = useMemo(() => dueBy(kitchenId, today()), [kitchenId]);
  return function Signs({ name }) {
    if (name === 'Sharpness' && due.length > 0)
      return (
        <span className={css.due} title={due.map(({ title }) => title).join('; ')}>
          <span className="visually-hidden">, due: </span>
          {due.length}
        </span>
      );
    if (!lacking.includes(name)) return null;
    return (
      <span className={css.lacks} title="Nothing said yet: usual values are assumed">
        <span className="visually-hidden">, nothing said yet</span>
      </span>
    );
  };
}

/** The bar under the thumb of a phone: what is used at the counter and the board, and the way to everything else. */
function AtHand({
  kitchenId,
  here,
  signs,
}: Pick<Props, 'kitchenId' | 'here'> & { signs: (stage: Stage) => ReactNode }) {
  const isElsewhere = here === null || !AT_HAND.some((path) => path === here);
  return (
    <nav className={css.atHand} aria-label="At hand" data-way data-bar>
      {AT_HAND.map((path) => (
        <a key={path} href={addressOf(kitchenId, path)} aria-current={path === here ? 'page' : undefined}>
          {path === '' ? 'Plan' : pageAt(path).name}
          {signs(stageOf(path))}
        </a>
      ))}
      <details className={css.more} data-here={isElsewhere || undefined}>
        <summary>More</summary>
        <ul>
          {STAGES.map((stage) => (
            <li key={stage.name}>
              <b>
                {stage.name}
                {signs(stage)}
              </b>
              <span>
                <Pages {...{ kitchenId, here, stage }} />
              </span>
            </li>
          ))}
        </ul>
      </details>
    </nav>
  );
}
