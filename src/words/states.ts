/** What the state of an order or a job is called. */
import { named } from './named';

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
export const stateName = named(STATES);
