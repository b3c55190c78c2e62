import { Document, Page, renderToBuffer, StyleSheet, Text, View } from '@react-pdf/renderer';
import { MONO, registerFonts, SANS } from '@/ui/paper/pdf-fonts';
import { pdfLetters } from '@/ui/paper/pdf-letters';
import type { MethodPaper } from './method-paper';

const styles = StyleSheet.create({
  page: { padding: 40, fontSize: 10.5, fontFamily: SANS },
  title: { fontSize: 20, fontWeight: 'bold', marginBottom: 6 },
  step: { flexDirection: 'row', borderBottomWidth: 0.5, borderColor: '#999', paddingVertical: 5 },
  place: { width: 24, fontFamily: MONO },
  what: { flex: 1 },
  name: { fontWeight: 'bold' },
  figures: { width: 70, textAlign: 'right', fontFamily: MONO },
  weigh: { marginTop: 8, marginBottom: 8, borderTopWidth: 0.5, borderColor: '#999' },
  row: { flexDirection: 'row', borderBottomWidth: 0.5, borderColor: '#ccc', paddingVertical: 2 },
  small: { fontSize: 9, marginTop: 2 },
});

/** A method card as a PDF; a step is never parted over two pages. Letters its fonts do not have are told. */
export function methodPdf(paper: MethodPaper): Promise<Buffer> {
  registerFonts();
  const { plain, missing } = pdfLetters(paper);
  return renderToBuffer(
    <Document title={paper.name}>
      <Page size="A4" style={styles.page}>
        <Text style={styles.title}>{plain(paper.name)}</Text>
        <Text>{plain([paper.about, paper.pours].filter((words) => words !== '').join(' '))}</Text>
        <Text style={styles.small}>{plain(paper.needs)}</Text>
        <View style={styles.weigh}>
          {paper.weigh.map(([name, weight], i) => (
            // biome-ignore lint/suspicious/noArrayIndexKey: rows of a formula may be alike
            <View key={i} style={styles.row}>
              <Text style={styles.what}>{plain(name)}</Text>
              <Text style={styles.figures}>{plain(weight)}</Text>
            </View>
          ))}
        </View>
        {paper.steps.map(({ name, rows, how, looks, note, time, at, warmth, caution }, i) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: steps stand in the order of the work; two may be alike
          <View key={i} style={styles.step} wrap={false}>
            <Text style={styles.place}>{i + 1}</Text>
            <View style={styles.what}>
              <Text style={styles.name}>{plain(name)}</Text>
              {rows !== '' && <Text>{plain(rows)}</Text>}
              <Text style={styles.small}>{plain([how, looks].filter((words) => words !== '').join('. '))}</Text>
              {note !== '' && <Text style={styles.small}>{plain(note)}</Text>}
              {caution !== '' && <Text style={styles.small}>{plain(caution)}</Text>}
            </View>
            <View style={styles.figures}>
              {at !== '' && <Text style={styles.name}>{at}</Text>}
              <Text>{plain(time)}</Text>
              {warmth !== '' && <Text>{plain(warmth)}</Text>}
            </View>
          </View>
        ))}
        {missing > 0 && (
          <Text style={styles.small}>
            This file has no letters for some of what is written here ({missing} of them): print the card from its page
            instead.
          </Text>
        )}
        <Text style={styles.small}>{plain(paper.code)}</Text>
      </Page>
    </Document>,
  );
}
