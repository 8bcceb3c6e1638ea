import { AtkinsonHyperlegibleNext_400Regular as fontRegular } from '@expo-google-fonts/atkinson-hyperlegible-next/400Regular';
import { AtkinsonHyperlegibleNext_600SemiBold as fontBold } from '@expo-google-fonts/atkinson-hyperlegible-next/600SemiBold';
import fontkit from '@pdf-lib/fontkit';
import { PDFDocument, rgb, type PDFFont, type PDFImage, type PDFPage } from 'pdf-lib';
import { fontAddress } from '../../components/fontAddress';
import { t } from '../../text/en/pdf';
import type { Sheet } from './sheet';

/**
 * A sheet as a page to save: A4, in two columns, with its letters along; photos after it. Its program is
 * large, and fetched when a sheet is first saved.
 */

const [WIDTH, HEIGHT] = [595.28, 841.89];
const MARGIN = 36;
const GAP = 18;
const COLUMN = (WIDTH - 2 * MARGIN - GAP) / 2;
const SIZE = 8.5;
const LEAD = 11;
const HEAD = 11;
const MOST_PICTURES = 8;

interface Photo {
  readonly type: string;
  readonly bytes: Uint8Array<ArrayBuffer>;
}

const bytesOf = async (font: unknown) => (await fetch(fontAddress(font))).arrayBuffer();

/** Words into lines no wider than this; a word that is wider by itself is cut. */
export function wrapped(text: string, width: number, widthOf: (text: string) => number): string[] {
  const lines: string[] = [];
  let line = '';
  for (let word of text.split(/\s+/)) {
    while (widthOf(word) > width) {
      let end = word.length - 1;
      while (end > 1 && widthOf(word.slice(0, end)) > width) end -= 1;
      if (line !== '') lines.push(line);
      line = '';
      lines.push(word.slice(0, end));
      word = word.slice(end);
    }
    const more = line === '' ? word : `${line} ${word}`;
    if (widthOf(more) <= width) line = more;
    else {
      lines.push(line);
      line = word;
    }
  }
  return line === '' ? lines : [...lines, line];
}

export async function pdfOf(
  sheet: Sheet,
  photos: readonly Photo[],
  fonts?: { readonly regular: ArrayBuffer; readonly bold: ArrayBuffer },
): Promise<Uint8Array> {
  const pdf = await PDFDocument.create();
  pdf.registerFontkit(fontkit);
  pdf.setTitle(sheet.title);
  pdf.setProducer(t.pause);
  const [regular, bold] = [
    await pdf.embedFont(fonts?.regular ?? (await bytesOf(fontRegular)), { subset: true }),
    await pdf.embedFont(fonts?.bold ?? (await bytesOf(fontBold)), { subset: true }),
  ];
  const paper = new Paper(pdf);
  paper.head(sheet.title, regular, bold);
  for (const { title, lines } of sheet.parts) {
    // A heading is never alone at the foot of a column.
    paper.keep(HEAD + 2 * LEAD);
    paper.line(title, bold, 9.5, HEAD + 5);
    for (const line of lines)
      wrapped(line, COLUMN - 8, (text) => regular.widthOfTextAtSize(text, SIZE)).forEach((text, at) =>
        paper.line(at === 0 ? `– ${text}` : `   ${text}`, regular, SIZE, LEAD),
      );
  }
  for (const { type, bytes } of photos
    .filter((photo) => photo.type === 'image/jpeg' || photo.type === 'image/png')
    .slice(0, MOST_PICTURES))
    paper.picture(type === 'image/png' ? await pdf.embedPng(bytes) : await pdf.embedJpg(bytes));
  return pdf.save();
}

const INK = rgb(0.08, 0.13, 0.11);

/** Pages of two columns, filled from the top. Lengths are in points. */
class Paper {
  private page: PDFPage;
  private column = 0;
  private top = HEIGHT - MARGIN - 44;
  private y = this.top;

  constructor(private readonly pdf: PDFDocument) {
    this.page = pdf.addPage([WIDTH, HEIGHT]);
  }

  head(title: string, regular: PDFFont, bold: PDFFont): void {
    const top = HEIGHT - MARGIN;
    this.page.drawText(t.pause, { x: MARGIN, y: top - 14, size: 16, font: bold, color: INK });
    this.page.drawText(title, { x: MARGIN + 60, y: top - 14, size: 11, font: bold, color: INK });
    this.page.drawText(t.whatItWasTakenForIs, {
      x: MARGIN,
      y: top - 29,
      size: SIZE,
      font: regular,
      color: INK,
    });
  }

  /** Goes on in the next column where so much does not fit into this one. */
  keep(height: number): void {
    if (this.y - height >= MARGIN) return;
    this.column += 1;
    if (this.column > 1) {
      this.page = this.pdf.addPage([WIDTH, HEIGHT]);
      this.top = HEIGHT - MARGIN;
      this.column = 0;
    }
    this.y = this.top;
  }

  line(text: string, font: PDFFont, size: number, lead: number): void {
    this.keep(lead);
    this.y -= lead;
    this.page.drawText(text, { x: this.left, y: this.y, size, font, color: INK });
  }

  picture(image: PDFImage): void {
    const scale = Math.min(COLUMN / image.width, 200 / image.height, 1);
    const [width, height] = [image.width * scale, image.height * scale];
    this.keep(height + 10);
    this.y -= height + 10;
    this.page.drawImage(image, { x: this.left, y: this.y, width, height });
  }

  private get left(): number {
    return MARGIN + this.column * (COLUMN + GAP);
  }
}
