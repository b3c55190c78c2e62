'use client';

import { ClipboardPaste, FileDown, FileUp, Plus, Search } from 'lucide-react';
import { useRef, useState } from 'react';
import { archiveFormula, copyFormula, createFormula, deleteFormula, restoreFormula } from '@/kitchen/client/formulas';
import { fetchSummaries } from '@/kitchen/client/library';
import type { FormulaSummary } from '@/kitchen/formula-summary';
import { type Carried, useWhole } from '@/kitchen/use-whole';
import { Button } from '@/ui/button';
import { TopBar } from '@/ui/top-bar';
import { useRefreshOnReturn } from '@/ui/use-refresh-on-return';
import { AllAsFile } from './all-as-file';
import { AlreadyHere } from './already-here';
import { DeletedNotice } from './deleted-notice';
import { EmptyLibrary } from './empty-library';
import { FormulaCard } from './formula-card';
import { NewBrief } from './new-brief';
import { NewFormulaDialog } from './new-formula-dialog';
import { Partly } from './partly';
import { RecipeSheet } from './recipe-sheet';
import { ARCHIVE, useFoundFormulas } from './use-found-formulas';
import { useKeeping } from './use-keeping';

/** The list of formulas: search, open, copy, delete with undo, begin anew, read a file. */
export function LibraryScreen({
  carried,
  unreadable,
}: {
  carried: Carried<FormulaSummary>;
  /** formulas kept in a form this version cannot read */
  unreadable: readonly { readonly id: string; readonly reason: string }[];
}) {
  useRefreshOnReturn();
  const { rows: all, isWhole, fault: partly, again } = useWhole(carried, fetchSummaries);
  const { query, setQuery, tag, setTag, tags, archived, total, found, left, showMore } = useFoundFormulas(all);
  const [isSaving, setIsSaving] = useState(false);
  const [isNew, setIsNew] = useState(false);
  const [deleted, setDeleted] = useState<{ id: string; name: string } | undefined>();
  const { fault, pending, recipe, setRecipe, already, setAlready, open, refresh, attempt, keepFile, readFile } =
    useKeeping();
  const fileInput = useRef<HTMLInputElement>(null);

  return (
    <>
      <TopBar>
        <Button
          look="bare"
          className="ml-auto !text-white hover:!bg-white/10"
          onClick={() => fileInput.current?.click()}
        >
          <FileUp size={18} aria-hidden="true" /> Open a file
        </Button>
        <input
          ref={fileInput}
          type="file"
          accept=".json,.jsonld,.csv,.txt,application/json"
          className="hidden"
          onChange={(event) => {
            const file = event.target.files?.[0];
            event.target.value = '';
            if (file) readFile(file);
          }}
          data-testid="formula-file"
          aria-label="Formula file"
        />
      </TopBar>
      <main className="mx-auto max-w-[1240px] px-5 pt-6 pb-28">
        <div className="mb-2 flex flex-wrap items-center gap-3">
          <h1 className="mr-auto text-[1.9rem]">Formulas</h1>
          {all.length > 0 && (
            <label className="relative block w-full max-w-xs">
              <span className="sr-only">Search the formulas</span>
              <Search size={18} className="absolute top-3 left-3 text-mute" aria-hidden="true" />
              <input
                type="search"
                className="h-11 w-full rounded-lg border border-rule bg-field pr-3 pl-10"
                placeholder="Name, use or ingredient"
                value={query}
                onChange={(event) => setQuery(event.target.value)}
              />
            </label>
          )}
          {(tags.length > 0 || archived > 0) && (
            <select
              aria-label="Show"
              className="h-11 rounded-lg border border-rule bg-field px-2"
              value={tag}
              onChange={(event) => setTag(event.target.value)}
            >
              <option value="">all</option>
              {tags.map((each) => (
                <option key={each} value={each}>
                  {each}
                </option>
              ))}
              {archived > 0 && <option value={ARCHIVE}>archive ({archived})</option>}
            </select>
          )}
          <Button onClick={() => setRecipe('')}>
            <ClipboardPaste size={17} aria-hidden="true" /> From a recipe
          </Button>
          {all.length > 0 && (
            <Button onClick={() => setIsSaving(true)}>
              <FileDown size={17} aria-hidden="true" /> All as a file
            </Button>
          )}
          <Button onClick={() => setIsNew(true)}>
            <Plus size={18} aria-hidden="true" /> New formula
          </Button>
          <NewBrief />
        </div>
        <p className="mb-4 max-w-[92ch] text-[14px] text-mute">
          A brief says what it is for, and sets the gates: how it must flow at the pour and hold once it is set. A
          formula lands when it passes them all; the per cent says how many of a hundred such batches would.
        </p>
        {fault && (
          <p role="alert" className="mb-4 rounded-lg bg-off-wash px-4 py-3 text-off">
            {fault}
          </p>
        )}
        {!isWhole && <Partly count={all.length} fault={partly} onAgain={again} />}
        {unreadable.map(({ id, reason }) => (
          <p key={id} role="alert" className="mb-3 rounded-lg bg-near-wash px-4 py-2">
            {reason}
          </p>
        ))}
        {all.length === 0 && unreadable.length === 0 ? (
          <EmptyLibrary onNew={() => setIsNew(true)} onFile={() => fileInput.current?.click()} />
        ) : found.length === 0 ? (
          <p className="py-10 text-mute">
            No formula matches “{query}”.{' '}
            <button type="button" className="font-semibold text-enamel underline" onClick={() => setQuery('')}>
              Show all {total}
            </button>
          </p>
        ) : (
          <ul className="grid grid-cols-1 gap-3 md:grid-cols-2 lg:grid-cols-3" aria-busy={pending}>
            {found.map((formula) => (
              <FormulaCard
                key={formula.id}
                formula={formula}
                onCopy={() => void attempt(async () => open(await copyFormula(formula.id)))}
                onArchive={() =>
                  void attempt(async () => {
                    await archiveFormula(formula.id, !formula.archived);
                    refresh();
                  })
                }
                onDelete={() =>
                  void attempt(async () => {
                    await deleteFormula(formula.id);
                    setDeleted({ id: formula.id, name: formula.name });
                    refresh();
                  })
                }
              />
            ))}
          </ul>
        )}
        {left > 0 && (
          <p className="mt-5 text-center">
            <Button onClick={showMore}>Show more, {left} are left</Button>
          </p>
        )}
      </main>
      {deleted && (
        <DeletedNotice
          name={deleted.name}
          onUndo={() =>
            void attempt(async () => {
              await restoreFormula(deleted.id);
              setDeleted(undefined);
              refresh();
            })
          }
          onClose={() => setDeleted(undefined)}
        />
      )}
      {recipe !== undefined && (
        <RecipeSheet
          start={recipe}
          onClose={() => setRecipe(undefined)}
          onCreate={async (formula) => open(await createFormula(formula))}
        />
      )}
      {isSaving && <AllAsFile onClose={() => setIsSaving(false)} />}
      {already && (
        <AlreadyHere
          here={already.here}
          onTake={(take) => void attempt(() => keepFile(already.library, take))}
          onClose={() => setAlready(undefined)}
        />
      )}
      <NewFormulaDialog
        open={isNew}
        onClose={() => setIsNew(false)}
        onCreate={async (formula) => open(await createFormula(formula))}
      />
    </>
  );
}
