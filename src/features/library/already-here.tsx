import type { Comparison } from '@/formats/library-file';
import type { Take } from '@/kitchen/client/library';
import { Button } from '@/ui/button';
import { Sheet } from '@/ui/sheet';

const many = (count: number) => (count === 1 ? '1 formula' : `${count} formulas`);

/** Asks, once, what to do with formulas of a file that are here already. */
export function AlreadyHere({
  here: { absent, same, newerHere, newerInFile },
  onTake,
  onClose,
}: {
  here: Comparison;
  onTake: (take: Take) => void;
  onClose: () => void;
}) {
  const differ = newerHere + newerInFile;
  return (
    <Sheet title="Some of these are here already" onClose={onClose}>
      <ul className="mb-4 list-disc space-y-1 pl-5">
        {same > 0 && (
          <li>
            {many(same)} here as in the file: left as {same === 1 ? 'it is' : 'they are'}.
          </li>
        )}
        {newerInFile > 0 && <li>{many(newerInFile)} changed in the file.</li>}
        {newerHere > 0 && <li>{many(newerHere)} changed here since the file was made.</li>}
        <li>{absent === 0 ? 'Nothing in it is new.' : `${many(absent)} new.`}</li>
      </ul>
      {differ > 0 && (
        <p className="mb-3 text-mute">
          What the file takes the place of stays as a version, so that nothing is lost either way.
        </p>
      )}
      <div className="flex flex-wrap gap-2">
        {absent > 0 && (
          <Button look="primary" onClick={() => onTake('new')}>
            Add {absent === 1 ? 'the new one' : `the ${absent} new ones`}
          </Button>
        )}
        {differ > 0 && (
          <>
            <Button onClick={() => onTake('file')}>Take the file’s</Button>
            <Button onClick={() => onTake('both')}>Keep both</Button>
          </>
        )}
        <Button look="bare" onClick={onClose}>
          {absent === 0 && differ === 0 ? 'Good' : 'Leave it'}
        </Button>
      </div>
    </Sheet>
  );
}
