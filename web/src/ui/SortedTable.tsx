import { flexRender, type Row, type RowData, type Table } from '@tanstack/react-table';
import { memo } from 'react';

declare module '@tanstack/react-table' {
  interface ColumnMeta<TData extends RowData, TValue> {
    /** The word under which the value stands on a phone, where a row is a block; left out: none is needed. */
    label?: string;
    className?: string;
  }
}

const ARROW = { asc: ' ↓', desc: ' ↑' } as const;
const SAID = { asc: 'ascending', desc: 'descending' } as const;

/** A table whose head sorts it and whose first column names the row. */
export function SortedTable<T>({ table, className }: { table: Table<T>; className: string }) {
  return (
    <table className={className}>
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
        {table.getRowModel().rows.map((row) => (
          <Line key={row.id} row={row as Row<unknown>} columns={table.options.columns} />
        ))}
      </tbody>
    </table>
  );
}

/** A row that is drawn again only when it is another thing or its columns are: a long list grows without drawing all of it. */
const Line = memo(
  function Line({ row }: { row: Row<unknown>; columns: unknown }) {
    return (
      <tr>
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
  (before, after) => before.row.original === after.row.original && before.columns === after.columns,
);
