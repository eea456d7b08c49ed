import { useVirtualizer } from '@tanstack/react-virtual';
import { memo, useCallback, useEffect, useRef, type KeyboardEvent } from 'react';
import { scoreWord } from '../../core/fit/words';
import type { MatchTable } from '../../workers/stock';
import { ARROWS } from '../shared/keySteps';
import { minutes, typeName } from '../shared/words';
import type { Arranged } from './arrange';
import css from './MatchGrid.module.css';
import { useLengths } from '../shared/units';

/** What has been pressed: a cell, a whole task or a whole blade (indices into the table). */
export type Picked = { row: number; column: number } | { row: number; column: null } | { row: null; column: number };

interface Props {
  table: MatchTable;
  arranged: Arranged;
  picked: Picked | null;
  onPick: (picked: Picked) => void;
}

const ROW_PX = 42;
const COLUMN_PX = 86;
const HEAD_PX = 74;
const SIDE_PX = 210;

const SHADES: Record<string, string> = {
  'made for it': 'made',
  'does it well': 'well',
  manages: 'manages',
  'a struggle': 'struggle',
  'wrong tool': 'wrong',
  'do not': 'not',
};

/** Names a cell for assistive technology. */
const cellId = (row: number, column: number) => `score-${row}-${column}`;

type Press = (row: number, column: number, rowAt: number, columnAt: number) => void;

interface CellProps {
  row: number;
  column: number;
  rowAt: number;
  columnAt: number;
  points: number;
  refused: boolean;
  measured: boolean;
  on: boolean;
  onPress: Press;
}

const Cell = memo(function Cell({ row, column, rowAt, columnAt, points, refused, measured, on, onPress }: CellProps) {
  const word = scoreWord(points, refused ? 'refused' : null);
  return (
    <button
      type="button"
      role="gridcell"
      id={cellId(row, column)}
      aria-colindex={columnAt + 2}
      aria-selected={on}
      tabIndex={-1}
      className={css.cell}
      data-shade={SHADES[word]}
      data-on={on || undefined}
      style={{ left: SIDE_PX + columnAt * COLUMN_PX }}
      onClick={() => onPress(row, column, rowAt, columnAt)}
    >
      {/* one run of text, its first line set apart by style: hundreds of these come and go while scrolling */}
      {`${refused ? '✕' : Math.floor(points)}\n${measured ? 'measured' : word}`}
    </button>
  );
});

function TaskName({
  task: { group, name, minutesPerWeek },
  on,
  begins,
  onPress,
}: {
  task: MatchTable['rows'][number];
  on: boolean;
  /** The first task of its group. */
  begins: boolean;
  onPress: () => void;
}) {
  return (
    <button
      type="button"
      role="rowheader"
      aria-colindex={1}
      tabIndex={-1}
      className={css.task}
      data-on={on || undefined}
      style={{ width: SIDE_PX, height: ROW_PX }}
      onClick={onPress}
    >
      <span>
        {begins && <i className={css.group}>{group}</i>}
        {name}
      </span>
      {minutesPerWeek > 0 && <span className={`${css.load} figure`}>{minutes(minutesPerWeek)}</span>}
    </button>
  );
}

interface RowProps {
  table: MatchTable;
  arranged: Arranged;
  rowAt: number;
  from: number;
  to: number;
  slots: number;
  width: number;
  /** The picked column when this row is picked. */
  picked: number | null;
  isPicked: boolean;
  onPress: Press;
  onTask: (row: number) => void;
}

const Row = memo(function Row({
  table,
  arranged,
  rowAt,
  from,
  to,
  slots,
  width,
  picked,
  isPicked,
  onPress,
  onTask,
}: RowProps) {
  const row = arranged.rows[rowAt] ?? 0;
  const task = table.rows[row];
  if (!task) return null;
  const columns = arranged.columns.slice(from, to + 1);
  return (
    <div
      className={css.row}
      role="row"
      aria-rowindex={rowAt + 2}
      data-begins={arranged.begins.has(row) || undefined}
      style={{ top: HEAD_PX + rowAt * ROW_PX, width, height: ROW_PX }}
    >
      <TaskName task={task} on={isPicked} begins={arranged.begins.has(row)} onPress={() => onTask(row)} />
      {columns.map((column, i) => {
        const cell = column * table.tasks + row;
        return (
          <Cell
            key={(from + i) % slots}
            row={row}
            column={column}
            rowAt={rowAt}
            columnAt={from + i}
            points={table.scores[cell] ?? 0}
            refused={table.refused[cell] === 1}
            measured={table.measured[cell] === 1}
            on={isPicked && picked === column}
            onPress={onPress}
          />
        );
      })}
    </div>
  );
});

const clamp = (value: number, count: number) => Math.min(count - 1, Math.max(0, value));

/** The rows and columns in view of a scrolling grid. */
function useWindow(arranged: Arranged) {
  const scroller = useRef<HTMLDivElement>(null);
  const spare = useRef({ columns: 1, rows: 1 });
  const shared = { getScrollElement: () => scroller.current, overscan: 1, useFlushSync: false };
  const rows = useVirtualizer({
    ...shared,
    count: arranged.rows.length,
    estimateSize: () => ROW_PX,
    scrollPaddingStart: HEAD_PX,
  });
  const columns = useVirtualizer({
    ...shared,
    horizontal: true,
    count: arranged.columns.length,
    estimateSize: () => COLUMN_PX,
    scrollPaddingStart: SIDE_PX,
  });
  const across = oneSize(columns.getVirtualItems(), arranged.columns.length, spare.current.columns);
  const down = oneSize(rows.getVirtualItems(), arranged.rows.length, spare.current.rows);
  spare.current = { columns: across.length, rows: down.length };
  return { scroller, rows, columns, across, down };
}

/**
 * The indices in view, always as many as there once were: an element is named by its place among them, so that
 * scrolling refills it instead of making a new one.
 */
function oneSize(inView: { index: number }[], count: number, most: number): number[] {
  const size = Math.min(count, Math.max(most, inView.length));
  const first = Math.max(0, Math.min(inView[0]?.index ?? 0, count - size));
  return Array.from({ length: size }, (_, i) => first + i);
}

type Window = ReturnType<typeof useWindow>;

/** Where the arrow keys stand, and what they and a press pick. */
function usePicking({ scroller, rows, columns }: Window, { arranged, picked, onPick }: Props) {
  const at = useRef({ row: 0, column: 0 });
  useEffect(() => {
    at.current = { row: 0, column: 0 };
    scroller.current?.scrollTo(0, 0);
  }, [arranged, scroller]);
  const press = useCallback<Press>(
    (row, column, rowAt, columnAt) => {
      at.current = { row: rowAt, column: columnAt };
      onPick({ row, column });
    },
    [onPick],
  );
  const pickTask = useCallback((row: number) => onPick({ row, column: null }), [onPick]);
  const move = (event: KeyboardEvent) => {
    const by = ARROWS[event.key];
    if (!by || arranged.rows.length === 0 || arranged.columns.length === 0) return;
    event.preventDefault();
    const [across, down] = picked === null ? [0, 0] : by;
    at.current = {
      row: clamp(at.current.row + down, arranged.rows.length),
      column: clamp(at.current.column + across, arranged.columns.length),
    };
    rows.scrollToIndex(at.current.row);
    columns.scrollToIndex(at.current.column);
    onPick({ row: arranged.rows[at.current.row] ?? 0, column: arranged.columns[at.current.column] ?? 0 });
  };
  return { press, pickTask, move };
}

/** The matrix: only the cells in view are in the page. Arrow keys move, Enter opens. */
export function MatchGrid(props: Props) {
  const { table, arranged, picked } = props;
  const window = useWindow(arranged);
  const { press, pickTask, move } = usePicking(window, props);
  if (arranged.rows.length === 0 || arranged.columns.length === 0)
    return <p className={css.none}>Nothing fits: clear the search or switch off a filter.</p>;

  const { scroller, rows, columns, across, down } = window;
  const width = SIDE_PX + columns.getTotalSize();
  return (
    <div
      ref={scroller}
      className={css.scroller}
      role="grid"
      aria-label={`Scores of ${arranged.columns.length} blades at ${arranged.rows.length} tasks. Arrow keys move from cell to cell.`}
      aria-rowcount={arranged.rows.length + 1}
      aria-colcount={arranged.columns.length + 1}
      aria-activedescendant={
        picked !== null && picked.row !== null && picked.column !== null ? cellId(picked.row, picked.column) : undefined
      }
      tabIndex={0}
      onKeyDown={move}
    >
      <div role="presentation" style={{ width, height: HEAD_PX + rows.getTotalSize(), position: 'relative' }}>
        <Head {...props} window={window} width={width} />
        {down.map((index) => {
          const isPicked = picked?.row === arranged.rows[index];
          return (
            <Row
              key={index % down.length}
              {...{ table, arranged, width, isPicked }}
              slots={across.length}
              rowAt={index}
              from={across[0] ?? 0}
              to={across.at(-1) ?? 0}
              picked={isPicked ? (picked?.column ?? null) : null}
              onPress={press}
              onTask={pickTask}
            />
          );
        })}
      </div>
    </div>
  );
}

/** The blades over their columns. */
function Head({ table, arranged, picked, onPick, window, width }: Props & { window: Window; width: number }) {
  const { length } = useLengths();
  return (
    <div role="row" aria-rowindex={1} className={css.head} style={{ width, height: HEAD_PX }}>
      <div role="columnheader" aria-colindex={1} className={css.corner} style={{ width: SIDE_PX, height: HEAD_PX }}>
        <span>tasks ↓</span>
        <span>blades →</span>
      </div>
      {window.across.map((index) => {
        const column = arranged.columns[index] ?? 0;
        const entry = table.columns[column];
        if (!entry) return null;
        const { blade, place } = entry;
        return (
          <button
            key={index % window.across.length}
            type="button"
            role="columnheader"
            aria-colindex={index + 2}
            tabIndex={-1}
            className={css.blade}
            data-place={place}
            data-on={picked?.column === column || undefined}
            style={{ transform: `translateX(${SIDE_PX + index * COLUMN_PX}px)`, width: COLUMN_PX, height: HEAD_PX }}
            onClick={() => onPick({ row: null, column })}
          >
            <b>{typeName(blade.type).replace(', double bevel', '')}</b>
            <span className="figure">{length(blade.lengthMm)}</span>
            <span>{place === 'drawer' ? 'in the drawer' : place === 'kit' ? 'in the kit' : blade.maker}</span>
          </button>
        );
      })}
    </div>
  );
}
