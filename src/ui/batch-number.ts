/** A batch's number as it stands on a label: `0412`. */
export const batchNumber = (number: number) => String(number).padStart(4, '0');
