import qrCode from 'qrcode';

/** A QR code as squares of one unit, and how many of them it has a side. */
export interface Code {
  readonly side: number;
  readonly path: string;
}

/** The QR code of an address, drawn as rows of squares; it reads with a sixth of it dirty. */
export function codeOf(address: string): Code {
  const { modules } = qrCode.create(address, { errorCorrectionLevel: 'M' });
  const { size } = modules;
  const squares: string[] = [];
  for (let row = 0; row < size; row++) {
    for (let column = 0; column < size; column++) {
      if (modules.get(row, column)) squares.push(`M${column} ${row}h1v1h-1z`);
    }
  }
  return { side: size, path: squares.join('') };
}
