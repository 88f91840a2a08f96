import { defineConfig } from 'vitest/config';

export default defineConfig({
  test: {
    projects: [
      {
        test: {
          name: 'core',
          include: [
            'packages/core/{laws,test}/**/*.test.ts',
            'packages/formats/test/**/*.test.ts',
            'scripts/**/*.test.ts',
            'demo/**/*.test.ts',
          ],
          // Pure functions: files need not be kept apart, and load the core once.
          isolate: false,
          // Laws try hundreds of documents; how fast a machine does that is no question of theirs.
          testTimeout: 180_000,
        },
      },
      {
        test: {
          name: 'server',
          setupFiles: ['scripts/patience.ts'],
          include: ['packages/server/test/**/*.test.ts', 'packages/contract/test/**/*.test.ts'],
          // A machine that is busy with all other checks takes minutes to open a database: that is no fault.
          testTimeout: 180_000,
          hookTimeout: 180_000,
        },
      },
      {
        test: {
          name: 'web',
          setupFiles: ['scripts/patience.ts'],
          include: ['packages/web/test/**/*.test.ts'],
          environment: 'jsdom',
          css: true,
          testTimeout: 180_000,
          hookTimeout: 180_000,
          server: { deps: { inline: ['vuetify'] } },
        },
      },
      {
        test: {
          name: 'journeys',
          include: ['e2e/*.test.ts'],
          globalSetup: ['e2e/stages.ts'],
          // They only decide when to give up: how fast a machine is must not decide whether a journey passes.
          testTimeout: 300_000,
          hookTimeout: 300_000,
        },
      },
      {
        test: {
          name: 'engines',
          include: ['e2e/engines/*.test.ts'],
          testTimeout: 60_000,
          hookTimeout: 120_000,
        },
      },
    ],
  },
});
