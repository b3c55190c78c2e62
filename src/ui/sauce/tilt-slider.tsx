import { degrees } from '@/ui/format';

const MOST_DEG = 20;

/** How far a plate or a pan is tilted; a double tap lays it level. */
export function TiltSlider({ of, value, onTilt }: { of: string; value: number; onTilt: (degrees: number) => void }) {
  return (
    <label className="flex min-h-11 flex-1 items-center gap-3 whitespace-nowrap">
      Tilt
      <input
        type="range"
        aria-label={`Tilt of ${of}`}
        aria-valuetext={degrees(value)}
        min={-MOST_DEG}
        max={MOST_DEG}
        step={1}
        value={value}
        className="h-11 w-full min-w-32 accent-enamel"
        onChange={({ target }) => onTilt(Number(target.value))}
        onDoubleClick={() => onTilt(0)}
      />
      <span className="read w-12 text-right">{value}°</span>
    </label>
  );
}
