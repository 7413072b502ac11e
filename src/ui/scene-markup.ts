/** A scene without figures as markup, for a page or a screen to set as one piece. */
import type { Point, Scene, Shape } from '@/core/drawing/scene';

const SMALL = 500;
const two = (value: number) => Math.round(value * 100) / 100;
/** Only what a colour, a number or a hash can hold comes into the markup. */
const plain = (text: string) => text.replace(/[^#\w.(), -]/g, '');
const plainPath = (text: string) => text.replace(/[^\w/-]/g, '');

const ENTITIES: Readonly<Record<string, string>> = { '&': '&amp;', '<': '&lt;', '>': '&gt;', '"': '&quot;' };
const escaped = (text: string) => text.replace(/[&<>"]/g, (sign) => ENTITIES[sign]!);

function shapeMarkup(shape: Shape, scale: number, key: string, photosAt: string): string {
  const at = (points: readonly Point[]) => points.map(([x, y]) => `${two(x * scale)},${two(y * scale)}`).join(' ');
  switch (shape.kind) {
    case 'area':
      return `<polygon points="${at(shape.points)}" fill="${plain(shape.fill)}"${
        shape.line ? ` stroke="${plain(shape.line)}" stroke-width=".8"` : ''
      }/>`;
    case 'line':
      return `<polyline points="${at(shape.points)}" fill="none" stroke="${plain(shape.line)}" stroke-width="${Math.max(0.7, (shape.width ?? 0.5) * 1.8)}"/>`;
    case 'dot':
      return `<circle cx="${two(shape.at[0] * scale)}" cy="${two(shape.at[1] * scale)}" r="${Math.max(2, two(shape.radius * scale))}" fill="${plain(shape.fill)}"/>`;
    case 'picture': {
      const { clip } = shape;
      const [w, h] = [two(shape.w * scale), two(shape.h * scale)];
      const size = Math.max(w, h) > SMALL ? 'full' : 'small';
      return (
        `<clipPath id="${key}"><rect x="${two(clip.x * scale)}" y="${two(clip.y * scale)}" width="${two(clip.w * scale)}" height="${two(clip.h * scale)}"/></clipPath>` +
        `<image href="${plainPath(photosAt)}/${plain(shape.hash)}?size=${size}" x="${two(shape.at[0] * scale)}" y="${two(shape.at[1] * scale)}" width="${w}" height="${h}" preserveAspectRatio="xMidYMid slice" clip-path="url(#${key})"/>`
      );
    }
    case 'engraved':
      return `<text x="${two(shape.at[0] * scale)}" y="${two(shape.at[1] * scale)}" dy=".34em" font-size="${two(shape.tall * scale)}" text-anchor="middle" fill="${plain(shape.colour)}">${escaped(shape.text)}</text>`;
    // Figures are set by `SceneSvg`; a bare scene has none.
    case 'text':
    case 'length':
      return '';
  }
}

/** Where photos are read by who has signed in. */
export const PHOTOS = '/api/photos';

/** `name` tells this drawing's parts from those of others on the page; `photosAt` is where its photos are read. */
export const sceneMarkup = ({ shapes }: Scene, scale: number, name: string, photosAt = PHOTOS): string =>
  shapes.map((shape, index) => shapeMarkup(shape, scale, `${plain(name)}-${index}`, photosAt)).join('');
