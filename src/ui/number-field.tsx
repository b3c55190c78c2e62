'use client';

import { type ChangeEvent, type ClipboardEvent, type FocusEvent, type KeyboardEvent, useId, useState } from 'react';
import { type AmountRules, canBeTyped, type Proposal, parseAmount } from './parse-amount';
import { shownField } from './settings/shown-rules';

interface NumberFieldProps {
  readonly label: string;
  readonly value: number | undefined;
  readonly rules: AmountRules;
  /** how the value is written into the field, by decimal point; where the kitchen measures otherwise, that goes before */
  readonly write: (value: number) => string;
  readonly onValue: (value: number | undefined) => void;
  /** the field may be left empty; nothing is then an answer */
  readonly optional?: boolean;
  readonly disabled?: boolean;
  readonly className?: string;
  /** what one press of an arrow key adds; ten times with Shift */
  readonly step?: number;
  readonly showLabel?: boolean;
  readonly placeholder?: string;
  /**
   * `quiet`: without a frame and unit until it is worked in, with room for a line of text below; `inline`: a word in a sentence, underlined, as
   * wide as what stands in it
   */
  readonly look?: keyof typeof LOOKS;
  readonly onLeave?: () => void;
}

/** What stands in the field while it is worked in. */
interface Typed {
  readonly text: string;
  readonly message: string | undefined;
  readonly proposals?: readonly Proposal[];
}

const LOOKS = {
  framed: {
    root: 'relative',
    box: 'flex h-11 items-center rounded-lg border bg-field',
    rest: 'border-rule',
    input: 'h-full w-full text-right pl-2 text-[1.02rem]',
    unit: 'read pr-2 pl-1 text-[0.8rem] text-mute',
  },
  quiet: {
    root: 'relative',
    box: 'flex h-11 items-center rounded-lg border hover:border-rule',
    rest: 'border-transparent',
    input: 'h-full w-full text-right pb-4 text-[0.86rem]',
    unit: 'sr-only',
  },
  inline: {
    root: 'relative inline-block align-baseline',
    box: 'inline-flex h-9 min-w-11 items-center justify-center rounded-t-md border-b-2 px-1 leading-none text-enamel hover:bg-enamel-wash',
    rest: 'border-enamel',
    // a finger's width high, whatever the line's height
    input: '-my-1 h-11 min-w-[1.6ch] field-sizing-content text-right text-[0.94em] placeholder:text-enamel',
    unit: 'pl-[0.25em]',
  },
} as const;

/** What is typed into a field and what it comes to. */
function useTyped({
  value,
  rules,
  write,
  onValue,
  optional,
  step,
  onLeave,
}: Pick<NumberFieldProps, 'value' | 'rules' | 'write' | 'onValue' | 'onLeave'> & { optional: boolean; step: number }) {
  const [typed, setTyped] = useState<Typed | undefined>();
  // What “3x” takes three times: what stood there before it was typed.
  const [before, setBefore] = useState<number | undefined>();
  const field = shownField(rules, write);
  const shown = typed?.text ?? (value === undefined ? '' : field.text(value));

  const take = (text: string) => {
    if (optional && text.trim() === '') {
      setTyped({ text, message: undefined });
      onValue(undefined);
      return;
    }
    const now = before ?? value;
    const parsed = parseAmount(text, field.rules, now === undefined ? undefined : field.toShown(now));
    setTyped(parsed.ok ? { text, message: undefined } : { ...parsed, text });
    if (parsed.ok) onValue(field.toKept(parsed.value));
  };

  const onKeyDown = (event: KeyboardEvent<HTMLInputElement>) => {
    const direction = event.key === 'ArrowUp' ? 1 : event.key === 'ArrowDown' ? -1 : 0;
    if (direction !== 0) {
      event.preventDefault();
      const next = field.toShown(value ?? 0) + direction * step * field.step * (event.shiftKey ? 10 : 1);
      const clean = Math.round(Math.min(Math.max(next, field.rules.least), field.rules.most) * 1e6) / 1e6;
      setTyped(undefined);
      onValue(field.toKept(clean));
    } else if (event.key === 'Escape') {
      // Leaves the field; the first press with something unreadable in it only takes that away.
      event.stopPropagation();
      if (typed?.message) setTyped(undefined);
      else event.currentTarget.blur();
    } else if (event.key === 'Enter' && !typed?.message) {
      event.currentTarget.blur();
    } else if (!event.ctrlKey && !event.metaKey && !event.altKey && !canBeTyped(event.key, field.rules)) {
      event.preventDefault();
    }
  };

  const onPaste = (event: ClipboardEvent<HTMLInputElement>) => {
    const text = event.clipboardData.getData('text');
    if (!/[\r\n]/.test(text.trim())) return;
    event.preventDefault();
    setTyped({ text: shown, message: 'That was several lines. Paste one number.' });
  };

  return {
    typed,
    setTyped,
    field,
    shown,
    onChange: (event: ChangeEvent<HTMLInputElement>) => take(event.target.value),
    onFocus: (event: FocusEvent<HTMLInputElement>) => {
      setBefore(value);
      event.target.select();
    },
    onBlur: () => {
      if (!typed?.message) setTyped(undefined);
      onLeave?.();
    },
    onKeyDown,
    onPaste,
  };
}

/**
 * A number as a cook types it, in the units of the kitchen. While what stands there cannot be read, a message stands beside it, what was typed stays, and the last good
 * value goes on counting.
 */
export function NumberField({
  label,
  value,
  rules,
  write,
  onValue,
  optional = false,
  disabled = false,
  className = '',
  step = 1,
  showLabel = false,
  placeholder,
  look = 'framed',
  onLeave,
}: NumberFieldProps) {
  const id = useId();
  const { typed, setTyped, field, shown, ...handlers } = useTyped({
    value,
    rules,
    write,
    onValue,
    optional,
    step,
    onLeave,
  });
  return (
    <div className={`${LOOKS[look].root} ${className}`}>
      {/* All of the box takes a finger, its unit too. */}
      <label htmlFor={id} className={look === 'inline' ? '' : 'block'}>
        <span id={`${id}-label`} className={showLabel ? 'mb-1 block text-[0.86rem] text-mute' : 'sr-only'}>
          {label}
        </span>
        <span
          className={`${LOOKS[look].box} focus-within:outline-2 focus-within:outline-enamel has-disabled:border-dashed has-disabled:bg-rule-soft ${
            typed?.message ? 'border-off' : LOOKS[look].rest
          }`}
        >
          <input
            id={id}
            aria-labelledby={`${id}-label`}
            // A keypad without letters or a stroke could type no measure.
            inputMode={rules.measures || rules.unitNeeded ? 'text' : 'decimal'}
            autoComplete="off"
            // For browsers that do not size a field by what stands in it.
            size={look === 'inline' ? Math.max((shown || placeholder || '').length, 2) : undefined}
            className={`read min-w-0 bg-transparent focus-visible:outline-none ${LOOKS[look].input}`}
            value={shown}
            placeholder={placeholder}
            disabled={disabled}
            aria-invalid={typed?.message !== undefined}
            aria-describedby={typed?.message ? `${id}-message` : undefined}
            {...handlers}
          />
          <span className={LOOKS[look].unit} aria-hidden="true">
            {field.rules.unit}
          </span>
        </span>
      </label>
      {typed?.message && (
        <Message
          id={`${id}-message`}
          text={typed.message}
          proposals={typed.proposals}
          onProposal={(proposal) => {
            setTyped(undefined);
            onValue(field.toKept(proposal.value));
          }}
        />
      )}
    </div>
  );
}

/** Why what stands in the field cannot be read, and what may have been meant. */
function Message({
  id,
  text,
  proposals,
  onProposal,
}: {
  id: string;
  text: string;
  proposals: readonly Proposal[] | undefined;
  onProposal: (proposal: Proposal) => void;
}) {
  return (
    <div
      id={id}
      role="alert"
      className="absolute top-full right-0 z-20 font-sans leading-normal font-normal mt-1 w-max max-w-64 rounded-md border border-off/40 bg-off-wash px-2.5 py-1.5 text-left text-[13.5px] text-off shadow-lg"
    >
      {text}
      {proposals && (
        <span className="mt-1 flex flex-wrap gap-1.5">
          {proposals.map((proposal) => (
            <button
              key={proposal.label}
              type="button"
              className="min-h-11 rounded-md border border-rule bg-sheet px-2.5 font-medium text-ink"
              // The field keeps the focus: leaving it first would take the message away.
              onPointerDown={(event) => event.preventDefault()}
              onClick={() => onProposal(proposal)}
            >
              {proposal.label}
            </button>
          ))}
        </span>
      )}
    </div>
  );
}
