/** The sums a framer does at the bench, each by itself: what it asks, which topic of the core answers, how it is drawn. */
import type { SumScene } from '@/core/drawing/sums';
import { exactText } from '@/core/units/format-length';
import type { Length, Size, Unit } from '@/core/units/length';
import type { WorkedOut } from '@/core/work-out';
import { SUM_WORDS } from '@/words/screens/sums';

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
  field(`${path}.w`, SUM_WORDS.width(label), inches[0], millimetres[0]),
  field(`${path}.h`, SUM_WORDS.height(label), inches[1], millimetres[1]),
];
const border = (inches: [string, string], millimetres: [string, string]): SumField[] =>
  (['left', 'right', 'top', 'bottom'] as const).map((side) =>
    field(
      `border.${side}`,
      SUM_WORDS.border(side),
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
    name: SUM_WORDS.matWindowMarkingOut,
    says: SUM_WORDS.guideSettingsAndCentre,
    topic: 'mats',
    scene: 'mat',
    fields: [
      ...size('opening', SUM_WORDS.window, ['11 3/4', '15 3/4'], ['294', '394']),
      ...border(['2 1/2', '3'], ['60', '72']),
      field('layers', SUM_WORDS.layers, '1', '1', 'whole'),
      field('reveal', SUM_WORDS.eachLowerOneShows, '1/4', '6'),
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
    name: SUM_WORDS.floaterAndItsRiser,
    says: SUM_WORDS.theInsideTheOutside,
    topic: 'builds',
    scene: 'floater',
    also: { build: 'floater frame' },
    fields: [
      ...size('piece', SUM_WORDS.piece, ['16', '20'], ['400', '500']),
      field('gap', SUM_WORDS.gap, '1/4', '6'),
      field('wall', SUM_WORDS.wall, '3/8', '10'),
      field('innerDepth', SUM_WORDS.depthInside, '1 3/4', '45'),
      field('pieceDepth', SUM_WORDS.depthOfThePiece, '1 1/2', '38'),
      field('setBack', SUM_WORDS.setBackBelowThe, '0', '0'),
      field('cardThickness', SUM_WORDS.shimCard, '1/16', '1.5'),
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
    name: SUM_WORDS.screwFromBehind,
    says: SUM_WORDS.howLongAScrew,
    topic: 'screws-and-pins',
    scene: 'screw',
    fields: [
      field('floor', SUM_WORDS.floor, '1/4', '6'),
      field('riser', SUM_WORDS.riser, '1/4', '6'),
      field('bar', SUM_WORDS.barOrBlock, '3/4', '18'),
      field('side', SUM_WORDS.sideOfThePiece, '20', '500'),
      field('screw', SUM_WORDS.screwAtHand, '3/4', '20'),
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
    name: SUM_WORDS.shadowBoxSides,
    says: SUM_WORDS.depthThatIsLeft,
    topic: 'builds',
    scene: 'box',
    also: { build: 'shadow box' },
    fields: [
      ...size('package', SUM_WORDS.packageText, ['12', '16'], ['300', '400']),
      field('rabbetDepth', SUM_WORDS.rabbetDepth, '2 3/8', '60'),
      field('glazing', SUM_WORDS.glazing, '2 mm', '2'),
      field('mountBoard', SUM_WORDS.mountBoard, '5 mm', '5'),
      field('backing', SUM_WORDS.backing, '3 mm', '3'),
      field('objectDepth', SUM_WORDS.depthOfTheObject, '1 1/2', '38'),
      field('clearance', SUM_WORDS.clearOfTheGlass, '1/4', '6'),
      field('stripThickness', SUM_WORDS.stripThickness, '6.4 mm', '6.4'),
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
    name: SUM_WORDS.garmentInsert,
    says: SUM_WORDS.theBoardInsideNever,
    topic: 'builds',
    scene: 'garment',
    also: { build: 'garment' },
    fields: [
      field('flatWidth', SUM_WORDS.widthLaidFlat, '21', '530'),
      field('visibleHeight', SUM_WORDS.heightThatIsSeen, '26', '660'),
      field('garmentHeight', SUM_WORDS.heightOfTheGarment, '29', '740'),
      field('stretch', SUM_WORDS.stretch, '1', '25'),
      field('tuck', SUM_WORDS.tuckedAway, '2', '50'),
      field('heldEdges', SUM_WORDS.heldEdgesWithCommas, '7, 16, 16, 5, 5, 20', '180, 400, 400, 130, 130, 500', 'text'),
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
    name: SUM_WORDS.wireAndHook,
    says: SUM_WORDS.whereTheRingsGo,
    topic: 'hanging',
    scene: 'wire',
    also: { wallCard: true },
    fields: [
      ...size('outside', SUM_WORDS.outside, ['18 7/8', '22 7/8'], ['480', '582']),
      field('faceWidth', SUM_WORDS.faceWidth, '1 1/4', '32'),
      field('ringDrop', SUM_WORDS.ringsBelowTheTop, 'third', 'third', 'text'),
      field('slack', SUM_WORDS.slack, '5 %', '5 %', 'text'),
      field('weight', SUM_WORDS.weight, '2.6 kg', '2.6 kg', 'text'),
      field('eyeLine', SUM_WORDS.eyeLineOverThe, '57', '1450'),
    ],
    from: (worked, unit) => {
      const outside = outsideOf(worked, unit);
      return outside && { ...outside, weight: kilos(worked) };
    },
  },
  {
    key: 'polygon',
    name: SUM_WORDS.frameOfManySides,
    says: SUM_WORDS.threeToTwelveEqual,
    topic: 'polygons',
    scene: 'polygon',
    fields: [
      field('sides', SUM_WORDS.sides, '6', '6', 'whole'),
      field('acrossFlats', SUM_WORDS.rabbetAcrossTheFlats, '14', '350'),
      field('faceWidth', SUM_WORDS.faceWidth, '1 1/4', '30'),
      field('rabbetWidth', SUM_WORDS.rabbetWidth, '1/4', '7'),
    ],
    from: ({ resolved: { moulding } }, unit) =>
      known({ faceWidth: moulding.faceWidth, rabbetWidth: moulding.rabbetWidth }, unit),
  },
  {
    key: 'saw',
    name: SUM_WORDS.sawALittleOff,
    says: SUM_WORDS.whatAFractionOf,
    topic: 'saw-error',
    scene: 'saw',
    fields: [
      field('sides', SUM_WORDS.sides, '4', '4', 'whole'),
      field('error', SUM_WORDS.errorACutIn, '0.25', '0.25', 'text'),
      field('faceWidth', SUM_WORDS.faceWidth, '1 1/4', '30'),
    ],
    from: ({ resolved: { moulding } }, unit) => known({ faceWidth: moulding.faceWidth }, unit),
  },
  {
    key: 'matched',
    name: SUM_WORDS.sameOutsideAsAnother,
    says: SUM_WORDS.howMuchTheRabbet,
    topic: 'same-outside-size',
    scene: 'matched',
    fields: [
      ...size('outside', SUM_WORDS.outside, ['18', '24'], ['450', '600']),
      ...size('package', SUM_WORDS.packageText, ['16 3/8', '21 7/8'], ['408', '555']),
      field('faceWidth', SUM_WORDS.faceWidth, '1 1/4', '30'),
      field('rabbetWidth', SUM_WORDS.rabbetWidth, '1/4', '7'),
      field('allowance', SUM_WORDS.allowance, '1/8', '3'),
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
    name: SUM_WORDS.canvasAndBars,
    says: SUM_WORDS.theClothToCut,
    topic: 'jobs',
    scene: 'canvas',
    fields: [
      ...size('piece', SUM_WORDS.canvas, ['20', '24'], ['500', '600']),
      field('barDepth', SUM_WORDS.barDepth, '3/4', '18'),
    ],
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
    name: SUM_WORDS.standardSizes,
    says: SUM_WORDS.readyMadeSizesThat,
    topic: 'standard-sizes',
    scene: 'standard',
    fields: [
      ...size('opening', SUM_WORDS.window, ['7 3/4', '9 3/4'], ['200', '290']),
      ...(['left', 'right', 'top', 'bottom'] as const).map((side) =>
        field(`borderWished.${side}`, SUM_WORDS.wished(side), '2', '50'),
      ),
      field('fitted', SUM_WORDS.windowInIt, 'centred', 'centred', { of: ['centred', 'bottom-heavy', 'optical'] }),
    ],
    from: ({ sizes }, unit) => sizes.opening && sized('opening', sizes.opening, unit),
  },
  {
    key: 'weight',
    name: SUM_WORDS.weight,
    says: SUM_WORDS.glassBoardsAndMoulding,
    topic: 'weight',
    scene: 'weight',
    fields: [
      ...size('package', SUM_WORDS.packageText, ['16 3/4', '20 3/4'], ['425', '527']),
      ...size('outside', SUM_WORDS.outside, ['18 7/8', '22 7/8'], ['480', '582']),
      field('glass', SUM_WORDS.glazing, 'glass', 'glass', { of: ['glass', 'acrylic', 'none'] }),
      field('glassThickness', SUM_WORDS.glazingThickness, '2 mm', '2'),
      field('mats', SUM_WORDS.mats, '1', '1', 'whole'),
      field('foamThickness', SUM_WORDS.foamBoard, '5 mm', '5'),
      field('faceWidth', SUM_WORDS.faceWidth, '1 1/4', '32'),
      field('height', SUM_WORDS.mouldingHeight, '7/8', '20'),
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
