/** Mounting, light, hanging, people and promises. Source: handbook, cautions; rulings R36, R54, R55. */
import { BUILDS, CLOTH } from '../../builds';
import { type Edit, set } from '../../design/edit';
import { withBuild } from '../../design/with-build';
import { type Length, length, minus, plus } from '../../units/length';
import type { Facts, Rule } from '../caution';
import { way, acrylicWay, glazed, boardWay } from './ways';

/** Nothing is taped or hinged to these by the paper. */
const NOT_PAPER: readonly string[] = [...CLOTH, 'canvas', 'panel', 'metal-print', 'object', 'mirror'];

const uses = ({ resolved: { design } }: Facts, part: 'mats' | 'glazing') => BUILDS[design.build].uses.includes(part);

const beyond = (value: Length | undefined, most: Length | undefined) =>
  value !== undefined && most !== undefined && value > most;

/** What hinges cannot hold. */
const STANDS_UP: readonly string[] = ['object', 'garment', 'textile'];

export const CARE_RULES: readonly Rule[] = [
  {
    code: 'no-uv',
    level: 'advise',
    path: 'glazing',
    applies: (situation) =>
      glazed(situation) && !situation.uv && (situation.irreplaceable || situation.signed) ? {} : undefined,
    waysOut: ({ resolved: { design, glazing } }, catalogue) => {
      const uv = [...catalogue.glazings.values()]
        .filter((glazing) => glazing.uv)
        .sort((a, b) => Number(b.type === glazing.type) - Number(a.type === glazing.type))[0];
      return uv ? [way('use-glazing', design, ['glazing'], { code: uv.code }, { name: uv.name })] : [];
    },
  },
  {
    code: 'not-archival',
    level: 'warn',
    path: 'backing',
    applies: ({ irreplaceable, acidFree, notArchival }) =>
      irreplaceable && acidFree === false ? { name: notArchival ?? '' } : undefined,
    waysOut: ({ resolved: { design, mats, backing } }, catalogue) => {
      const board = [...catalogue.mats.values()].find((mat) => mat.archival);
      const back = [...catalogue.backings.values()]
        .filter((backing) => backing.archival)
        .sort((a, b) => Math.abs(a.thickness - backing.thickness) - Math.abs(b.thickness - backing.thickness))[0];
      if ((!board && mats.some((mat) => !mat.archival)) || (!back && !backing.archival)) return [];
      const layers = design.mats.map((mat, index) =>
        mats[index]!.archival ? mat : { ...mat, board: { code: board!.code } },
      );
      const edit: Edit = [
        ...(mats.every((mat) => mat.archival) ? [] : set(design, ['mats'], layers)),
        ...(backing.archival ? [] : set(design, ['backing'], { code: back!.code })),
      ];
      return [{ code: 'use-archival', figures: { name: backing.archival ? board!.name : back!.name }, edit }];
    },
  },
  {
    code: 'no-wire',
    level: 'warn',
    path: 'hanging',
    applies: ({ weight, outside, hung }, settings) => {
      if (weight === undefined || (hung && hung !== 'wire')) return undefined;
      const wide = outside !== undefined && outside.w > settings.noWireWide.width && weight > settings.noWireWide.kg;
      return weight > settings.noWireKg || wide ? { kg: weight.toFixed(1) } : undefined;
    },
    waysOut: ({ resolved: { design } }) => [
      way('two-hooks', design, ['hanging', 'by'], 'hooks'),
      way('no-hanging', design, ['hanging', 'rings'], 'none'),
    ],
  },
  {
    code: 'hanger-weak',
    level: 'warn',
    path: 'hanging',
    applies: ({ hangerFound, ratingNeeded }) =>
      hangerFound === false && ratingNeeded !== undefined ? { needed: ratingNeeded.toFixed(1) } : undefined,
    waysOut: ({ resolved: { design } }) => [
      way('more-slack', design, ['hanging', 'slack'], '0.1', { slack: '10 %' }),
      way('two-hooks', design, ['hanging', 'by'], 'hooks'),
      way('no-hanging', design, ['hanging', 'rings'], 'none'),
    ],
  },
  {
    code: 'hanger-no-wood',
    level: 'warn',
    path: 'hanging',
    applies: ({ hangerNoWood: wood, ratingNeeded }) =>
      wood && { solid: wood.solid, deep: wood.depth, needed: (ratingNeeded ?? 0).toFixed(1) },
    waysOut: ({ resolved: { design } }) => [
      way('two-hooks', design, ['hanging', 'by'], 'hooks'),
      way('sawtooth-instead', design, ['hanging', 'by'], 'sawtooth'),
      way('more-slack', design, ['hanging', 'slack'], '0.1', { slack: '10 %' }),
      way('no-hanging', design, ['hanging', 'rings'], 'none'),
    ],
  },
  {
    code: 'no-support',
    level: 'warn',
    path: 'mountBoard',
    applies: ({ unsupported }) => (unsupported ? {} : undefined),
    waysOut: ({ resolved: { design } }, catalogue) => boardWay(design, catalogue),
  },
  {
    code: 'kind-not-flat',
    level: 'warn',
    path: 'build',
    applies: ({ wantsBuild, medium = '' }) => (wantsBuild ? { medium, build: wantsBuild } : undefined),
    waysOut: ({ resolved: { design }, situation: { wantsBuild }, settings }, { backings }) => {
      if (!wantsBuild) return [];
      const board = [...backings.values()].find(({ type }) => type === 'foam');
      // Of what a build begins with, only the board of a box is wanted by these.
      const begins = { mat: '', moulding: '', glazing: '', backing: '', ...(board ? { boxBoard: board.code } : {}) };
      return [way('other-build', design, [], withBuild(design, wantsBuild, settings, begins), { build: wantsBuild })];
    },
  },
  {
    code: 'wire-shows',
    level: 'warn',
    path: 'hanging',
    applies: ({ rise, ringDrop, hung = 'wire' }, settings) =>
      hung === 'wire' && rise !== undefined && ringDrop !== undefined && rise >= ringDrop - settings.wireHidden
        ? { rise, ringDrop }
        : undefined,
    waysOut: ({ resolved: { design }, situation, settings, sizes }) => {
      const lower = plus(situation.rise ?? length(0), settings.wireHidden, settings.wireHidden);
      return [
        ...(lower < (sizes.outside?.h ?? 0) / 2
          ? [way('lower-rings', design, ['hanging', 'rings'], { distance: lower }, { distance: lower })]
          : []),
        way('less-slack', design, ['hanging', 'slack'], '0.01', { slack: '1 %' }),
        way('two-hooks', design, ['hanging', 'by'], 'hooks'),
        way('no-hanging', design, ['hanging', 'rings'], 'none'),
      ];
    },
  },
  {
    code: 'dry-mount-original',
    level: 'refuse',
    path: 'mount',
    applies: ({ irreplaceable, mount }) =>
      irreplaceable && ['dry mount', 'glue', 'full adhesive'].includes(mount ?? '') ? {} : undefined,
    waysOut: ({ resolved: { design } }) =>
      STANDS_UP.includes(design.piece.kind)
        ? [way('stitch-instead', design, ['mount'], 'stitched')]
        : [
            {
              code: 'hinge-instead',
              figures: {},
              edit: [
                ...set(design, ['mount'], 'hinges'),
                ...(BUILDS[design.build].usualMount === 'dry mount'
                  ? [
                      ...set(design, ['build'], design.mats.length > 0 ? 'window-mat' : 'bare'),
                      ...set(design, ['own'], undefined),
                    ]
                  : []),
              ],
            },
          ],
  },
  {
    code: 'adhesive-on-document',
    level: 'warn',
    path: 'mount',
    applies: ({ medium, signed, irreplaceable, mount = '' }) => {
      const document =
        medium === 'certificate' || medium === 'signed paper' || (signed && !NOT_PAPER.includes(medium ?? ''));
      const sticks = ['tape', 'glue', 'full adhesive', 'hinges'].includes(mount);
      return (document && sticks) || (irreplaceable && ['tape', 'pads'].includes(mount)) ? { mount } : undefined;
    },
    waysOut: ({ resolved: { design } }) => [
      way('corners-instead', design, ['mount'], 'corners'),
      way('hinge-instead', design, ['mount'], 'hinges'),
    ],
  },
  {
    code: 'hinged-cloth',
    level: 'refuse',
    path: 'mount',
    applies: ({ medium = '', mount = '' }) =>
      CLOTH.includes(medium) && ['hinges', 'tape', 'corners', 'strips', 'pads'].includes(mount)
        ? { medium }
        : undefined,
    waysOut: ({ resolved: { design } }) =>
      design.piece.kind === 'needlework'
        ? [way('lace-instead', design, ['mount'], 'laced')]
        : [way('stitch-instead', design, ['mount'], 'stitched')],
  },
  {
    code: 'roll-narrow',
    level: 'refuse',
    path: 'own.rollWidth',
    applies: ({ rollTooNarrow: cloth }) => cloth && { w: cloth.cut.w, h: cloth.cut.h, roll: cloth.roll },
  },
  {
    code: 'coated-side',
    level: 'advise',
    path: 'glazing',
    applies: (situation) => (glazed(situation) && situation.coated ? {} : undefined),
  },
  {
    code: 'ammonia',
    level: 'advise',
    path: 'glazing',
    applies: (situation) =>
      situation.glazing === 'acrylic' || (glazed(situation) && situation.irreplaceable && situation.acidFree === true)
        ? { glazing: situation.glazing! }
        : undefined,
  },
  {
    code: 'plate-too-wide',
    level: 'warn',
    path: 'hanging',
    applies: ({ plateWidth: plate, faceWidth, rabbetWidth }) => {
      const rail = faceWidth !== undefined && rabbetWidth !== undefined ? minus(faceWidth, rabbetWidth) : undefined;
      return beyond(plate, rail) ? { plate: plate!, rail: rail! } : undefined;
    },
  },
  {
    code: 'thick-paint',
    level: 'warn',
    path: 'piece.thickPaint',
    applies: ({ thickPaint, pressesOnFace, mount }) =>
      thickPaint && (pressesOnFace || mount === 'dry mount') ? {} : undefined,
  },
  {
    code: 'safety-glazing',
    level: 'advise',
    path: 'place',
    applies: ({ glazing, place }) =>
      (glazing === 'glass' || glazing === 'mirror') && place && place !== 'room' ? { place } : undefined,
    waysOut: (facts, catalogue) => (uses(facts, 'glazing') ? acrylicWay(facts, catalogue) : []),
  },
  {
    code: 'heavy',
    level: 'warn',
    path: 'hanging',
    applies: ({ weight }, { heavyKg }) =>
      weight !== undefined && weight > heavyKg ? { kg: weight.toFixed(1) } : undefined,
  },
  {
    code: 'wire-orientation',
    level: 'advise',
    path: 'hanging',
    applies: ({ hung, outside }) => (hung === 'wire' && outside && outside.w === outside.h ? {} : undefined),
  },
  {
    code: 'value-high',
    level: 'warn',
    path: 'value',
    applies: ({ declaredValue: value, shopLimit: limit }) =>
      value !== undefined && limit !== undefined && value > limit ? { value, limit } : undefined,
  },
  {
    code: 'lead-time',
    level: 'warn',
    path: 'frame.moulding',
    applies: ({ promised, materialHere: here }) =>
      promised && here && promised < here ? { promised, here } : undefined,
  },
  {
    code: 'damaged',
    level: 'warn',
    path: 'piece.damaged',
    applies: ({ damaged }) => (damaged ? {} : undefined),
  },
  {
    code: 'old-finish',
    level: 'warn',
    path: 'finish',
    applies: ({ finish }) => (finish === 'old finish' ? {} : undefined),
  },
  {
    code: 'dust-fumes',
    level: 'advise',
    path: 'finish',
    applies: ({ finish = '' }) => (/mdf|lacquer/i.test(finish) ? {} : undefined),
  },
  {
    code: 'darkens',
    level: 'advise',
    path: 'finish',
    applies: ({ finish }) => (finish === 'darkens' ? {} : undefined),
  },
  {
    code: 'blade-glass',
    level: 'advise',
    path: 'glazing',
    bench: true,
    applies: ({ glazing }) => (glazing === 'glass' ? {} : undefined),
  },
  {
    code: 'wicking',
    level: 'advise',
    path: 'glazing',
    bench: true,
    applies: ({ cleaner }) => (cleaner && cleaner !== 'none' ? {} : undefined),
  },
  {
    code: 'enclosure-open',
    level: 'refuse',
    path: 'insists',
    bench: true,
    applies: ({ unticked = [] }) => (unticked[0] === undefined ? undefined : { tick: unticked[0] }),
  },
];
