import { buildPiece, pieceFrom, STARTS, topCandidates } from '../piece';
import { DEFAULT_SHOP, isDay } from '../job';
import { dxfOf } from './out';
import { readJobText } from './read-job';
import { svgOf } from './svg';
import { templatesOf } from './template';
import { demoJob } from '../piece';

const piece = pieceFrom(STARTS[0]!, 'p');
const templates = templatesOf(buildPiece(piece, topCandidates(piece)[0]!, DEFAULT_SHOP, 'in').parts[0]!);
const ODD = 'Tisch\n0\nLINE "für" <Zoë> & 木 \u0000\uD800 \uFFFF';

test('a drawing survives any letter in a name', () => {
  const svg = svgOf(templates, ODD);
  expect(svg).not.toMatch(/[\p{Cs}\uFFFF]|[^\P{Cc}\n]/u);
  expect(svg).toContain('&#60;Zoë&#62; &#38; 木');
  // A line of a DXF is a code or a value: a line break in a name would be read as a code.
  const plain = dxfOf(templates, 'Name').split('\n').length;
  const odd = dxfOf(templates, ODD);
  expect(odd.split('\n')).toHaveLength(plain);
  expect(odd).toContain('Tisch 0 LINE "für" <Zoë> & 木');
});

test('a job file with a byte order mark is read', () => {
  expect(readJobText(`\uFEFF${JSON.stringify(demoJob())}`)).toEqual({ ok: true, value: demoJob() });
});

test('days that there are', () => {
  expect(['2026-02-28', '2028-02-29', '2026-12-31'].every(isDay)).toBe(true);
  expect(['2026-02-30', '2027-02-29', '2026-13-01', '2026-1-1', 'tomorrow', ''].some(isDay)).toBe(false);
});
