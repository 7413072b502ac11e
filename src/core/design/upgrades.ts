/**
 * Designs and agreed results are kept for years. Each carries its version; what an older Lopren wrote is brought up,
 * step by step, when it is read. A step is data: to which version, why, and how. Steps are never changed once released.
 */
import { isLineCode } from '../pricing/price-line';
import { type Money, moneyFrom } from '../units/money';
import { add, mul, mustDecimal } from '../units/rational';

export type Stored = Readonly<Record<string, unknown>>;
const isStored = (value: unknown): value is Stored =>
  typeof value === 'object' && value !== null && !Array.isArray(value);
export interface Upgrade {
  /** The version that the step leads to, from the one before. */
  readonly to: number;
  readonly why: string;
  readonly upgrade: (value: Stored) => Stored;
}

/** Of a design; version 1 is the first. */
export const DESIGN_UPGRADES: readonly Upgrade[] = [];
export const DESIGN_VERSION = 1;

/** Of what was agreed about a piece; 0.3.0 wrote none and counts as 0. */
export const AGREED_UPGRADES: readonly Upgrade[] = [
  {
    to: 1,
    why: 'how each figure came about is worked out again when somebody asks',
    upgrade: ({ workings: _workings, ...kept }) => kept,
  },
  {
    to: 2,
    why: 'parts name their material by code and legs their frame; they had the name shown only',
    upgrade: (agreed) => ({ ...agreed, parts: withCodes(agreed) }),
  },
  {
    to: 3,
    why: 'a back pane has a choice of its own, and a hanging says where its hook catches however it hangs',
    upgrade: ({ resolved, hanging, ...kept }) => ({
      ...kept,
      resolved: withBackPane(resolved),
      ...(isStored(hanging) ? { hanging: withHookDrop(hanging) } : {}),
    }),
  },
  {
    to: 4,
    why: 'a line of the price has a code and its cost; it was told by a text and by how its working reads',
    upgrade: ({ price, resolved, ...kept }) => ({
      ...kept,
      resolved,
      ...(isStored(price) ? { price: withLineCodes(price, resolved) } : {}),
    }),
  },
];
export const AGREED_VERSION = 4;

interface OldLine {
  readonly key: string;
  readonly workings: readonly { readonly formula: string; readonly inputs: Readonly<Record<string, OldInput>> }[];
}
interface OldInput {
  readonly kind: string;
  readonly value: string;
}
/** Extras came last, under the names they were given; everything else by what is its code now. */
function withLineCodes(price: Stored, resolved: unknown): Stored {
  const lines = price.lines as readonly OldLine[];
  const design = isStored(resolved) && isStored(resolved.design) ? resolved.design : {};
  const others = lines.length - (Array.isArray(design.extras) ? design.extras.length : 0);
  const known = (line: OldLine, index: number) =>
    index < others && isLineCode(line.key) ? { code: line.key } : { code: 'extra', name: line.key };
  return { ...price, lines: lines.map((line, index) => ({ ...line, ...known(line, index), ...oldCost(line) })) };
}
/** Quantity × cost as the workings of 0.4.0 have them; a price by hand was a working of its own. */
function oldCost({ workings }: OldLine): { readonly cost?: Money } {
  const made = workings.filter(({ formula }) => formula !== 'by hand instead of rule');
  const costs = made.flatMap(({ inputs: { quantity, cost } }) =>
    quantity?.kind === 'number' && cost?.kind === 'number'
      ? [mul(mustDecimal(quantity.value), mustDecimal(cost.value))]
      : [],
  );
  return costs.length === 0 || costs.length < made.length ? {} : { cost: moneyFrom(costs.reduce(add)) };
}

const withBackPane = (resolved: unknown): unknown =>
  isStored(resolved) ? { ...resolved, backPane: resolved.backPane ?? resolved.glazing } : resolved;
/** Before, a sawtooth was told as two hooks at the rings' height: its plate catches 12 mm below the top. */
function withHookDrop(hanging: Stored): Stored {
  const { by, noWire, wireDrop, ringDrop, span } = hanging;
  if (by === 'sawtooth') return { ...hanging, hookDrop: SAWTOOTH_DROP };
  return by === 'wire' && !noWire
    ? { ...hanging, hookDrop: wireDrop }
    : { ...hanging, hookDrop: ringDrop, apart: span };
}
const SAWTOOTH_DROP = 12 * 320;

interface Named {
  readonly name: string;
  readonly code: string;
}
interface OldPart {
  readonly kind: string;
  readonly name: string;
  readonly of?: string;
  readonly side?: string;
  readonly sheet?: boolean;
}
interface OldMaterials {
  readonly moulding?: Named;
  readonly inner?: readonly Named[];
  readonly fillet?: Named;
  readonly mats?: readonly Named[];
  readonly mountBoard?: Named;
  readonly glazing?: Named;
  readonly backing?: Named;
}
/** Codes by the names of the piece's own materials; a frame begins with its legs across. */
function withCodes({ parts, resolved }: Stored): unknown {
  const oldMaterials = resolved as OldMaterials;
  const codeIn = (list: readonly (Named | undefined)[], name: string) =>
    list.find((named) => named?.name === name)?.code;
  let frame = -1;
  return (parts as readonly OldPart[]).map((part) => {
    if (part.kind === 'leg') {
      if (part.side === 'top and bottom' && part.of !== 'lip') frame += 1;
      const code = codeIn([oldMaterials.moulding, ...(oldMaterials.inner ?? []), oldMaterials.fillet], part.name);
      return { ...part, frame, code: code ?? oldMaterials.moulding?.code ?? '' };
    }
    if (part.kind !== 'flat' || !part.sheet) return part;
    const name = part.name.replace(/, back pane$/, '');
    const code = codeIn(
      [...(oldMaterials.mats ?? []), oldMaterials.mountBoard, oldMaterials.glazing, oldMaterials.backing],
      name,
    );
    return code === undefined ? part : { ...part, code };
  });
}

/** Runs the steps that are due. Throws RangeError for what no version of ours has written, or a newer one. */
export function upgraded(value: unknown, steps: readonly Upgrade[], newest: number): Stored {
  if (!isStored(value)) throw new RangeError('what is stored is no object');
  const from = value.version ?? 0;
  if (typeof from !== 'number' || !Number.isInteger(from) || from > newest)
    throw new RangeError(`version ${String(from)} is not known; the newest is ${newest}`);
  const risen = steps.filter(({ to }) => to > from).reduce((now, { upgrade }) => upgrade(now), value);
  return { ...risen, version: newest };
}

export const upgradedDesign = (value: unknown): Stored => upgraded(value, DESIGN_UPGRADES, DESIGN_VERSION);

/** With the design inside it, and those it may hold, as new as itself. */
export function upgradedAgreed(value: unknown): Stored {
  const risen = upgraded(value, AGREED_UPGRADES, AGREED_VERSION);
  const { resolved } = risen;
  return isStored(resolved) ? { ...risen, resolved: { ...resolved, design: upgradedDesign(resolved.design) } } : risen;
}
