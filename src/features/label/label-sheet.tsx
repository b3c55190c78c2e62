import { LABEL_SIZES, type LabelSize } from '@/formats/label';
import type { Code } from './code';
import type { Face, Mark } from './layout';
import { sheets } from './sheets';

const A4 = { widthMm: 210, heightMm: 297 } as const;

/** Sheets of labels as they come out of the printer, drawn in millimetres. */
export function LabelSheets({
  size,
  faces,
  count,
  code,
}: {
  size: LabelSize;
  faces: readonly Face[];
  count: number;
  code: Code | undefined;
}) {
  const { widthMm, heightMm } = LABEL_SIZES[size];
  return sheets(size, faces, count).map((sheet, i) => (
    <svg
      // biome-ignore lint/suspicious/noArrayIndexKey: sheets are alike
      key={i}
      viewBox={`0 0 ${A4.widthMm} ${A4.heightMm}`}
      width={`${A4.widthMm}mm`}
      height={`${A4.heightMm}mm`}
      className="label-sheet h-auto max-w-full bg-white text-black shadow-md"
      role="img"
      aria-label={`Sheet ${i + 1}: ${sheet.length} labels`}
    >
      {sheet.map(({ face, xMm, yMm }) => (
        <g key={`${xMm} ${yMm}`} transform={`translate(${xMm} ${yMm})`}>
          <rect
            width={widthMm}
            height={heightMm}
            fill="none"
            stroke="#c9d2d4"
            strokeWidth={0.15}
            className="no-print"
          />
          <FaceMarks face={face} code={code} />
        </g>
      ))}
    </svg>
  ));
}

/** What stands on one label. */
export function FaceMarks({ face, code }: { face: Face; code: Code | undefined }) {
  return face.map((mark) => <Drawn key={`${mark.kind} ${mark.x} ${mark.y}`} mark={mark} code={code} />);
}

function Drawn({ mark, code }: { mark: Mark; code: Code | undefined }) {
  if (mark.kind === 'rule') {
    return <path d={`M${mark.x} ${mark.y}h${mark.widthMm}`} stroke="#999" strokeWidth={0.1} />;
  }
  if (mark.kind === 'code') {
    return (
      <path
        transform={`translate(${mark.x} ${mark.y}) scale(${mark.sideMm / (code?.side ?? 1)})`}
        d={code?.path}
        fill="#000"
      />
    );
  }
  return (
    <text
      x={mark.x}
      y={mark.y}
      fontSize={mark.letterMm}
      fontWeight={mark.isBold ? 700 : 400}
      textLength={mark.widthMm}
      lengthAdjust="spacingAndGlyphs"
      fontFamily="'DejaVu Sans', Verdana, sans-serif"
    >
      {mark.text}
    </text>
  );
}
