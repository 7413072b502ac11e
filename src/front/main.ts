/** Serves until a signal comes; says where, once it answers. Run by the scripts, from what the build has bundled. */
import { endOnSignals, serve } from './serve';

const serving = await serve();
endOnSignals(serving);
process.stdout.write(
  `\n${process.env.LOPREN_SAYS ?? 'Lopren is open at'} ${serving.address}\n${process.env.LOPREN_ADDS ?? ''}`,
);
