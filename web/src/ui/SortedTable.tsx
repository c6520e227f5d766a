import { flexRender, type Row, type RowData, type Table } from '@tanstack/react-table';
import { memo } from 'react';
import { useInView } from './useInView';

declare module '@tanstack/react-table' {
  interface ColumnMeta<TData extends RowData, TValue> {
    /** The word under which the value stands on a phone, where a row is a block; left out: none is needed. */
    label?: string;
    className?: string;
  }
}

const ARROW = { asc: ' ↓', desc: ' ↑' } as const;
const SAID = { asc: 'ascending', desc: 'descending' } as const;

type Props<T> = {
  table: Table<T>;
  className: string | undefined;
  /** What scrolls the table; given, only the rows near what is seen of it are drawn, and on paper all. */
  within?: HTMLElement | null;
  /** How many rows there are, with those that have not come yet. */
  total?: number;
};

/** A table whose head sorts it and whose first column names the row. */
export function SortedTable<T>({ table, className, within, total }: Props<T>) {
  const { rows } = table.getRowModel();
  const { from, to, above, below, measure } = useInView(rows.length, within);
  return (
    <table className={className} aria-rowcount={total === undefined ? undefined : total + 1}>
      <thead>
        <tr>
          {table.getFlatHeaders().map((header) => {
            const sorted = header.column.getIsSorted();
            const name = flexRender(header.column.columnDef.header, header.getContext());
            return (
              <th key={header.id} scope="col" aria-sort={sorted ? SAID[sorted] : undefined}>
                {header.column.getCanSort() ? (
                  <button type="button" className="plain" onClick={header.column.getToggleSortingHandler()}>
                    {name}
                    {sorted ? ARROW[sorted] : ''}
                  </button>
                ) : (
                  name
                )}
              </th>
            );
          })}
        </tr>
      </thead>
      <tbody>
        {above > 0 && <tr aria-hidden style={{ height: above }} />}
        {rows.slice(from, to).map((row, n) => (
          <Line
            key={row.id}
            row={row as Row<unknown>}
            columns={table.options.columns}
            at={from + n}
            measure={within ? measure : undefined}
          />
        ))}
        {below > 0 && <tr aria-hidden style={{ height: below }} />}
      </tbody>
    </table>
  );
}

type LineProps = {
  row: Row<unknown>;
  columns: unknown;
  at: number;
  measure?: (row: HTMLTableRowElement | null) => void;
};

/** A row that is drawn again only when it is another thing, stands elsewhere or has other columns. */
const Line = memo(
  function Line({ row, at, measure }: LineProps) {
    return (
      <tr ref={measure} data-index={at} aria-rowindex={measure && at + 2}>
        {row.getVisibleCells().map((cell, n) => {
          const { cell: shown, meta } = cell.column.columnDef;
          const value = flexRender(shown, cell.getContext());
          return n === 0 ? (
            <th key={cell.id} scope="row">
              {value}
            </th>
          ) : (
            <td key={cell.id} data-label={meta?.label} className={meta?.className}>
              {value}
            </td>
          );
        })}
      </tr>
    );
  },
  (before, after) =>
    before.row.original === after.row.original && before.columns === after.columns && before.at === after.at,
);
