/** Reads papers back: the size of each page in millimetres, and its text as a reader would copy it. */
import { getDocument } from 'pdfjs-dist/legacy/build/pdf.mjs';

export interface PaperPage {
  readonly size: readonly [width: number, height: number];
  readonly text: string;
}
const MM = 25.4 / 72;
const tenth = (points: number) => Math.round(points * MM * 10) / 10;

export async function paperPages(bytes: Uint8Array | undefined): Promise<PaperPage[]> {
  const file = await getDocument({ data: new Uint8Array(bytes!), verbosity: 0 }).promise;
  const numbers = Array.from({ length: file.numPages }, (_, index) => index + 1);
  return Promise.all(
    numbers.map(async (number) => {
      const page = await file.getPage(number);
      const { width, height } = page.getViewport({ scale: 1 });
      const { items } = await page.getTextContent();
      const text = items.map((item) => ('str' in item ? item.str : '')).join(' ');
      return { size: [tenth(width), tenth(height)] as const, text: text.replace(/\s+/g, ' ') };
    }),
  );
}
