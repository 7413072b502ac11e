import { route } from '@/server/access';
import type { ChangeEvent } from '@/server/live';
import { heardBy } from '@/server/screens';

export const dynamic = 'force-dynamic';

/** Server-sent events: what changed, the moment it is committed, until the session ends. A comment now and then keeps the line open. */
export const GET = route('GET /api/live', async (request, { app, person, session }) => {
  const { bus } = app;
  const screen = person.role === 'view' ? person.id : undefined;
  const text = new TextEncoder();
  let hangUp = () => {};
  const stream = new ReadableStream<Uint8Array>({
    start(controller) {
      const send = (line: string) => controller.enqueue(text.encode(line));
      const over = () => {
        hangUp();
        controller.close();
      };
      const tell = (happening: ChangeEvent) => {
        const heard = screen === undefined ? happening : heardBy(app, screen, happening);
        if (heard) send(`data: ${JSON.stringify(heard)}\n\n`);
      };
      const stop = bus.listen(tell, session, over);
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
    headers: { 'content-type': 'text/event-stream', 'x-accel-buffering': 'no' },
  });
});
