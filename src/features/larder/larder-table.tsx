'use client';

import {
  createColumnHelper,
  createSortedRowModel,
  rowSortingFeature,
  sortFn_basic,
  sortFn_text,
  tableFeatures,
  useTable,
} from '@tanstack/react-table';
import { useVirtualizer } from '@tanstack/react-virtual';
import { ArrowDown, ArrowUp } from 'lucide-react';
import { useEffect, useRef, useState } from 'react';
import { allergenLine } from '@/kitchen/words/allergen-sentences';
import { priceByWeight, significant, weight } from '@/ui/format';
import type { LarderRow } from './larder-rows';

const features = tableFeatures({
  rowSortingFeature,
  sortedRowModel: createSortedRowModel(),
  sortFns: { text: sortFn_text, basic: sortFn_basic },
});
const helper = createColumnHelper<typeof features, LarderRow>();

const parts = (value: number | undefined) => (value === undefined ? '' : value === 0 ? '–' : significant(value, 2));

/** Width of each column; the name takes what is left. */
const LAYOUT =
  'grid grid-cols-[minmax(0,1fr)_84px_64px_64px_64px_64px_108px_92px] max-lg:grid-cols-[minmax(0,1fr)_84px_64px_64px_64px_108px] items-center gap-x-2 px-4';
/** Columns that stay away on an upright tablet. */
const WIDE_ONLY: ReadonlySet<string> = new Set(['sugars', 'stockG']);

const columns = helper.columns([
  helper.accessor('name', {
    header: 'Ingredient',
    sortFn: 'text',
    cell: ({ row }) => (
      <span className="flex min-w-0 flex-col leading-tight">
        <span className="truncate font-semibold">
          {row.original.name}
          {row.original.ingredient.origin === 'own' && (
            <span className="ml-2 rounded bg-enamel-wash px-1.5 text-[12px] font-medium text-enamel">own</span>
          )}
        </span>
        <span className="truncate text-[13px] text-mute">
          {[
            row.original.ingredient.allergens?.length === 0 ? '' : allergenLine(row.original.contents),
            row.original.contents.vegan === 'yes' ? 'vegan' : '',
            row.original.ingredient.note,
          ]
            .filter(Boolean)
            .join(' · ')}
        </span>
      </span>
    ),
  }),
  helper.accessor('group', {
    header: 'Group',
    sortFn: 'text',
    cell: (cell) => <span className="text-mute">{cell.getValue()}</span>,
  }),
  helper.accessor('cocoaPercent', { header: 'Cocoa %', sortUndefined: 'last', cell: (cell) => parts(cell.getValue()) }),
  helper.accessor('fat', { header: 'Fat %', cell: (cell) => parts(cell.getValue()) }),
  helper.accessor('water', { header: 'Water %', cell: (cell) => parts(cell.getValue()) }),
  helper.accessor('sugars', { header: 'Sugars %', cell: (cell) => parts(cell.getValue()) }),
  helper.accessor('price', {
    header: 'Price',
    sortUndefined: 'last',
    cell: (cell) => (cell.getValue() === undefined ? '' : priceByWeight(cell.getValue() ?? 0)),
  }),
  helper.accessor('stockG', {
    header: 'In hand',
    sortUndefined: 'last',
    cell: (cell) => (cell.getValue() === undefined ? '' : weight(cell.getValue() ?? 0)),
  }),
]);

const TEXT_COLUMNS: ReadonlySet<string> = new Set(['name', 'group']);

const ROW_HEIGHT = 52;

/** The larder as a table: sorts by any column, draws only the rows in sight. */
export function LarderTable({ rows, onOpen }: { rows: LarderRow[]; onOpen: (id: string) => void }) {
  const scroller = useRef<HTMLDivElement>(null);
  // The content policy allows no style attribute from the server: the height comes with the first drawing.
  const [drawn, setDrawn] = useState(false);
  useEffect(() => setDrawn(true), []);
  const table = useTable({ features, columns, data: rows, getRowId: (row) => row.ingredient.id });
  const sorted = table.getRowModel().rows;
  const virtual = useVirtualizer({
    count: sorted.length,
    getScrollElement: () => scroller.current,
    estimateSize: () => ROW_HEIGHT,
    overscan: 8,
  });
  return (
    <div ref={scroller} className="thin-scroll min-h-0 flex-1 overflow-y-auto rounded-xl border border-rule bg-sheet">
      <table aria-label="Larder" aria-rowcount={sorted.length + 1} className="grid">
        <thead className="sticky top-0 z-10 grid">
          {table.getHeaderGroups().map((group) => (
            <tr key={group.id} className={`${LAYOUT} border-rule border-b bg-field`}>
              {group.headers.map(({ id, column }) => {
                const sort = column.getIsSorted();
                return (
                  <th
                    key={id}
                    aria-sort={sort === 'asc' ? 'ascending' : sort === 'desc' ? 'descending' : 'none'}
                    className={WIDE_ONLY.has(column.id) ? 'max-lg:hidden' : ''}
                  >
                    <button
                      type="button"
                      onClick={column.getToggleSortingHandler()}
                      className={`flex min-h-11 w-full items-center gap-1 text-[13px] font-semibold ${
                        TEXT_COLUMNS.has(column.id) ? '' : 'justify-end text-right'
                      }`}
                    >
                      {String(column.columnDef.header)}
                      {sort === 'asc' && <ArrowUp size={14} aria-hidden="true" />}
                      {sort === 'desc' && <ArrowDown size={14} aria-hidden="true" />}
                    </button>
                  </th>
                );
              })}
            </tr>
          ))}
        </thead>
        <tbody className="relative grid" style={drawn ? { height: virtual.getTotalSize() } : undefined}>
          {virtual.getVirtualItems().map((item) => {
            const row = sorted[item.index];
            if (!row) return null;
            return (
              <tr
                key={row.id}
                aria-rowindex={item.index + 2}
                data-ingredient={row.id}
                className={`${LAYOUT} absolute inset-x-0 top-0 border-rule-soft border-b hover:bg-enamel-wash`}
                style={{ height: ROW_HEIGHT, transform: `translateY(${item.start}px)` }}
              >
                {row.getAllCells().map((cell) => (
                  <td
                    key={cell.id}
                    className={`min-w-0 ${TEXT_COLUMNS.has(cell.column.id) ? '' : 'read text-right text-[0.9rem]'} ${
                      WIDE_ONLY.has(cell.column.id) ? 'max-lg:hidden' : ''
                    }`}
                  >
                    {cell.column.id === 'name' ? (
                      <button
                        type="button"
                        onClick={() => onOpen(row.id)}
                        className="flex min-h-11 w-full min-w-0 items-center text-left after:absolute after:inset-0"
                      >
                        <table.FlexRender cell={cell} />
                      </button>
                    ) : (
                      <table.FlexRender cell={cell} />
                    )}
                  </td>
                ))}
              </tr>
            );
          })}
        </tbody>
      </table>
    </div>
  );
}
