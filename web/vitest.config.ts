import react from '@vitejs/plugin-react';
import { defineConfig } from 'vitest/config';

export default defineConfig({
  plugins: [react()],
  test: {
    // A person's typing is played key by key; beside other work that takes its time.
    testTimeout: 120_000,
    // All of the machine.
    maxWorkers: '100%',
    pool: 'threads',
    setupFiles: ['src/test/setup.ts'],
  },
});
