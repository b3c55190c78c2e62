import { BRIEF_REACH } from '@/formats/brief';
import type { FormulaFile } from '@/formats/formula-file';
import { centimetres } from '@/ui/format';
import { InlineChoice } from '@/ui/inline-choice';
import { InlineNumber } from '@/ui/inline-number';
import { inlineRules } from '@/ui/inline-rules';
import { Sentence } from '@/ui/sentence';
import { numeral } from '@/ui/settings/numerals';
import { ALTITUDE_REACH, DAMP_REACH, MICROWAVE_REACH, useStove } from '@/ui/use-stove';

const HOB_WORDS = { gas: 'gas', electric: 'an electric plate', induction: 'induction' } as const;
const WATTS = { w: 1, kw: 1000 };
const PAN = inlineRules(BRIEF_REACH.panCm, 'cm', '24');
const POWER = { ...inlineRules(BRIEF_REACH.powerW, 'W', '2000'), units: WATTS };
const ALTITUDE = { ...inlineRules(ALTITUDE_REACH, 'm', '400'), units: { m: 1, km: 1000 } };
const DAMP = { ...inlineRules(DAMP_REACH, '%', '50'), units: { '%': 1 } };
const MICROWAVE = { ...inlineRules(MICROWAVE_REACH, 'W', '800'), units: WATTS };

/** Where the kitchen lies, and how damp its air is: both decide when it boils, and how fast it dries. */
export function AirSentence() {
  const { altitudeM, setAltitudeM, dampPercent, setDampPercent } = useStove();
  return (
    <div className="text-mute">
      <Sentence
        words="In a kitchen {altitude} above the sea, its air {damp} damp."
        fields={{
          altitude: (
            <InlineNumber label="Metres above the sea" value={altitudeM} rules={ALTITUDE} onNumber={setAltitudeM} />
          ),
          damp: <InlineNumber label="Damp of the air" value={dampPercent} rules={DAMP} onNumber={setDampPercent} />,
        }}
      />
    </div>
  );
}

/** What it is worked with: the brief's pan and hob, or those beside this tablet. */
export function StoveSentence({ file, inMicrowave }: { file: Pick<FormulaFile, 'brief'>; inMicrowave: boolean }) {
  const stove = useStove();
  if (!inMicrowave && file.brief) {
    const { panCm, powerW, hob } = file.brief.making;
    return (
      <p className="mt-1 text-mute">
        In a pan {centimetres(panCm)} wide on {HOB_WORDS[hob]} of {numeral(powerW, 0)} W, as its brief says.
      </p>
    );
  }
  return (
    <div className="mt-1 text-[1.05rem]">
      <Sentence
        words={inMicrowave ? 'In a microwave of {microwave}.' : 'In a pan {pan} wide on {hob} of {power}.'}
        fields={{
          microwave: (
            <InlineNumber
              label="Microwave power"
              value={stove.microwaveW}
              rules={MICROWAVE}
              onNumber={stove.setMicrowaveW}
            />
          ),
          pan: <InlineNumber label="Pan width" value={stove.panCm} rules={PAN} onNumber={stove.setPanCm} />,
          hob: (
            <InlineChoice
              label="Hob"
              value={stove.hob}
              options={[
                ['gas', HOB_WORDS.gas],
                ['electric', HOB_WORDS.electric],
                ['induction', HOB_WORDS.induction],
              ]}
              onChoose={stove.setHob}
            />
          ),
          power: <InlineNumber label="Hob power" value={stove.powerW} rules={POWER} onNumber={stove.setPowerW} />,
        }}
      />
    </div>
  );
}
