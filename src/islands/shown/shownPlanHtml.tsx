import { renderToStaticMarkup } from 'react-dom/server';
import { ShownPlanFoot, ShownPlanHead, ShownStep, shownGroups, type ShownPlanProps } from './ShownPlan';
import css from './ShownPlan.module.css';

/** A shown plan as HTML, piece by piece: one for each step. */
export function* shownPlanParts(props: ShownPlanProps): Generator<string, void> {
  yield `<main id="main" class="${css.page}">`;
  yield renderToStaticMarkup(<ShownPlanHead {...props} />);
  for (const { name, steps } of shownGroups(props.shown.plan)) {
    yield `<section aria-label="${name}"><h2>${name}</h2><ol class="${css.steps}">`;
    for (const step of steps) yield renderToStaticMarkup(<ShownStep {...props} step={step} />);
    yield '</ol></section>';
  }
  yield renderToStaticMarkup(<ShownPlanFoot {...props} />);
  yield '</main>';
}

/** A shown plan as HTML. A plan of two hundred steps takes a second, in which the server goes on answering others. */
export async function shownPlanHtml(props: ShownPlanProps): Promise<string> {
  const parts: string[] = [];
  for (const part of shownPlanParts(props)) {
    parts.push(part);
    await new Promise((resolve) => setTimeout(resolve));
  }
  return parts.join('');
}
