import vue from '@vitejs/plugin-vue'
import { defineConfig } from 'vitest/config'

const node = (name: string) => ({
  test: { name, root: `./${name}`, include: ['src/**/*.test.ts'], environment: 'node' },
})

export default defineConfig({
  test: {
    maxWorkers: '100%',
    projects: [
      // Laws are tried on many lives: a busy machine is no fault of theirs.
      { test: { ...node('core').test, testTimeout: 30_000 } },
      node('contract'),
      node('standIns'),
      {
        // Eighteen months are lived through before the first test.
        test: { ...node('demo').test, hookTimeout: 60_000, testTimeout: 60_000 },
      },
      {
        test: {
          name: 'server',
          root: './server',
          include: ['src/**/*.test.ts'],
          globalSetup: './src/testing/database.ts',
          testTimeout: 30_000,
          hookTimeout: 90_000,
        },
      },
      { test: { name: 'cli', root: './cli', include: ['src/**/*.test.ts'], testTimeout: 180_000 } },
      {
        plugins: [vue()],
        test: {
          name: 'web',
          root: './web',
          include: ['src/**/*.test.ts'],
          environment: 'happy-dom',
          testTimeout: 30_000,
        },
      },
    ],
  },
})
