import cases from './cases/worked-cases.json';
import moreCases from './cases/worked-cases-2.json';

/** One worked case of the trade: what is given, what must come out. */
export interface WorkedCase {
  readonly id: string;
  readonly topic: string;
  // eslint-disable-next-line @typescript-eslint/no-explicit-any -- worked cases are data of many shapes
  readonly given: any;
  // eslint-disable-next-line @typescript-eslint/no-explicit-any
  readonly expect: any;
  readonly note: string;
}

/** The worked cases of one topic. Throws when there are none, so that a renamed topic cannot pass unseen. */
export function workedCases(topic: string): WorkedCase[] {
  const found = (cases as unknown as WorkedCase[]).filter((one) => one.topic === topic);
  if (found.length === 0) throw new Error(`no worked case on ${topic}`);
  return found;
}

export const allCases = cases as unknown as readonly WorkedCase[];
/** The topics of the second list that exist by now. */
const LATER = ['ledger', 'fixings'];
export const laterCases = (moreCases as unknown as WorkedCase[]).filter(({ topic }) => LATER.includes(topic));
