/** npm start: your own shop, with its data in ./data (LOPREN_DATA). The first visit asks for the code that is printed here. */
import { build, install, serve } from './lib.mjs';

install();
build();
await serve({ LOPREN_DATA: process.env.LOPREN_DATA ?? 'data' });
