'use client';

import { ClipboardList, ClipboardPaste, FileDown, FileUp, Plus, Search } from 'lucide-react';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { type ChangeEvent, useRef, useState, useTransition } from 'react';
import { LARGEST_LIBRARY_BYTES, parseFormulaText } from '@/formats/formula-file';
import { type Comparison, type LibraryFile, readLibrary } from '@/formats/library-file';
import { findRecipe } from '@/formats/recipe-json-ld';
import { archiveFormula, copyFormula, createFormula, deleteFormula, restoreFormula } from '@/kitchen/client/formulas';
import { fetchSummaries, keepLibrary, type Take } from '@/kitchen/client/library';
import { type Carried, useWhole } from '@/kitchen/use-whole';
import { Button } from '@/ui/button';
import { TopBar } from '@/ui/top-bar';
import { useRefreshOnReturn } from '@/ui/use-refresh-on-return';
import type { FormulaSummary } from '../../kitchen/formula-summary';
import { AllAsFile } from './all-as-file';
import { AlreadyHere } from './already-here';
import { FormulaCard } from './formula-card';
import { NewFormulaDialog } from './new-formula-dialog';
import { RecipeSheet } from './recipe-sheet';
import { ARCHIVE, useFoundFormulas } from './use-found-formulas';

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
  const router = useRouter();
  const { rows: all, isWhole, fault: partly, again } = useWhole(carried, fetchSummaries);
  const { query, setQuery, tag, setTag, tags, archived, total, found, left, showMore } = useFoundFormulas(all);
  const [recipe, setRecipe] = useState<string | undefined>();
  const [already, setAlready] = useState<{ library: LibraryFile; here: Comparison } | undefined>();
  const [isSaving, setIsSaving] = useState(false);
  const [isNew, setIsNew] = useState(false);
  const [deleted, setDeleted] = useState<{ id: string; name: string } | undefined>();
  const [fault, setFault] = useState<string | undefined>();
  const [pending, startTransition] = useTransition();
  const fileInput = useRef<HTMLInputElement>(null);

  const refresh = () => startTransition(() => router.refresh());
  const open = (id: string) => router.push(`/formulas/${id}/balance`);

  const attempt = async (work: () => Promise<void>) => {
    setFault(undefined);
    try {
      await work();
    } catch (error) {
      setFault((error as Error).message);
    }
  };

  const keepFile = async (library: LibraryFile, take?: Take) => {
    const answer = await keepLibrary(library, take);
    if ('here' in answer) {
      setAlready({ library, here: answer.here });
      return;
    }
    setAlready(undefined);
    const [id, ...others] = answer.ids;
    if (id !== undefined && others.length === 0) open(id);
    else refresh();
  };

  const readFile = (event: ChangeEvent<HTMLInputElement>) => {
    const file = event.target.files?.[0];
    event.target.value = '';
    if (!file) return;
    void attempt(async () => {
      if (file.size > LARGEST_LIBRARY_BYTES)
        throw new Error(`${file.name} is over 30 MB; a formula is a few kilobytes.`);
      const text = await file.text();
      if (!/\.json$/i.test(file.name) && !/^\s*[[{"]/.test(text)) {
        setRecipe(text);
        return;
      }
      try {
        const value = parseFormulaText(text, LARGEST_LIBRARY_BYTES);
        if (findRecipe(value)) {
          setRecipe(text);
          return;
        }
        await keepFile(readLibrary(value));
      } catch (error) {
        throw new Error(`${file.name} could not be read as a formula: ${(error as Error).message}`);
      }
    });
  };

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
          onChange={readFile}
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
        <div
          role="status"
          className="on-dark fixed inset-x-0 bottom-5 z-30 mx-auto flex w-fit max-w-[92vw] items-center gap-4 rounded-xl bg-bar px-5 py-2 text-white shadow-xl"
        >
          <span className="truncate">“{deleted.name}” is deleted.</span>
          <Button
            className="!border-enamel-light !bg-transparent !text-enamel-light"
            onClick={() =>
              void attempt(async () => {
                await restoreFormula(deleted.id);
                setDeleted(undefined);
                refresh();
              })
            }
          >
            Undo
          </Button>
          <Button look="bare" className="!px-2 !text-white hover:!bg-white/10" onClick={() => setDeleted(undefined)}>
            Close
          </Button>
        </div>
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

/** Says that the rest of a big kitchen's formulas is still to come. */
function Partly({ count, fault, onAgain }: { count: number; fault: string | undefined; onAgain: () => void }) {
  return (
    <p role="status" className="mb-3 text-[14px] text-mute">
      {fault ? (
        <>
          Only the {count} last changed are here. {fault}{' '}
          <button type="button" className="min-h-11 font-semibold text-enamel underline" onClick={onAgain}>
            Try again
          </button>
        </>
      ) : (
        `The ${count} last changed; the others are being fetched…`
      )}
    </p>
  );
}

/** The way most work begins: what must it do, and for how many. */
function NewBrief() {
  return (
    <Link
      href="/brief"
      className="inline-flex min-h-11 items-center gap-2 rounded-lg bg-enamel px-4 font-semibold text-sheet hover:bg-enamel-deep"
    >
      <ClipboardList size={18} aria-hidden="true" /> New brief
    </Link>
  );
}

/** A kitchen without formulas: how to begin. */
function EmptyLibrary({ onNew, onFile }: { onNew: () => void; onFile: () => void }) {
  return (
    <section className="mx-auto max-w-2xl rounded-2xl border border-rule bg-sheet px-8 py-10">
      <h2 className="mb-2 text-[1.5rem]">Your first formula</h2>
      <p className="mb-5 text-mute">
        Say what it must do, weigh what you use today into the pan, and see how it will pour, set, shine and keep before
        anything is melted. The larder is full already: 162 typical ingredients.
      </p>
      <ol className="mb-6 list-decimal space-y-1.5 pl-5">
        <li>Write a brief: what it must do and for how many. That sets the gates and the amount.</li>
        <li>Start from what is proposed, or add your own recipe, in grams.</li>
        <li>Press Balance: it moves as little as it can until the curve passes.</li>
      </ol>
      <div className="flex flex-wrap gap-2">
        <NewBrief />
        <Button onClick={onNew}>
          <Plus size={18} aria-hidden="true" /> Start a formula
        </Button>
        <Button onClick={onFile}>
          <FileUp size={18} aria-hidden="true" /> Open a formula file
        </Button>
      </div>
    </section>
  );
}
