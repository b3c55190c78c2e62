import type { CookedBatch } from '@/kitchen/cook/cook-batch';
import type { StoryItem } from '@/kitchen/record/story';
import { Button } from '@/ui/button';
import { tellItem } from './story-words';

const TIME = { hour: '2-digit', minute: '2-digit' } as const;
const DAY = { weekday: 'short', day: 'numeric', month: 'short' } as const;

const dayOf = (ms: number) => new Date(ms).toDateString();

/** What happened, in its order; another day says which. */
export function StoryList({
  story,
  cooked,
  onPhotoOff,
}: {
  story: readonly StoryItem[];
  cooked: CookedBatch;
  onPhotoOff: (hash: string) => void;
}) {
  if (story.length === 0) return <p className="mt-4 text-mute">Nothing was written down of it.</p>;
  return (
    <ol aria-label="What happened" className="mt-4">
      {story.map((item, i) => {
        const { title, more, figure, isTrouble, isTest } = tellItem(item, cooked);
        const before = story[i - 1];
        const isNewDay = before !== undefined && dayOf(before.ms) !== dayOf(item.ms);
        return (
          // biome-ignore lint/suspicious/noArrayIndexKey: what happened stands in its order; two may be alike
          <li key={i} className="grid grid-cols-[64px_18px_minmax(0,1fr)_auto] items-baseline gap-x-3 py-2">
            <time
              className="read text-right text-mute"
              dateTime={new Date(item.ms).toISOString()}
              suppressHydrationWarning
            >
              {isNewDay && (
                <span className="block text-[12px]">{new Date(item.ms).toLocaleDateString('en-GB', DAY)}</span>
              )}
              {new Date(item.ms).toLocaleTimeString('en-GB', TIME)}
            </time>
            <Dot isTrouble={isTrouble} isTest={isTest} />
            <div className="min-w-0">
              <p className="font-semibold break-words">{title}</p>
              {item.kind === 'photo' && <Photo item={item} onOff={onPhotoOff} />}
              {more && <p className="text-[13.5px] break-words text-mute">{more}</p>}
            </div>
            <span className="read font-semibold">{figure}</span>
          </li>
        );
      })}
    </ol>
  );
}

/** A photo as large as the column takes; whole behind a press. */
function Photo({
  item: { photo, shows },
  onOff,
}: {
  item: Extract<StoryItem, { kind: 'photo' }>;
  onOff: (hash: string) => void;
}) {
  const address = `/api/photos/${photo.hash}`;
  return (
    <div className="mt-1">
      <a href={address} target="_blank" rel="noreferrer" className="block w-fit">
        {/* biome-ignore lint/performance/noImgElement: it comes from this server at the size it is kept */}
        <img
          src={address}
          alt={shows || 'Of this batch'}
          width={photo.width}
          height={photo.height}
          loading="lazy"
          className="h-auto max-h-72 w-auto max-w-full rounded-lg border border-rule object-contain"
        />
      </a>
      <Button
        look="bare"
        className="!px-2 text-[14px] print:hidden"
        aria-label={`Take the photo away${shows && `: ${shows}`}`}
        onClick={() => onOff(photo.hash)}
      >
        Take it away
      </Button>
    </div>
  );
}

/** A dot for what happened, a ring for a test, a diamond for trouble. */
function Dot({ isTrouble, isTest }: { isTrouble: boolean; isTest: boolean }) {
  const look = isTrouble
    ? 'rotate-45 bg-off'
    : isTest
      ? 'rounded-full border-[3px] border-enamel'
      : 'rounded-full bg-ink';
  return <span aria-hidden="true" className={`mt-1.5 size-3 self-start ${look}`} />;
}
