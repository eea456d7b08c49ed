import type { OwnedFile } from '../../core/formats/kitchenFile';
import type { Plan } from '../../core/formats/planFile';
import { kitSteps } from '../../core/formats/planSteps';
import type { Served } from '../../core/kit/plan/assignment';
import { scoreWord } from '../../core/fit/words';
import { minutes, taskName, typeName } from '../shared/words';
import css from './CoverageStrip.module.css';

const WIDE = 1000;
const TALL = 64;
/** Cloths a server's tasks are cut from: told apart by pattern as well as by colour. */
const CLOTHS = 12;

interface Props {
  served: Served[];
  plan: Plan;
  ownedFile: OwnedFile[];
  models: Map<string, { type: string }>;
  onOpen: (order: number) => void;
}

const keyOf = (by: Served['by']) => JSON.stringify(by);

/** Where each task's strip begins, how wide and how high it is. */
function sideBySide(served: readonly Served[]) {
  let x = 0;
  return served.map((each) => {
    const width = each.share * WIDE;
    const bar = { ...each, x, width, height: Math.max(1.5, (each.score / 100) * TALL) };
    x += width;
    return bar;
  });
}

/** Names what serves a task, as the cook knows it. */
function namesIn({ plan, ownedFile, models }: Props) {
  const kit = kitSteps(plan);
  const nameOf = (by: Served['by']): string => {
    if (!by) return 'nothing here';
    if ('tool' in by) return `your ${typeName(by.tool).toLowerCase()}`;
    if ('owned' in by) {
      const knife = ownedFile[by.owned];
      return `your ${typeName(knife?.type ?? models.get(knife?.model ?? '')?.type ?? 'knife').toLowerCase()}`;
    }
    const step = kit[by.step];
    return step ? `${step.order} ${step.action === 'tool' ? step.name : typeName(step.type ?? '')}` : '';
  };
  return nameOf;
}

/** Every task as a strip of its weight, as high as its score, in the cloth of the knife that serves it. */
export default function CoverageStrip(props: Props) {
  const { served, plan, onOpen } = props;
  const nameOf = namesIn(props);
  const servers = [...new Map(served.map(({ by }) => [keyOf(by), by])).values()];
  const cloths = new Map(servers.map((by, i) => [keyOf(by), by ? i % CLOTHS : -1]));
  const clothOf = (by: Served['by']) => (by ? `url(#cloth-${cloths.get(keyOf(by)) ?? 0})` : 'var(--beet)');
  const told = ({ task, score, by, minutesPerWeek }: Served) =>
    `${taskName(task)}: ${Math.round(score)}, ${scoreWord(score, null)}, by ${nameOf(by)}; ${minutes(minutesPerWeek)} min a week`;
  return (
    <section className={css.strip} aria-labelledby="strip">
      <h2 id="strip">What each serves</h2>
      <Strip {...{ served, clothOf, told }} steps={kitSteps(plan)} onOpen={onOpen} />
      <ul className={css.legend}>
        {servers.map((by) => (
          <li key={keyOf(by)}>
            <svg width="22" height="14" aria-hidden="true">
              <rect width="22" height="14" fill={clothOf(by)} />
            </svg>
            {nameOf(by)}
          </li>
        ))}
        <li className="faded">dashed line: does it well</li>
      </ul>
      <details className={css.list}>
        <summary>As a list</summary>
        <ul>
          {served.map((each) => (
            <li key={each.task}>{told(each)}</li>
          ))}
        </ul>
      </details>
    </section>
  );
}

interface StripProps extends Pick<Props, 'served' | 'onOpen'> {
  steps: ReturnType<typeof kitSteps>;
  clothOf: (by: Served['by']) => string;
  told: (served: Served) => string;
}

function Strip({ served, steps, clothOf, told, onOpen }: StripProps) {
  return (
    <svg
      viewBox={`0 0 ${WIDE} ${TALL + 2}`}
      preserveAspectRatio="none"
      className={css.drawing}
      role="img"
      aria-label={`${served.length} tasks, as wide as their weight and as high as their score; the list below tells them one by one.`}
    >
      <defs>
        {Array.from({ length: CLOTHS }, (_, i) => (
          <Cloth key={i} index={i} />
        ))}
      </defs>
      {sideBySide(served).map((bar) => (
        <g key={bar.task}>
          <rect
            x={bar.x}
            y={TALL - bar.height}
            width={Math.max(0.5, bar.width - 1.4)}
            height={bar.height}
            fill={clothOf(bar.by)}
            onClick={() => {
              const step = bar.by && 'step' in bar.by ? steps[bar.by.step] : undefined;
              if (step) onOpen(step.order);
            }}
          >
            <title>{told(bar)}</title>
          </rect>
        </g>
      ))}
      <path className={css.line} d={`M0 ${TALL * 0.3}H${WIDE}`} vectorEffect="non-scaling-stroke" />
      <path className={css.base} d={`M0 ${TALL + 0.5}H${WIDE}`} vectorEffect="non-scaling-stroke" />
    </svg>
  );
}

const GROUNDS = ['--thread', '--steel', '--leaf', '--canvas', '--chalk-faded'];
const MARKS = [
  '',
  'M0 6L6 0',
  '',
  'M3 0V6',
  'M0 3H6',
  'M0 0L6 6',
  'M0 3H6M3 0V6',
  'M0 6L6 0M0 0L6 6',
  'M0 3H6',
  '',
  'M3 0V6',
  'M0 6L6 0',
];

function Cloth({ index }: { index: number }) {
  return (
    <pattern id={`cloth-${index}`} width={6} height={6} patternUnits="userSpaceOnUse">
      <rect width={6} height={6} fill={`var(${GROUNDS[index % GROUNDS.length] ?? '--thread'})`} />
      <path
        d={MARKS[index] ?? ''}
        stroke={index % GROUNDS.length === 3 ? 'var(--chalk)' : 'var(--ink)'}
        strokeWidth={1}
      />
    </pattern>
  );
}
