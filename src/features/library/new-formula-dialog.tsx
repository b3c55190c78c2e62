'use client';

import { Dialog, DialogBackdrop, DialogPanel, DialogTitle } from '@headlessui/react';
import { type FormEvent, useState } from 'react';
import { USES } from '@/core/uses/ready-gates';
import type { FormulaFileInput } from '@/formats/formula-file';
import { messageOf } from '@/formats/message-of';
import { USE_NAMES } from '@/kitchen/words/job-words';
import { useAskFirst } from '@/ui/ask-first';
import { Button } from '@/ui/button';

/** Names a new formula and says what it is for; its pan starts empty. */
export function NewFormulaDialog({
  open,
  onClose,
  onCreate,
}: {
  open: boolean;
  onClose: () => void;
  /** rejects with the reason when it could not be kept */
  onCreate: (formula: FormulaFileInput) => Promise<void>;
}) {
  const [name, setName] = useState('');
  const [useId, setUseId] = useState(USES[0]?.id ?? '');
  const [fault, setFault] = useState<string | undefined>();
  const [busy, setBusy] = useState(false);

  const submit = async (event: FormEvent) => {
    event.preventDefault();
    if (name.trim() === '') {
      setFault('Give it a name first.');
      return;
    }
    const use = USES.find(({ id }) => id === useId);
    if (!use) return;
    setBusy(true);
    try {
      await onCreate({
        format: 'dark-pour/formula',
        version: 1,
        name: name.trim(),
        use: use.id,
        lines: [],
        moments: use.moments.map((moment) => ({ ...moment, history: moment.history.map(([h, t]) => [h, t]) })),
        gates: [...use.gates],
      });
    } catch (error) {
      setFault(messageOf(error));
      setBusy(false);
    }
  };

  const { leave, question } = useAskFirst(name.trim() !== '', onClose);
  return (
    <Dialog open={open} onClose={leave} className="relative z-40">
      <DialogBackdrop className="fixed inset-0 bg-black/50" />
      <div className="fixed inset-0 flex items-start justify-center p-4 pt-[12vh]">
        <DialogPanel className="w-full max-w-lg rounded-xl bg-sheet p-6 shadow-2xl">
          <DialogTitle className="mb-4 text-[1.4rem]">New formula</DialogTitle>
          <div className="-mx-6 mb-3">{question}</div>
          <form onSubmit={submit} className="space-y-4" noValidate>
            <label className="block">
              <span className="mb-1 block font-semibold">Name</span>
              <input
                data-autofocus
                className="h-12 w-full rounded-lg border border-rule bg-field px-3 text-[1.05rem]"
                value={name}
                maxLength={120}
                aria-invalid={fault !== undefined}
                aria-describedby={fault ? 'new-formula-fault' : undefined}
                onChange={(event) => {
                  setName(event.target.value);
                  setFault(undefined);
                }}
              />
              {fault && (
                <span
                  id="new-formula-fault"
                  role="alert"
                  className="mt-1 block rounded-md bg-off-wash px-2 py-1 text-[13.5px] text-off"
                >
                  {fault}
                </span>
              )}
            </label>
            <label className="block">
              <span className="mb-1 block font-semibold">What must it do?</span>
              <select
                className="h-12 w-full rounded-lg border border-rule bg-field px-3"
                value={useId}
                onChange={(event) => setUseId(event.target.value)}
              >
                {USES.map((use) => (
                  <option key={use.id} value={use.id}>
                    {USE_NAMES[use.id]}
                  </option>
                ))}
              </select>
              <span className="mt-1 block text-[13.5px] text-mute">
                This sets its gates; they can be changed on the Balance screen.
              </span>
            </label>
            <div className="flex gap-2 pt-2">
              <Button className="flex-1" onClick={onClose}>
                Not now
              </Button>
              <Button look="primary" type="submit" className="flex-1" disabled={busy}>
                {busy ? 'Making it…' : 'Start with an empty pan'}
              </Button>
            </div>
          </form>
        </DialogPanel>
      </div>
    </Dialog>
  );
}
