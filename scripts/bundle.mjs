/** Bundles the programs that run outside Next into .build; packages stay where they are. Run by the build. */
import { build } from 'esbuild';

await build({
  entryPoints: ['main', 'back-up', 'restore'].map((name) => `src/front/${name}.ts`),
  outdir: '.build',
  outExtension: { '.js': '.mjs' },
  bundle: true,
  packages: 'external',
  platform: 'node',
  format: 'esm',
  target: 'node20',
  logLevel: 'warning',
});
