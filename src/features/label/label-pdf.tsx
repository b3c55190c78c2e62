import { Document, Page, Path, renderToBuffer, StyleSheet, Svg, Text, View } from '@react-pdf/renderer';
import { PDFDocument } from 'pdf-lib';
import { LABEL_SIZES, type LabelSize } from '@/formats/label';
import { registerFonts, SANS } from '@/ui/paper/pdf-fonts';
import { pdfLetters } from '@/ui/paper/pdf-letters';
import type { Code } from './code';
import type { Face, Mark } from './layout';
import { A4, sheets } from './sheets';

/** Points in a millimetre. */
const PT = 72 / 25.4;
/** Above the line letters stand on, of their height, as the library sets a line. */
const ASCENT = 0.928;

const styles = StyleSheet.create({
  page: { fontFamily: SANS },
  mark: { position: 'absolute' },
});

/** What is printed: so many labels, each with all its faces. */
export interface LabelPrint {
  readonly name: string;
  readonly size: LabelSize;
  readonly faces: readonly Face[];
  readonly count: number;
  readonly code: Code | undefined;
}

/** Each face once, on a page of its own size. */
function facesPdf({ name, size, faces, code }: LabelPrint): Promise<Buffer> {
  registerFonts();
  const { plain } = pdfLetters(faces);
  const { widthMm, heightMm } = LABEL_SIZES[size];
  return renderToBuffer(
    <Document title={name}>
      {faces.map((face, i) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: faces in their order
        <Page key={i} size={[widthMm * PT, heightMm * PT]} style={styles.page}>
          {face.map((mark) => (
            <Drawn key={`${mark.kind} ${mark.x} ${mark.y}`} mark={mark} code={code} plain={plain} />
          ))}
        </Page>
      ))}
    </Document>,
  );
}

/** Sheets of labels in real millimetres on A4: each face is drawn once and laid wherever it is wanted, so that hundreds of them take no longer than one. */
export async function labelPdf(print: LabelPrint): Promise<Uint8Array> {
  const { name, size, faces, count } = print;
  const { widthMm, heightMm } = LABEL_SIZES[size];
  const sheet = await PDFDocument.create();
  sheet.setTitle(name);
  const drawn = await sheet.embedPdf(
    await facesPdf(print),
    faces.map((_, i) => i),
  );
  for (const placed of sheets(size, faces, count)) {
    const page = sheet.addPage([A4.widthMm * PT, A4.heightMm * PT]);
    for (const { face, xMm, yMm } of placed) {
      const own = drawn[faces.indexOf(face)];
      // Paper is measured from below there.
      if (own)
        page.drawPage(own, {
          x: xMm * PT,
          y: (A4.heightMm - yMm - heightMm) * PT,
          width: widthMm * PT,
          height: heightMm * PT,
        });
    }
  }
  return sheet.save();
}

function Drawn({ mark, code, plain }: { mark: Mark; code: Code | undefined; plain: (text: string) => string }) {
  if (mark.kind === 'rule') {
    return (
      <View
        style={{
          ...styles.mark,
          left: mark.x * PT,
          top: mark.y * PT,
          width: mark.widthMm * PT,
          borderBottomWidth: 0.3,
          borderColor: '#999',
        }}
      />
    );
  }
  if (mark.kind === 'code') {
    const side = mark.sideMm * PT;
    return (
      <Svg
        style={{ ...styles.mark, left: mark.x * PT, top: mark.y * PT, width: side, height: side }}
        viewBox={`0 0 ${code?.side ?? 1} ${code?.side ?? 1}`}
      >
        <Path d={code?.path ?? ''} fill="#000" />
      </Svg>
    );
  }
  return (
    <Text
      wrap={false}
      style={{
        ...styles.mark,
        left: mark.x * PT,
        top: (mark.y - ASCENT * mark.letterMm) * PT,
        // A little more than it takes, so that rounding never breaks a line.
        width: (mark.widthMm + 1) * PT,
        fontSize: mark.letterMm * PT,
        lineHeight: 1,
        ...(mark.isBold ? { fontWeight: 'bold' } : {}),
      }}
    >
      {plain(mark.text)}
    </Text>
  );
}
