import { Chart, LinearScale, LineElement, PointElement, Tooltip } from 'chart.js';
import { proxy, type Remote } from 'comlink';
import { useCallback, useEffect, useRef, useState } from 'react';
import { Line } from 'react-chartjs-2';
import type { Plan } from '../../core/formats/planFile';
import type { MoneyView, SizeView } from '../../workers/argue';
import type { KitchenWorker } from '../../workers/kitchen.worker';
import { Charted } from '../shared/Charted';
import { colour } from '../shared/charts';
import { Working } from '../shared/Working';
import { money } from '../shared/words';
import css from './MoneyPanel.module.css';

Chart.register(LinearScale, LineElement, PointElement, Tooltip);

/** About so many points and sizes come in all: what the bar fills by. */
const EXPECTED = 20;

const points = (share: number) => (share * 100).toFixed(1);

type Point = MoneyView['points'][number];

/** The curve with the plan on it, which may take offers: what costs more and covers less goes. */
function throughPlan(points: readonly Point[], here: Point): Point[] {
  const others = points.filter((p) => p.spent < here.spent || p.coverage > here.coverage);
  return [...others, here].sort((a, b) => a.spent - b.spent);
}

/** Kits at other amounts of money and the best of every size, as they are found; `compared` once nothing more comes. */
function useMoney(plan: Plan, final: boolean, worker: Remote<KitchenWorker>) {
  const [view, setView] = useState<MoneyView | null>(null);
  const [sizes, setSizes] = useState<SizeView[]>([]);
  const [compared, setCompared] = useState(false);
  const halt = useRef<() => void>(() => undefined);
  useEffect(() => {
    if (!final) return;
    let stale = false;
    let stopped = false;
    const ended = () => !stale && setCompared(true);
    halt.current = () => {
      stopped = true;
      void worker.stop();
    };
    void (async () => {
      await worker.money(proxy((next) => !stale && setView(next)));
      if (!stopped && !stale) await worker.sizes(proxy((next) => !stale && setSizes(next)));
      ended();
    })();
    return () => {
      stale = true;
      setCompared(false);
    };
  }, [plan, final, worker]);
  const stop = useCallback(() => halt.current(), []);
  return { view, sizes, compared, stop };
}

/** What other money would buy: coverage against money with the present plan on it, and the best kit of every size. */
export default function MoneyPanel({
  plan,
  final,
  worker,
}: {
  plan: Plan;
  final: boolean;
  worker: Remote<KitchenWorker>;
}) {
  const { view, sizes, compared, stop } = useMoney(plan, final, worker);
  const { currency } = plan;
  return (
    <div className={css.panel}>
      {!compared && final && (
        <div className={css.whole}>
          <Working share={view ? Math.min(1, (view.points.length + sizes.length) / EXPECTED) : 0} onStop={stop}>
            {sizes.length > 0 ? 'Proving the best kit of every size' : 'Trying other amounts of money'}
          </Working>
        </div>
      )}
      <Charted className={css.chart ?? ''} name="Coverage against money">
        {view && <Curve view={view} plan={plan} />}
      </Charted>
      <div className={css.words}>
        <Bend view={view} currency={currency} />
        {sizes.length > 0 && <Sizes sizes={sizes} compared={compared} currency={currency} />}
        <p className="faded">
          The curve’s kits are found, not proven; tools and sharpening are counted in. The plan stops where a point more
          would cost beyond what it is worth here.
        </p>
      </div>
    </div>
  );
}

/** Coverage against money, through the plan. */
function Curve({ view, plan: { spent, coverage, currency } }: { view: MoneyView; plan: Plan }) {
  const here = { spent, coverage: coverage.all };
  const curve = throughPlan(view.points, here);
  const axis = (text: string) => ({
    title: { display: true, text, color: colour('--faded') },
    ticks: { color: colour('--faded') },
    grid: { color: colour('--rule') },
  });
  return (
    <Line
      role="img"
      aria-label={`Coverage against money: ${curve.map((p) => `${money(p.spent, currency)} ${points(p.coverage)}%`).join(', ')}`}
      data={{
        datasets: [
          {
            label: 'kits found',
            data: curve.map((p) => ({ x: p.spent, y: p.coverage * 100 })),
            borderColor: colour('--ink'),
            backgroundColor: colour('--sheet'),
            stepped: 'before',
            borderWidth: 1.5,
            pointRadius: 3,
          },
          {
            label: 'this plan',
            data: [{ x: here.spent, y: here.coverage * 100 }],
            borderColor: colour('--ink'),
            backgroundColor: colour('--thread'),
            pointRadius: 8,
            pointStyle: 'rectRot',
            showLine: false,
          },
        ],
      }}
      options={{
        animation: false,
        responsive: true,
        maintainAspectRatio: false,
        plugins: {
          tooltip: {
            callbacks: {
              label: ({ parsed, dataset }) =>
                `${dataset.label ?? ''}: ${money(Math.round(parsed.x ?? 0), currency)}, ${(parsed.y ?? 0).toFixed(1)}%`,
            },
          },
        },
        scales: {
          x: { type: 'linear', min: 0, ...axis(`spent, ${currency}`) },
          y: axis('cutting done well, %'),
        },
      }}
    />
  );
}

/** Up to where the money does most. */
function Bend({ view, currency }: { view: MoneyView | null; currency: string }) {
  const bend = view?.knee;
  if (!bend) return <p className="faded">{view ? 'Too few kits to tell where money does most.' : ''}</p>;
  const last = view.points.filter((p) => p.spent > bend.spent).at(-1);
  return (
    <p>
      Up to <b className="figure">{money(bend.spent, currency)}</b> the money does most: that much covers{' '}
      <b className="figure">{points(bend.coverage)}%</b>
      {last
        ? `, and the next ${money(Math.round(last.spent - bend.spent), currency)} add ${points(last.coverage - bend.coverage)} points in all.`
        : ', and beyond it there is nothing more to have.'}{' '}
      The diamond is this plan.
    </p>
  );
}

/** The best kit of every size. */
function Sizes({ sizes, compared, currency }: { sizes: SizeView[]; compared: boolean; currency: string }) {
  return (
    <table className={css.sizes}>
      <caption>The best kit of every size within the money</caption>
      <thead>
        <tr>
          <th scope="col">Knives</th>
          <th scope="col">Done well</th>
          <th scope="col">Price</th>
          <th scope="col">Proof</th>
        </tr>
      </thead>
      <tbody>
        {sizes.map((s) => (
          <tr key={s.size} title={s.names.join(', ')}>
            <td className="figure">{s.size}</td>
            <td className="figure">{points(s.coverage)}%</td>
            <td className="figure">{money(s.spent, currency)}</td>
            <td>{s.proven ? 'proven best' : compared ? `within ${points(s.gap)} points` : 'being proven…'}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
