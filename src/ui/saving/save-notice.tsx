'use client';

import type { ReactNode } from 'react';
import type { FormulaFile } from '@/formats/formula-file';
import type { StoredFormula } from '@/formats/server-answers';
import type { SaveState } from '@/kitchen/saving/save-state';
import type { Autosave } from '@/kitchen/saving/use-autosave';
import { Button } from '../button';

/** Where saving stands, in one or two words. */
export function saveWords(state: SaveState): string {
  switch (state.kind) {
    case 'opening':
      return 'Opening…';
    case 'saved':
    case 'followed':
      return 'Saved';
    case 'waiting':
    case 'saving':
      return 'Saving…';
    case 'failed':
      return 'Not saved yet';
    case 'stale':
      return 'Not saved: changed elsewhere';
    case 'gone':
      return 'Not saved: deleted elsewhere';
  }
}

/** What needs a decision or a word before saving can go on. */
export function SaveNotice({
  autosave,
  beside,
  onOpen,
}: {
  autosave: Autosave;
  /** what another tablet saved, beside what stands here */
  beside?: (theirs: StoredFormula, at: string) => ReactNode;
  onOpen: (file: FormulaFile) => void;
}) {
  const { state, left } = autosave;
  if (state.kind === 'stale') {
    const { theirs } = state;
    const at = timeOf(theirs.updatedAt);
    return (
      <Notice>
        <p className="flex-1">
          <strong>Another tablet saved this formula at {at}.</strong> Yours is still here and nothing was overwritten.
          Which one goes on? The other stays as a version.
        </p>
        <Button onClick={() => void autosave.takeTheirs(theirs, () => onOpen(theirs.file))}>Take theirs</Button>
        <Button onClick={() => void autosave.keepMine(theirs)}>Keep mine</Button>
        {beside && (
          <div className="thin-scroll max-h-[26vh] w-full max-w-[560px] overflow-y-auto rounded-lg bg-sheet px-3 pb-2">
            {beside(theirs, at)}
          </div>
        )}
      </Notice>
    );
  }
  if (state.kind === 'gone') {
    return (
      <Notice>
        <p className="flex-1">
          <strong>This formula was deleted on another tablet.</strong> What you see is kept on this tablet only; bring
          the formula back from the list’s undo, or start a new one.
        </p>
      </Notice>
    );
  }
  if (state.kind === 'failed') {
    return (
      <Notice>
        <p className="flex-1">
          <strong>Not saved yet.</strong> {state.message}{' '}
          {autosave.isKept
            ? 'The changes are kept on this tablet.'
            : 'This tablet has no room to keep the changes: leave this page open.'}
        </p>
        <Button onClick={autosave.saveNow}>Try now</Button>
      </Notice>
    );
  }
  if (state.kind === 'followed') {
    return (
      <Notice>
        <p className="flex-1">Another tablet saved this formula at {timeOf(state.at)}; what you see is that.</p>
      </Notice>
    );
  }
  if (left) {
    return (
      <Notice>
        <p className="flex-1">
          <strong>This tablet has changes to this formula that were never saved.</strong> What is saved now stays as a
          version where it is newer.
        </p>
        <Button onClick={() => void autosave.bringBack(left, () => onOpen(left.formula))}>Bring them back</Button>
        <Button onClick={autosave.letGoOfLeft}>Let them go</Button>
      </Notice>
    );
  }
  return null;
}

const timeOf = (iso: string) => new Date(iso).toLocaleTimeString([], { hour: '2-digit', minute: '2-digit' });

function Notice({ children }: { children: React.ReactNode }) {
  return (
    <div role="alert" className="flex flex-wrap items-center gap-2 border-near/40 border-b bg-near-wash px-4 py-2">
      {children}
    </div>
  );
}
