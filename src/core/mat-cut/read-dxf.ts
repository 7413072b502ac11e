/**
 * Reads what a mat cutter takes from a DXF file: lines, polylines, arcs and circles on the layers SCORE, BEVEL and
 * OUTLINE. Anything else is refused with its reason: a machine that guesses ruins a board.
 */
import { type Issue, type Outcome, bad, good, issue } from '../issue';
import type { Dot } from '../drawing/vector-file';
import { type CutLayerName, type CutPath, LAYERS } from './paths';

interface Entity {
  readonly type: string;
  readonly codes: (readonly [code: number, value: string])[];
  readonly vertices: Dot[];
}
const ARC_STEPS = 96;
/** Ends that meet within this are one point. */
const MEETS_MM = 0.01;

/** The entities of the file, a polyline with its vertices; undefined when it is no DXF. */
function entitiesOf(text: string): Entity[] | undefined {
  const lines = text.split(/\r\n|\r|\n/);
  const entities: Entity[] = [];
  let inside = false;
  let section = '';
  let open: Entity | undefined;
  for (let index = 0; index + 1 < lines.length; index += 2) {
    const code = Number(lines[index]!.trim());
    const value = lines[index + 1]!.trim();
    if (!Number.isInteger(code)) return undefined;
    if (code === 0) {
      if (value === 'SECTION') section = 'next';
      else if (value === 'ENDSEC') inside = false;
      else if (value === 'VERTEX' && open) entities.push({ type: value, codes: [], vertices: [] });
      else if (inside && value !== 'SEQEND') {
        open = { type: value, codes: [], vertices: [] };
        entities.push(open);
      } else if (value === 'SEQEND') open = undefined;
    } else if (code === 2 && section === 'next') {
      inside = value === 'ENTITIES';
      section = value;
    } else if (inside) entities.at(-1)?.codes.push([code, value]);
  }
  return section === '' ? undefined : entities;
}

const valueOf = (entity: Entity, code: number) => entity.codes.find(([one]) => one === code)?.[1];

function curve(x: number, y: number, radius: number, from: number, to: number): Dot[] {
  const turn = (((to - from) % 360) + 360) % 360 || 360;
  return Array.from({ length: ARC_STEPS + 1 }, (_, k): Dot => {
    const angle = ((from + (turn * k) / ARC_STEPS) * Math.PI) / 180;
    return [x + Math.cos(angle) * radius, y + Math.sin(angle) * radius];
  });
}

/** Pieces of one layer joined end to end, so that four lines are one closed cut. */
function joined(pieces: { points: Dot[]; closed: boolean }[]): { points: Dot[]; closed: boolean }[] {
  const meets = (a: Dot, b: Dot) => Math.hypot(a[0] - b[0], a[1] - b[1]) <= MEETS_MM;
  const done = pieces.filter((piece) => piece.closed);
  const open = pieces.filter((piece) => !piece.closed).map((piece) => piece.points);
  while (open.length > 0) {
    const chain = open.shift()!;
    for (let again = true; again;) {
      again = false;
      for (const [index, otherDots] of open.entries()) {
        const end = chain.at(-1)!;
        const next = meets(otherDots[0]!, end)
          ? otherDots
          : meets(otherDots.at(-1)!, end)
            ? [...otherDots].reverse()
            : undefined;
        if (!next) continue;
        chain.push(...next.slice(1));
        open.splice(index, 1);
        again = true;
        break;
      }
    }
    const closed = chain.length > 2 && meets(chain[0]!, chain.at(-1)!);
    done.push({ points: closed ? chain.slice(0, -1) : chain, closed });
  }
  return done;
}

export function readDxf(text: string): Outcome<CutPath[]> {
  const entities = entitiesOf(text);
  if (!entities) return bad(issue('machine-not-dxf'));
  const issues: Issue[] = [];
  const byLayer = new Map<CutLayerName, { points: Dot[]; closed: boolean }[]>();
  const number = (entity: Entity, code: number): number => {
    const value = Number(valueOf(entity, code));
    if (valueOf(entity, code) === undefined || !Number.isFinite(value)) {
      issues.push(issue('machine-number', { read: (valueOf(entity, code) ?? 'nothing').slice(0, 20) }));
      return 0;
    }
    return value;
  };
  const put = (entity: Entity, points: Dot[], closed: boolean) => {
    const layer = LAYERS.find((one) => one === valueOf(entity, 8)?.toUpperCase());
    if (!layer) return void issues.push(issue('machine-layer', { layer: (valueOf(entity, 8) ?? '').slice(0, 30) }));
    byLayer.set(layer, [...(byLayer.get(layer) ?? []), { points, closed }]);
  };
  for (let index = 0; index < entities.length && issues.length < 20; index += 1) {
    const entity = entities[index]!;
    if (entity.type === 'LINE')
      put(
        entity,
        [
          [number(entity, 10), number(entity, 20)],
          [number(entity, 11), number(entity, 21)],
        ],
        false,
      );
    else if (entity.type === 'CIRCLE')
      put(entity, curve(number(entity, 10), number(entity, 20), number(entity, 40), 0, 360).slice(0, -1), true);
    else if (entity.type === 'ARC')
      put(
        entity,
        curve(number(entity, 10), number(entity, 20), number(entity, 40), number(entity, 50), number(entity, 51)),
        false,
      );
    else if (entity.type === 'POLYLINE') {
      const points: Dot[] = [];
      while (entities[index + 1]?.type === 'VERTEX') {
        index += 1;
        points.push([number(entities[index]!, 10), number(entities[index]!, 20)]);
      }
      put(entity, points, (Number(valueOf(entity, 70) ?? 0) & 1) === 1);
    } else if (entity.type === 'LWPOLYLINE') {
      if (entity.codes.some(([code, value]) => code === 42 && Number(value) !== 0))
        issues.push(issue('machine-entity', { entity: 'LWPOLYLINE with bulges' }));
      const xs = entity.codes.filter(([code]) => code === 10).map(([, value]) => Number(value));
      const ys = entity.codes.filter(([code]) => code === 20).map(([, value]) => Number(value));
      put(
        entity,
        xs.map((x, k): Dot => [x, ys[k] ?? NaN]),
        (Number(valueOf(entity, 70) ?? 0) & 1) === 1,
      );
    } else issues.push(issue('machine-entity', { entity: entity.type.slice(0, 30) }));
  }
  const once = new Map(issues.map((issue) => [JSON.stringify(issue), issue]));
  if (once.size > 0) return bad(...once.values());
  return good(
    [...byLayer].flatMap(([layer, pieces]) => joined(pieces).map(({ points, closed }) => ({ layer, points, closed }))),
  );
}
