import type { StoredFormula } from '@/formats/server-answers';

/** Where the open formula stands with what is kept. */
export type SaveState =
  | { readonly kind: 'opening' }
  | { readonly kind: 'saved' }
  /** another tablet's save was opened here, where nothing was typed */
  | { readonly kind: 'followed'; readonly at: string }
  | { readonly kind: 'waiting' }
  | { readonly kind: 'saving' }
  | { readonly kind: 'failed'; readonly message: string }
  | { readonly kind: 'stale'; readonly theirs: StoredFormula }
  | { readonly kind: 'gone' };
