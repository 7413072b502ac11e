/** The trade's names for what holds a piece. */
const MOUNTS: Readonly<Record<string, string>> = {
  hinges: 'Paper hinges',
  tape: 'Tape',
  corners: 'Corner pockets',
  strips: 'Edge strips',
  pads: 'Pads',
  stitched: 'Stitches',
  wired: 'Wire',
  glue: 'Glue',
  'dry mount': 'Dry mount',
  laced: 'Laced',
  stapled: 'Stapled',
  pinned: 'Pinned',
  clips: 'Clips',
  screws: 'Screws from behind',
};
export const mountName = (code: string): string => MOUNTS[code] ?? code;
