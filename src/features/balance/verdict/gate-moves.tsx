import type { GateReading } from '@/core/formula/gates';
import type { Prediction } from '@/core/predict/predict-formula';
import { flowWords } from '@/ui/flow-words';
import { QUANTITY_WORDS } from '@/ui/quantity-words';

const mark = (lands: boolean) => (lands ? '✓' : '✕');

const momentOf = ({ moments }: Prediction, gate: GateReading) =>
  moments.find((reading) => reading.moment.name === gate.moment);

function titleOf(prediction: Prediction, gate: GateReading): string {
  const at = momentOf(prediction, gate);
  return at ? QUANTITY_WORDS[gate.quantity].title(at.moment) : gate.moment;
}

/** A gate's value in words where it is a flow, a cling or a set; nothing else has any. */
function wordsOf(prediction: Prediction, gate: GateReading): string | undefined {
  const at = momentOf(prediction, gate);
  return at && flowWords(gate.quantity, at, prediction.densityKgM3);
}

function figureOf({ quantity, value }: GateReading): string {
  const { number, unit } = QUANTITY_WORDS[quantity].show(value);
  return unit ? `${number}\u202f${unit}` : number;
}

/** The gates after a change: in words what it becomes, figures before and after small. */
export function GateMoves({ now, then }: { now: Prediction; then: Prediction }) {
  return (
    <ul className="mt-1 border-rule border-t pt-1 text-[12.5px]">
      {now.gates.map((gate, i) => {
        const after = then.gates[i];
        if (!after) return null;
        const words = wordsOf(then, after);
        const figures = `${figureOf(gate)} ${mark(gate.lands)} → ${figureOf(after)} ${mark(after.lands)}`;
        const off = after.lands ? '' : 'text-off';
        return (
          <li key={`${gate.moment}${gate.quantity}`} className="py-0.5">
            <span className="flex justify-between gap-2">
              <span className="shrink-0 text-mute">{titleOf(now, gate)}</span>
              <span className={`text-right ${off} ${words ? 'font-medium' : ''}`}>{words ?? figures}</span>
            </span>
            {words && <span className={`read block text-right text-[0.78rem] ${off || 'text-mute'}`}>{figures}</span>}
          </li>
        );
      })}
    </ul>
  );
}
