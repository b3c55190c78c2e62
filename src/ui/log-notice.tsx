import type { LogState } from '@/kitchen/cook/use-batch-log';
import { Button } from './button';

/** Where the log of a batch stands with the server. */
export function LogNotice({ state, onAgain }: { state: LogState; onAgain: () => void }) {
  if (state.kind !== 'waiting') {
    return (
      <span role="status" className="ml-auto font-medium">
        {state.kind === 'kept' ? 'Kept as you go' : 'Telling…'}
      </span>
    );
  }
  return (
    <span role="alert" className="ml-auto flex flex-wrap items-center gap-3 text-off">
      Not told yet: {state.message}{' '}
      {state.isKeptHere ? 'It is kept on this tablet.' : 'This tablet has no room: leave this page open.'}
      <Button onClick={onAgain}>Try now</Button>
    </span>
  );
}
