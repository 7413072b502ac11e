/**
 * One request handed on to the server behind the front. A line that breaks before the first byte of an answer came is no
 * answer: the kept line was just being closed, or the server is too busy to take another. It is asked again over a line
 * of its own, a little later each time. What may have been done already is only asked again where nothing of it can have
 * arrived, or where asking twice does nothing twice.
 */
import http from 'node:http';

/** Ms before each try after the first. */
const PAUSES = [0, 100, 400, 1500];
/** Of a larger body nothing is kept; it is not sent again. */
const MOST_KEPT = 12_000_000;
const BROKEN: ReadonlySet<string> = new Set(['ECONNRESET', 'EPIPE', 'ECONNREFUSED', 'ETIMEDOUT', 'EAGAIN', 'EMFILE']);
/** The line never came about: nothing was sent. */
const NOT_SENT: ReadonlySet<string> = new Set(['ECONNREFUSED', 'EAGAIN', 'EMFILE']);

export interface RelayOptions {
  readonly request: Omit<http.RequestOptions, 'agent'>;
  readonly agent: http.Agent;
  /** Whether the same can be asked twice without being done twice. */
  readonly harmless: boolean;
  readonly onAnswer: (answer: http.IncomingMessage) => void;
  readonly onFailure: (error: Error) => void;
  /** More of the body may come. */
  readonly onDrain: () => void;
}
export interface Relay {
  /** Whether more may be written at once. */
  write(chunk: Buffer): boolean;
  end(): void;
  destroy(): void;
}

export function relayTo({ request, agent, harmless, onAnswer, onFailure, onDrain }: RelayOptions): Relay {
  let chunks: Buffer[] | undefined = [];
  let kept = 0;
  let ended = false;
  let over = false;
  let pause: NodeJS.Timeout | undefined;
  let asked = begin(0);

  function again(tries: number, mine: http.ClientRequest, error: NodeJS.ErrnoException): boolean {
    const code = error.code ?? '';
    const wait = PAUSES[tries];
    if (wait === undefined || chunks === undefined || !BROKEN.has(code)) return false;
    if (!harmless && !NOT_SENT.has(code) && !mine.reusedSocket) return false;
    pause = setTimeout(() => {
      asked = begin(tries + 1);
      onDrain();
    }, wait);
    return true;
  }

  function begin(tries: number): http.ClientRequest {
    const mine = http.request({ ...request, agent: tries === 0 ? agent : false });
    let answered = false;
    mine.on('response', (answer) => {
      answered = true;
      chunks = undefined;
      if (!over) onAnswer(answer);
    });
    mine.on('error', (error) => {
      if (over || mine !== asked) return;
      if (answered || !again(tries, mine, error)) onFailure(error);
    });
    mine.on('drain', onDrain);
    for (const chunk of chunks ?? []) mine.write(chunk);
    if (ended) mine.end();
    return mine;
  }

  return {
    write(chunk) {
      kept += chunk.length;
      if (kept > MOST_KEPT) chunks = undefined;
      chunks?.push(chunk);
      return asked.destroyed || asked.write(chunk);
    },
    end() {
      ended = true;
      if (!asked.destroyed) asked.end();
    },
    destroy() {
      over = true;
      clearTimeout(pause);
      asked.destroy();
    },
  };
}
