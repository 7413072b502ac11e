/** What the jobs of a shop still need cut from sticks and sheets. Source: handbook, cutting. */
import { isBackingBoard } from '../builds/layers';
import type { FlatPart, Part } from '../parts/parts';
import { BESIDE, cutAt } from '../route/cut-at';
import type { StepKey } from '../route/steps';
import type { Length, Size } from '../units/length';
import type { WorkedOut } from '../work-out';

export interface WantedLeg {
  readonly id: string;
  readonly length: Length;
}
/** All legs of one frame of a job; those that were cut before are left out. */
export interface WantedFrame {
  readonly id: string;
  readonly ticket: string;
  readonly moulding: string;
  /** The blade's setting from square, in degrees. */
  readonly mitre: number;
  readonly legs: readonly WantedLeg[];
  /** What goes into it: a frame of a standard size can be bought ready made. */
  readonly inside?: Size;
}
export interface WantedPart {
  readonly id: string;
  readonly ticket: string;
  readonly what: 'mat' | 'glazing' | 'board';
  readonly material: string;
  readonly w: Length;
  readonly h: Length;
  /** The largest piece that falls from its windows, when it is a rectangle. */
  readonly drop?: { readonly w: Length; readonly h: Length };
}
/** What is cut by hand beside a plan: from no stick and no sheet of the books, or bought by the pair. */
export interface WantedBeside {
  readonly id: string;
  readonly ticket: string;
  /** Code of the part; of legs what they are of. */
  readonly part: string;
  readonly name: string;
  readonly count: number;
  readonly length?: Length;
  readonly width?: Length;
  readonly size?: Size;
}
export interface Wanted {
  readonly frames: readonly WantedFrame[];
  readonly parts: readonly WantedPart[];
  readonly beside: readonly WantedBeside[];
}

const SIDES = {
  'top and bottom': ['top', 'bottom'],
  'left and right': ['left', 'right'],
  'all round': Array.from({ length: 12 }, (_, index) => `side ${index + 1}`),
} as const;
const STEP_OF = { mat: 'cut-mats', glazing: 'cut-glazing', board: 'cut-backing' } as const;

/** Frames whose legs are cut from sticks of the books. */
const CUT_FROM_STICKS: ReadonlySet<string> = new Set(['frame', 'liner', 'fillet', 'lip']);

/** `2424-1` for the frame itself, `2424-1 liner`, `2424-1 liner 2`: told apart however many there are. */
function idOfFrame(ticket: string, of: string, named: Map<string, number>): string {
  const count = (named.get(of) ?? 0) + 1;
  named.set(of, count);
  return [ticket, ...(of === 'frame' ? [] : [of]), ...(count > 1 ? [count] : [])].join(' ');
}

const codesOf = (list: readonly { readonly code: string }[]) => list.map(({ code }) => code);

/** Sheet materials of a piece by what they are planned as. */
const hasSheet = (part: FlatPart, codes: readonly string[]) =>
  part.sheet && part.code !== undefined && codes.includes(part.code);

/** Strips, strainers, pairs, boards from what is left over: known to the plan, cut by hand. */
function besideOf(
  parts: readonly Part[],
  ticket: string,
  open: ReadonlySet<StepKey>,
  codes: readonly string[],
  madeHere: boolean,
): WantedBeside[] {
  return parts.flatMap((part, index): WantedBeside[] => {
    const step = cutAt(part);
    if (!open.has(step) || step === 'back-and-hang') return [];
    const id = `${ticket} beside ${index + 1}`;
    if (part.kind === 'leg')
      return CUT_FROM_STICKS.has(part.of) && !(madeHere && part.of === 'frame')
        ? []
        : [{ id, ticket, part: part.of, name: part.name, count: part.count, length: part.cut.longPoint }];
    const { name, count } = part;
    if (part.kind === 'flat')
      return hasSheet(part, codes) ? [] : [{ id, ticket, part: part.part, name, count, size: part.first ?? part.cut }];
    const { cutLength, width } = part;
    if (cutLength === undefined) return [];
    return [{ id, ticket, part: part.part, name, count, length: cutLength, ...(width === undefined ? {} : { width }) }];
  });
}

/** What a job still needs from stick and sheet: of the steps that are open, what is cut from the books' materials. */
export function wantedOf(worked: Omit<WorkedOut, 'workings'>, ticket: string, open: ReadonlySet<StepKey>): Wanted {
  const { resolved, parts } = worked;
  const madeHere = resolved.design.frame.shopMade !== undefined;
  const frames = new Map<number, WantedFrame & { legs: WantedLeg[] }>();
  const named = new Map<string, number>();
  if (open.has('cut-legs'))
    for (const part of parts) {
      if (part.kind !== 'leg' || !CUT_FROM_STICKS.has(part.of) || (madeHere && part.of === 'frame')) continue;
      const frame = frames.get(part.frame) ?? {
        id: idOfFrame(ticket, part.of, named),
        ticket,
        moulding: part.code,
        mitre: part.mitre,
        legs: [],
        ...(part.of === 'frame' ? { inside: worked.sizes.package } : {}),
      };
      for (const side of SIDES[part.side].slice(0, part.count))
        frame.legs.push({ id: `${frame.id} ${side}`, length: part.cut.longPoint });
      frames.set(part.frame, frame);
    }
  const { glazing, backPane, filler } = resolved;
  const boards = [resolved.mountBoard, resolved.innerBoard].filter((board) => board !== undefined);
  const sheets: readonly { what: WantedPart['what']; codes: readonly string[] }[] = [
    {
      what: 'mat',
      codes: codesOf([...resolved.mats, ...boards.filter((board) => !isBackingBoard(board))]),
    },
    { what: 'glazing', codes: codesOf([glazing, backPane].filter(({ type }) => type !== 'none')) },
    {
      what: 'board',
      codes: codesOf([resolved.backing, ...(filler ? [filler] : []), ...boards.filter(isBackingBoard)]),
    },
  ];
  const flat: WantedPart[] = [];
  const count = new Map<string, number>();
  for (const part of parts) {
    if (part.kind !== 'flat' || !part.sheet || part.code === undefined) continue;
    const { code } = part;
    const found = sheets.find(({ codes }) => codes.includes(code));
    if (
      !found ||
      !open.has(part.part === 'mount board' || BESIDE.includes(part.part) ? cutAt(part) : STEP_OF[found.what])
    )
      continue;
    for (let at = 0; at < part.count; at += 1) {
      const number = (count.get(part.part) ?? 0) + 1;
      count.set(part.part, number);
      const window = part.windows?.filter((one) => one.shape.shape === 'rectangle');
      const only = window?.length === 1 && part.windows?.length === 1 ? part.layer?.cut.window : undefined;
      flat.push({
        id: `${ticket} ${part.part}${number > 1 ? ` ${number}` : ''}`,
        ticket,
        what: found.what,
        material: code,
        w: part.first?.w ?? part.cut.w,
        h: part.first?.h ?? part.cut.h,
        ...(only ? { drop: { w: only.w, h: only.h } } : {}),
      });
    }
  }
  const codes = sheets.flatMap((sheet) => sheet.codes);
  return { frames: [...frames.values()], parts: flat, beside: besideOf(parts, ticket, open, codes, madeHere) };
}
