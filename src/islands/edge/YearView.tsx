import type { EdgeEvent } from '../../core/formats/edgeFile';
import { monthsLater } from '../../core/calendar/day';
import { day } from '../shared/words';
import css from './YearView.module.css';

const MONTHS = 12;
/** What is shown of each action: its mark, and its word. */
const MARKS = {
  sharpen: 'sharpen',
  oil: 'oil',
  replace: 'replace',
} as const;
type Marked = keyof typeof MARKS;

const isMarked = (action: EdgeEvent['action']): action is Marked => action in MARKS;

const isIn = (date: string, month: string) => date.startsWith(month.slice(0, 7));

/** A year at a glance: a row a knife, a column a month, a mark for what is due. */
export function YearView({
  events,
  knives,
  from,
}: {
  events: readonly EdgeEvent[];
  knives: readonly { ref: string; name: string }[];
  /** The first day. */
  from: string;
}) {
  const first = `${from.slice(0, 7)}-01`;
  const months = Array.from({ length: MONTHS }, (_, i) => monthsLater(first, i));
  const short = new Intl.DateTimeFormat(undefined, { month: 'short', timeZone: 'UTC' });
  // the days at the end of a year begun within a month belong to the next table
  const due = events.filter(({ action, date }) => isMarked(action) && months.some((month) => isIn(date, month)));
  const rows = knives.filter(({ ref }) => due.some((event) => event.ref === ref));
  if (rows.length === 0) return null;
  return (
    <div className={css.scroll} tabIndex={0} role="region" aria-label="The year at a glance">
      <table className={css.year}>
        <thead>
          <tr>
            <th scope="col">Knife</th>
            {months.map((month) => (
              <th key={month} scope="col">
                {short.format(new Date(`${month}T00:00:00Z`))}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {rows.map(({ ref, name }) => (
            <tr key={ref}>
              <th scope="row">{name}</th>
              {months.map((month) => (
                <td key={month}>
                  <Month due={due.filter((event) => event.ref === ref && isIn(event.date, month))} />
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
      <p className={css.key} aria-hidden="true">
        {(Object.keys(MARKS) as Marked[]).map((action) => (
          <span key={action}>
            <span className={css.mark} data-action={action} /> {MARKS[action]}
          </span>
        ))}
      </p>
    </div>
  );
}

function Month({ due }: { due: readonly EdgeEvent[] }) {
  return due.map(({ date, action }) => (
    <span key={`${date} ${action}`} className={css.mark} data-action={action} title={`${action}: ${day(date)}`}>
      <span className="visually-hidden">
        {action}, {day(date)}
      </span>
    </span>
  ));
}
