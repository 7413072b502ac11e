/** What is said beside a field whose text is no amount. */
import { type Issue, issue } from '@/core/issue';

/** Of a text longer than this only the beginning is said again. */
const SAID = 20;
export const wrongAmount = (text: string, path?: string): Issue => {
  const wrong = issue('amount-wrong', { typed: text.slice(0, SAID) });
  return path === undefined ? wrong : { ...wrong, path };
};
