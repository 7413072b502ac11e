/** Starts a cutting thread from its source, for programs that run without the bundler (bench, tests). */
import path from 'node:path';
import { pathToFileURL } from 'node:url';
import { Worker } from 'node:worker_threads';

export const sourceCuttingThread = () => {
  const file = pathToFileURL(path.resolve('src/workers/cutting.worker.ts')).href;
  return new Worker(
    `import('tsx/esm/api').then(({ register }) => { register(); return import(${JSON.stringify(file)}); })`,
    { eval: true },
  );
};
