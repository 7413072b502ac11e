import { signedIn } from '@/server/http';

export const dynamic = 'force-dynamic';

/** Server-sent events: what changed, the moment it is committed. A comment now and then keeps the line open. */
export async function GET(request: Request): Promise<Response> {
  const who = await signedIn();
  if ('refusal' in who) return who.refusal;
  const text = new TextEncoder();
  let hangUp = () => {};
  const stream = new ReadableStream<Uint8Array>({
    start(controller) {
      const send = (line: string) => controller.enqueue(text.encode(line));
      const stop = who.house.bus.listen((happening) => send(`data: ${JSON.stringify(happening)}\n\n`));
      const beat = setInterval(() => send(': still here\n\n'), 20_000);
      hangUp = () => {
        stop();
        clearInterval(beat);
      };
      send(': open\n\n');
      request.signal.addEventListener('abort', hangUp);
    },
    cancel: () => hangUp(),
  });
  return new Response(stream, {
    headers: { 'content-type': 'text/event-stream', 'cache-control': 'no-store', 'x-accel-buffering': 'no' },
  });
}
