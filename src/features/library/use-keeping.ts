'use client';

import { useRouter } from 'next/navigation';
import { useState, useTransition } from 'react';
import { LARGEST_LIBRARY_BYTES, parseFormulaText } from '@/formats/formula-file';
import { type Comparison, type LibraryFile, readLibrary } from '@/formats/library-file';
import { messageOf } from '@/formats/message-of';
import { findRecipe } from '@/formats/recipe-json-ld';
import { keepLibrary, type Take } from '@/kitchen/client/library';

/** What the list does with the server: what went wrong is told, what was kept is opened or shown. */
export function useKeeping() {
  const router = useRouter();
  const [fault, setFault] = useState<string | undefined>();
  const [pending, startTransition] = useTransition();
  /** text of a recipe to be read; empty for one to be pasted */
  const [recipe, setRecipe] = useState<string | undefined>();
  /** a file of formulas some of which are here */
  const [already, setAlready] = useState<{ library: LibraryFile; here: Comparison } | undefined>();

  const refresh = () => startTransition(() => router.refresh());
  const open = (id: string) => router.push(`/formulas/${id}/balance`);

  const attempt = async (work: () => Promise<void>) => {
    setFault(undefined);
    try {
      await work();
    } catch (error) {
      setFault(messageOf(error));
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

  const readFile = (file: File) => {
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
        throw new Error(`${file.name} could not be read as a formula: ${messageOf(error)}`);
      }
    });
  };

  return { fault, pending, recipe, setRecipe, already, setAlready, open, refresh, attempt, keepFile, readFile };
}

export type Keeping = ReturnType<typeof useKeeping>;
