import type { Ribbon } from '@/core/flow/ribbon';

/** How a sauce falls from a spoon, as it is seen. */
export const RIBBON_WORDS: Readonly<Record<Ribbon, string>> = {
  runs: 'It runs off the spoon like water.',
  falls: 'It falls in a ribbon that sinks in at once.',
  lies: 'It falls in a ribbon that lies for a moment.',
  mounds: 'It drops in lumps that stay.',
};

/** What a pan shows when it is hot enough, by how it is to boil. */
export const BOIL_WORDS = {
  boil: 'Bubbles rise all over, and stirring does not stop them.',
  simmer: 'Small bubbles rise at the edge.',
} as const;
