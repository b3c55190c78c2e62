import { HEAT_LEVELS, type HeatWord } from '@/core/method/step';

/** Turned fully up, the knob stands so far round, degrees. */
const SWEEP = 270;
const CENTRE = 48;
const MARKS = [0, 0.1, 0.2, 0.3, 0.4, 0.5, 0.6, 0.7, 0.8, 0.9, 1];

const at = (level: number, radius: number) => {
  const turn = ((level * SWEEP - SWEEP / 2 - 90) * Math.PI) / 180;
  return [CENTRE + radius * Math.cos(turn), CENTRE + radius * Math.sin(turn)] as const;
};

/** A hob's knob at its level: how far it is turned up. */
export function HeatKnob({ heat }: { heat: HeatWord | undefined }) {
  const level = heat === undefined || heat === 'bath' ? 0 : HEAT_LEVELS[heat];
  const [x, y] = at(level, 30);
  return (
    <svg viewBox="0 0 96 96" className="size-24" aria-hidden="true">
      {MARKS.map((mark) => {
        const [x1, y1] = at(mark, 40);
        const [x2, y2] = at(mark, 45);
        const isOn = level > 0 && mark <= level;
        return (
          <line
            key={mark}
            {...{ x1, y1, x2, y2 }}
            stroke={isOn ? 'var(--color-enamel)' : 'var(--color-mute)'}
            strokeWidth={isOn ? 4 : 2}
            strokeLinecap="round"
          />
        );
      })}
      <circle cx={CENTRE} cy={CENTRE} r={33} fill="var(--color-sheet)" stroke="var(--color-ink)" strokeWidth={3} />
      <line x1={CENTRE} y1={CENTRE} x2={x} y2={y} stroke="var(--color-ink)" strokeWidth={6} strokeLinecap="round" />
    </svg>
  );
}
