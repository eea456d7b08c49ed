import { BarElement, CategoryScale, Chart, LinearScale, Tooltip } from 'chart.js';
import { useMemo } from 'react';
import { Bar } from 'react-chartjs-2';
import { LOAD } from '../../core/constants';
import type { Cutting } from '../../workers/stock';
import { Charted } from '../shared/Charted';
import { colour } from '../shared/charts';
import { minutes, percent, taskName } from '../shared/words';
import { plural } from '../../core/text/plural';
import css from './CuttingView.module.css';
import { asTime, byGroup, liveExample } from './loadWords';

Chart.register(BarElement, CategoryScale, LinearScale, Tooltip);

/** The week in cutting: by group as a chart, by task as a list, each minute traced to its dishes. */
export function LoadView({ cutting }: { cutting: Cutting }) {
  const loads = [...cutting.loads].sort((a, b) => b.minutesPerWeek - a.minutesPerWeek);
  const example = liveExample(cutting.loads);
  return (
    <section className={css.load} aria-labelledby="load">
      <h2 id="load">Your week: {asTime(cutting.minutesPerWeek)} of cutting</h2>
      <Groups loads={cutting.loads} />
      <TakenAway away={cutting.away} />
      <ul className={css.loads}>
        {loads.map((load) => (
          <Load key={load.task} load={load} />
        ))}
      </ul>
      <p className={css.note}>
        Minutes are estimates for a practised cook with a sharp knife that suits. Work done less than{' '}
        {LOAD.occasional.value} times a year is occasional: it counts, but borrowing a knife or a workaround may do.
      </p>
      {example && (
        <p className={css.note}>
          Rare work does not vanish beside daily work: in the plan twice the minutes count about half as much again (the{' '}
          <a href="/score">exponent is {LOAD.exponent.value}</a>). Here: {taskName(example.most.task).toLowerCase()}{' '}
          takes <b className="figure">{example.timesMinutes.toFixed(0)} ×</b> the minutes of{' '}
          {taskName(example.least.task).toLowerCase()}, but weighs only{' '}
          <b className="figure">{example.timesWeight.toFixed(1)} ×</b> as much ({percent(example.most.share)} against{' '}
          {percent(example.least.share)} of the plan).
        </p>
      )}
    </section>
  );
}

/** Minutes a week by kind of work, as bars. */
function Groups({ loads }: Pick<Cutting, 'loads'>) {
  const groups = useMemo(() => byGroup(loads), [loads]);
  return (
    <Charted className={css.chart ?? ''} name="Cutting by the week">
      <Bar
        aria-label={`Minutes a week by kind of work: ${groups.map((g) => `${g.group} ${minutes(g.minutes)}`).join(', ')}`}
        role="img"
        data={{
          labels: groups.map((g) => g.group),
          datasets: [
            {
              data: groups.map((g) => g.minutes),
              backgroundColor: colour('--thread'),
              borderRadius: 2,
              barThickness: 14,
            },
          ],
        }}
        options={{
          indexAxis: 'y',
          animation: false,
          responsive: true,
          maintainAspectRatio: false,
          plugins: { legend: { display: false } },
          scales: {
            x: {
              title: { display: true, text: 'minutes a week', color: colour('--faded') },
              ticks: { color: colour('--faded') },
              grid: { color: colour('--rule') },
            },
            y: { ticks: { color: colour('--ink'), autoSkip: false }, grid: { display: false } },
          },
        }}
      />
    </Charted>
  );
}

/** What is not eaten here, and so is not cut. */
function TakenAway({ away }: Pick<Cutting, 'away'>) {
  const { dishes, tasks, fromMenus } = away;
  if (dishes.length === 0 && tasks.length === 0 && fromMenus === 0) return null;
  const menus = fromMenus > 0 ? [`${plural(fromMenus, 'dish', 'dishes')} of the menus`] : [];
  return (
    <p className={css.away}>
      What is not eaten here took away {[...menus, ...dishes, ...tasks.map((t) => t.toLowerCase())].join(', ')}.
    </p>
  );
}

/** Dishes named under a task. */
const MOST_NAMED = 12;

function Load({ load }: { load: Cutting['loads'][number] }) {
  return (
    <li>
      <details>
        <summary>
          <span>
            {taskName(load.task)}
            {load.occasional && <em>occasional</em>}
            {load.matters !== 1 && <em>counted {load.matters} times</em>}
          </span>
          <span className="figure">{minutes(load.minutesPerWeek)} min</span>
        </summary>
        <ul>
          {load.from.slice(0, MOST_NAMED).map(({ name, minutes: part }) => (
            <li key={name}>
              <span>{name}</span>
              <span className="figure">{minutes(part)}</span>
            </li>
          ))}
          {load.from.length > MOST_NAMED && <li>and {load.from.length - MOST_NAMED} more dishes</li>}
        </ul>
      </details>
    </li>
  );
}
