'use client';

import type { FormulaFile } from '@/formats/formula-file';
import { Sheet } from '@/ui/sheet';
import { listFormulas, listVersions } from './formula-requests';
import { useFetched } from './use-fetched';

const MOST = 2;

/** Chooses up to two versions or formulas whose curves are drawn beside this one. */
export function CompareSheet({
  id,
  chosen,
  onClose,
  onChoose,
}: {
  id: string;
  /** names chosen so far */
  chosen: readonly string[];
  onClose: () => void;
  onChoose: (name: string, file: FormulaFile) => void;
}) {
  const { data, fault } = useFetched(async () => ({
    versions: await listVersions(id),
    formulas: (await listFormulas()).filter((formula) => formula.id !== id),
  }));
  const full = chosen.length >= MOST;
  const row = (key: string, name: string, file: FormulaFile) => (
    <li key={key}>
      <button
        type="button"
        disabled={chosen.includes(name) || full}
        onClick={() => onChoose(name, file)}
        className="flex min-h-11 w-full items-center border-rule-soft border-b px-3 text-left hover:bg-enamel-wash disabled:text-mute"
      >
        {name}
        {chosen.includes(name) && ' ✓'}
      </button>
    </li>
  );
  return (
    <Sheet title="Compare curves" onClose={onClose}>
      <p className="mb-2 text-mute">
        {full ? 'Two are drawn beside this one: that is as many as can be told apart.' : 'Up to two beside this one.'}
      </p>
      {fault && (
        <p role="alert" className="text-off">
          {fault}
        </p>
      )}
      {data && data.versions.length > 0 && (
        <>
          <h3 className="mt-2 font-sans font-semibold">Versions of this formula</h3>
          <ul>{data.versions.map((version) => row(version.id, version.name, version.file))}</ul>
        </>
      )}
      <h3 className="mt-3 font-sans font-semibold">Other formulas</h3>
      <ul>{data?.formulas.map((formula) => row(formula.id, formula.file.name, formula.file))}</ul>
    </Sheet>
  );
}
