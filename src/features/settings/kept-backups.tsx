import type { BackupContents } from '@/formats/backup-file';
import type { Kept } from '@/kitchen/client/backups';
import { Button } from '@/ui/button';
import { numeral } from '@/ui/settings/numerals';
import { useSettings } from '@/ui/settings/settings-provider';

/** `12 formulas, 40 batches`. */
const contentsWords = ({ formulas, batches, ownIngredients, shelf }: BackupContents) =>
  [
    `${formulas} formulas`,
    `${batches} batches`,
    ownIngredients > 0 && `${ownIngredients} own ingredients`,
    shelf > 0 && `${shelf} on the shelf`,
  ]
    .filter(Boolean)
    .join(', ');

const HEADINGS: Readonly<Record<Kept['reason'], string>> = {
  daily: 'Made every day',
  beforeRestore: 'What was here before a backup was put back',
};

/** The backups that lie beside the data; each can be put back or taken along. */
export function KeptBackups({ kept, onOpen }: { kept: readonly Kept[]; onOpen: (name: string) => void }) {
  const { settings } = useSettings();
  const reasons = (['beforeRestore', 'daily'] as const).filter((reason) => kept.some((each) => each.reason === reason));
  return (
    <>
      <p className="mt-3 max-w-prose text-mute">
        Photos are in it. The backups kept here share one copy of each photo.
      </p>
      {kept.length === 0 && <p className="mt-2 text-mute">The first one is made within the hour.</p>}
      {reasons.map((reason) => (
        <section key={reason} aria-label={HEADINGS[reason]}>
          <h3 className="mt-4 mb-1 font-sans font-semibold">{HEADINGS[reason]}</h3>
          <ul className="max-w-2xl divide-y divide-rule">
            {kept
              .filter((each) => each.reason === reason)
              .map(({ name, day, madeAt, bytes, contents }) => {
                const when = madeAt ? new Date(madeAt).toLocaleString(settings.numbers) : day;
                return (
                  <li key={name} className="flex flex-wrap items-center gap-x-4 gap-y-1 py-1">
                    <a
                      href={`/api/backup?${new URLSearchParams({ name })}`}
                      className="inline-flex min-h-11 items-center text-enamel underline"
                    >
                      {when}
                    </a>
                    <span className="grow text-mute">
                      {contents ? `${contentsWords(contents)} · ` : ''}
                      {numeral(Math.max(bytes / 1024, 1), 0)} kB
                    </span>
                    <Button onClick={() => onOpen(name)} aria-label={`Look at it: ${when}`}>
                      Look at it…
                    </Button>
                  </li>
                );
              })}
          </ul>
        </section>
      ))}
    </>
  );
}
