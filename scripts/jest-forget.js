/** Before all tests: plans that earlier versions of the program made are no longer asked for. */
import { rmSync } from 'node:fs';

export default function forget() {
  rmSync('node_modules/.cache/plans', { recursive: true, force: true });
}
