/** What can be chosen for a piece, by the codes that are stored. */
export const PIECE_KINDS = [
  'print',
  'poster',
  'photograph',
  'certificate',
  'chart',
  'drawing',
  'pastel',
  'charcoal',
  'chalk',
  'watercolour',
  'painting',
  'textile',
  'needlework',
  'canvas',
  'panel',
  'metal-print',
  'object',
  'garment',
  'mirror',
] as const;
export type PieceKind = (typeof PIECE_KINDS)[number];
/** What a solid panel or a print on metal is made of; its density follows. */
export const PANEL_MATERIALS = ['ply', 'mdf', 'solid wood', 'hardboard', 'aluminium', 'aluminium composite'] as const;
export type PanelMaterial = (typeof PANEL_MATERIALS)[number];
/** What a wished size of a frame is the size of. */
export const OUTSIDE_IS = ['outside', 'sight', 'rabbet'] as const;
export type OutsideIs = (typeof OUTSIDE_IS)[number];
/** Windows of one mat, at most. */
export const MOST_WINDOWS = 40;
/** What lies in one of several windows; the piece itself where nothing is said. */
export const WINDOW_HOLDS = ['piece', 'photograph', 'plate', 'cloth'] as const;
export type WindowHolds = (typeof WINDOW_HOLDS)[number];
export const MADE_FROM = ['boards', 'sheet'] as const;
export const FINISHED_WHEN = ['before', 'after'] as const;
export const FIT_HOWS = ['centred', 'bottom-heavy', 'optical'] as const;
export type FitHow = (typeof FIT_HOWS)[number];
export const MAT_STYLES = ['bevel', 'reverse', 'turned'] as const;
export const MOUNTS = [
  'hinges',
  'tape',
  'corners',
  'strips',
  'pads',
  'stitched',
  'wired',
  'glue',
  'dry mount',
  'laced',
  'stapled',
  'pinned',
  'clips',
  'screws',
] as const;
export type Mount = (typeof MOUNTS)[number];
export const SCOPES = [
  'part only',
  'mounted and bagged',
  'kit',
  'framed, not wired',
  'ready to hang',
  'refit',
  'installed',
] as const;
export type Scope = (typeof SCOPES)[number];
/** Whether it comes as something for a wall: a mat alone or a print in its sleeve does not. */
export const goesOnWall = (scope: Scope | undefined): boolean =>
  scope !== 'part only' && scope !== 'mounted and bagged';
export const PLACES = ['room', 'public', 'child', 'over a bed'] as const;
export const FINISHES = ['raw wood', 'raw mdf', 'lacquer', 'old finish', 'darkens'] as const;
/** What holds the wire, or catches the hook. */
export const FITTINGS = ['d-ring', 'strap hanger', 'screw eye'] as const;
/** What runs from one hanger to the other. */
export const HANGING_LINES = ['wire', 'chain', 'cord'] as const;
