/** Days on which edges are due, as this device last worked them out: they are reminders on every page. A line a day: the day, a tab, what is due. */

const PREFIX = 'scabbard.due.';
const MOST = 40;

export interface DueNote {
  date: string;
  title: string;
}

/** A note as it is kept, and read again; lines that are none are left out. */
export const writeDue = (days: readonly DueNote[]): string =>
  days
    .slice(0, MOST)
    .map(({ date, title }) => `${date}\t${title.replace(/\s+/g, ' ')}`)
    .join('\n');
export const readDue = (text: string): DueNote[] =>
  text.split('\n').flatMap((line) => {
    const [date, title] = line.split('\t');
    return date && title && /^\d{4}-\d\d-\d\d$/.test(date) ? [{ date, title }] : [];
  });

/** Keeps what is due in a kitchen on this device. */
export function keepDue(kitchenId: string, days: readonly DueNote[]): void {
  try {
    localStorage.setItem(`${PREFIX}${kitchenId}`, writeDue(days));
  } catch {
    // a full or forbidden store only costs the reminder
  }
}

/** What is due in a kitchen by a day, of what this device knows. */
export function dueBy(kitchenId: string, day: string): DueNote[] {
  try {
    return readDue(localStorage.getItem(`${PREFIX}${kitchenId}`) ?? '').filter(({ date }) => date <= day);
  } catch {
    return [];
  }
}
