/** The sums a framer does at the bench, each by itself: what it asks, which topic of the core answers, how it is drawn. */
import type { SumScene } from '@/core/drawing/sums';
import { exactText } from '@/core/units/format-length';
import type { Length, Size, Unit } from '@/core/units/length';
import type { WorkedOut } from '@/core/work-out';

export interface SumField {
  readonly path: string;
  readonly label: string;
  /** What stands there first, in inches and millimetres. */
  readonly first: readonly [inches: string, millimetres: string];
  readonly kind?: 'length' | 'whole' | 'text' | { readonly of: readonly string[] };
}
export type Values = Readonly<Record<string, string>>;
export interface BenchSum {
  readonly key: string;
  readonly name: string;
  /** What it is good for, in a sentence. */
  readonly says: string;
  readonly topic: string;
  readonly scene: SumScene;
  readonly fields: readonly SumField[];
  /** What the topic is told besides. */
  readonly also?: Readonly<Record<string, unknown>>;
  /** Its figures from a job; nothing where the job has none. */
  readonly from: (worked: WorkedOut, unit: Unit) => Values | undefined;
}

const field = (path: string, label: string, inches: string, millimetres: string, kind?: SumField['kind']): SumField =>
  kind ? { path, label, first: [inches, millimetres], kind } : { path, label, first: [inches, millimetres] };
const size = (path: string, label: string, inches: [string, string], millimetres: [string, string]): SumField[] => [
  field(`${path}.w`, `${label}, width`, inches[0], millimetres[0]),
  field(`${path}.h`, `${label}, height`, inches[1], millimetres[1]),
];
const border = (inches: [string, string], millimetres: [string, string]): SumField[] =>
  (['left', 'right', 'top', 'bottom'] as const).map((side) =>
    field(
      `border.${side}`,
      `Border, ${side}`,
      inches[side === 'bottom' ? 1 : 0],
      millimetres[side === 'bottom' ? 1 : 0],
    ),
  );

/** Exactly as the job has it: a figure that is not whole in 1/64 in comes in millimetres. */
const text = exactText;
const sized = (path: string, size: Size, unit: Unit): Values => ({
  [`${path}.w`]: text(size.w, unit),
  [`${path}.h`]: text(size.h, unit),
});
const own = (worked: WorkedOut, key: string): Length | undefined => {
  const value = worked.resolved.design.own?.[key];
  return typeof value === 'number' ? (value as Length) : undefined;
};
/** Only what is known. */
const known = (all: Readonly<Record<string, Length | undefined>>, unit: Unit): Values =>
  Object.fromEntries(Object.entries(all).flatMap(([key, of]) => (of === undefined ? [] : [[key, text(of, unit)]])));
const outsideOf = ({ sizes, resolved }: WorkedOut, unit: Unit): Values | undefined =>
  sizes.outside && {
    ...sized('outside', sizes.outside, unit),
    faceWidth: text(resolved.moulding.faceWidth, unit),
  };
/** Its sums are of a frame with a floor under the piece. */
const isFloater = ({ sizes }: WorkedOut) => sizes.counts.riserBlocks !== undefined;
const kilos = ({ weight }: WorkedOut) => `${weight.kg.toFixed(2)} kg`;

export const BENCH_SUMS: readonly BenchSum[] = [
  {
    key: 'mat',
    name: 'Mat window, marking out',
    says: 'Guide settings and centre lines, as they are marked from the back: left and right change places.',
    topic: 'mats',
    scene: 'mat',
    fields: [
      ...size('opening', 'Window', ['11 3/4', '15 3/4'], ['294', '394']),
      ...border(['2 1/2', '3'], ['60', '72']),
      field('layers', 'Layers', '1', '1', 'whole'),
      field('reveal', 'Each lower one shows', '1/4', '6'),
    ],
    from: ({ sizes }, unit) =>
      sizes.matted && {
        ...sized('opening', sizes.matted.opening, unit),
        ...known(
          Object.fromEntries(Object.entries(sizes.matted.border).map(([side, of]) => [`border.${side}`, of as Length])),
          unit,
        ),
        layers: String(sizes.matted.layers.length),
      },
  },
  {
    key: 'floater',
    name: 'Floater and its riser',
    says: 'The inside, the outside, and what must lie under the piece so that its face sits where it should.',
    topic: 'builds',
    scene: 'floater',
    also: { build: 'floater frame' },
    fields: [
      ...size('piece', 'Piece', ['16', '20'], ['400', '500']),
      field('gap', 'Gap', '1/4', '6'),
      field('wall', 'Wall', '3/8', '10'),
      field('innerDepth', 'Depth inside', '1 3/4', '45'),
      field('pieceDepth', 'Depth of the piece', '1 1/2', '38'),
      field('setBack', 'Set back below the face', '0', '0'),
      field('cardThickness', 'Shim card', '1/16', '1.5'),
    ],
    from: (worked, unit) =>
      isFloater(worked)
        ? {
            ...sized('piece', worked.sizes.piece.larger, unit),
            ...known(
              {
                gap: own(worked, 'gap'),
                wall: own(worked, 'wall') ?? worked.resolved.moulding.faceWidth,
                innerDepth: own(worked, 'innerDepth') ?? worked.resolved.moulding.rabbetDepth,
                pieceDepth: own(worked, 'pieceDepth') ?? worked.resolved.design.piece.thickness,
                setBack: own(worked, 'setBack'),
              },
              unit,
            ),
          }
        : undefined,
  },
  {
    key: 'screw',
    name: 'Screw from behind',
    says: 'How long a screw may be: at least a third into the bar, at most two thirds, never near the face.',
    topic: 'screws-and-pins',
    scene: 'screw',
    fields: [
      field('floor', 'Floor', '1/4', '6'),
      field('riser', 'Riser', '1/4', '6'),
      field('bar', 'Bar or block', '3/4', '18'),
      field('side', 'Side of the piece', '20', '500'),
      field('screw', 'Screw at hand', '3/4', '20'),
    ],
    from: (worked, unit) =>
      isFloater(worked)
        ? known(
            {
              floor: own(worked, 'floor'),
              bar: own(worked, 'bar'),
              riser: worked.sizes.figures.riser,
              side: worked.sizes.piece.larger.h,
            },
            unit,
          )
        : undefined,
  },
  {
    key: 'box',
    name: 'Shadow box sides',
    says: 'Depth that is left for the object, the side strips, and the floor that is seen.',
    topic: 'builds',
    scene: 'box',
    also: { build: 'shadow box' },
    fields: [
      ...size('package', 'Package', ['12', '16'], ['300', '400']),
      field('rabbetDepth', 'Rabbet depth', '2 3/8', '60'),
      field('glazing', 'Glazing', '2 mm', '2'),
      field('mountBoard', 'Mount board', '5 mm', '5'),
      field('backing', 'Backing', '3 mm', '3'),
      field('objectDepth', 'Depth of the object', '1 1/2', '38'),
      field('clearance', 'Clear of the glass', '1/4', '6'),
      field('stripThickness', 'Strip thickness', '6.4 mm', '6.4'),
    ],
    from: (worked, unit) => {
      const deep = worked.sizes.figures.object;
      return deep !== undefined
        ? {
            ...sized('package', worked.sizes.package, unit),
            ...known(
              {
                rabbetDepth: worked.resolved.moulding.rabbetDepth,
                glazing: worked.resolved.glazing.thickness,
                backing: worked.resolved.backing.thickness,
                objectDepth: deep,
              },
              unit,
            ),
          }
        : undefined;
    },
  },
  {
    key: 'garment',
    name: 'Garment insert',
    says: 'The board inside, never taller than the garment, and the pins along each held edge.',
    topic: 'builds',
    scene: 'garment',
    also: { build: 'garment' },
    fields: [
      field('flatWidth', 'Width laid flat', '21', '530'),
      field('visibleHeight', 'Height that is seen', '26', '660'),
      field('garmentHeight', 'Height of the garment', '29', '740'),
      field('stretch', 'Stretch', '1', '25'),
      field('tuck', 'Tucked away', '2', '50'),
      field('heldEdges', 'Held edges, with commas', '7, 16, 16, 5, 5, 20', '180, 400, 400, 130, 130, 500', 'text'),
    ],
    from: (worked, unit) =>
      worked.sizes.figures.insert && worked.sizes.counts.pins !== undefined
        ? known(
            {
              flatWidth: own(worked, 'flatWidth') ?? worked.sizes.piece.larger.w,
              visibleHeight: own(worked, 'visibleHeight') ?? worked.sizes.piece.larger.h,
              garmentHeight: own(worked, 'garmentHeight'),
            },
            unit,
          )
        : undefined,
  },
  {
    key: 'wire',
    name: 'Wire and hook',
    says: 'Where the rings go, the wire to cut, and how far under the top edge it will hang.',
    topic: 'hanging',
    scene: 'wire',
    also: { wallCard: true },
    fields: [
      ...size('outside', 'Outside', ['18 7/8', '22 7/8'], ['480', '582']),
      field('faceWidth', 'Face width', '1 1/4', '32'),
      field('ringDrop', 'Rings below the top', 'third', 'third', 'text'),
      field('slack', 'Slack', '5 %', '5 %', 'text'),
      field('weight', 'Weight', '2.6 kg', '2.6 kg', 'text'),
      field('eyeLine', 'Eye line over the floor', '57', '1450'),
    ],
    from: (worked, unit) => {
      const outside = outsideOf(worked, unit);
      return outside && { ...outside, weight: kilos(worked) };
    },
  },
  {
    key: 'polygon',
    name: 'Frame of many sides',
    says: 'Three to twelve equal sides: the blade from square, and both points of a leg.',
    topic: 'polygons',
    scene: 'polygon',
    fields: [
      field('sides', 'Sides', '6', '6', 'whole'),
      field('acrossFlats', 'Rabbet across the flats', '14', '350'),
      field('faceWidth', 'Face width', '1 1/4', '30'),
      field('rabbetWidth', 'Rabbet width', '1/4', '7'),
    ],
    from: ({ resolved: { moulding } }, unit) =>
      known({ faceWidth: moulding.faceWidth, rabbetWidth: moulding.rabbetWidth }, unit),
  },
  {
    key: 'saw',
    name: 'Saw a little off',
    says: 'What a fraction of a degree does at the last corner when every cut errs the same way.',
    topic: 'saw-error',
    scene: 'saw',
    fields: [
      field('sides', 'Sides', '4', '4', 'whole'),
      field('error', 'Error a cut, in degrees', '0.25', '0.25', 'text'),
      field('faceWidth', 'Face width', '1 1/4', '30'),
    ],
    from: ({ resolved: { moulding } }, unit) => known({ faceWidth: moulding.faceWidth }, unit),
  },
  {
    key: 'matched',
    name: 'Same outside as another',
    says: 'How much the rabbet must be widened a side, and the wood that leaves.',
    topic: 'same-outside-size',
    scene: 'matched',
    fields: [
      ...size('outside', 'Outside', ['18', '24'], ['450', '600']),
      ...size('package', 'Package', ['16 3/8', '21 7/8'], ['408', '555']),
      field('faceWidth', 'Face width', '1 1/4', '30'),
      field('rabbetWidth', 'Rabbet width', '1/4', '7'),
      field('allowance', 'Allowance', '1/8', '3'),
    ],
    from: (worked, unit) => {
      const outside = outsideOf(worked, unit);
      const { moulding, design } = worked.resolved;
      return (
        outside && {
          ...outside,
          ...sized('package', worked.sizes.package, unit),
          ...known({ rabbetWidth: moulding.rabbetWidth, allowance: design.frame.allowance }, unit),
        }
      );
    },
  },
  {
    key: 'canvas',
    name: 'Canvas and bars',
    says: 'The cloth to cut for a wrapped canvas, its keys, and whether it wants a crossbar.',
    topic: 'jobs',
    scene: 'canvas',
    fields: [...size('piece', 'Canvas', ['20', '24'], ['500', '600']), field('barDepth', 'Bar depth', '3/4', '18')],
    from: (worked, unit) =>
      worked.resolved.design.piece.kind === 'canvas'
        ? {
            ...sized('piece', worked.sizes.piece.larger, unit),
            barDepth: text(worked.resolved.design.piece.thickness, unit),
          }
        : undefined,
  },
  {
    key: 'standard',
    name: 'Standard sizes',
    says: 'Ready-made sizes that suit a window, nearest to the wish first, with the borders each would give.',
    topic: 'standard-sizes',
    scene: 'standard',
    fields: [
      ...size('opening', 'Window', ['7 3/4', '9 3/4'], ['200', '290']),
      ...(['left', 'right', 'top', 'bottom'] as const).map((side) =>
        field(`borderWished.${side}`, `Wished, ${side}`, '2', '50'),
      ),
      field('fitted', 'Window in it', 'centred', 'centred', { of: ['centred', 'bottom-heavy', 'optical'] }),
    ],
    from: ({ sizes }, unit) => sizes.opening && sized('opening', sizes.opening, unit),
  },
  {
    key: 'weight',
    name: 'Weight',
    says: 'Glass, boards and moulding of one size together, against what the moulding may carry.',
    topic: 'weight',
    scene: 'weight',
    fields: [
      ...size('package', 'Package', ['16 3/4', '20 3/4'], ['425', '527']),
      ...size('outside', 'Outside', ['18 7/8', '22 7/8'], ['480', '582']),
      field('glass', 'Glazing', 'glass', 'glass', { of: ['glass', 'acrylic', 'none'] }),
      field('glassThickness', 'Glazing thickness', '2 mm', '2'),
      field('mats', 'Mats', '1', '1', 'whole'),
      field('foamThickness', 'Foam board', '5 mm', '5'),
      field('faceWidth', 'Face width', '1 1/4', '32'),
      field('height', 'Moulding height', '7/8', '20'),
    ],
    from: ({ sizes, resolved }, unit) => ({
      ...sized('package', sizes.package, unit),
      ...(sizes.outside ? sized('outside', sizes.outside, unit) : {}),
      ...known({ faceWidth: resolved.moulding.faceWidth, height: resolved.moulding.height }, unit),
      glass: resolved.glazing.type,
      mats: String(sizes.matted?.layers.length ?? 0),
    }),
  },
];

/** What stands in the fields of a sum at first. */
export const firstValues = ({ fields }: BenchSum, unit: Unit): Values =>
  Object.fromEntries(fields.map((field) => [field.path, field.first[unit === 'in' ? 0 : 1]]));
