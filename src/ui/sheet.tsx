'use client';

import { Dialog, DialogBackdrop, DialogPanel, DialogTitle } from '@headlessui/react';
import { X } from 'lucide-react';
import { type ReactNode, useState } from 'react';
import { useAskFirst } from './ask-first';
import { Button } from './button';

const WIDTH = { narrow: 'max-w-md', middle: 'max-w-2xl', wide: 'max-w-5xl' } as const;

/** A sheet laid over the bench: title, what it is about, and a way to close it. */
export function Sheet({
  title,
  onClose,
  width = 'middle',
  besidePan = false,
  asksFirst = false,
  children,
  footer,
}: {
  title: string;
  onClose: () => void;
  width?: keyof typeof WIDTH;
  /** leaves the pan on the left in sight, where there is room for both */
  besidePan?: boolean;
  /** asks before it closes with something typed in it, which would be lost */
  asksFirst?: boolean;
  children: ReactNode;
  /** buttons that stay in sight below */
  footer?: ReactNode;
}) {
  const [isTyped, setIsTyped] = useState(false);
  const { leave, question } = useAskFirst(asksFirst && isTyped, onClose);
  return (
    <Dialog open onClose={leave} className="relative z-40">
      <DialogBackdrop className={`fixed inset-0 bg-black/50 ${besidePan ? 'md:left-[372px] lg:left-[396px]' : ''}`} />
      <div
        className={`fixed inset-0 flex items-start justify-center p-4 pt-[5vh] ${besidePan ? 'md:pr-2 md:pl-[380px] lg:pr-4 lg:pl-[412px]' : ''}`}
      >
        <DialogPanel
          onInput={() => setIsTyped(true)}
          className={`flex max-h-[90vh] w-full flex-col overflow-hidden rounded-xl bg-sheet shadow-2xl ${WIDTH[width]}`}
        >
          <div className="flex items-center justify-between gap-4 border-rule-soft border-b px-5 py-2">
            <DialogTitle className="text-[1.25rem] text-balance">{title}</DialogTitle>
            <Button look="bare" className="min-w-11 !px-3" onClick={leave} aria-label="Close">
              <X size={18} aria-hidden="true" />
            </Button>
          </div>
          {question}
          <div className="thin-scroll flex-1 overflow-y-auto px-5 py-4">{children}</div>
          {footer && <div className="flex flex-wrap gap-2 border-rule-soft border-t px-5 py-3">{footer}</div>}
        </DialogPanel>
      </div>
    </Dialog>
  );
}
