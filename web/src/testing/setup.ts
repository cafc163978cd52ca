import fc from 'fast-check';
import { runs } from '../../../core/src/testing/runs';
import { TextDecoder, TextEncoder } from 'node:util';

/** What browsers have and jsdom lacks. Harmless where tests run without a document. */
globalThis.TextEncoder ??= TextEncoder as typeof globalThis.TextEncoder;
globalThis.TextDecoder ??= TextDecoder as typeof globalThis.TextDecoder;
/** Enough of a request for the router to go from page to page without loaders. */
globalThis.Request ??= class {
  readonly method = 'GET';
  readonly signal: AbortSignal | undefined;
  constructor(
    readonly url: string,
    init?: { signal?: AbortSignal },
  ) {
    this.signal = init?.signal;
  }
} as unknown as typeof globalThis.Request;
/** Everything is in view: nothing is put off in these tests. */
globalThis.IntersectionObserver ??= class {
  constructor(private readonly seen: IntersectionObserverCallback) {}
  observe(target: Element) {
    this.seen([{ isIntersecting: true, target } as IntersectionObserverEntry], this as never);
  }
  unobserve() {}
  disconnect() {}
} as unknown as typeof globalThis.IntersectionObserver;
if (typeof window !== 'undefined') {
  // An address of a file to save is given back long after: a test may be over by then.
  URL.revokeObjectURL ??= () => {};
  // No media queries: every screen in these tests is wide.
  window.matchMedia ??= (query) =>
    ({ matches: false, media: query, addEventListener() {}, removeEventListener() {} }) as unknown as MediaQueryList;
  // Every look for a role asks for the styles of all that stands over it, and they would be looked for in each sheet of
  // the kit. Here there is no layout: what is hidden says so by an attribute or its own style.
  window.getComputedStyle = (element) => ownStyle(element as HTMLElement);
}

function ownStyle(element: HTMLElement): CSSStyleDeclaration {
  const { style } = element;
  const valueOf = (name: string): string =>
    name === 'display' && element.hidden
      ? 'none'
      : style.getPropertyValue(name) ||
        (name === 'visibility' && element.parentElement ? ownStyle(element.parentElement).visibility : '');
  return new Proxy(style, {
    get: (_, name) => {
      if (name === 'getPropertyValue') return valueOf;
      if (name === 'display' || name === 'visibility') return valueOf(name);
      const value: unknown = Reflect.get(style, name);
      return typeof value === 'function' ? value.bind(style) : value;
    },
  });
}

// Property tests that name no seed of their own ask the same questions every time.
fc.configureGlobal(runs(200, 20261125));

// What a label is of, and the labels of a field, jsdom looks for in all of the page, label by label. Fields and labels
// of these pages name each other by id, or lie in one another.
const FIELDS = 'button, input:not([type=hidden]), meter, output, progress, select, textarea';
if (typeof HTMLLabelElement !== 'undefined') {
  Object.defineProperty(HTMLLabelElement.prototype, 'control', {
    get(this: HTMLLabelElement) {
      const named = this.htmlFor === '' ? this : this.ownerDocument.getElementById(this.htmlFor);
      return named === this ? this.querySelector(FIELDS) : named?.matches(FIELDS) ? named : null;
    },
  });
  const labels = function (this: HTMLElement) {
    const around = this.closest('label');
    const all = this.id === '' ? [] : [...this.ownerDocument.getElementsByTagName('label')];
    const named = all.filter(({ htmlFor }) => htmlFor === this.id);
    return [...new Set(around ? [around, ...named] : named)].filter(({ control }) => control === this);
  };
  for (const { prototype } of [HTMLInputElement, HTMLButtonElement, HTMLSelectElement, HTMLTextAreaElement])
    Object.defineProperty(prototype, 'labels', { get: labels });
}
