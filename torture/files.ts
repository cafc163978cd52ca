import {
  CutProblemSchema,
  demoJob,
  planJob,
  partsCsv,
  read,
  readJobText,
  readOnHand,
  readPartsCsv,
  readYardCsv,
  SAMPLE_YARDS,
  seeded,
  solve,
  yardCsv,
  type CutProblem,
} from '../core/src';
import { faults as faultsOf } from '../core/src/cutting/testing/check';
import { changed, gather, type Json } from '../core/src/testing/mutants';
import { homeSheets, homeSize, longList, mitred, oneWidth, rectangles } from '../bench/lists';
import { goesOn, pick, type Ordeal } from './ordeal';

/** Reading a file may take so long; a search this much longer than it was given. */
const READ_MS = 3000;
const SEARCH_MS = 400;
const OVER_MS = 4000;

const ODD = [
  '"',
  '""',
  ',',
  ';',
  '\t',
  '\n',
  '\r\n',
  '\0',
  '\uFEFF',
  '=1+1',
  '@',
  "'",
  '½',
  '２',
  '1e999',
  '-0',
  'NaN',
  '9'.repeat(400),
  '𝟙',
  '\uD800',
  '../../',
  '<script>',
  '2x4',
  '1/0',
  '1/64',
  '  ',
];

/** A text that was spoiled: cut off, lines lost or doubled, letters that do not belong there. */
function spoiled(text: string, roll: () => number): string {
  let out = text;
  for (let times = Math.floor(roll() * 6); times >= 0; times--) {
    const at = Math.floor(roll() * (out.length + 1));
    const lines = out.split('\n');
    const line = Math.floor(roll() * lines.length);
    const what = Math.floor(roll() * 7);
    if (what === 0) out = out.slice(0, at);
    else if (what === 1) out = lines.filter((_, index) => index !== line).join('\n');
    else if (what === 2) out = [...lines, ...lines.slice(line)].slice(0, 4000).join('\n');
    else if (what === 3) out = out.replace(/\d+/, () => pick(roll, ODD));
    else if (what === 4) out = out.slice(0, at) + out.slice(at + Math.floor(roll() * 20));
    else out = out.slice(0, at) + pick(roll, ODD) + out.slice(at);
  }
  return out;
}

const problems: readonly CutProblem[] = [
  ...oneWidth(4, 11, 6),
  ...homeSize(6, 12),
  ...mitred(4, 13),
  ...homeSheets(3, 14),
  rectangles(1, 20, 15),
  longList(120, 16),
];

/**
 * CSV, job and cut problem files, spoiled: each is read, or refused with words; what is read is solved within its
 * limit, soundly.
 */
export const files: Ordeal = async ({ until, seed, most }) => {
  const job = demoJob();
  const plan = planJob(job, { today: '2026-01-31', effort: 'quick' });
  const known = new Map<string, Json[]>();
  for (const problem of problems) gather(problem as unknown as Json, 'problem', known);
  const texts = {
    parts: partsCsv(plan.parts, 'in'),
    yard: yardCsv(SAMPLE_YARDS[0]!, 'in'),
    metric: yardCsv(SAMPLE_YARDS.at(-1)!, 'mm'),
    job: JSON.stringify(job),
    hand: '3/4 plywood 96 x 48, split last 3\n2x4 41 1/2 x3, knots 12 to 15\n1x6 red oak 30 x2, squared',
  } as const;
  const told = (rows: readonly { message: string }[]) => rows.every(({ message }) => message.length > 10);
  const reads = {
    parts: (text: string) => told(readPartsCsv(text, 'in', new Set(['X1'])).problems),
    yard: (text: string) => told(readYardCsv(text, 'in').problems),
    metric: (text: string) => told(readYardCsv(text, 'mm').problems),
    job: (text: string) =>
      (({ ok, ...rest }) => ok || ('message' in rest && rest.message.length > 10))(readJobText(text)),
    hand: (text: string) =>
      text
        .split('\n')
        .every((line) =>
          (({ ok, ...rest }) => ok || ('message' in rest && rest.message.length > 5))(readOnHand(line, 'in')),
        ),
  } as const;
  const faults: string[] = [];
  const counts = { read: 0, solved: 0, refused: 0 };
  let [tried, longest] = [0, 0];
  for (; goesOn({ until, most }, tried); tried++) {
    const own = seeded(seed + tried * 7919);
    const where = `seed ${seed}, file ${tried}`;
    const start = performance.now();
    try {
      if (own() < 0.5) {
        const kind = pick(own, Object.keys(texts) as (keyof typeof texts)[]);
        if (!reads[kind](spoiled(texts[kind], own))) faults.push(`${where} (${kind}): refused without words`);
        counts.read++;
        if (performance.now() - start > READ_MS)
          faults.push(`${where} (${kind}): reading took ${Math.round(performance.now() - start)} ms`);
      } else {
        let problem = pick(own, problems) as unknown as Json;
        for (let times = Math.floor(own() * 8); times >= 0; times--) problem = changed(problem, 'problem', own, known);
        const taken = read(CutProblemSchema, problem, 'cut problem');
        if (!taken.ok) counts.refused++;
        else {
          const begun = performance.now();
          const solution = solve(taken.value, { stopped: () => performance.now() - begun > SEARCH_MS });
          longest = Math.max(longest, performance.now() - begun);
          if (performance.now() - begun > SEARCH_MS + OVER_MS)
            faults.push(`${where}: a search of ${SEARCH_MS} ms took ${Math.round(performance.now() - begun)}`);
          const wrong = faultsOf(taken.value, solution);
          if (wrong.length > 0) faults.push(`${where}: ${wrong.slice(0, 3).join('; ')}`);
          counts.solved++;
        }
      }
    } catch (error) {
      faults.push(`${where}: ${(error as Error).stack ?? String(error)}`);
    }
  }
  return {
    tried,
    faults,
    said: `${counts.read} texts read, ${counts.solved} cut lists solved, ${counts.refused} refused; a search of ${SEARCH_MS / 1000} s took at most ${(longest / 1000).toFixed(1)} s`,
  };
};
