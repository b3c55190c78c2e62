import { BRIEF_REACH } from '@/formats/brief';
import type { FormulaFile } from '@/formats/formula-file';
import { centimetres } from '@/ui/format';
import { InlineChoice } from '@/ui/inline-choice';
import { inlinePlain, inlineRules } from '@/ui/inline-rules';
import { NumberField } from '@/ui/number-field';
import { numeral } from '@/ui/settings/numerals';
import { MICROWAVE_REACH, useStove } from '@/ui/use-stove';

const HOB_WORDS = { gas: 'gas', electric: 'an electric plate', induction: 'induction' } as const;
const WATTS = { w: 1, kw: 1000 };
const PAN = inlineRules(BRIEF_REACH.panCm, 'cm', '24');
const POWER = { ...inlineRules(BRIEF_REACH.powerW, 'W', '2000'), units: WATTS };
const MICROWAVE = { ...inlineRules(MICROWAVE_REACH, 'W', '800'), units: WATTS };

/** What it is worked with: the brief's pan and hob, or those beside this tablet. */
export function StoveSentence({ file, inMicrowave }: { file: Pick<FormulaFile, 'brief'>; inMicrowave: boolean }) {
  const stove = useStove();
  if (inMicrowave) {
    return (
      <div className="mt-1 text-[1.05rem]">
        In a microwave of{' '}
        <NumberField
          look="inline"
          label="Microwave power"
          value={stove.microwaveW}
          rules={MICROWAVE}
          write={inlinePlain}
          onValue={(value) => value !== undefined && stove.setMicrowaveW(value)}
        />
        .
      </div>
    );
  }
  if (file.brief) {
    const { panCm, powerW, hob } = file.brief.making;
    return (
      <p className="mt-1 text-mute">
        In a pan {centimetres(panCm)} wide on {HOB_WORDS[hob]} of {numeral(powerW, 0)} W, as its brief says.
      </p>
    );
  }
  return (
    <div className="mt-1 text-[1.05rem]">
      In a pan{' '}
      <NumberField
        look="inline"
        label="Pan width"
        value={stove.panCm}
        rules={PAN}
        write={inlinePlain}
        onValue={(value) => value !== undefined && stove.setPanCm(value)}
      />{' '}
      wide on{' '}
      <InlineChoice
        label="Hob"
        value={stove.hob}
        options={[
          ['gas', HOB_WORDS.gas],
          ['electric', HOB_WORDS.electric],
          ['induction', HOB_WORDS.induction],
        ]}
        onChoose={stove.setHob}
      />{' '}
      of{' '}
      <NumberField
        look="inline"
        label="Hob power"
        value={stove.powerW}
        rules={POWER}
        write={inlinePlain}
        onValue={(value) => value !== undefined && stove.setPowerW(value)}
      />
      .
    </div>
  );
}
