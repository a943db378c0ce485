import react from '@vitejs/plugin-react';
import { defineConfig } from 'vitest/config';

export default defineConfig({
  plugins: [react()],
  test: {
    // A person's typing is played key by key; beside other work that takes its time.
    testTimeout: 60_000,
    setupFiles: ['src/test/setup.ts'],
  },
});
