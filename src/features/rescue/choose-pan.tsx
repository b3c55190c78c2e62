import Link from 'next/link';
import { useRouter } from 'next/navigation';
import type { Sign } from '@/core/rescue/signs';
import type { BatchHead } from '@/formats/batch';
import { useFormulaNames } from '@/kitchen/client/use-formula-names';
import { TypePan } from './type-pan';

/** Which pan it is: one that is on the stove, or by its formula. */
export function ChoosePan({ running, sign }: { running: readonly BatchHead[]; sign: Sign }) {
  const router = useRouter();
  const { names, fault } = useFormulaNames();
  return (
    <>
      <h2 className="mt-5 text-[1.2rem]">Which pan is it?</h2>
      <p className="max-w-prose text-mute">
        A batch on the stove brings all that was weighed, boiled off and read. Without one, choose its formula and
        correct the grams, or say what went in.
      </p>
      {running.length > 0 && (
        <ul aria-label="On the stove" className="mt-4 overflow-hidden rounded-xl border border-rule bg-sheet">
          {running.map(({ id, number, name }) => (
            <li key={id} className="border-rule border-b last:border-0">
              <Link
                href={`/rescue?batch=${id}&sign=${sign}`}
                className="flex min-h-14 items-center gap-4 px-4 hover:bg-enamel-wash"
              >
                <span className="min-w-0 flex-1 font-semibold">{name}</span>
                <span className="read text-mute">batch {String(number).padStart(4, '0')}</span>
              </Link>
            </li>
          ))}
        </ul>
      )}
      <label className="mt-4 flex flex-wrap items-center gap-3">
        Made after
        <select
          aria-label="Formula of the pan"
          className="min-h-12 max-w-full rounded-lg border border-rule bg-field px-3"
          value=""
          onChange={(event) => event.target.value && router.push(`/rescue?formula=${event.target.value}&sign=${sign}`)}
        >
          <option value="">a formula</option>
          {names.map(({ id, name }) => (
            <option key={id} value={id}>
              {name}
            </option>
          ))}
        </select>
      </label>
      {fault && (
        <p role="alert" className="mt-1 text-off">
          The formulas could not be listed: {fault}
        </p>
      )}
      <TypePan sign={sign} />
    </>
  );
}
