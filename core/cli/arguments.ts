/**
 * A number behind a name on the command line, `--count 200`, or the usual one; what is none ends the program with code
 * 2.
 */
export function numberOf(name: string, usual: number, kind: 'whole' | 'any'): number {
  const at = process.argv.indexOf(name);
  const value = at < 0 ? usual : Number(process.argv[at + 1]);
  if (kind === 'whole' ? Number.isInteger(value) && value >= 1 : value > 0) return value;
  console.error(`${name} must be ${kind === 'whole' ? 'a whole number of 1 or more' : 'more than 0'}`);
  process.exit(2);
}
