import { Button } from '@/ui/button';

/** Says that a formula is deleted, for as long as nobody closes it: one press brings it back. */
export function DeletedNotice({ name, onUndo, onClose }: { name: string; onUndo: () => void; onClose: () => void }) {
  return (
    <div
      role="status"
      className="on-dark fixed inset-x-0 bottom-5 z-30 mx-auto flex w-fit max-w-[92vw] items-center gap-4 rounded-xl bg-bar px-5 py-2 text-white shadow-xl"
    >
      <span className="truncate">“{name}” is deleted.</span>
      <Button className="!border-enamel-light !bg-transparent !text-enamel-light" onClick={onUndo}>
        Undo
      </Button>
      <Button look="bare" className="!px-2 !text-white hover:!bg-white/10" onClick={onClose}>
        Close
      </Button>
    </div>
  );
}
