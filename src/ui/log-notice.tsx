import type { useBatchLog } from '@/kitchen/cook/use-batch-log';
import { Button } from './button';

type Log = Pick<ReturnType<typeof useBatchLog>, 'state' | 'aside' | 'again' | 'letGo'>;

const TROUBLE = 'flex flex-wrap items-center gap-3 rounded-lg bg-off-wash px-3 py-1 text-off';

/** Where the log of a batch stands with the server, and what of it the batch did not take. */
export function LogNotice({ log: { state, aside, again, letGo } }: { log: Log }) {
  return (
    <span className="ml-auto flex flex-wrap items-center gap-x-5 gap-y-1">
      {aside.length > 0 && (
        <span role="alert" className={TROUBLE}>
          <span>
            {aside.length === 1 ? 'One entry was' : `${aside.length} entries were`} not taken. {aside.at(-1)?.message}
            {aside.map(({ told: { key, what } }) => (what.kind === 'note' ? <q key={key}>{what.text}</q> : null))}
          </span>
          <Button onClick={letGo}>I have read it</Button>
        </span>
      )}
      {state.kind === 'waiting' ? (
        <span role="alert" className={TROUBLE}>
          Not told yet: {state.message}{' '}
          {state.isKeptHere ? 'It is kept on this tablet.' : 'This tablet has no room: leave this page open.'}
          <Button onClick={again}>Try now</Button>
        </span>
      ) : (
        <span role="status" className="font-medium">
          {state.kind === 'kept' ? 'Kept as you go' : 'Telling…'}
        </span>
      )}
    </span>
  );
}
