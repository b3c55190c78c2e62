'use client';

import { useState } from 'react';
import type { FormulaFile } from '@/formats/formula-file';
import { messageOf } from '@/formats/message-of';
import { fetchFormula, listNames } from '@/kitchen/client/formulas';
import { listVersions } from '@/kitchen/client/versions';
import { useFetched } from '@/kitchen/use-fetched';
import { Sheet } from '@/ui/sheet';

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
    formulas: (await listNames()).filter((formula) => formula.id !== id),
  }));
  const [unread, setUnread] = useState<string | undefined>();
  const full = chosen.length >= MOST;
  const chooseFormula = async (other: string, name: string) => {
    try {
      setUnread(undefined);
      onChoose(name, (await fetchFormula(other)).file);
    } catch (error) {
      setUnread(`“${name}”: ${messageOf(error)}`);
    }
  };
  const row = (key: string, name: string, choose: () => void) => (
    <li key={key}>
      <button
        type="button"
        disabled={chosen.includes(name) || full}
        onClick={choose}
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
      {(fault ?? unread) && (
        <p role="alert" className="text-off">
          {fault ?? unread}
        </p>
      )}
      {data && data.versions.length > 0 && (
        <>
          <h3 className="mt-2 font-sans font-semibold">Versions of this formula</h3>
          <ul>
            {data.versions.map((version) => row(version.id, version.name, () => onChoose(version.name, version.file)))}
          </ul>
        </>
      )}
      <h3 className="mt-3 font-sans font-semibold">Other formulas</h3>
      <ul>{data?.formulas.map(({ id: other, name }) => row(other, name, () => void chooseFormula(other, name)))}</ul>
    </Sheet>
  );
}
