/** Before and after every test: databases go back; screens are waited for longer than usual, on a busy machine. */
import { afterAll, afterEach, beforeEach } from 'vitest';
import { fileEnds, testBegins, testEnds } from './databases';

beforeEach(testBegins);
afterEach(testEnds);
afterAll(fileEnds);

if (typeof document !== 'undefined') {
  const { configure } = await import('@testing-library/dom');
  configure({ asyncUtilTimeout: 15_000 });
}
