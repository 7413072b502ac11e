/**
 * A sheet of paper to draw on: millimetres from the upper left, the shop's type with real fractions, scenes to scale.
 * Only this file knows the PDF library.
 */
import fs from 'node:fs';
import path from 'node:path';
import fontkit from '@pdf-lib/fontkit';
import { PDFDocument, type PDFFont, type PDFPage, rgb } from 'pdf-lib';
import type { Point, Scene } from '@/core/drawing/scene';
import { FINEST, showLength } from '@/core/units/format-length';
import type { Length, Unit } from '@/core/units/length';

/** Between digits it makes the face set them as a fraction; an ordinary slash would print 16 7/8 as 167/8. */
const FRACTION_SLASH = '\u2044';
const POINTS_PER_MM = 72 / 25.4;
export const PAPERS = { letter: [215.9, 279.4], a4: [210, 297], card: [152.4, 101.6], label: [90, 38] } as const;
export const INK = '#20272b';
export const SOFT = '#5f6361';
export const HAIR = '#b9b3a5';

type Weight = 'text' | 'bold' | 'heavy';
const FILES: Record<Weight, string> = { text: '500', bold: '700', heavy: '800' };

function colourOf(hex: string) {
  const part = (at: number) => Number.parseInt(hex.slice(at, at + 2), 16) / 255;
  return { color: rgb(part(1), part(3), part(5)), opacity: hex.length === 9 ? part(7) : 1 };
}

interface TextStyle {
  readonly size?: number;
  readonly weight?: Weight;
  readonly colour?: string;
  readonly align?: 'left' | 'right' | 'middle';
}
type Fonts = Record<Weight, { readonly plain: PDFFont; readonly fraction: PDFFont }>;

let fontBytes: Record<Weight, Buffer> | undefined;
const readFonts = (): Record<Weight, Buffer> => {
  const folder = path.join(
    /*turbopackIgnore: true*/ process.cwd(),
    'node_modules',
    '@fontsource',
    'alegreya-sans',
    'files',
  );
  const of = (weight: Weight) => fs.readFileSync(path.join(folder, `alegreya-sans-latin-${FILES[weight]}-normal.woff`));
  fontBytes ??= { text: of('text'), bold: of('bold'), heavy: of('heavy') };
  return fontBytes;
};

/** Letters that the shipped face lacks become their nearest plain form, so that a name never breaks a paper. */
const printable = (text: string) =>
  text
    .replace(/→/g, '-')
    .replace(
      /[^\u0020-\u00ff\u2013\u2014\u2018-\u201d\u2026\u2212\u20ac\u2190-\u2193\u0131\u0152\u0153\u02c6\u02da\u02dc]/g,
      (sign) => sign.normalize('NFD').replace(/[^\u0020-\u007e]/g, '') || '?',
    )
    .replace(/−/g, '–');

export class Sheet {
  private page: PDFPage;
  private constructor(
    private readonly file: PDFDocument,
    private readonly fonts: Fonts,
    private readonly paper: readonly [number, number],
    private readonly unit: Unit,
  ) {
    this.page = this.newPage();
  }

  static async open(paper: keyof typeof PAPERS, unit: Unit, title: string): Promise<Sheet> {
    const file = await PDFDocument.create();
    file.registerFontkit(fontkit);
    file.setTitle(title);
    file.setProducer('Lopren');
    const bytes = readFonts();
    const load = async (weight: Weight) => ({
      plain: await file.embedFont(bytes[weight], { subset: true, features: { lnum: true, tnum: true } }),
      fraction: await file.embedFont(bytes[weight], { subset: true, features: { lnum: true } }),
    });
    return new Sheet(
      file,
      { text: await load('text'), bold: await load('bold'), heavy: await load('heavy') },
      PAPERS[paper],
      unit,
    );
  }

  get width(): number {
    return this.paper[0];
  }
  get height(): number {
    return this.paper[1];
  }

  newPage(): PDFPage {
    this.page = this.file.addPage([this.paper[0] * POINTS_PER_MM, this.paper[1] * POINTS_PER_MM]);
    return this.page;
  }

  private x = (mm: number) => mm * POINTS_PER_MM;
  private y = (mm: number) => (this.paper[1] - mm) * POINTS_PER_MM;

  /** Pieces of a text: a fraction is set as one, a hair from its whole number; the rest plain. */
  private runs(text: string, weight: Weight): { text: string; font: PDFFont }[] {
    const { plain, fraction } = this.fonts[weight];
    return printable(text)
      .split(/((?<!\d)\d{1,3}\/\d{1,3}(?!\d))/)
      .map((part, index) =>
        index % 2 === 1 ? { text: part.replace('/', FRACTION_SLASH), font: fraction } : { text: part, font: plain },
      )
      .map((run, index, all) =>
        index < all.length - 1 && run.font === plain ? { ...run, text: run.text.replace(/(?<=\d) $/, '') } : run,
      )
      .filter((run) => run.text !== '');
  }

  /** Width of a text in millimetres. */
  measure(text: string, size: number, weight: Weight = 'text'): number {
    return (
      this.runs(text, weight).reduce((sum, run) => sum + run.font.widthOfTextAtSize(run.text, size), 0) / POINTS_PER_MM
    );
  }

  /** Writes one line with its baseline at `y`. Size in points. Answers its width in millimetres. */
  text(
    text: string,
    x: number,
    y: number,
    { size = 10.5, weight = 'text', colour = INK, align = 'left' }: TextStyle = {},
  ): number {
    const width = this.measure(text, size, weight);
    let at = align === 'left' ? x : align === 'right' ? x - width : x - width / 2;
    for (const run of this.runs(text, weight)) {
      this.page.drawText(run.text, {
        x: this.x(at),
        y: this.y(y),
        size,
        font: run.font,
        color: colourOf(colour).color,
      });
      at += run.font.widthOfTextAtSize(run.text, size) / POINTS_PER_MM;
    }
    return width;
  }

  /** Writes in lines no wider than `width`; answers the baseline after the last. */
  paragraph(text: string, x: number, y: number, width: number, style: TextStyle & { lead?: number } = {}): number {
    const { size = 10.5, weight = 'text' } = style;
    const lead = style.lead ?? (size * 1.3) / POINTS_PER_MM;
    let line = '';
    let at = y;
    for (const word of text.split(/\s+/).flatMap((one) => one.match(/.{1,60}/g) ?? [])) {
      const longer = line ? `${line} ${word}` : word;
      if (line && this.measure(longer, size, weight) > width) {
        this.text(line, x, at, style);
        at += lead;
        line = word;
      } else line = longer;
    }
    if (line) this.text(line, x, at, style);
    return at + lead;
  }

  /** A length as text; to a sixteenth or a millimetre unless `fine`, then with a mark where even that is not exact. */
  length(value: Length, { unit = this.unit, bare = false, fine = true } = {}): string {
    const shown = showLength(value, unit, fine ? FINEST[unit] : undefined);
    const figure = [shown.whole, shown.fraction && `${shown.fraction.top}/${shown.fraction.bottom}`]
      .filter(Boolean)
      .join(' ');
    const mark = !fine || shown.exactIs === 'exact' ? '' : shown.exactIs === 'more' ? '+' : '–';
    return `${shown.negative ? '–' : ''}${figure}${mark}${bare ? '' : ` ${unit}`}`;
  }

  rule(y: number, { from = 16, to = this.paper[0] - 16, colour = HAIR, width = 0.5 } = {}): void {
    this.page.drawLine({
      start: { x: this.x(from), y: this.y(y) },
      end: { x: this.x(to), y: this.y(y) },
      thickness: width,
      color: colourOf(colour).color,
    });
  }

  line(from: Point, to: Point, colour = INK, width = 0.6): void {
    this.page.drawLine({
      start: { x: this.x(from[0]), y: this.y(from[1]) },
      end: { x: this.x(to[0]), y: this.y(to[1]) },
      thickness: width,
      color: colourOf(colour).color,
    });
  }

  box(x: number, y: number, w: number, h: number, fill?: string): void {
    this.page.drawRectangle({
      x: this.x(x),
      y: this.y(y + h),
      width: this.x(w),
      height: this.x(h),
      borderWidth: 0.8,
      borderColor: colourOf(INK).color,
      ...(fill ? { color: colourOf(fill).color } : {}),
    });
  }

  /** Draws a scene as large as fits the box; answers its scale. */
  scene(scene: Scene, x: number, y: number, w: number, h: number, letters = 9): number {
    const scale = Math.min(w / scene.width, h / scene.height);
    const at = ([px, py]: Point): Point => [x + px * scale, y + py * scale];
    for (const shape of scene.shapes) {
      if (shape.kind === 'area') this.area(shape.points.map(at), shape.fill, shape.line, shape.dashed);
      else if (shape.kind === 'line') this.polyline(shape.points.map(at), shape.line, (shape.width ?? 0.5) * 1.1);
      else if (shape.kind === 'dot') {
        const [cx, cy] = at(shape.at);
        this.page.drawCircle({
          x: this.x(cx),
          y: this.y(cy),
          size: Math.max(1.2, this.x(shape.radius * scale)),
          color: colourOf(shape.fill).color,
        });
      } else {
        const [tx, ty] = at(shape.at);
        const text = shape.kind === 'text' ? shape.text : this.length(shape.value, { bare: true, fine: false });
        const align = shape.anchor === 'start' ? 'left' : shape.anchor === 'end' ? 'right' : 'middle';
        if (shape.kind === 'length') {
          const half = this.measure(text, letters, 'bold') / 2 + 1;
          this.page.drawRectangle({
            x: this.x(tx - half),
            y: this.y(ty + 2.2),
            width: this.x(half * 2),
            height: this.x(4.4),
            color: rgb(1, 1, 1),
          });
        }
        const weight = shape.kind === 'length' ? 'bold' : 'text';
        const narrow = shape.kind === 'text' ? shape.narrow : undefined;
        const fits = !narrow || this.measure(text, letters, weight) <= narrow.within * scale;
        const lines = fits ? [text] : narrow.lines;
        const lead = (1.15 * letters) / POINTS_PER_MM;
        for (const [index, one] of lines.entries())
          this.text(one, tx, ty + letters / 8.2 + (index - (lines.length - 1) / 2) * lead, {
            size: letters,
            weight,
            align,
          });
      }
    }
    return scale;
  }

  private area(points: Point[], fill: string, line?: string, dashed?: boolean): void {
    const first = points[0];
    if (!first) return;
    const path = `${points.map(([px, py], index) => `${index === 0 ? 'M' : 'L'}${this.x(px).toFixed(3)} ${this.x(py).toFixed(3)}`).join(' ')} Z`;
    const painted =
      fill === 'none' || (fill.endsWith('00') && fill.length === 9)
        ? {}
        : { color: colourOf(fill).color, opacity: colourOf(fill).opacity };
    const edge = line
      ? { borderColor: colourOf(line).color, borderWidth: 0.45, ...(dashed ? { borderDashArray: [2, 1.5] } : {}) }
      : {};
    this.page.drawSvgPath(path, { x: 0, y: this.paper[1] * POINTS_PER_MM, ...painted, ...edge });
  }

  private polyline(points: Point[], colour: string, width: number): void {
    for (const [index, point] of points.entries()) {
      const before = points[index - 1];
      if (before) this.line(before, point, colour, width);
    }
  }

  async image(png: Uint8Array, x: number, y: number, w: number, h: number): Promise<void> {
    const image = await this.file.embedPng(png);
    this.page.drawImage(image, { x: this.x(x), y: this.y(y + h), width: this.x(w), height: this.x(h) });
  }

  async done(): Promise<Uint8Array> {
    return this.file.save();
  }
}
