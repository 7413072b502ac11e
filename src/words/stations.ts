/** Who and where at the bench: its stations, what its buttons say, whom a job waits for, the caution of a step. */
import type { WorkedOut } from '@/core/work-out';
import { dayName } from './materials';
import { named } from './named';

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
const HOLDERS: Record<string, string> = {
  customer: 'the customer',
  supplier: 'the supplier',
  conservator: 'the conservator',
  shop: 'the shop',
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

export const stepDone = named(DONE);
export const stationName = named(STATIONS);
export const holderName = named(HOLDERS);
/** How long a job is expected to be on hold, after that it is; nothing where nobody can say. */
export const untilText = ({ until }: { readonly until: string | null }): string =>
  until === null ? '' : ` until ${dayName(until)}`;
/** The usual caution of a step; of the glass only where there is some. */
export function safetyWord(step: string, { stack }: Pick<WorkedOut, 'stack'>): string | undefined {
  const glazed = stack.layers.some(({ part }) => part === 'glazing' || part === 'pane' || part === 'mirror');
  return step === 'fit' && !glazed ? undefined : SAFETY[step];
}
