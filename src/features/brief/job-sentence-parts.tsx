'use client';

import { CASE_C, JOB_FACTS, type Job, type JobUse, type Place, SLOPES, type Slope } from '@/core/brief/job';
import { type PortionKey, portionKind, type SizeField } from '@/core/yields/portions';
import { BRIEF_REACH } from '@/formats/brief';
import { JOB_WORDS, usualThings } from '@/kitchen/words/job-words';
import { celsius } from '@/ui/format';
import { InlineChoice } from '@/ui/inline-choice';
import { inlinePlain, inlineRules } from '@/ui/inline-rules';
import { InlineText } from '@/ui/inline-text';
import { NumberField } from '@/ui/number-field';
import type { AmountRules } from '@/ui/parse-amount';
import { PORTION_WORDS, SIZE_WORDS, SLOPE_WORDS } from './brief-words';
import { Mark } from './mark';
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

/** Uses whose eating matters for a gate or for the keeping. */
const EATEN_LATER = new Set(['coat', 'glaze', 'dip', 'tart', 'shell', 'layers', 'sandwich', 'pipe', 'cover']);

/** Uses whose coat hangs on a side. */
const SIDED_USES: ReadonlySet<JobUse> = new Set(['coat', 'glaze', 'dip', 'cover']);

const EXTENT_WORDS = { coat: 'thick', depth: 'deep', height: 'high' } as const;

/** What each part of a job's sentence is made from. */
interface Part {
  readonly job: Job;
  /** a field's name for who does not see it: the job's, then what it asks */
  readonly label: (what: string) => string;
  readonly onJob: (change: Partial<Job>) => void;
}

/** “Coat 48 éclairs”: how many of what, and how they are counted. */
export function HowMany({ job, label, onJob }: Part) {
  const facts = JOB_FACTS[job.use];
  return (
    <>
      {JOB_WORDS[job.use].verb}{' '}
      <NumberField
        look="inline"
        label={label('how many')}
        value={job.count}
        rules={COUNT}
        write={inlinePlain}
        onValue={(value) => value !== undefined && onJob({ count: Math.round(value) })}
      />{' '}
      <InlineText
        label={label('what')}
        value={job.what}
        placeholder={job.portion === 'jar' ? (job.count === 1 ? 'jar' : 'jars') : usualThings(job.use, job.count)}
        longest={80}
        onText={(what) => onJob({ what })}
      />
      {facts.portions.length > 1 && (
        <>
          {' '}
          <InlineChoice<PortionKey>
            label={label('counted as')}
            value={job.portion}
            options={facts.portions.map((key) => [key, PORTION_WORDS[key]])}
            onChoose={(portion) => onJob(countedAs(job, portion))}
          />
        </>
      )}
    </>
  );
}

/** How large each is, and how thick, deep or high it is coated or filled. */
export function HowLarge({ job, label, onJob }: Part) {
  const facts = JOB_FACTS[job.use];
  const { fields } = portionKind(job.portion);
  return (
    <>
      {fields.map((field, i) => (
        <span key={field.key}>
          {i === 0 ? ' ' : field.unit === 'cm' && fields[i - 1]?.unit === 'cm' ? ' × ' : ', '}
          {field.key === 'nozzle' && 'through a '}
          <NumberField
            look="inline"
            label={label(`${field.key}`)}
            value={job.sizes[field.key]}
            rules={sizeRules(field)}
            write={inlinePlain}
            onValue={(value) => value !== undefined && onJob({ sizes: { ...job.sizes, [field.key]: value } })}
          />{' '}
          {SIZE_WORDS[field.key]}
        </span>
      ))}
      {facts.extent && (
        <>
          {facts.extent === 'coat' ? ' with ' : ', '}
          <NumberField
            look="inline"
            label={label(EXTENT_WORDS[facts.extent])}
            value={job.mm}
            rules={inlineRules(facts.reach, 'mm', String(facts.mm))}
            write={inlinePlain}
            onValue={(value) => value !== undefined && onJob({ mm: value })}
          />
          {facts.extent !== 'coat' && ` ${EXTENT_WORDS[facts.extent]}`}
        </>
      )}
    </>
  );
}

/** Which sides it goes over, and how steep they are. */
export function OverSides({ job, label, onJob }: Part) {
  const { sided } = portionKind(job.portion);
  return (
    <>
      {sided && (
        <>
          {' '}
          over{' '}
          <InlineChoice<'top' | 'all'>
            label={label('sides')}
            value={job.sides ? 'all' : 'top'}
            options={[
              ['top', 'the top'],
              ['all', 'top and sides'],
            ]}
            onChoose={(value) => onJob({ sides: value === 'all' })}
          />
        </>
      )}
      {SIDED_USES.has(job.use) && (
        <>
          <Mark>,</Mark> hanging on{' '}
          <InlineChoice<Slope>
            label={label('slope')}
            value={job.slope}
            options={SLOPES.map((slope) => [slope, SLOPE_WORDS[slope]])}
            onChoose={(slope) => onJob({ slope })}
          />
        </>
      )}
    </>
  );
}

/** At what temperature it is worked, and in what a kitchen. */
export function WorkedAt({
  job,
  label,
  onJob,
  kitchenC,
  onKitchen,
}: Part & {
  readonly kitchenC: number;
  /** only the first sentence speaks of the kitchen */
  readonly onKitchen: ((kitchenC: number) => void) | undefined;
}) {
  const { workC } = JOB_FACTS[job.use];
  return (
    <>
      <Mark>,</Mark> {JOB_WORDS[job.use].worked} at{' '}
      <NumberField
        look="inline"
        label={label('worked at')}
        value={job.workC ?? workC}
        optional={workC === undefined}
        placeholder={inlinePlain(kitchenC)}
        rules={WORK}
        write={inlinePlain}
        onValue={(value) => onJob({ workC: value })}
      />
      {onKitchen && (
        <>
          {' '}
          in a{' '}
          <NumberField
            look="inline"
            label="Kitchen temperature"
            value={kitchenC}
            rules={inlineRules(BRIEF_REACH.kitchenC, '°C', '22')}
            write={inlinePlain}
            onValue={(value) => value !== undefined && onKitchen(value)}
          />{' '}
          kitchen
        </>
      )}
    </>
  );
}

/** Where it is kept until it is eaten. */
export function EatenLater({ job, label, onJob }: Part) {
  return (
    <>
      {EATEN_LATER.has(job.use) && (
        <>
          <Mark>,</Mark> kept in{' '}
          <InlineChoice
            label={label('kept in')}
            value={job.place}
            options={places()}
            onChoose={(place) => onJob({ place })}
          />{' '}
          for <HoursField label={label('hours')} hours={job.hours} onHours={(hours) => onJob({ hours })} /> and eaten at{' '}
          <NumberField
            look="inline"
            label={label('eaten at')}
            value={job.eatC}
            rules={EAT}
            write={inlinePlain}
            onValue={(value) => value !== undefined && onJob({ eatC: value })}
          />
        </>
      )}
      {job.use === 'whip' && (
        <>
          {' '}
          after <HoursField label={label('hours')} hours={job.hours} onHours={(hours) => onJob({ hours })} /> in the
          fridge
        </>
      )}
    </>
  );
}

/** What becomes of what runs off. */
export function RunsOff({ job, label, onJob }: Part) {
  const facts = JOB_FACTS[job.use];
  const { sided } = portionKind(job.portion);
  return (
    <>
      {facts.runsOff > 0 && (sided || job.portion === 'dome') && (
        <>
          <Mark>;</Mark> what runs off is{' '}
          <InlineChoice<'caught' | 'lost'>
            label={label('what runs off')}
            value={job.caught ? 'caught' : 'lost'}
            options={[
              ['caught', 'caught and used again'],
              ['lost', 'lost'],
            ]}
            onChoose={(value) => onJob({ caught: value === 'caught' })}
          />
        </>
      )}
    </>
  );
}

function HoursField({ label, hours, onHours }: { label: string; hours: number; onHours: (hours: number) => void }) {
  return (
    <NumberField
      look="inline"
      label={label}
      value={hours}
      rules={HOURS}
      write={inlinePlain}
      onValue={(value) => value !== undefined && onHours(value)}
    />
  );
}

function sizeRules({ unit, least, most, usual }: SizeField): AmountRules {
  return inlineRules([least, most], unit, String(usual));
}
