import { Document, Page, Path, renderToBuffer, StyleSheet, Svg, Text, View } from '@react-pdf/renderer';
import { LABEL_SIZES, type LabelSize } from '@/formats/label';
import { registerFonts, SANS } from '@/ui/paper/pdf-fonts';
import { pdfLetters } from '@/ui/paper/pdf-letters';
import type { Code } from './code';
import type { Face, Mark } from './layout';
import { sheets } from './sheets';

/** Points in a millimetre. */
const PT = 72 / 25.4;
/** Above the line letters stand on, of their height, as the library sets a line. */
const ASCENT = 0.928;

const styles = StyleSheet.create({
  page: { fontFamily: SANS },
  mark: { position: 'absolute' },
});

/** Sheets of labels in real millimetres on A4. */
export function labelPdf(name: string, size: LabelSize, faces: readonly Face[], count: number, code: Code | undefined) {
  registerFonts();
  const { plain } = pdfLetters(faces);
  const { widthMm, heightMm } = LABEL_SIZES[size];
  return renderToBuffer(
    <Document title={name}>
      {sheets(size, faces, count).map((sheet, i) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: sheets are alike
        <Page key={i} size="A4" style={styles.page}>
          {sheet.map(({ face, xMm, yMm }) => (
            <View
              key={`${xMm} ${yMm}`}
              style={{ ...styles.mark, left: xMm * PT, top: yMm * PT, width: widthMm * PT, height: heightMm * PT }}
            >
              {face.map((mark) => (
                <Drawn key={`${mark.kind} ${mark.x} ${mark.y}`} mark={mark} code={code} plain={plain} />
              ))}
            </View>
          ))}
        </Page>
      ))}
    </Document>,
  );
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
