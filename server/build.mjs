import { readFileSync } from 'node:fs';
import { build } from 'esbuild';

// our own packages, and what the core is made with, go into the bundle; the server's packages stay outside
const { dependencies } = JSON.parse(readFileSync(new URL('./package.json', import.meta.url), 'utf8'));
const outside = Object.keys(dependencies).filter((name) => !name.startsWith('@estribo/'));

await build({
  entryPoints: ['src/main.ts', 'src/catalogue/chart-worker.ts'],
  outdir: 'dist',
  entryNames: '[name]',
  outExtension: { '.js': '.mjs' },
  bundle: true,
  platform: 'node',
  target: 'node20',
  format: 'esm',
  sourcemap: true,
  external: outside.flatMap((name) => [name, `${name}/*`]),
  logLevel: 'warning',
});
