/** The trade's names for steps, stations, states and what to look at. */
import type { WorkedOut } from '@/core/work-out';

const STEPS: Record<string, string> = {
  'materials-here': 'Materials here',
  'make-moulding': 'Make the moulding',
  'cut-legs': 'Cut the legs',
  join: 'Dry fit and join',
  finish: 'Finish by hand',
  'cut-mats': 'Cut the mats',
  'cut-glazing': 'Cut the glazing',
  'cut-backing': 'Cut the backing',
  'cut-strips': 'Cut strips and boards',
  prepare: 'Prepare the piece',
  mount: 'Mount the piece',
  fit: 'Fit',
  'back-and-hang': 'Back and hang',
  'touch-up': 'Touch up',
  pack: 'Pack',
  'final-check': 'Final check',
  install: 'Deliver and hang',
  'hand-over': 'Hand over',
};
/** What is said on the button that ends the step. */
const DONE: Record<string, string> = {
  'materials-here': 'All here',
  'make-moulding': 'Moulding made',
  'cut-legs': 'Legs cut',
  join: 'Joined',
  finish: 'Finished',
  'cut-mats': 'Mats cut',
  'cut-glazing': 'Glazing cut',
  'cut-backing': 'Backing cut',
  'cut-strips': 'Strips cut',
  prepare: 'Prepared',
  mount: 'Mounted',
  fit: 'Closed',
  'back-and-hang': 'Backed and wired',
  'touch-up': 'Corners done',
  pack: 'Packed',
  install: 'Hung',
  'final-check': 'Passed',
};
const STATIONS: Record<string, string> = {
  store: 'Store',
  saw: 'Saw',
  join: 'Joining',
  finish: 'Finishing',
  mat: 'Mat cutter',
  glass: 'Glass',
  board: 'Boards',
  mount: 'Mounting',
  fit: 'Fitting',
  check: 'Check',
  counter: 'Counter',
};
const STATES: Record<string, string> = {
  quoted: 'Quoted',
  accepted: 'Accepted',
  'waiting-for-material': 'Waiting for material',
  'ready-to-start': 'Ready to start',
  'in-work': 'In work',
  ready: 'Ready to collect',
  'handed-over': 'Handed over',
  cancelled: 'Cancelled',
};
const POINTS: Record<string, string> = {
  'finish-batch': 'One finish batch',
  'defects-marked': 'Dents and scratches marked',
  'strips-alike': 'Strips alike, edges true',
  'rebate-tried': 'Rebate tried with a scrap',
  'no-defect': 'No dent or scratch in a leg',
  'long-points-equal': 'Equal legs, back to back',
  'mitres-paired': 'Mitres a true pair, rabbet inside',
  'edges-coloured': 'Raw edges coloured',
  'dry-first': 'Tried dry before glue',
  'square-flush': 'Square and flush',
  'no-gap': 'No gap at a corner',
  'seat-recorded': 'Rabbet measured after joining',
  'corners-clean': 'Window corners clean',
  'no-overcut': 'No overcut',
  'borders-right': 'Borders as on the ticket',
  'colour-right': 'The right board',
  'size-tried': 'Tried in the frame',
  edges: 'Edges without chips',
  'coated-side': 'Coated side marked',
  straight: 'Straight in the window',
  'held-at-top': 'Held at the top only',
  reversible: 'Comes off again',
  'glass-clean': 'Glass clean, both sides, against a dark card; a speck comes off with tape, never canned air',
  'insisted-kept': 'Insisted point kept',
  'right-way-up': 'Right way up',
  closed: 'Looked at before the last points',
  'hangers-level': 'Hangers level',
  'hangers-rated': 'Rings rated for the weight',
  'drop-written': 'Wire drop written on the back',
  'corners-touched': 'Corners touched up',
  'match-daylight': 'Matched in daylight',
  'top-bottom-first': 'Top and bottom before the sides',
  'only-agreed': 'Only what was agreed',
  'pick-list': 'Everything on the list is in the packet',
  'fixing-right': 'Fixed into structure, by local rules',
  identity: 'The right piece to the right person',
  signed: 'Signed for',
  'right-piece': 'Right piece',
  'right-design': 'As designed',
  corners: 'Corners tight and coloured',
  'specks-inside': 'No specks inside',
  'smears-outside': 'No smears outside',
  'straight-in-window': 'Straight in the window',
  'back-sealed': 'Back sealed and labelled',
  'hangers-up': 'Hangers right way up',
  'weight-in-rating': 'Weight within the rings’ rating',
};
const SAFETY: Record<string, string> = {
  'make-moulding':
    'Guards, riving knife and push sticks; eyes and ears covered; extraction on. Unplug before the blade is changed.',
  'cut-legs': 'Guard down, hands clear of the blade. Unplug before setting the angle.',
  join: 'Depressurise the nailer before clearing it. Keep fingers off the corner.',
  'cut-mats': 'Fresh blade: keep the other hand behind the cut.',
  'cut-glazing': 'Cut-resistant gloves and eye protection.',
  finish: 'Dust and fumes: extraction or outdoors, a respirator, no flame; read the label.',
  'cut-strips': 'Fresh blade: keep the other hand behind the cut.',
  fit: 'Gloves for the glass edge; cleaner away from the piece.',
};
const WAITING: Record<string, string> = {
  'glue cure': 'Glue cures',
  dry: 'It dries',
  press: 'It lies in the press',
};
const HOLDERS: Record<string, string> = {
  customer: 'the customer',
  supplier: 'the supplier',
  conservator: 'the conservator',
  shop: 'the shop',
};

const of = (table: Record<string, string>) => (key: string) => table[key] ?? key;
export const stepName = of(STEPS);
export const stepDone = of(DONE);
export const stationName = of(STATIONS);
export const stateName = of(STATES);
export const pointName = of(POINTS);
export const holderName = of(HOLDERS);
/** What a step waits for, as a sentence begins. */
export const waitName = of(WAITING);
/** The usual caution of a step; of the glass only where there is some. */
export function safetyWord(step: string, { stack }: Pick<WorkedOut, 'stack'>): string | undefined {
  const glazed = stack.layers.some(({ part }) => part === 'glazing' || part === 'pane' || part === 'mirror');
  return step === 'fit' && !glazed ? undefined : SAFETY[step];
}
