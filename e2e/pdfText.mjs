// Says what a PDF says, by another program than the one that wrote it: { pages, text }.
import { readFileSync } from 'node:fs';
import process from 'node:process';
import { getDocument } from 'pdfjs-dist/legacy/build/pdf.mjs';

const pdf = await getDocument({ data: new Uint8Array(readFileSync(process.argv[2])), verbosity: 0 }).promise;
const pages = [];
for (let at = 1; at <= pdf.numPages; at += 1) {
  const { items } = await (await pdf.getPage(at)).getTextContent();
  pages.push(items.map((item) => item.str ?? '').join(' '));
}
process.stdout.write(JSON.stringify({ pages: pdf.numPages, text: pages.join(' ').replace(/\s+/g, ' ') }));
