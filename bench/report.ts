import { cpus, hostname } from 'node:os';

/** One measured thing: its median and what it should stay below, ms. */
export interface Row {
  readonly name: string;
  readonly ms: number;
  readonly aimMs: number;
}

const time = (ms: number) =>
  ms < 1
    ? `${(1000 * ms).toPrecision(3)} µs`
    : ms < 1000
      ? `${ms.toPrecision(3)} ms`
      : `${(ms / 1000).toPrecision(3)} s`;

/** Prints rows as a table, with the machine's name. */
export function report(title: string, rows: readonly Row[]): void {
  process.stdout.write(`\n${title}, on ${hostname()} (${cpus()[0]?.model.trim()}, ${cpus().length} cores)\n`);
  for (const { name, ms, aimMs } of rows) {
    const kept = ms <= aimMs ? 'kept' : 'MISSED';
    process.stdout.write(`  ${name.padEnd(52)} ${time(ms).padStart(10)}   aim ${time(aimMs).padStart(8)}   ${kept}\n`);
  }
}
