import { Button, Chip } from '@mantine/core';
import type { Remote } from 'comlink';
import { useEffect, useMemo, type ComponentProps } from 'react';
import type { StoredKitchen } from '../../client/kitchens';
import type { EdgeKnife } from '../../core/formats/edgeFile';
import type { OwnedFate } from '../../core/formats/planFile';
import { diaryChanged, logged } from '../../core/kitchen/deeds';
import type { Edges } from '../../workers/edges';
import type { KitchenWorker } from '../../workers/kitchen.worker';
import { download, fileName } from '../shared/download';
import { lazily } from '../shared/lazily';
import { KitchenFrame } from '../shared/KitchenFrame';
import { placed } from '../shared/KnifeDrawing';
import { Shapes } from '../shared/Shapes';
import { useLengths } from '../shared/units';
import type { KitchenEdits, Update } from '../shared/useKitchen';
import { usePlanner } from '../shared/usePlanner';
import { keepDue } from '../shared/dueDays';
import { today } from '../shared/today';
import { Working } from '../shared/Working';
import { day, minutes, money, percent, typeName } from '../shared/words';
import { Deeds } from './Deeds';
import type FiveYearsView from './FiveYears';
import { Diary } from './Diary';
import css from './EdgeView.module.css';
import { Subscription } from './Subscription';
import { useEdges } from './useEdges';
import { YearView } from './YearView';

const FiveYears = lazily<ComponentProps<typeof FiveYearsView>>(() => import('./FiveYears'));
import { calendarOf } from '../../core/formats/calendarText';
import { asSharpeningDay, dueDays, type DueDay } from './sharpeningDays';

/** The rack: how keen every knife is, what is due when, and what each way of sharpening comes to. */
export default function EdgeView({ stored }: { stored: StoredKitchen }) {
  return (
    <KitchenFrame stored={stored} here="edge">
      {(edits, worker) => <Edge id={stored.id} edits={edits} worker={worker} />}
    </KitchenFrame>
  );
}

function Edge({ id, edits, worker }: { id: string; edits: KitchenEdits; worker: Remote<KitchenWorker> }) {
  const { kitchen, update } = edits;
  const { answer, trouble } = usePlanner(kitchen, worker, { robustness: false });
  const edges = useEdges(answer, worker);
  return (
    <main id="main" className={css.page}>
      <header>
        <h1>Sharpness</h1>
        <p className="faded">
          Worked out from the cutting that goes to each knife, its steel, your board and how you care for it: estimates,
          to be checked on a tomato. A dull knife slips.
        </p>
      </header>
      {trouble && <p role="alert">{trouble}</p>}
      {!edges && !trouble && <Working>Working out the edges</Working>}
      {edges && edges.knives.length === 0 && (
        <p>No knives yet. Add what you own to the drawer, or let the plan buy some.</p>
      )}
      {edges && edges.knives.length > 0 && answer && (
        <>
          <Rack {...{ id, edges, update }} fates={answer.plan.drawer ?? []} currency={answer.plan.currency} />
          <Diary
            diary={kitchen.diary ?? []}
            cooks={kitchen.cooks ?? []}
            names={edges.knives.filter(({ order }) => order === null).map(({ name }) => name)}
            onChange={(at, entry) => update((file) => diaryChanged(file, at, entry), { alone: entry === null })}
          />
          <ClosedMonths
            closed={kitchen.closedMonths ?? []}
            onChange={(closed) => update((file) => ({ ...file, closedMonths: closed.length > 0 ? closed : undefined }))}
          />
          <Calendar kitchen={kitchen.name ?? 'My kitchen'} id={id} edges={edges} />
          <FiveYears
            edges={edges}
            currency={answer.plan.currency}
            habits={kitchen.habits ?? {}}
            onHabits={(habits) => update((file) => ({ ...file, habits }))}
          />
        </>
      )}
    </main>
  );
}

interface RackProps {
  id: string;
  edges: Edges;
  /** What becomes of each owned knife. */
  fates: readonly OwnedFate[];
  currency: string;
  update: Update;
}

/** Every knife: how keen, what care it needs, and what was done to it, by a tap. */
function Rack({ edges: { knives, report }, ...rest }: RackProps) {
  return (
    <section aria-labelledby="rack">
      <h2 id="rack">The rack</h2>
      <ul className={css.rack}>
        {knives.map((kept) => {
          const edge = report.knives.find((each) => each.ref === kept.ref);
          return edge && <OnTheRack key={kept.ref} kept={kept} edge={edge} {...rest} />;
        })}
      </ul>
    </section>
  );
}

interface OnTheRackProps extends Omit<RackProps, 'edges'> {
  kept: Edges['knives'][number];
  edge: EdgeKnife;
}

function OnTheRack({ kept: { ref, name, blade, order }, edge, id, fates, currency, update }: OnTheRackProps) {
  const owned = order === null ? Number(ref.split('-')[1]) : null;
  return (
    <li>
      <Silhouette blade={blade} owned={owned !== null} />
      <div>
        <h3>{name}</h3>
        <Gauge knife={edge} />
        {fates
          .filter((each) => each.owned === owned && each.fate !== 'kept')
          .map(({ why }) => (
            <p key={why} className={css.fate}>
              {why}
            </p>
          ))}
      </div>
      <Care knife={edge} currency={currency} />
      {owned !== null && (
        <Deeds
          name={name}
          stone={edge.sharpen ? `/kitchens/${id}/edge/${owned}` : null}
          keenness={edge.keennessNow ?? edge.averageKeenness}
          honed={edge.hone !== null}
          sharpens={edge.sharpen !== null}
          by={edge.sharpen?.with ?? ''}
          onDone={(deed) => update((file) => logged(file, { ...deed, on: today(), knife: owned }), { alone: true })}
        />
      )}
    </li>
  );
}

function Silhouette({ blade, owned }: { blade: Edges['knives'][number]['blade']; owned: boolean }) {
  const { drawing, place, width, height } = useMemo(() => placed(blade, false), [blade]);
  return (
    <svg className={css.knife} viewBox={`-2 -2 ${Math.max(430, width) + 4} ${height + 4}`} aria-hidden="true">
      <Shapes drawing={drawing} place={place} line={1.2} owned={owned} />
    </svg>
  );
}

const percentWide = (share: number) => `${Math.round(100 * share)}%`;

/** Keenness now against what it averages, as a bar and in words. */
function Gauge({ knife }: { knife: EdgeKnife }) {
  const { keennessNow: now, averageKeenness, keennessBetween: between } = knife;
  if (now === null)
    return <p className="faded">Not there yet; keen when it comes, {percent(averageKeenness)} on average.</p>;
  const word = now >= 0.85 ? 'keen' : now >= 0.7 ? 'serviceable' : now >= 0.5 ? 'getting dull' : 'dull';
  return (
    <p className={css.gauge}>
      <span
        className={css.bar}
        role="meter"
        aria-label="Keenness now"
        aria-valuemin={0}
        aria-valuemax={100}
        aria-valuenow={Math.round(100 * now)}
        aria-valuetext={word}
        data-dull={now < 0.6 || undefined}
      >
        <span style={{ width: percentWide(now) }} />
        {between && <i style={{ left: percentWide(between[0]), width: percentWide(between[1] - between[0]) }} />}
      </span>
      <span>
        {word} <span className="figure">{percent(now)}</span>
        {between &&
          percent(between[0]) !== percent(between[1]) &&
          ` (${percent(between[0])} to ${percent(between[1])})`}
        , {percent(averageKeenness)} on average
      </span>
      <small className="faded">{howKnown(knife)}</small>
    </p>
  );
}

/** How the gauge knows what it shows. */
function howKnown({ learned, minutesPerWeek }: EdgeKnife): string {
  if (!learned) return `Reckoned from ${minutes(minutesPerWeek)} min of work a week; test it and it learns.`;
  const keeps =
    learned.factor > 1.07 ? 'longer than reckoned' : learned.factor < 0.93 ? 'shorter than reckoned' : 'as reckoned';
  const honing =
    learned.honingGives === null ? '' : ` Honing gives back ${percent(learned.honingGives)} of what is lost.`;
  return `By ${learned.tests === 1 ? 'one test' : `${learned.tests} tests`} it keeps its edge ${keeps} (${learned.factorBetween[0]} to ${learned.factorBetween[1]} times).${honing}`;
}

const every = (weeks: number) => {
  const whole = Math.max(1, Math.round(weeks));
  return whole === 1 ? 'every week' : `every ${whole} weeks`;
};

function Care({ knife, currency }: { knife: EdgeKnife; currency: string }) {
  const { length } = useLengths();
  const { touchUp, stoneMinutesPerYear, sharpen, minutesPerWeek, yearsLeft, ruler, costPerYear, due } = knife;
  return (
    <ul className={css.care}>
      {due && (
        <li>
          <b>{due.on <= today() ? 'Due now' : `Next due ${day(due.on)}`}</b>
          {due.between[0] !== due.between[1] && `, between ${day(due.between[0])} and ${day(due.between[1])}`}
        </li>
      )}
      <li>
        <span className="figure">{minutes(minutesPerWeek)} min</span> of work a week
      </li>
      {touchUp && (
        <li>
          Touch up {touchUp.everyDays === 1 ? 'every day' : `every ${touchUp.everyDays} days`} ({touchUp.with}), a few
          strokes
        </li>
      )}
      <li>
        {sharpen
          ? `Sharpen about ${every(sharpen.everyWeeks)} at ${Math.round(sharpen.angleDeg)}° a side: a gap of ${length(sharpen.spineHeightMm).replace(' ', '\u00a0')} between stone and spine`
          : 'Not sharpened: replaced when it no longer bites'}
      </li>
      {sharpen && sharpen.stones.length > 0 && (
        <li>
          {sharpen.stones.map(typeName).join(', then ').toLowerCase()}
          {stoneMinutesPerYear > 0 && `; about ${stoneMinutesPerYear} minutes a year`}
        </li>
      )}
      <li>
        About <span className="figure">{Math.round(yearsLeft)}</span> years left
        {ruler && ` by the ruler (${ruler.mmEach} mm a sharpening)`}, {money(costPerYear, currency)} a year
      </li>
      {ruler?.alarm && <li role="alert">{ruler.alarm}</li>}
    </ul>
  );
}

/** Months in which nothing is cooked here, as in a holiday house: nothing is due then. */
function ClosedMonths({ closed, onChange }: { closed: readonly number[]; onChange: (closed: number[]) => void }) {
  const name = new Intl.DateTimeFormat(undefined, { month: 'short', timeZone: 'UTC' });
  return (
    <fieldset className={css.months}>
      <legend>The kitchen is closed in</legend>
      <Chip.Group
        multiple
        value={closed.map(String)}
        onChange={(next) => onChange(next.map(Number).sort((a, b) => a - b))}
      >
        {Array.from({ length: 12 }, (_, i) => (
          <Chip key={i} value={String(i + 1)} size="sm">
            {name.format(new Date(Date.UTC(2026, i, 15)))}
          </Chip>
        ))}
      </Chip.Group>
    </fieldset>
  );
}

function Calendar({ kitchen, id, edges }: { kitchen: string; id: string; edges: Edges }) {
  const days = useMemo(() => {
    const names = new Map(edges.knives.map(({ ref, name }) => [ref, name.replace(', ', ' ')]));
    return dueDays(edges.report.events, (ref) => names.get(ref) ?? ref);
  }, [edges]);
  const told = useMemo(() => days.map(asSharpeningDay), [days]);
  useEffect(() => keepDue(id, told), [id, told]);
  return (
    <section aria-labelledby="calendar">
      <h2 id="calendar">The year ahead</h2>
      {days.length === 0 ? (
        <p className="faded">No edge is due within a year.</p>
      ) : (
        <>
          <YearView events={edges.report.events} knives={edges.knives} from={today()} />
          <p className="faded">Edges that are due within a few weeks of each other are done on one day.</p>
          <ol className={css.days}>
            {days.map((each) => (
              <Due key={each.date} due={each} />
            ))}
          </ol>
          <Button
            variant="default"
            onClick={() =>
              download(
                fileName(kitchen, '-edges.ics'),
                calendarOf({ kitchen, id, days: told, made: new Date().toISOString() }),
                'text/calendar',
              )
            }
          >
            Into your calendar (.ics)
          </Button>
          <Subscription id={id} days={told} />
        </>
      )}
    </section>
  );
}

function Due({ due: { date, title, events } }: { due: DueDay }) {
  return (
    <li>
      <time dateTime={date} className="figure">
        {day(date)}
      </time>
      <span>
        {title}
        <small>{[...new Set(events.map(({ why }) => why))].join(' ')}</small>
      </span>
    </li>
  );
}
