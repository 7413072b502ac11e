/** Starts the database's thread from its source, for programs that run without the bundler (bench, prepare, tests). */
import { pathToFileURL } from 'node:url';
import path from 'node:path';
import { Worker } from 'node:worker_threads';

export const sourceThread = () => {
  const file = pathToFileURL(path.resolve('src/db/pglite/pglite.worker.ts')).href;
  return new Worker(
    `import('tsx/esm/api').then(({ register }) => { register(); return import(${JSON.stringify(file)}); })`,
    { eval: true },
  );
};
