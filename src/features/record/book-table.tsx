import { createColumnHelper, tableFeatures, useTable } from '@tanstack/react-table';
import { useVirtualizer } from '@tanstack/react-virtual';
import Link from 'next/link';
import { useEffect, useRef, useState } from 'react';
import type { BookRow } from '@/formats/book';
import { lookUp } from '@/formats/look-up';
import type { PouredLook } from '@/kitchen/formula-summary';
import { batchNumber } from '@/ui/batch-number';
import { Button } from '@/ui/button';
import { money, weight } from '@/ui/format';
import { PouredStill } from '@/ui/sauce/poured-still';
import { useLooks } from './use-looks';
import { usePrinting } from './use-printing';

const features = tableFeatures({});
const helper = createColumnHelper<typeof features, BookRow>();
const DAY = { weekday: 'short', day: 'numeric', month: 'short', year: '2-digit' } as const;

/** How a batch went, in a word and a colour. */
function Went({ state, hasLanded, isRescued }: Pick<BookRow, 'state' | 'hasLanded' | 'isRescued'>) {
  const word = state === 'abandoned' ? 'given up' : hasLanded === null ? '–' : hasLanded ? 'landed' : 'missed';
  const look = state === 'abandoned' || hasLanded === false ? 'text-off' : hasLanded ? 'text-enamel' : 'text-mute';
  return (
    <span className={`font-sans ${look}`}>
      {word}
      {isRescued && <span className="text-mute"> · rescued</span>}
    </span>
  );
}

/** The formula as it pours, small. */
const Look = ({ poured }: { poured: PouredLook | undefined }) =>
  poured ? <PouredStill poured={poured} className="w-[58px]" /> : null;

const columns = helper.columns([
  helper.accessor('number', { header: 'No.', cell: (cell) => batchNumber(cell.getValue()) }),
  helper.accessor('name', {
    header: 'Formula',
    cell: ({ row }) => (
      <Link
        href={`/batches/${row.original.id}/record`}
        className="flex min-h-11 items-center font-sans font-semibold hover:text-enamel"
      >
        <span className="truncate">{row.original.name}</span>
      </Link>
    ),
  }),
  helper.accessor('startedMs', {
    header: 'Made',
    cell: (cell) => (
      <span className="font-sans" suppressHydrationWarning>
        {new Date(cell.getValue()).toLocaleDateString('en-GB', DAY)}
      </span>
    ),
  }),
  helper.accessor('hasLanded', { header: 'How it went', cell: ({ row }) => <Went {...row.original} /> }),
  helper.accessor('madeBy', {
    header: 'By whom',
    cell: (cell) => <span className="truncate font-sans text-mute">{cell.getValue() ?? ''}</span>,
  }),
  helper.accessor('yieldG', {
    header: 'In the bowl',
    cell: (cell) => (cell.getValue() === null ? '' : weight(Math.round(cell.getValue() ?? 0))),
  }),
  helper.accessor('cost', { header: 'Cost', cell: (cell) => (cell.getValue() ? money(cell.getValue() ?? 0) : '') }),
]);

const LAYOUT =
  'grid grid-cols-[36px_60px_58px_minmax(0,1fr)_116px_132px_96px_92px_72px] max-lg:grid-cols-[36px_60px_58px_minmax(0,1fr)_116px_132px] items-center gap-x-3 px-3';
const WIDE_ONLY: ReadonlySet<string> = new Set(['madeBy', 'yieldG', 'cost']);
const RIGHT: ReadonlySet<string> = new Set(['yieldG', 'cost']);
const ROW_HEIGHT = 46;
/** A line as it is drawn before the page listens; the rest comes with the first drawing. */
const FIRST_LINES = 20;

/** The heads of the columns. */
const Head = ({ heads }: { heads: readonly (readonly [id: string, header: string])[] }) => (
  <thead className="sticky top-0 z-10 grid">
    <tr className={`${LAYOUT} min-h-10 border-rule border-b bg-field`}>
      <th>
        <span className="sr-only">Compare</span>
      </th>
      <th>
        <span className="sr-only">How it pours</span>
      </th>
      {heads.map(([id, header]) => (
        <th
          key={id}
          className={`text-[13px] font-semibold ${RIGHT.has(id) ? 'text-right' : 'text-left'} ${WIDE_ONLY.has(id) ? 'max-lg:hidden' : ''}`}
        >
          {header}
        </th>
      ))}
    </tr>
  </thead>
);

/** The book as a table: only the lines in sight are drawn; some can be chosen, to be compared. */
export function BookTable({
  rows,
  total,
  chosen,
  mayChoose,
  onChoose,
  onMore,
}: {
  rows: readonly BookRow[];
  total: number;
  chosen: ReadonlySet<string>;
  /** whether one more can be chosen */
  mayChoose: (row: BookRow) => boolean;
  onChoose: (row: BookRow) => void;
  onMore: () => void;
}) {
  const scroller = useRef<HTMLDivElement>(null);
  // The content policy allows no style attribute from the server: the height comes with the first drawing.
  const [drawn, setDrawn] = useState(false);
  useEffect(() => setDrawn(true), []);
  const looks = useLooks(rows);
  const isPrinting = usePrinting();
  const isMoving = drawn && !isPrinting;
  const table = useTable({ features, columns, data: rows as BookRow[], getRowId: (row) => row.id });
  const lines = table.getRowModel().rows;
  const virtual = useVirtualizer({
    count: lines.length,
    getScrollElement: () => scroller.current,
    estimateSize: () => ROW_HEIGHT,
    overscan: 8,
  });
  const items = isMoving
    ? virtual.getVirtualItems()
    : lines.slice(0, isPrinting ? lines.length : FIRST_LINES).map((_, index) => ({ index, start: 0 }));
  return (
    <div
      ref={scroller}
      className="thin-scroll max-h-[70vh] min-h-0 flex-1 overflow-y-auto rounded-xl border border-rule bg-sheet print:max-h-none"
    >
      <table aria-label="Batches" aria-rowcount={total + 1} className="grid">
        <Head heads={table.getFlatHeaders().map(({ id, column }) => [id, String(column.columnDef.header)] as const)} />
        <tbody className="relative grid" style={isMoving ? { height: virtual.getTotalSize() } : undefined}>
          {items.map((item) => {
            const row = lines[item.index];
            if (!row) return null;
            const isChosen = chosen.has(row.id);
            return (
              <tr
                key={row.id}
                aria-rowindex={item.index + 2}
                className={`${LAYOUT} border-rule-soft border-b hover:bg-enamel-wash ${isMoving ? 'absolute inset-x-0 top-0' : ''} ${isChosen ? 'bg-enamel-wash' : ''}`}
                style={isMoving ? { height: ROW_HEIGHT, transform: `translateY(${item.start}px)` } : undefined}
              >
                <td>
                  <label className="flex size-11 items-center justify-center -ml-2">
                    <input
                      type="checkbox"
                      className="size-5 accent-enamel"
                      aria-label={`Compare batch ${batchNumber(row.original.number)}`}
                      checked={isChosen}
                      disabled={!isChosen && !mayChoose(row.original)}
                      onChange={() => onChoose(row.original)}
                    />
                  </label>
                </td>
                <td>{row.original.formulaId !== null && <Look poured={lookUp(looks, row.original.formulaId)} />}</td>
                {row.getAllCells().map((cell) => (
                  <td
                    key={cell.id}
                    className={`read min-w-0 text-[0.92rem] ${RIGHT.has(cell.column.id) ? 'text-right' : ''} ${WIDE_ONLY.has(cell.column.id) ? 'max-lg:hidden' : ''}`}
                  >
                    <table.FlexRender cell={cell} />
                  </td>
                ))}
              </tr>
            );
          })}
        </tbody>
      </table>
      {rows.length < total && (
        <p className="p-3 text-center">
          <Button onClick={onMore}>
            {rows.length} of {total}: show more
          </Button>
        </p>
      )}
    </div>
  );
}
