/**
 * A sheet of paper to draw on: millimetres from the upper left, the shop's type with real fractions, scenes to scale.
 * Only this file knows the PDF library.
 */
import PDFDocument from 'pdfkit';
import type { Box, Point, Scene } from '@/core/drawing/scene';
import { FINEST, showLength } from '@/core/units/format-length';
import type { Length, Unit } from '@/core/units/length';
import { type Run, type Weight, runsOf } from './faces';

const POINTS_PER_MM = 72 / 25.4;
const pt = (mm: number) => mm * POINTS_PER_MM;
export const PAPERS = {
  letter: [215.9, 279.4],
  a4: [210, 297],
  'letter wide': [279.4, 215.9],
  'a4 wide': [297, 210],
  card: [152.4, 101.6],
  label: [90, 38],
} as const;
/** Photos by their hash. */
export type Bytes = ReadonlyMap<string, Uint8Array>;
export const NO_BYTES: Bytes = new Map();
export const INK = '#20272b';
export const SOFT = '#5f6361';
export const HAIR = '#b9b3a5';

/** The colour of a hex text, and how much of it covers what lies below. */
const colourOf = (hex: string) => ({
  colour: hex.slice(0, 7),
  opacity: hex.length === 9 ? Number.parseInt(hex.slice(7), 16) / 255 : 1,
});

interface TextStyle {
  readonly size?: number;
  readonly weight?: Weight;
  readonly colour?: string;
  readonly align?: 'left' | 'right' | 'middle';
}

export class Sheet {
  private readonly pages: Promise<Uint8Array>;
  private constructor(
    private readonly file: PDFKit.PDFDocument,
    private readonly paper: readonly [number, number],
    private readonly unit: Unit,
  ) {
    const chunks: Buffer[] = [];
    file.on('data', (chunk: Buffer) => chunks.push(chunk));
    this.pages = new Promise((resolve, reject) => {
      file.on('end', () => resolve(new Uint8Array(Buffer.concat(chunks))));
      file.on('error', reject);
    });
    this.newPage();
  }

  static open(paper: keyof typeof PAPERS, unit: Unit, title: string): Sheet {
    const file = new PDFDocument({
      autoFirstPage: false,
      info: { Title: title, Producer: 'Lopren', Creator: 'Lopren' },
      lang: 'en-US',
      displayTitle: true,
    });
    return new Sheet(file, PAPERS[paper], unit);
  }

  get width(): number {
    return this.paper[0];
  }
  get height(): number {
    return this.paper[1];
  }

  newPage(): void {
    this.file.addPage({ size: [pt(this.paper[0]), pt(this.paper[1])], margin: 0 });
  }

  /** Where on a page a block of this height may begin: here, or at the top of a new page when it does not fit. */
  room(y: number, height: number, { top = 20, bottom = 16 } = {}): number {
    if (y + height <= this.paper[1] - bottom) return y;
    this.newPage();
    return top;
  }

  /** Takes the face of a run in hand; by its name, since bytes would be read as a font anew each time. */
  private in({ face }: Run): PDFKit.PDFDocument {
    if (!this.faces.has(face.name)) {
      this.file.registerFont(face.name, face.bytes);
      this.faces.add(face.name);
    }
    return this.file.font(face.name);
  }
  private readonly faces = new Set<string>();

  /** Widths of what was measured once, at one point: setting a text anew each time costs most of a page. */
  private readonly measured = new Map<string, number>();
  private widthOf(run: Run, size: number): number {
    const key = `${run.face.name} ${run.features.join()} ${run.text}`;
    const known =
      this.measured.get(key) ??
      this.in(run).fontSize(1).widthOfString(run.text, { features: run.features }) / POINTS_PER_MM;
    this.measured.set(key, known);
    return known * size;
  }

  /** Width of a text in millimetres. */
  measure(text: string, size: number, weight: Weight = 'text'): number {
    return runsOf(text, weight).reduce((sum, run) => sum + this.widthOf(run, size), 0);
  }

  /** Writes one line with its baseline at `y`. Size in points. Answers its width in millimetres. */
  text(
    text: string,
    x: number,
    y: number,
    { size = 10.5, weight = 'text', colour = INK, align = 'left' }: TextStyle = {},
  ): number {
    const runs = runsOf(text, weight).map((run) => ({ ...run, width: this.widthOf(run, size) }));
    const width = runs.reduce((sum, run) => sum + run.width, 0);
    let place = align === 'left' ? x : align === 'right' ? x - width : x - width / 2;
    for (const run of runs) {
      this.in(run)
        .fontSize(size)
        .fillColor(colour)
        .text(run.text, pt(place), pt(y), { lineBreak: false, baseline: 'alphabetic', features: run.features });
      place += run.width;
    }
    return width;
  }

  /** A text broken into lines no wider than `width` millimetres. */
  lines(text: string, width: number, { size = 10.5, weight = 'text' }: TextStyle = {}): string[] {
    const lines: string[] = [];
    const blank = this.measure(' ', size, weight);
    let line = '';
    let long = 0;
    for (const word of text.split(/\s+/).flatMap((word) => word.match(/.{1,60}/gu) ?? [])) {
      const wide = this.measure(word, size, weight);
      if (line && long + blank + wide > width) {
        lines.push(line);
        line = word;
        long = wide;
      } else {
        long += (line ? blank : 0) + wide;
        line = line ? `${line} ${word}` : word;
      }
    }
    return [...lines, line];
  }

  /** From one line of a text of this size to the next, in millimetres. */
  static lead(size: number): number {
    return (size * 1.3) / POINTS_PER_MM;
  }

  /** Writes in lines no wider than `width`; answers the baseline after the last. */
  paragraph(text: string, x: number, y: number, width: number, style: TextStyle & { lead?: number } = {}): number {
    const lead = style.lead ?? Sheet.lead(style.size ?? 10.5);
    const lines = this.lines(text, width, style);
    for (const [index, line] of lines.entries()) this.text(line, x, y + index * lead, style);
    return y + lines.length * lead;
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
    this.line([from, y], [to, y], colour, width);
  }

  line(from: Point, to: Point, colour = INK, width = 0.6): void {
    this.file
      .moveTo(pt(from[0]), pt(from[1]))
      .lineTo(pt(to[0]), pt(to[1]))
      .lineWidth(width)
      .strokeColor(colourOf(colour).colour)
      .stroke();
  }

  box(x: number, y: number, w: number, h: number, fill?: string): void {
    this.file.rect(pt(x), pt(y), pt(w), pt(h)).lineWidth(0.8);
    if (fill) this.file.fillAndStroke(fill, INK);
    else this.file.stroke(INK);
  }

  /** A white disc with a rim, for a number on a photo. */
  disc(x: number, y: number, radius: number): void {
    this.file.circle(pt(x), pt(y), pt(radius)).lineWidth(1.2).fillAndStroke('#ffffff', INK);
  }

  /** Paper again where something lies beyond its place. */
  cover(x: number, y: number, w: number, h: number): void {
    this.file.rect(pt(x), pt(y), pt(w), pt(h)).fill('#ffffff');
  }

  /** Draws a scene as large as fits the box; answers its scale. */
  scene(scene: Scene, x: number, y: number, w: number, h: number, letters = 9): number {
    const scale = Math.min(w / scene.width, h / scene.height);
    const placed = ([px, py]: Point): Point => [x + px * scale, y + py * scale];
    for (const shape of scene.shapes) {
      if (shape.kind === 'area') this.area(shape.points.map(placed), shape.fill, shape.line, shape.dashed);
      else if (shape.kind === 'picture') {
        const [left, top] = placed(shape.at);
        const [clipX, clipY] = placed([shape.clip.x, shape.clip.y]);
        const clip = { x: clipX, y: clipY, w: shape.clip.w * scale, h: shape.clip.h * scale };
        this.photo(shape.hash, left, top, shape.w * scale, shape.h * scale, clip);
      } else if (shape.kind === 'line') this.polyline(shape.points.map(placed), shape.line, (shape.width ?? 0.5) * 1.1);
      else if (shape.kind === 'engraved') {
        const [tx, ty] = placed(shape.at);
        const tall = shape.tall * scale;
        this.text(shape.text, tx, ty + 0.35 * tall, {
          size: tall * POINTS_PER_MM,
          align: 'middle',
          colour: shape.colour,
        });
      } else if (shape.kind === 'dot') {
        const [cx, cy] = placed(shape.at);
        this.file.circle(pt(cx), pt(cy), Math.max(1.2, pt(shape.radius * scale))).fill(colourOf(shape.fill).colour);
      } else {
        const [tx, ty] = placed(shape.at);
        const text = shape.kind === 'text' ? shape.text : this.length(shape.value, { bare: true, fine: false });
        const align = shape.anchor === 'start' ? 'left' : shape.anchor === 'end' ? 'right' : 'middle';
        if (shape.kind === 'length') {
          const half = this.measure(text, letters, 'bold') / 2 + 1;
          this.file.rect(pt(tx - half), pt(ty - 2.2), pt(half * 2), pt(4.4)).fill('#ffffff');
        }
        const weight = shape.kind === 'length' ? 'bold' : 'text';
        const narrow = shape.kind === 'text' ? shape.narrow : undefined;
        const fits = !narrow || this.measure(text, letters, weight) <= narrow.within * scale;
        const lines = fits ? [text] : narrow.lines;
        const lead = (1.15 * letters) / POINTS_PER_MM;
        for (const [index, words] of lines.entries())
          this.text(words, tx, ty + letters / 8.2 + (index - (lines.length - 1) / 2) * lead, {
            size: letters,
            weight,
            align,
          });
      }
    }
    return scale;
  }

  /** The bytes of the photos that scenes speak of, by their hash. */
  photos: Bytes = NO_BYTES;

  /** A photo that fills its box, what is too much of it cut off evenly; only within `clip` is it seen. */
  photo(hash: string, x: number, y: number, w: number, h: number, clip: Box = { x, y, w, h }): void {
    const bytes = this.photos.get(hash);
    const { file } = this;
    file.save();
    file.rect(pt(clip.x), pt(clip.y), pt(clip.w), pt(clip.h)).clip();
    if (bytes)
      file.image(Buffer.from(bytes), pt(x), pt(y), { cover: [pt(w), pt(h)], align: 'center', valign: 'center' });
    else file.rect(pt(x), pt(y), pt(w), pt(h)).fill('#efe7d2');
    file.restore();
  }

  private area(points: Point[], fill: string, line?: string, dashed?: boolean): void {
    const [first, ...others] = points;
    if (!first) return;
    const { file } = this;
    const trace = () => {
      file.moveTo(pt(first[0]), pt(first[1]));
      for (const point of others) file.lineTo(pt(point[0]), pt(point[1]));
      return file.closePath();
    };
    const { colour, opacity } = colourOf(fill);
    if (fill !== 'none' && opacity > 0) trace().fillOpacity(opacity).fill(colour).fillOpacity(1);
    if (!line) return;
    if (dashed) file.dash(2, { space: 1.5 });
    trace().lineWidth(0.45).strokeColor(colourOf(line).colour).stroke();
    if (dashed) file.undash();
  }

  private polyline(points: Point[], colour: string, width: number): void {
    for (const [index, point] of points.entries()) {
      const before = points[index - 1];
      if (before) this.line(before, point, colour, width);
    }
  }

  image(png: Uint8Array, x: number, y: number, w: number, h: number): void {
    this.file.image(Buffer.from(png), pt(x), pt(y), { width: pt(w), height: pt(h) });
  }

  done(): Promise<Uint8Array> {
    this.file.end();
    return this.pages;
  }
}
