import { Button, Key } from '@/ui/button';

/** Opens what is chosen, and says first what that does. */
export function OpenOnBench({
  busy,
  isPossible,
  fault,
  does,
  onOpen,
}: {
  busy: boolean;
  isPossible: boolean;
  fault: string | undefined;
  does: string;
  onOpen: () => void;
}) {
  return (
    <>
      <Button
        look="primary"
        className="mt-3 mb-1 min-h-12 w-full text-[1.05rem]"
        disabled={busy || !isPossible}
        onClick={onOpen}
      >
        {busy ? 'Opening…' : 'Open on the bench'} <Key>Ctrl ↵</Key>
      </Button>
      {fault && (
        <p role="alert" className="mb-2 rounded-lg bg-off-wash px-3 py-2 text-[13.5px] text-off">
          {fault}
        </p>
      )}
      <p className="mb-3 text-[13px] text-mute">{does}</p>
    </>
  );
}
