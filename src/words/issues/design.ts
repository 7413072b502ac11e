/** What stops a piece from being built at all. */
import type { DesignIssue } from '@/core/issue-codes';
import { type Sentences } from './sentence';

export const DESIGN: Sentences<DesignIssue> = {
  'material-unknown': ({ f }) =>
    f.code === ''
      ? 'Nothing is chosen here yet.'
      : `${f.code} is no longer in the price list. Choose another; everything else is kept.`,
  'overlap-takes-all': ({ len }) =>
    `An overlap of ${len('overlap')} a side leaves no window in a piece whose shorter side is ${len('shorter')}.`,
  'rabbet-wider-than-face': ({ len }) =>
    `The rabbet (${len('rabbet')}) is not narrower than the face (${len('face')}): the moulding’s figures cannot be right.`,
  'frame-closes': ({ len }) => `A rabbet of ${len('rabbet')} a side would close the frame over this piece.`,
  'chart-row': ({ f }) => `“${f.read}” is not a step. Expected a size and a price, such as 20 31.00.`,
  'chart-empty': () => 'A chart has at least one step: a size and a price, such as 20 31.00.',
  'batch-overlap': ({ len }) =>
    `This piece would be covered by ${len('overlap')} only; ${len('least')} at least keeps it in its window.`,
  'border-none': () => 'A border comes out as nothing: there is no mat left on that side.',
  'fit-no-border': ({ len }) =>
    `A window of ${len('w')} × ${len('h')} leaves no border as wished in a package of ${len('packW')} × ${len('packH')}.`,
  'set-back-takes-border': ({ len }) =>
    `A hidden spacer set back ${len('setBack')} needs borders wider than that; the narrowest is ${len('border')}.`,
  'tab-none': () => 'Nothing is left for a tab: the window or the border is too narrow for a turned edge.',
  'circle-not-round': ({ len }) => `A circle is as wide as high; this window is ${len('w')} × ${len('h')}.`,
  'corner-too-big': ({ len }) =>
    `${len('corner')} at the corners is too much for a window of ${len('w')} × ${len('h')}.`,
  'strip-shows': ({ len }) => `A strip of ${len('strip')} would be seen: the lip hides ${len('room')}.`,
  'strip-too-wide': ({ len }) => `Two strips of ${len('strip')} fill the whole piece.`,
  'package-none': () => 'Nothing is left of the package with these figures.',
  'bars-too-wide': ({ len }) => `Bars ${len('bar')} wide meet in the middle of this canvas.`,
  'sides-not-here': () => 'Other than four sides go round a package in a rabbet of wood, without a liner.',
  'sides-not-square': ({ f }) =>
    `${f.sides} equal sides go round a package that is as wide as high. Make the border fit one.`,
  'ready-made-small': ({ len }) =>
    `The frame takes ${len('frameW')} × ${len('frameH')}; the package is ${len('w')} × ${len('h')}.`,
  'ready-made-not-here': () => 'A ready-made frame goes round a package in a rabbet, without a liner.',
  'nothing-left': () => 'One of the parts comes out as nothing with these figures.',
  'lip-too-wide': ({ len }) => `A lip of ${len('lip')} is not narrower than the fillet itself.`,
  'polygon-sides': ({ f }) => `A frame has 3 to 12 equal sides; ${f.sides} were asked for.`,
  'polygon-size': () => 'Say the side, or the size across the flats.',
  'number-wrong': ({ f }) => `“${f.typed}” is not a number. Expected something like 2.5.`,
  'caution-unknown': ({ f }) => `There is no caution “${f.code}”.`,
  'topic-unknown': ({ f }) => `There is no sum “${f.topic}”.`,
  'path-unknown': ({ f }) => `There is nothing at ${f.path}. What there is stands in /api/v1/openapi.json.`,
  'reveals-take-border': () => 'The reveals take the whole border: nothing is left of the top mat.',
  'ends-differ': ({ len }) =>
    `The two ends differ by more than half (${len('first')} and ${len('second')}). Measure again.`,
  'slack-wrong': ({ f }) => `Slack is a share between 0 and 1 such as 0.05; “${f.typed}” was read.`,
};
