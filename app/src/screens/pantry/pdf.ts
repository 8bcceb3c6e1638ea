import { AtkinsonHyperlegibleNext_400Regular as fontRegular } from '@expo-google-fonts/atkinson-hyperlegible-next/400Regular';
import { AtkinsonHyperlegibleNext_600SemiBold as fontBold } from '@expo-google-fonts/atkinson-hyperlegible-next/600SemiBold';
import fontkit from '@pdf-lib/fontkit';
import { PDFDocument, rgb, type PDFFont } from 'pdf-lib';
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
  const ink = rgb(0.08, 0.13, 0.11);
  let page = pdf.addPage([WIDTH, HEIGHT]);
  page.drawText(t.pause, { x: MARGIN, y: HEIGHT - MARGIN - 14, size: 16, font: bold, color: ink });
  page.drawText(sheet.title, { x: MARGIN + 60, y: HEIGHT - MARGIN - 14, size: 11, font: bold, color: ink });
  page.drawText(t.whatItWasTakenForIs, {
    x: MARGIN,
    y: HEIGHT - MARGIN - 29,
    size: SIZE,
    font: regular,
    color: ink,
  });
  let top = HEIGHT - MARGIN - 44;
  let [column, y] = [0, top];
  const next = () => {
    column += 1;
    if (column > 1) {
      page = pdf.addPage([WIDTH, HEIGHT]);
      top = HEIGHT - MARGIN;
      column = 0;
    }
    y = top;
  };
  const put = (text: string, font: PDFFont, size: number, lead: number) => {
    if (y - lead < MARGIN) next();
    y -= lead;
    page.drawText(text, { x: MARGIN + column * (COLUMN + GAP), y, size, font, color: ink });
  };
  for (const { title, lines } of sheet.parts) {
    // A heading does not stand alone at the foot of a column.
    if (y - HEAD - 2 * LEAD < MARGIN) next();
    put(title, bold, 9.5, HEAD + 5);
    for (const line of lines)
      wrapped(line, COLUMN - 8, (text) => regular.widthOfTextAtSize(text, SIZE)).forEach((text, at) =>
        put(at === 0 ? `– ${text}` : `   ${text}`, regular, SIZE, LEAD),
      );
  }
  for (const { type, bytes } of photos
    .filter((photo) => photo.type === 'image/jpeg' || photo.type === 'image/png')
    .slice(0, MOST_PICTURES)) {
    const image = type === 'image/png' ? await pdf.embedPng(bytes) : await pdf.embedJpg(bytes);
    const scale = Math.min(COLUMN / image.width, 200 / image.height, 1);
    if (y - image.height * scale - 10 < MARGIN) next();
    y -= image.height * scale + 10;
    page.drawImage(image, {
      x: MARGIN + column * (COLUMN + GAP),
      y,
      width: image.width * scale,
      height: image.height * scale,
    });
  }
  return pdf.save();
}
