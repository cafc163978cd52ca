type Picked = { readonly name: string; readonly text: string };

/**
 * Files as the browser saves and picks them. To be called once, at the top of a test file: before each test nothing is
 * saved or picked, and after it the browser is as it was.
 */
export function browserFiles() {
  const saved: Blob[] = [];
  let next: Picked | null = null;
  const { createObjectURL } = URL;
  afterEach(() => {
    jest.restoreAllMocks();
    URL.createObjectURL = createObjectURL;
  });
  beforeEach(() => {
    saved.length = 0;
    next = null;
    URL.createObjectURL = (blob) => `blob:${saved.push(blob as Blob)}`;
    jest.spyOn(HTMLAnchorElement.prototype, 'click').mockImplementation(() => {});
    jest.spyOn(HTMLInputElement.prototype, 'click').mockImplementation(function (this: HTMLInputElement) {
      if (next === null) return void this.dispatchEvent(new Event('cancel'));
      const { name, text } = next;
      Object.defineProperty(this, 'files', { value: [{ name, text: () => Promise.resolve(text) }] });
      this.dispatchEvent(new Event('change'));
    });
  });
  return {
    saved,
    /** What was saved last, read. */
    lastText: () =>
      new Promise<string>((done) => {
        const reader = new FileReader();
        reader.onload = () => done(reader.result as string);
        reader.readAsText(saved.at(-1)!);
      }),
    pick: (file: Picked | null) => void (next = file),
  };
}
