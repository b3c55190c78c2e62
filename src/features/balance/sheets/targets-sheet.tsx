'use client';

import { Dialog, DialogBackdrop, DialogPanel, DialogTitle } from '@headlessui/react';
import { X } from 'lucide-react';
import { useState } from 'react';
import { findUse, USES } from '@/core/uses/ready-gates';
import { USE_NAMES } from '@/kitchen/words/job-words';
import { useAskFirst } from '@/ui/ask-first';
import { Button } from '@/ui/button';
import type { FormulaDraft } from '../draft/edit';
import type { Targets } from './targets';
import { GatesFields, gateFault } from './targets-gates';
import { MomentsFields, momentsFault } from './targets-moments';
import { YieldFields } from './targets-yield';

/** What the formula must do: its use, its moments, its gates and the yield wanted. Taken over as one step. */
export function TargetsSheet({
  draft,
  onClose,
  onTake,
}: {
  draft: FormulaDraft;
  onClose: () => void;
  onTake: (edit: Targets) => void;
}) {
  const [opened] = useState<Targets>({
    type: 'targets',
    use: draft.use,
    moments: draft.moments,
    gates: draft.gates,
    yield: draft.yield,
  });
  const [targets, setTargets] = useState(opened);
  const [touched, setTouched] = useState(0);
  const momentFault = momentsFault(targets.moments);
  const faulty = momentFault !== undefined || targets.gates.some((gate) => gateFault(gate) !== undefined);

  const choose = (id: string) => {
    const use = findUse(id);
    if (!use) return;
    setTouched(touched + 1);
    setTargets({ ...targets, use: use.id, moments: [...use.moments], gates: [...use.gates] });
  };
  const { leave, question } = useAskFirst(targets !== opened, onClose);
  return (
    <Dialog open onClose={leave} className="relative z-40">
      <DialogBackdrop className="fixed inset-0 bg-black/50" />
      <div className="fixed inset-0 flex justify-end">
        <DialogPanel className="flex h-full w-full max-w-[560px] flex-col bg-sheet shadow-2xl">
          <div className="flex items-center justify-between border-rule border-b px-5 py-2">
            <DialogTitle className="text-[1.25rem]">What it must do</DialogTitle>
            <Button look="bare" className="min-w-11 !px-3" onClick={leave} aria-label="Close without changes">
              <X size={18} aria-hidden="true" />
            </Button>
          </div>
          {question}
          <div className="thin-scroll flex-1 space-y-6 overflow-y-auto px-5 py-4" key={touched}>
            <label className="block">
              <span className="mb-1 block font-semibold">Use</span>
              <select
                className="h-11 w-full rounded-lg border border-rule bg-field px-3"
                value={findUse(targets.use)?.id ?? ''}
                onChange={(event) => choose(event.target.value)}
              >
                <option value="" disabled>
                  My own
                </option>
                {USES.map((use) => (
                  <option key={use.id} value={use.id}>
                    {USE_NAMES[use.id]}
                  </option>
                ))}
              </select>
              <span className="mt-1 block text-[13px] text-mute">Choosing one sets its usual moments and gates.</span>
            </label>

            <MomentsFields
              targets={targets}
              fault={momentFault}
              onTargets={setTargets}
              onRows={() => setTouched(touched + 1)}
            />
            <GatesFields targets={targets} onTargets={setTargets} onRows={() => setTouched(touched + 1)} />
            <YieldFields targets={targets} onTargets={setTargets} />
          </div>
          <div className="flex gap-2 border-rule border-t px-5 py-3">
            <Button className="flex-1" onClick={onClose}>
              Leave as it was
            </Button>
            <Button look="primary" className="flex-1" disabled={faulty} onClick={() => onTake(targets)}>
              Use these
            </Button>
          </div>
        </DialogPanel>
      </div>
    </Dialog>
  );
}
