/**
 * Paths as a file for a machine or another program, in millimetres from the lower left: DXF (R12, polylines) and SVG,
 * each kind of line in a layer of its own.
 */
export type Dot = readonly [x: number, y: number];
export interface VectorPath<L extends string> {
  readonly layer: L;
  readonly points: readonly Dot[];
  readonly closed: boolean;
}
export interface VectorFile<L extends string> {
  readonly name: string;
  readonly w: number;
  readonly h: number;
  readonly paths: readonly VectorPath<L>[];
}
/** Each layer with its colour: a number in a DXF, a stroke in an SVG. In the order they are written. */
export type Looks<L extends string> = Readonly<Record<L, { readonly number: number; readonly stroke: string }>>;

/** To a ten-thousandth of a millimetre. */
export const round = (value: number) => Math.round(value * 1e4) / 1e4;
const pair = (code: number, value: string | number) => `${code}\n${value}\n`;

export function dxfOf<L extends string>({ paths, w, h }: VectorFile<L>, looks: Looks<L>): string {
  const names = Object.keys(looks) as L[];
  const header = [
    pair(0, 'SECTION') + pair(2, 'HEADER'),
    pair(9, '$ACADVER') + pair(1, 'AC1009'),
    pair(9, '$EXTMIN') + pair(10, 0) + pair(20, 0),
    pair(9, '$EXTMAX') + pair(10, w) + pair(20, h),
    pair(0, 'ENDSEC'),
  ];
  const layers = names.map(
    (name) => pair(0, 'LAYER') + pair(2, name) + pair(70, 0) + pair(62, looks[name].number) + pair(6, 'CONTINUOUS'),
  );
  const tables =
    pair(0, 'SECTION') +
    pair(2, 'TABLES') +
    pair(0, 'TABLE') +
    pair(2, 'LAYER') +
    pair(70, names.length) +
    layers.join('');
  const entities = paths.map(
    ({ layer, closed, points }) =>
      pair(0, 'POLYLINE') +
      pair(8, layer) +
      pair(66, 1) +
      pair(70, closed ? 1 : 0) +
      points.map(([x, y]) => pair(0, 'VERTEX') + pair(8, layer) + pair(10, x) + pair(20, y)).join('') +
      pair(0, 'SEQEND'),
  );
  return [
    ...header,
    tables + pair(0, 'ENDTAB') + pair(0, 'ENDSEC'),
    pair(0, 'SECTION') + pair(2, 'ENTITIES'),
    ...entities,
    pair(0, 'ENDSEC') + pair(0, 'EOF'),
  ].join('');
}

export function svgOf<L extends string>({ paths, w, h, name }: VectorFile<L>, looks: Looks<L>): string {
  const group = (layer: L) => {
    const lines = paths
      .filter((path) => path.layer === layer)
      .map(({ points, closed }) => {
        const d = points.map(([x, y], index) => `${index === 0 ? 'M' : 'L'}${x} ${round(h - y)}`).join(' ');
        return `    <path d="${d}${closed ? ' Z' : ''}"/>`;
      });
    return `  <g id="${layer}" fill="none" stroke="${looks[layer].stroke}" stroke-width="0.2">\n${lines.join('\n')}\n  </g>`;
  };
  const title = name.replace(/[<>&]/g, ' ');
  return `<svg xmlns="http://www.w3.org/2000/svg" width="${w}mm" height="${h}mm" viewBox="0 0 ${w} ${h}">\n  <title>${title}</title>\n${(Object.keys(looks) as L[]).map(group).join('\n')}\n</svg>\n`;
}
