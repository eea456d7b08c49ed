import { BarElement, CategoryScale, Chart, LinearScale, Tooltip } from 'chart.js';
import { Bar } from 'react-chartjs-2';
import type { KitchenFile } from '../../core/formats/kitchenFile';
import type { Edges } from '../../workers/edges';
import { Charted } from '../shared/Charted';
import { colour } from '../shared/charts';
import { MoneyFigure } from '../shared/NumberField';
import { money, percent } from '../shared/words';
import css from './EdgeView.module.css';

Chart.register(BarElement, CategoryScale, LinearScale, Tooltip);

type Habits = NonNullable<KitchenFile['habits']>;

const METHODS: Record<Edges['report']['fiveYears'][number]['method'], string> = {
  stones: 'Your own stones',
  professional: 'A professional',
  'pull-through': 'A pull-through sharpener',
  powered: 'A machine',
};

/** What each way of sharpening costs over five years, the height it eats, and how keen it keeps them. */
export default function FiveYears({
  edges,
  currency,
  habits,
  onHabits,
}: {
  edges: Edges;
  currency: string;
  habits: Habits;
  onHabits: (habits: Habits) => void;
}) {
  return (
    <section aria-labelledby="years">
      <h2 id="years">Five years, four ways</h2>
      <div className={css.scroll} role="region" aria-label="Ways of sharpening over five years" tabIndex={0}>
        <table>
          <thead>
            <tr>
              <th scope="col">Sharpened by</th>
              <th scope="col">Costs, tools and new blades included</th>
              <th scope="col">Blades worn out</th>
              <th scope="col">Height lost</th>
              <th scope="col">Keen on average</th>
            </tr>
          </thead>
          <tbody>
            {edges.report.fiveYears.map(({ method, cost, replaced, heightLostMm, averageKeenness }) => (
              <tr key={method}>
                <th scope="row">{METHODS[method]}</th>
                <td className="figure">{money(cost, currency)}</td>
                <td className="figure">{replaced === 0 ? 'none' : replaced}</td>
                <td className="figure">{heightLostMm.toFixed(1)} mm</td>
                <td className="figure">{percent(averageKeenness)}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      <Costs edges={edges} currency={currency} />
      <Prices edges={edges} currency={currency} habits={habits} onHabits={onHabits} />
      <p className="faded">
        Height lost is that of one blade of the knife that works most. After about 6 mm a blade is worn out, and a new
        one is bought. Stone on a wet cloth, slowly, edge away at rest; eye protection at a wheel; when unsure, a
        professional.
      </p>
    </section>
  );
}

/** What sharpening costs where one lives; what is not said is taken at usual prices. */
function Prices({ edges, currency, habits, onHabits }: Parameters<typeof FiveYears>[0]) {
  const said = habits.sharpenerPrices ?? {};
  const set = (way: keyof typeof said, price: number | undefined) =>
    onHabits({ ...habits, sharpenerPrices: { ...said, [way]: price } });
  const toolsOf = (way: string) => edges.report.fiveYears.find(({ method }) => method === way)?.tools ?? 0;
  return (
    <div className={css.prices} role="group" aria-label="Prices where you live">
      <MoneyFigure
        label="A professional takes, a knife"
        currency={currency}
        value={habits.sharpeningPrice ?? null}
        unsaid={{ holds: 'usual', onEmptied: () => onHabits({ ...habits, sharpeningPrice: undefined }) }}
        onChange={(sharpeningPrice) => onHabits({ ...habits, sharpeningPrice })}
      />
      {(['stones', 'pull-through', 'powered'] as const).map((way) => (
        <MoneyFigure
          key={way}
          label={TOOL_WORDS[way]}
          currency={currency}
          value={said[way] ?? null}
          unsaid={{ holds: money(toolsOf(way), currency), onEmptied: () => set(way, undefined) }}
          onChange={(price) => set(way, price)}
        />
      ))}
    </div>
  );
}

const TOOL_WORDS = {
  stones: 'Stones cost',
  'pull-through': 'A pull-through costs',
  powered: 'A machine costs',
} as const;

/** Cost and height lost of each way, as bars beside one another. */
function Costs({ edges, currency }: { edges: Edges; currency: string }) {
  const { fiveYears } = edges.report;
  const bars = (label: string, axis: string, values: number[], shade: string) => ({
    label,
    yAxisID: axis,
    data: values,
    backgroundColor: colour(shade),
  });
  return (
    <Charted className={css.chart ?? ''} name="Five years of sharpening">
      <Bar
        role="img"
        aria-label={`Cost over five years: ${fiveYears.map(({ method, cost }) => `${METHODS[method]} ${money(cost, currency)}`).join(', ')}`}
        data={{
          labels: fiveYears.map(({ method }) => METHODS[method]),
          datasets: [
            bars(
              `Cost, ${currency}`,
              'cost',
              fiveYears.map(({ cost }) => cost),
              '--canvas',
            ),
            bars(
              'Height lost, mm',
              'height',
              fiveYears.map(({ heightLostMm }) => heightLostMm),
              '--thread',
            ),
          ],
        }}
        options={{
          animation: false,
          responsive: true,
          maintainAspectRatio: false,
          scales: {
            x: { ticks: { color: colour('--ink') }, grid: { display: false } },
            cost: {
              beginAtZero: true,
              title: { display: true, text: currency, color: colour('--faded') },
              ticks: { color: colour('--faded') },
            },
            height: {
              beginAtZero: true,
              position: 'right',
              title: { display: true, text: 'mm', color: colour('--faded') },
              ticks: { color: colour('--faded') },
              grid: { display: false },
            },
          },
        }}
      />
    </Charted>
  );
}
