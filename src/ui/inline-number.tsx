'use client';

import { inlinePlain } from './inline-rules';
import { NumberField } from './number-field';
import type { AmountRules } from './parse-amount';

/** A number inside a sentence that always has a value. */
export function InlineNumber({
  label,
  value,
  rules,
  onNumber,
}: {
  label: string;
  value: number | undefined;
  rules: AmountRules;
  onNumber: (value: number) => void;
}) {
  return (
    <NumberField
      look="inline"
      label={label}
      value={value}
      rules={rules}
      write={inlinePlain}
      onValue={(typed) => typed !== undefined && onNumber(typed)}
    />
  );
}
