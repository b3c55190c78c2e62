'use client';

import { useState } from 'react';
import { Button } from '@/ui/button';
import { Sheet } from '@/ui/sheet';

/** Tags of a formula, typed with commas between them. */
export function TagsSheet({
  tags,
  onClose,
  onTake,
}: {
  tags: readonly string[];
  onClose: () => void;
  onTake: (tags: readonly string[]) => void;
}) {
  const [typed, setTyped] = useState(tags.join(', '));
  const read = [
    ...new Set(
      typed
        .split(',')
        .map((tag) => tag.trim())
        .filter(Boolean),
    ),
  ];
  const tooLong = read.find((tag) => tag.length > 40);
  const fault =
    read.length > 20 ? 'Twenty tags are the most.' : tooLong && `“${tooLong.slice(0, 20)}…” is too long for a tag.`;
  return (
    <Sheet
      title="Tags"
      width="narrow"
      asksFirst
      onClose={onClose}
      footer={
        <Button look="primary" disabled={fault !== undefined} onClick={() => onTake(read)}>
          Use these
        </Button>
      }
    >
      <label className="block">
        <span className="mb-1 block text-mute">Words to find it by, with commas between</span>
        <input
          data-autofocus
          className="h-11 w-full rounded-lg border border-rule bg-field px-3"
          value={typed}
          placeholder="boat, weekend, warm"
          onChange={(event) => setTyped(event.target.value)}
        />
      </label>
      {fault && (
        <p role="alert" className="mt-2 text-off">
          {fault}
        </p>
      )}
    </Sheet>
  );
}
