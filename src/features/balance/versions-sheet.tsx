'use client';

import { format } from 'date-fns';
import { useState } from 'react';
import type { FormulaFile } from '@/formats/formula-file';
import { Button } from '@/ui/button';
import { grams } from '@/ui/format';
import { Sheet } from '@/ui/sheet';
import { type FormulaDraft, fileOf } from './formula-draft';
import { addVersion, listVersions, removeVersion, type Version } from './formula-requests';
import { measures } from './measures';
import { useFetched } from './use-fetched';
import { type Larder, predictDraft } from './use-formula';

const asDraft = (file: FormulaFile): FormulaDraft => ({
  ...file,
  lines: file.lines.map((line, i) => ({ ...line, key: `version-${i}` })),
});

/** Named states of the formula: kept, compared side by side with the pan, drawn on the chart, brought back, let go. */
export function VersionsSheet({
  id,
  draft,
  larder,
  onClose,
  onRestore,
  onCompare,
}: {
  id: string;
  draft: FormulaDraft;
  larder: Larder;
  onClose: () => void;
  onRestore: (file: FormulaFile) => void;
  /** draws a version beside the curve */
  onCompare: (name: string, file: FormulaFile) => void;
}) {
  const { data: versions, fault, again } = useFetched(() => listVersions(id));
  const [name, setName] = useState('');
  const [note, setNote] = useState('');
  const [said, setSaid] = useState<string | undefined>();
  const [opened, setOpened] = useState<string | undefined>();
  const compared = versions?.find((version) => version.id === opened);

  const attempt = async (work: () => Promise<void>) => {
    try {
      await work();
      setSaid(undefined);
      await again();
    } catch (error) {
      setSaid((error as Error).message);
    }
  };
  const keep = () => {
    if (name.trim() === '') {
      setSaid('Give the version a name first.');
      return;
    }
    void attempt(async () => {
      await addVersion(id, name.trim(), note.trim(), fileOf(draft));
      setName('');
      setNote('');
    });
  };

  return (
    <Sheet title="Versions" width="wide" onClose={onClose}>
      <form
        className="mb-4 grid gap-2 sm:grid-cols-[200px_1fr_auto]"
        onSubmit={(event) => {
          event.preventDefault();
          keep();
        }}
      >
        <input
          aria-label="Name of the version"
          placeholder="Name, like: before the fair"
          maxLength={80}
          className="h-11 rounded-lg border border-rule bg-field px-3"
          value={name}
          onChange={(event) => setName(event.target.value)}
        />
        <input
          aria-label="Note on the version"
          placeholder="What was it like?"
          maxLength={1000}
          className="h-11 rounded-lg border border-rule bg-field px-3"
          value={note}
          onChange={(event) => setNote(event.target.value)}
        />
        <Button look="primary" type="submit">
          Keep the pan as it is now
        </Button>
      </form>
      {(said ?? fault) && (
        <p role="alert" className="mb-3 text-off">
          {said ?? fault}
        </p>
      )}
      {versions?.length === 0 && <p className="text-mute">No version yet. Keep one before you try something bold.</p>}
      <ul className="space-y-2">
        {versions?.map((version) => (
          <li key={version.id} className="rounded-lg border border-rule bg-field px-4 py-2">
            <div className="flex flex-wrap items-center gap-2">
              <p className="mr-auto">
                <strong>{version.name}</strong>{' '}
                <span className="text-[13px] text-mute">
                  {format(new Date(version.createdAt), 'd MMM yyyy, HH:mm')}
                </span>
                {version.note && <span className="block text-[13.5px] text-mute">{version.note}</span>}
              </p>
              <Button
                className="!px-3"
                aria-pressed={opened === version.id}
                onClick={() => setOpened(opened === version.id ? undefined : version.id)}
              >
                Side by side
              </Button>
              <Button className="!px-3" onClick={() => onCompare(version.name, version.file)}>
                On the chart
              </Button>
              <Button className="!px-3" onClick={() => onRestore(version.file)}>
                Bring it back
              </Button>
              <Button look="bare" className="!px-3" onClick={() => void attempt(() => removeVersion(id, version.id))}>
                Let it go
              </Button>
            </div>
            {compared?.id === version.id && <SideBySide version={compared} draft={draft} larder={larder} />}
          </li>
        ))}
      </ul>
    </Sheet>
  );
}

/** Rows and measures of a version and of the pan now. */
function SideBySide({ version, draft, larder }: { version: Version; draft: FormulaDraft; larder: Larder }) {
  const then = asDraft(version.file);
  const names = [...new Set([...then.lines, ...draft.lines].map(({ ingredient }) => ingredient))];
  const sum = (lines: FormulaDraft['lines'], ingredient: string) =>
    lines.filter((line) => line.ingredient === ingredient).reduce((total, line) => total + line.grams, 0);
  const [was, is] = [predictDraft(then, larder)?.prediction, predictDraft(draft, larder)?.prediction];
  const shown = (file: FormulaDraft, prediction: typeof was) =>
    new Map((prediction ? measures(file, prediction, undefined) : []).map(({ title, shown: text }) => [title, text]));
  const [before, now] = [shown(then, was), shown(draft, is)];
  const text = (quantity: { number: string; unit: string } | undefined) =>
    quantity ? `${quantity.number} ${quantity.unit}`.trim() : '–';
  return (
    <table className="mt-2 w-full text-[13.5px]" data-testid="side-by-side">
      <thead>
        <tr className="border-rule border-b text-right text-mute">
          <th />
          <th className="font-medium">{version.name}</th>
          <th className="font-medium">now</th>
        </tr>
      </thead>
      <tbody>
        {names.map((ingredient) => {
          const [a, b] = [sum(then.lines, ingredient), sum(draft.lines, ingredient)];
          return (
            <tr key={ingredient} className="border-rule-soft border-b text-right">
              <th className="py-1 text-left font-medium">{larder.get(ingredient)?.name ?? ingredient}</th>
              <td className="read">{grams(a)} g</td>
              <td className={`read ${a === b ? '' : 'font-semibold text-enamel'}`}>{grams(b)} g</td>
            </tr>
          );
        })}
        {[...new Set([...before.keys(), ...now.keys()])].map((title) => (
          <tr key={title} className="border-rule-soft border-b text-right">
            <th className="py-1 text-left font-normal text-mute">{title}</th>
            <td className="read">{text(before.get(title))}</td>
            <td className="read">{text(now.get(title))}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
