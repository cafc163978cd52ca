import fc from 'fast-check';
import { TextDecoder, TextEncoder } from 'node:util';

/** What browsers have and jsdom lacks. Harmless where tests run without a document. */
globalThis.TextEncoder ??= TextEncoder as typeof globalThis.TextEncoder;
globalThis.TextDecoder ??= TextDecoder as typeof globalThis.TextDecoder;
if (typeof window !== 'undefined')
  // No media queries: every screen in these tests is wide.
  window.matchMedia ??= (query) =>
    ({ matches: false, media: query, addEventListener() {}, removeEventListener() {} }) as unknown as MediaQueryList;

// Property tests that name no seed of their own ask the same questions every time.
fc.configureGlobal({ seed: 20261125 });
