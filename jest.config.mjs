import { fileURLToPath } from 'node:url';

const swc = [
  '@swc/jest',
  {
    jsc: {
      parser: { syntax: 'typescript', tsx: true },
      transform: { react: { runtime: 'automatic' } },
      target: 'es2022',
    },
    module: { type: 'commonjs' },
  },
];

const beside = (file) => fileURLToPath(new URL(file, import.meta.url));

const project = (name, rest) => ({
  displayName: name,
  rootDir: name,
  testMatch: ['<rootDir>/src/**/*.test.{ts,tsx}'],
  transform: { '^.+\\.(t|j|mj)sx?$': swc },
  // packages that ship as ES modules alone are translated as our own files are
  transformIgnorePatterns: [
    '/node_modules/(?!(@noble|@freesewing|any-ascii|temporal-polyfill|temporal-utils|lru-cache|uuid|canonicalize|d3-[a-z-]+|internmap|is-any-array|ml-[a-z-]+|dexie|react-router|clipper2-ts|flatbush|flatqueue|@estribo)/)',
  ],
  // a test file runs in a context of its own, where each look at a global name takes long: these are handed in, so that
  // what counts much (the outlines, the clipper, the charts) takes a fraction of the time
  sandboxInjectedGlobals: ['Math', 'Number', 'Object', 'Array'],
  ...rest,
});

export default {
  // a busy machine of two cores: what is measured is never time
  testTimeout: 600_000,
  projects: [
    project('core', { testEnvironment: 'node' }),
    project('server', { testEnvironment: 'node' }),
    project('web', {
      testEnvironment: beside('web/jest/browser-environment.cjs'),
      setupFilesAfterEnv: [beside('web/jest/patient.cjs')],
      moduleNameMapper: {
        '\\.(css|woff2)$': beside('web/jest/nothing.cjs'),
        '^@fontsource': beside('web/jest/nothing.cjs'),
        // a worker's address is the bundler's to know
        '/new-plan-worker$': beside('web/src/shaping/test-plan-worker.ts'),
        '/new-worn-worker$': beside('web/src/wearing/test-worn-worker.ts'),
      },
    }),
  ],
};
