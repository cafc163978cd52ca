let able: boolean | undefined;

/**
 * Whether this browser can draw in space at all. Looked at once: every look takes one of the few pictures it can hold.
 */
export function hasWebGl(): boolean {
  try {
    able ??= document.createElement('canvas').getContext('webgl2') !== null;
  } catch {
    able = false;
  }
  return able;
}
