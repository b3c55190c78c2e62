'use client';

import { useRef, useState } from 'react';
import type { OneSided } from '@/core/learn/one-sided';
import { archiveFormula, copyFormula, createFormula, deleteFormula, restoreFormula } from '@/kitchen/client/formulas';
import { fetchSummaries } from '@/kitchen/client/library';
import type { FormulaSummary } from '@/kitchen/formula-summary';
import { type Carried, useWhole } from '@/kitchen/use-whole';
import { usePours } from '@/ui/pours/pours-provider';
import { RecipeSheet } from '@/ui/recipe/recipe-sheet';
import { TopBar } from '@/ui/top-bar';
import { useRefreshOnReturn } from '@/ui/use-refresh-on-return';
import { AllAsFile } from './all-as-file';
import { AlreadyHere } from './already-here';
import { DeletedNotice } from './deleted-notice';
import { EmptyLibrary } from './empty-library';
import { FormulaFileInput } from './formula-file-input';
import { type CardActions, FoundList } from './found-list';
import { LibraryTools } from './library-tools';
import { NewFormulaDialog } from './new-formula-dialog';
import { Partly } from './partly';
import { useFoundFormulas } from './use-found-formulas';
import { type Keeping, useKeeping } from './use-keeping';

/** What lies over the list. */
type Over = 'new' | 'saving' | undefined;

/** The list of formulas: search, open, copy, delete with undo, begin anew, read a file. */
export function LibraryScreen({
  carried,
  unreadable,
  misses,
}: {
  carried: Carried<FormulaSummary>;
  /** formulas kept in a form this version cannot read */
  unreadable: readonly { readonly id: string; readonly reason: string }[];
  /** what the tests of a formula agree on, by its id */
  misses: Readonly<Record<string, readonly OneSided[]>>;
}) {
  useRefreshOnReturn();
  const { canChoose, isKitchen } = usePours();
  const { rows: all, isWhole, fault: partly, again } = useWhole(carried, fetchSummaries);
  const found = useFoundFormulas(all);
  const keeping = useKeeping();
  const [over, setOver] = useState<Over>();
  const [deleted, setDeleted] = useState<FormulaSummary | undefined>();
  const fileInput = useRef<HTMLInputElement>(null);
  const { attempt, open, refresh } = keeping;
  const then = (work: Promise<void>) => void attempt(() => work.then(refresh));
  const actions: CardActions = {
    copy: ({ id }) => void attempt(async () => open(await copyFormula(id))),
    archive: ({ id, archived }) => then(archiveFormula(id, !archived)),
    remove: (formula) => then(deleteFormula(formula.id).then(() => setDeleted(formula))),
  };
  return (
    <>
      <TopBar>
        <FormulaFileInput input={fileInput} onFile={keeping.readFile} />
      </TopBar>
      <main className="mx-auto max-w-[1240px] px-5 pt-6 pb-28">
        <LibraryTools
          found={found}
          isEmpty={all.length === 0}
          onRecipe={() => keeping.setRecipe('')}
          onSave={() => setOver('saving')}
          onNew={() => setOver('new')}
        />
        <p className="mb-4 max-w-[92ch] text-[14px] text-mute">
          A brief says what it is for, and sets the gates: how it must flow at the pour and hold once it is set. A
          formula lands when it passes them all; the per cent says how many of a hundred such batches would.
          {canChoose &&
            (isKitchen
              ? ' The figures are adjusted to this kitchen’s own tests.'
              : ' The list is adjusted to this kitchen’s own tests. On this tablet an open formula shows the standard figures.')}
        </p>
        {keeping.fault && (
          <p role="alert" className="mb-4 rounded-lg bg-off-wash px-4 py-3 text-off">
            {keeping.fault}
          </p>
        )}
        {!isWhole && <Partly count={all.length} fault={partly} onAgain={again} />}
        {unreadable.map(({ id, reason }) => (
          <p key={id} role="alert" className="mb-3 rounded-lg bg-near-wash px-4 py-2">
            {reason}
          </p>
        ))}
        {all.length === 0 && unreadable.length === 0 ? (
          <EmptyLibrary onNew={() => setOver('new')} onFile={() => fileInput.current?.click()} />
        ) : (
          <FoundList found={found} pending={keeping.pending} misses={misses} actions={actions} />
        )}
      </main>
      {deleted && (
        <DeletedNotice
          name={deleted.name}
          onUndo={() => then(restoreFormula(deleted.id).then(() => setDeleted(undefined)))}
          onClose={() => setDeleted(undefined)}
        />
      )}
      <LibrarySheets keeping={keeping} over={over} onClose={() => setOver(undefined)} />
    </>
  );
}

function LibrarySheets({
  keeping: { recipe, setRecipe, already, setAlready, attempt, keepFile, open },
  over,
  onClose,
}: {
  keeping: Keeping;
  over: Over;
  onClose: () => void;
}) {
  return (
    <>
      {recipe !== undefined && (
        <RecipeSheet
          start={recipe}
          onClose={() => setRecipe(undefined)}
          onCreate={async (formula) => open(await createFormula(formula))}
        />
      )}
      {over === 'saving' && <AllAsFile onClose={onClose} />}
      {already && (
        <AlreadyHere
          here={already.here}
          onTake={(take) => void attempt(() => keepFile(already.library, take))}
          onClose={() => setAlready(undefined)}
        />
      )}
      <NewFormulaDialog
        open={over === 'new'}
        onClose={onClose}
        onCreate={async (formula) => open(await createFormula(formula))}
      />
    </>
  );
}
