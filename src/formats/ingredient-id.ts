import { name } from './moments-and-gates';

/** Whether a plain object has something under this name without being told. */
const isTaken = (id: string) => id in Object.prototype;

/** An ingredient's id: nothing that a plain object answers to by itself, nothing that cannot be seen. */
export const ingredientId = name(80).refine((id) => !isTaken(id) && !/\p{Cc}/u.test(id), {
  error: 'is not a usable id',
});

/** An id from a name: lower case, letters and digits, words joined by dashes. */
export function idFromName(text: string): string {
  const plain = text
    .normalize('NFKD')
    .replace(/\p{M}/gu, '')
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-+|-+$/g, '')
    .slice(0, 70);
  if (plain === '') return 'ingredient';
  return isTaken(plain) ? `${plain}-1` : plain;
}
