/** Reasons that are tapped instead of typed, as the shop says them; any other can be typed still. */
import type { CheckPoint } from '@/core/route/steps';

type Holder = 'customer' | 'supplier' | 'conservator' | 'shop';
export const HOLD_REASONS: Readonly<Record<Holder, readonly string[]>> = {
  customer: ['A decision is wanted', 'The size is in doubt', 'Something of the piece is missing', 'To be paid first'],
  supplier: ['Moulding has not come', 'Came damaged', 'Wrong finish or batch', 'Board has not come'],
  conservator: ['Away to be treated', 'An opinion is wanted first'],
  shop: ['Spoiled, to be cut again', 'A machine is down', 'Nobody here who can do it', 'To be priced again'],
};
export const FAIL_REASONS: Readonly<Record<CheckPoint, readonly string[]>> = {
  'right-piece': ['Another ticket’s piece', 'Upside down'],
  'right-design': ['Wrong board', 'Wrong moulding', 'Window of another size'],
  corners: ['Gap at a corner', 'Not coloured', 'Not flush'],
  'specks-inside': ['A speck', 'A fibre', 'A fingerprint inside'],
  'smears-outside': ['A smear', 'A scratch', 'A chip at the edge'],
  'straight-in-window': ['Leans to one side', 'Too low', 'Edge shows'],
  'insisted-kept': ['Not kept'],
  'back-sealed': ['Cover loose', 'No label', 'A tear'],
  'hangers-up': ['Wrong way up', 'Not level', 'Missing'],
  'drop-written': ['Not written', 'Measured otherwise'],
  'weight-in-rating': ['Rings too light', 'Wire too light'],
};
export const SPOIL_REASONS: readonly string[] = [
  'Cut too short',
  'Chipped at the mitre',
  'A dent was seen late',
  'Overcut at a corner',
  'Wrong size set',
  'Glass cracked',
];
export const OPEN_REASONS: readonly string[] = ['A speck', 'A fibre', 'A smear inside', 'It slipped', 'Rattles'];
