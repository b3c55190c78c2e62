'use client';

import { type ClipboardEvent, type KeyboardEvent, useId, useState } from 'react';
import { type AmountRules, parseAmount } from './parse-amount';

interface NumberFieldProps {
  readonly label: string;
  readonly value: number | undefined;
  readonly rules: AmountRules;
  /** how the value is written into the field */
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
  /** `quiet`: without a frame and unit until it is worked in, with room for a line of text below */
  readonly look?: 'framed' | 'quiet';
  readonly onLeave?: () => void;
}

/**
 * A number as a cook types it. While what stands there cannot be read, a message stands beside it, what was typed stays, and the last good
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
  const [typed, setTyped] = useState<{ text: string; message: string | undefined } | undefined>();
  const shown = typed?.text ?? (value === undefined ? '' : write(value));

  const take = (text: string) => {
    if (optional && text.trim() === '') {
      setTyped({ text, message: undefined });
      onValue(undefined);
      return;
    }
    const parsed = parseAmount(text, rules);
    setTyped({ text, message: parsed.ok ? undefined : parsed.message });
    if (parsed.ok) onValue(parsed.value);
  };

  const onKeyDown = (event: KeyboardEvent<HTMLInputElement>) => {
    const direction = event.key === 'ArrowUp' ? 1 : event.key === 'ArrowDown' ? -1 : 0;
    if (direction !== 0) {
      event.preventDefault();
      const next = Math.min(
        Math.max((value ?? 0) + direction * step * (event.shiftKey ? 10 : 1), rules.least),
        rules.most,
      );
      const clean = Math.round(next * 1e6) / 1e6;
      setTyped(undefined);
      onValue(clean);
    } else if (event.key === 'Escape' && typed) {
      setTyped(undefined);
      event.stopPropagation();
    } else if (event.key === 'Enter' && !typed?.message) {
      setTyped(undefined);
    }
  };

  const onPaste = (event: ClipboardEvent<HTMLInputElement>) => {
    const text = event.clipboardData.getData('text');
    if (!/[\r\n]/.test(text.trim())) return;
    event.preventDefault();
    setTyped({ text: shown, message: 'That was several lines. Paste one number.' });
  };

  return (
    <div className={`relative ${className}`}>
      <label htmlFor={id} className={showLabel ? 'mb-1 block text-[0.86rem] text-mute' : 'sr-only'}>
        {label}
      </label>
      <div
        className={`flex h-11 items-center rounded-lg border focus-within:outline-2 focus-within:outline-enamel has-disabled:border-dashed has-disabled:bg-rule-soft ${
          typed?.message ? 'border-off' : look === 'framed' ? 'border-rule' : 'border-transparent'
        } ${look === 'framed' ? 'bg-field' : 'hover:border-rule'}`}
      >
        <input
          id={id}
          inputMode={rules.unitNeeded ? 'text' : 'decimal'}
          autoComplete="off"
          className={`read h-full w-full min-w-0 bg-transparent text-right focus-visible:outline-none ${
            look === 'framed' ? 'pl-2 text-[1.02rem]' : 'pb-4 text-[0.86rem]'
          }`}
          value={shown}
          placeholder={placeholder}
          disabled={disabled}
          aria-invalid={typed?.message !== undefined}
          aria-describedby={typed?.message ? `${id}-message` : undefined}
          onChange={(event) => take(event.target.value)}
          onFocus={(event) => event.target.select()}
          onBlur={() => {
            if (!typed?.message) setTyped(undefined);
            onLeave?.();
          }}
          onKeyDown={onKeyDown}
          onPaste={onPaste}
        />
        {look === 'framed' && (
          <span className="read pr-2 pl-1 text-[0.8rem] text-mute" aria-hidden="true">
            {rules.unit}
          </span>
        )}
      </div>
      {typed?.message && (
        <p
          id={`${id}-message`}
          role="alert"
          className="absolute top-full right-0 z-20 mt-1 w-max max-w-64 rounded-md border border-off/40 bg-off-wash px-2.5 py-1.5 text-left text-[13.5px] text-off shadow-lg"
        >
          {typed.message}
        </p>
      )}
    </div>
  );
}
