import { Document, Page, renderToBuffer, StyleSheet, Text, View } from '@react-pdf/renderer';
import { MONO, registerFonts, SANS } from '@/ui/paper/pdf-fonts';
import { pdfLetters } from '@/ui/paper/pdf-letters';
import type { BenchCard } from './bench-card';

const styles = StyleSheet.create({
  page: { padding: 40, fontSize: 10.5, fontFamily: SANS },
  title: { fontSize: 20, fontWeight: 'bold', marginBottom: 6 },
  heading: { fontSize: 12, fontWeight: 'bold', marginTop: 12, marginBottom: 3 },
  row: { flexDirection: 'row', borderBottomWidth: 0.5, borderColor: '#999', paddingVertical: 3 },
  grams: { width: 64, textAlign: 'right', fontFamily: MONO },
  measure: { width: 80, paddingLeft: 10, fontSize: 9 },
  name: { flex: 1, fontWeight: 'bold' },
  how: { width: 130 },
  small: { fontSize: 9, marginTop: 2 },
});

/** A bench card as a PDF of one page. Letters its fonts do not have are told. */
export function cardPdf(card: BenchCard): Promise<Buffer> {
  registerFonts();
  const { plain, missing } = pdfLetters(card);
  return renderToBuffer(
    <Document title={card.name}>
      <Page size="A4" style={styles.page}>
        <Text style={styles.title}>{plain(card.name)}</Text>
        {card.job !== '' && <Text style={styles.heading}>{plain(card.job)}</Text>}
        {card.note !== '' && <Text>{plain(card.note)}</Text>}
        {card.stages.map(({ title, rows }) => (
          <View key={`${title} ${rows[0]?.name}`}>
            {title !== '' && <Text style={styles.heading}>{title}</Text>}
            {rows.map((row) => (
              <View key={`${row.name} ${row.grams} ${row.how}`} style={styles.row}>
                <Text style={styles.grams}>{plain(row.grams)}</Text>
                <Text style={styles.measure}>{plain(row.measure)}</Text>
                <Text style={styles.name}>{plain(row.name)}</Text>
                <Text style={styles.how}>{plain(row.how)}</Text>
              </View>
            ))}
          </View>
        ))}
        <Text style={styles.small}>{plain(card.total)}</Text>
        <Text style={styles.heading}>What it will be like</Text>
        {card.moments.map(({ name, at, like }) => (
          <Text key={name}>{plain(`${name} (${at}): ${like}`)}</Text>
        ))}
        <Text style={styles.small}>{plain(card.figures)}</Text>
        <Text style={styles.heading}>Gates</Text>
        {card.gates.map((gate) => (
          <Text key={gate}>{plain(gate)}</Text>
        ))}
        <Text style={styles.heading}>Contains {plain(card.allergens)}</Text>
        {card.mayContain !== '' && <Text>{plain(`May contain ${card.mayContain}`)}</Text>}
        {card.notKnown.map((sentence) => (
          <Text key={sentence}>{plain(sentence)}</Text>
        ))}
        {missing > 0 && (
          <Text style={styles.small}>
            This file has no letters for some of what is written here ({missing} of them): print the card from its page
            instead.
          </Text>
        )}
        {card.cautions.map((caution) => (
          <Text key={caution} style={styles.small}>
            {plain(caution)}
          </Text>
        ))}
      </Page>
    </Document>,
  );
}
