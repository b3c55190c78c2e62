'use client';

import { Dialog, DialogBackdrop, DialogPanel, DialogTitle } from '@headlessui/react';
import { Button, Key } from '@/ui/button';
import { stepText } from '../pan/gram-steps';

const shortcuts = (): readonly (readonly [keys: readonly string[], does: string])[] => [
  [['↑', '↓'], `choose a row; in its weight: ${stepText(1)} more or less, ${stepText(10)} with Shift`],
  [['+', '−'], `${stepText(1)} more or less of the chosen row, ${stepText(10)} with Shift`],
  [['Enter'], 'type its weight, and leave it; accept what a balance proposes'],
  [['L'], 'lock or unlock it'],
  [['Del'], 'take it out'],
  [['B'], 'balance'],
  [['Esc'], 'leave a proposal; leave a field, what cannot be read in it first'],
  [['/'], 'add an ingredient'],
  [['M'], 'the map, and back'],
  [['D'], 'the day, and back'],
  [['U'], 'undo'],
  [['R'], 'redo'],
  [['Ctrl', 'Z'], 'undo, also while typing'],
  [['Ctrl', 'S'], 'save now'],
  [['Space', '↑', '↓'], 'on a row’s handle: take it, move it; Space lets go'],
  [['?'], 'this sheet'],
];

/** The sheet of keys. */
export function Shortcuts({ open, onClose }: { open: boolean; onClose: () => void }) {
  return (
    <Dialog open={open} onClose={onClose} className="relative z-40">
      <DialogBackdrop className="fixed inset-0 bg-black/50" />
      <div className="fixed inset-0 flex items-center justify-center p-4">
        <DialogPanel className="w-full max-w-md rounded-xl bg-sheet p-6 shadow-2xl">
          <DialogTitle className="mb-3 text-[1.25rem]">Keys</DialogTitle>
          <dl className="grid grid-cols-[auto_1fr] items-baseline gap-x-4 gap-y-2">
            {shortcuts().map(([keys, does]) => (
              <div key={does} className="contents">
                <dt className="flex gap-1">
                  {keys.map((key) => (
                    <Key key={key}>{key}</Key>
                  ))}
                </dt>
                <dd>{does}</dd>
              </div>
            ))}
          </dl>
          <Button className="mt-5 w-full" onClick={onClose}>
            Close
          </Button>
        </DialogPanel>
      </div>
    </Dialog>
  );
}
