import { defineConfig } from '@playwright/test';

/** Debian's Chromium, headless, software rendering. Each worker brings up its own server on its own database. */
export default defineConfig({
  testDir: './tests',
  timeout: 120_000,
  // The first plan of a job takes seconds where the machine is busy with another browser.
  expect: { timeout: 40_000 },
  workers: 2,
  fullyParallel: true,
  retries: 0,
  reporter: [['list']],
  use: {
    viewport: { width: 1280, height: 800 },
    // No test looks at what glides: drawn at once, it is a tenth less work.
    contextOptions: { reducedMotion: 'reduce' },
    launchOptions: {
      executablePath: process.env['CHROMIUM'] ?? '/usr/bin/chromium',
      // Tests end soon: what V8 compiles to be quick for long is a tenth of all work, what it compiles for less another.
      args: [
        '--no-sandbox',
        '--enable-unsafe-swiftshader',
        '--js-flags=--no-turbofan,--invocation-count-for-maglev=2000,--min-semi-space-size=32',
      ],
    },
  },
});
