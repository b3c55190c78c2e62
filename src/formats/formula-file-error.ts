/** Thrown when a file cannot be read as a formula; the message says where and why. */
export class FormulaFileError extends Error {
  override readonly name = 'FormulaFileError';
}
