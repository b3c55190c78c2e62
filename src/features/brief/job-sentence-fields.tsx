'use client';

import type { ReactNode } from 'react';
import { type Job, SLOPES, type Slope } from '@/core/brief/job';
import { JOB_FACTS } from '@/core/uses/catalogue';
import { CASE_C, type Place } from '@/core/uses/places';
import { type PortionKey, portionKind, type SizeField } from '@/core/yields/portions';
import { BRIEF_REACH } from '@/formats/brief';
import { usualThings } from '@/kitchen/words/job-words';
import { celsius } from '@/ui/format';
import { InlineChoice } from '@/ui/inline-choice';
import { InlineNumber } from '@/ui/inline-number';
import { inlinePlain, inlineRules } from '@/ui/inline-rules';
import { InlineText } from '@/ui/inline-text';
import { NumberField } from '@/ui/number-field';
import type { AmountRules } from '@/ui/parse-amount';
import { Sentence } from '@/ui/sentence';
import { PORTION_WORDS, SIZE_SENTENCES, SLOPE_WORDS } from './brief-words';
import { countedAs } from './use-brief';

const COUNT = inlineRules(BRIEF_REACH.count, '', '48');
const WORK = inlineRules(BRIEF_REACH.workC, '°C', '34');
const EAT = inlineRules(BRIEF_REACH.eatC, '°C', '6');
const HOURS = inlineRules(BRIEF_REACH.hours, 'h', '24');

const places = (): readonly (readonly [Place, string])[] => [
  ['kitchen', 'the kitchen'],
  ['case', `the case at ${celsius(CASE_C)}`],
  ['fridge', 'the fridge'],
];

const EXTENT_LABELS = { coat: 'thick', depth: 'deep', height: 'high' } as const;

/** What the fields of a job's sentence are made from. */
export interface JobFieldsOf {
  readonly job: Job;
  /** a field's name for who does not see it: the job's, then what it asks */
  readonly label: (what: string) => string;
  readonly onJob: (change: Partial<Job>) => void;
  readonly kitchenC: number;
  /** only the first sentence speaks of the kitchen */
  readonly onKitchen: ((kitchenC: number) => void) | undefined;
}

/** The fields of a job's sentence, by their names in it; those its pieces do not ask for are left out. */
export function jobFields(of: JobFieldsOf): Readonly<Record<string, ReactNode | undefined>> {
  const { job, label, onJob, kitchenC, onKitchen } = of;
  const facts = JOB_FACTS[job.use];
  const kind = portionKind(job.portion);
  return {
    ...howMany(of),
    sizes: kind.fields.length > 0 ? <Sizes {...of} /> : undefined,
    mm: facts.extent && (
      <InlineNumber
        label={label(EXTENT_LABELS[facts.extent])}
        value={job.mm}
        rules={inlineRules(facts.reach, 'mm', String(facts.mm))}
        onNumber={(mm) => onJob({ mm })}
      />
    ),
    ...sidesAndRunOff(of),
    work: (
      <NumberField
        look="inline"
        label={label('worked at')}
        value={job.workC ?? facts.workC}
        optional={facts.workC === undefined}
        placeholder={inlinePlain(kitchenC)}
        rules={WORK}
        write={inlinePlain}
        onValue={(value) => onJob({ workC: value })}
      />
    ),
    kitchen: onKitchen && (
      <InlineNumber
        label="Kitchen temperature"
        value={kitchenC}
        rules={inlineRules(BRIEF_REACH.kitchenC, '°C', '22')}
        onNumber={onKitchen}
      />
    ),
    ...eatenLater(of),
  };
}

/** How many of what, and how they are counted. */
function howMany({ job, label, onJob }: JobFieldsOf) {
  const { portions } = JOB_FACTS[job.use];
  return {
    count: (
      <InlineNumber
        label={label('how many')}
        value={job.count}
        rules={COUNT}
        onNumber={(count) => onJob({ count: Math.round(count), guests: undefined, each: undefined })}
      />
    ),
    what: (
      <InlineText
        label={label('what')}
        value={job.what}
        placeholder={usualThings(job, job.count)}
        longest={80}
        onText={(what) => onJob({ what })}
      />
    ),
    counted:
      portions.length > 1 ? (
        <InlineChoice<PortionKey>
          label={label('counted as')}
          value={job.portion}
          options={portions.map((key) => [key, PORTION_WORDS[key]])}
          onChoose={(portion) => onJob(countedAs(job, portion))}
        />
      ) : undefined,
  };
}

/** How large each is, size by size. */
function Sizes({ job, label, onJob }: JobFieldsOf) {
  const { fields } = portionKind(job.portion);
  return fields.map((field, i) => (
    <span key={field.key}>
      {i > 0 && (field.unit === 'cm' && fields[i - 1]?.unit === 'cm' ? ' × ' : ', ')}
      <Sentence
        words={SIZE_SENTENCES[field.key] ?? '{size}'}
        fields={{
          size: (
            <InlineNumber
              label={label(field.key)}
              value={job.sizes[field.key]}
              rules={sizeRules(field)}
              onNumber={(value) => onJob({ sizes: { ...job.sizes, [field.key]: value } })}
            />
          ),
        }}
      />
    </span>
  ));
}

/** Which sides it goes over, how steep they are, and what becomes of what runs off. */
function sidesAndRunOff({ job, label, onJob }: JobFieldsOf) {
  const { sided } = portionKind(job.portion);
  return {
    sides: sided ? (
      <InlineChoice<'top' | 'all'>
        label={label('sides')}
        value={job.sides ? 'all' : 'top'}
        options={[
          ['top', 'the top'],
          ['all', 'top and sides'],
        ]}
        onChoose={(value) => onJob({ sides: value === 'all' })}
      />
    ) : undefined,
    slope: (
      <InlineChoice<Slope>
        label={label('slope')}
        value={job.slope}
        options={SLOPES.map((slope) => [slope, SLOPE_WORDS[slope]])}
        onChoose={(slope) => onJob({ slope })}
      />
    ),
    runOff:
      JOB_FACTS[job.use].runsOff > 0 && (sided || job.portion === 'dome') ? (
        <InlineChoice<'caught' | 'lost'>
          label={label('what runs off')}
          value={job.caught ? 'caught' : 'lost'}
          options={[
            ['caught', 'caught and used again'],
            ['lost', 'lost'],
          ]}
          onChoose={(value) => onJob({ caught: value === 'caught' })}
        />
      ) : undefined,
  };
}

/** Where it is kept until it is eaten. */
function eatenLater({ job, label, onJob }: JobFieldsOf) {
  return {
    place: (
      <InlineChoice
        label={label('kept in')}
        value={job.place}
        options={places()}
        onChoose={(place) => onJob({ place })}
      />
    ),
    hours: (
      <InlineNumber label={label('hours')} value={job.hours} rules={HOURS} onNumber={(hours) => onJob({ hours })} />
    ),
    eat: <InlineNumber label={label('eaten at')} value={job.eatC} rules={EAT} onNumber={(eatC) => onJob({ eatC })} />,
  };
}

function sizeRules({ unit, least, most, usual }: SizeField): AmountRules {
  return inlineRules([least, most], unit, String(usual));
}
