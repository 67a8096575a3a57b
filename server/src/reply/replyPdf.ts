import pdfmake from 'pdfmake';

/** Folder of the fonts that ship with the interface. */
export type FontFolder = string;

const TITLE =
  /^(What we think|How we know|What to do|How much|When|Take care|What would change our mind|When to call again|Who to turn to|Labels and local rules come first)/;

/**
 * A reply on one page of A4: the letter as the advisor saw it, nothing else.
 * @param fonts folder with SourceSans3-Regular.ttf and SourceSans3-Semibold.ttf
 * @returns the file
 */
export async function replyPdf(desk: string, body: string, fonts: FontFolder): Promise<Buffer> {
  pdfmake.setFonts({
    Source: {
      normal: `${fonts}/SourceSans3-Regular.ttf`,
      bold: `${fonts}/SourceSans3-Semibold.ttf`,
      italics: `${fonts}/SourceSans3-Regular.ttf`,
      bolditalics: `${fonts}/SourceSans3-Semibold.ttf`,
    },
  });
  pdfmake.setUrlAccessPolicy(() => false);
  pdfmake.setLocalAccessPolicy((path: string) => path.startsWith(fonts));
  const lines = body.split('\n');
  // a long letter is set smaller before it takes a second page
  const fontSize = body.length > 3600 ? 9 : body.length > 2600 ? 10 : 11;
  const document = pdfmake.createPdf({
    pageSize: 'A4',
    pageMargins: [56, 54, 56, 50],
    info: { title: desk },
    defaultStyle: { font: 'Source', fontSize, lineHeight: 1.18 },
    content: [
      { text: desk, fontSize: 18, bold: true, margin: [0, 0, 0, 4] },
      { canvas: [{ type: 'line', x1: 0, y1: 0, x2: 483, y2: 0, lineWidth: 1.2 }], margin: [0, 0, 0, 12] },
      ...lines.map((line) =>
        line.trim() === '' ? { text: ' ', fontSize: fontSize * 0.5 } : { text: line, bold: TITLE.test(line) && line.length < 90 },
      ),
    ],
  });
  return document.getBuffer();
}
