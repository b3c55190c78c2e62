import type { ScaleReading } from '@/formats/device';
import { Button } from '@/ui/button';
import { weight } from '@/ui/format';

/** What the scale shows for a row, and one press that takes it; where it says nothing, by hand goes on. */
export function ScaleLine({
  scale,
  name,
  isTaken,
  onTare,
  onTake,
}: {
  scale: ScaleReading;
  name: string;
  /** the row is weighed already */
  isTaken: boolean;
  onTare: () => void;
  onTake: (grams: number) => void;
}) {
  if (scale.kind === 'lost') return <p role="status">The scale says nothing: check its cable, or type the grams.</p>;
  if (scale.kind === 'overload') {
    return (
      <p role="alert" className="text-off">
        Too much for the scale: take some off, or weigh in two lots.
      </p>
    );
  }
  const { grams, isStill } = scale;
  return (
    <div className="mt-1 flex flex-wrap items-center gap-3">
      <span className="read text-[30px]" data-testid="scale">
        {weight(grams)}
      </span>
      <span className="text-mute">{isStill ? 'on the scale' : 'still moving…'}</span>
      <Button className="ml-auto min-h-12" onClick={onTare}>
        Tare
      </Button>
      <Button
        look={isTaken ? 'quiet' : 'primary'}
        className="min-h-12"
        disabled={!isStill || grams <= 0}
        aria-label={`Take what the scale shows: ${name}`}
        onClick={() => onTake(grams)}
      >
        Take it
      </Button>
    </div>
  );
}
