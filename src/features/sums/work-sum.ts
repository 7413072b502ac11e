/** A bench sum worked out from what is typed, by the topic of the core that answers it. */
import type { Scene } from '@/core/drawing/scene';
import { sumScene } from '@/core/drawing/sums';
import { sumUp, TOPICS } from '@/core/sums';
import type { Summed } from '@/core/sums/sum';
import type { Unit } from '@/core/units/length';
import { type Outcome, bad, issue } from '@/core/issue';
import type { BenchSum, Values } from './bench-sums';
import { figuresOf } from './sum-figures';

/** A path with dots put into a nested body. */
function put(body: Record<string, unknown>, path: string, value: unknown): void {
  const [key, ...rest] = path.split('.');
  if (rest.length === 0) body[key!] = value;
  else {
    body[key!] ??= {};
    put(body[key!] as Record<string, unknown>, rest.join('.'), value);
  }
}

/** The weight's parts from one package: what a framer would list. */
function weightBody(values: Values): Record<string, unknown> {
  const [w, h] = [values['package.w'], values['package.h']];
  const mats = Math.min(3, Math.max(0, Number.parseInt(values.mats ?? '0', 10) || 0));
  const { faceWidth, height } = values;
  return {
    parts: [
      ...(values.glass === 'none' ? [] : [{ material: values.glass, w, h, thickness: values.glassThickness }]),
      ...Array.from({ length: mats }, () => ({ material: 'mat board', w, h, thickness: '1.4 mm' })),
      { material: 'paper', w, h },
      { material: 'foam board', w, h, thickness: values.foamThickness },
      { material: 'wood moulding', outside: { w: values['outside.w'], h: values['outside.h'] }, faceWidth, height },
    ],
    moulding: { faceWidth, height },
  };
}

function bodyOf(benchSum: BenchSum, values: Values, unit: Unit): Record<string, unknown> {
  if (benchSum.key === 'weight') return { unit, ...weightBody(values) };
  const body: Record<string, unknown> = { unit, ...benchSum.also };
  for (const { path, kind } of benchSum.fields) {
    const value = values[path]?.trim() ?? '';
    if (value === '') continue;
    if (kind === 'whole') put(body, path, Number.parseInt(value, 10));
    else if (path === 'heldEdges')
      put(
        body,
        path,
        value
          .split(',')
          .map((text) => text.trim())
          .filter(Boolean),
      );
    else put(body, path, value);
  }
  return body;
}

export interface Done extends Summed {
  readonly body: Record<string, unknown>;
}
/** Works a bench sum out from what is typed. */
export function benchSum(of: BenchSum, values: Values, unit: Unit): Outcome<Done> {
  const topic = TOPICS[of.topic]!;
  const body = bodyOf(of, values, unit);
  const checked = topic.body.safeParse(body);
  if (!checked.success) {
    const [first] = checked.error.issues;
    return bad(issue('input-wrong', { reason: first!.message }, first!.path.map(String).join('.')));
  }
  const result = sumUp(topic, checked.data as never, unit);
  return result.ok ? { ok: true, value: { ...result.value, body } } : result;
}

/** A worked sum as its drawing. */
export function sceneOf({ scene }: BenchSum, done: Done, unit: Unit): Scene {
  const figures = figuresOf(done.answer, unit, figuresOf(done.body, unit));
  const parts = (done.body.parts ?? []) as readonly { material: string }[];
  return sumScene(
    scene,
    (key) => figures.get(key) ?? 0,
    parts.map((part) => part.material),
  );
}
