import { defineConfig } from 'vitest/config';

const properties = ['scripts/properties.setup.ts'];

export default defineConfig({
  test: {
    projects: [
      {
        test: {
          name: 'core',
          include: ['core/src/**/*.test.ts', 'api/src/**/*.test.ts'],
          environment: 'node',
          setupFiles: properties,
          testTimeout: 60_000,
        },
      },
      { test: { name: 'web', include: ['web/src/**/*.test.ts'], environment: 'node', setupFiles: properties } },
      {
        test: {
          name: 'server',
          include: ['server/src/**/*.test.ts'],
          environment: 'node',
          setupFiles: properties,
          testTimeout: 30_000,
          hookTimeout: 60_000,
          fileParallelism: false,
        },
      },
      {
        test: {
          name: 'e2e',
          include: ['e2e/**/*.e2e.test.ts'],
          environment: 'node',
          testTimeout: 90_000,
          hookTimeout: 90_000,
          fileParallelism: false,
        },
      },
    ],
  },
});
