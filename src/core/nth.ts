const nothing = (place: number, length: number) => new RangeError(`nothing at place ${place} of ${length}`);

/**
 * The value at a place that is known to be there: an index made from the list's own length.
 *
 * @throws {RangeError} there is nothing at that place
 */
export function nth<T>(list: ArrayLike<T>, place: number): T {
  const value = list[place];
  if (value === undefined) throw nothing(place, list.length);
  return value;
}
