import { inches } from '../length';
import { applyChanges, DEFAULT_SHOP, FINDINGS, newJob, type Change, type Job, type Piece } from '../job';
import { planJob } from '../plan';
import { plain } from '../words';
import { buildPiece, newPiece, topCandidates } from './index';

const build = (piece: Piece) => buildPiece(piece, topCandidates(piece)[0]!, DEFAULT_SHOP, 'in');
const wish = (start: string, ...changes: readonly (readonly [Change['path'], unknown])[]): Piece =>
  applyChanges(
    { ...newJob('j'), pieces: [newPiece('p', start)] },
    changes.map(([path, value]) => ({ piece: 'p', path, value }) as Change),
  ).pieces[0]!;

describe('an impossible wish is a finding with a way out, never a list', () => {
  test.each([
    ['splayed legs that come together', wish('splayed', [['size', 'width'], inches(11)]), 'splay-meets-across'],
    [
      'a stretcher among the splayed aprons',
      wish('splayed', [['choices', 'stretcherHeight'], inches(20)]),
      'stretcher-meets-apron',
    ],
    ['a drawer wider than its opening', wish('end-table', [['size', 'length'], inches(12)]), 'no-room-length'],
    [
      'a drawer deeper than its boards',
      wish('end-table', [['choices', 'box'], '1x4'], [['choices', 'opening'], inches(6)], [['choices', 'drawers'], 1]),
      'drawer-deep',
    ],
    ['no slide short enough', wish('end-table', [['size', 'width'], inches(13)]), 'drawer-opening'],
    [
      'more drawers than height',
      wish('end-table', [['choices', 'drawers'], 4], [['choices', 'opening'], inches(8)]),
      'apron-below-floor',
    ],
    ['a leaf longer than its runners', wish('extending', [['choices', 'travel'], inches(30)]), 'leaf-long'],
    [
      'a strut past the head',
      wish(
        'trestle',
        [['choices', 'strutAngle'], 60],
        [['choices', 'kickers'], false],
        [['choices', 'headStruts'], false],
        [['size', 'height'], inches(20)],
      ),
      'strut-past-head',
    ],
    [
      'struts at foot and head that meet',
      wish(
        'trestle',
        [['choices', 'strutAngle'], 60],
        [['choices', 'kickers'], false],
        [['size', 'height'], inches(20)],
      ),
      'struts-meet',
    ],
    [
      'struts of which nothing is left between their ends',
      wish(
        'trestle',
        [['choices', 'strutStock'], '4x4'],
        [['choices', 'headStruts'], false],
        [['choices', 'kickers'], false],
        [['choices', 'overhangSides'], inches(2)],
        [['size', 'width'], inches(18)],
      ),
      'struts-short',
    ],
    [
      'kickers down to the stretcher',
      wish('trestle', [['choices', 'stretcherHeight'], inches(15)]),
      'kicker-meets-stretcher',
    ],
    [
      'crossed legs that stand upright',
      wish('x-frame', [['size', 'height'], inches(60)], [['size', 'width'], inches(24)]),
      'x-angle',
    ],
    [
      'a pedestal under a long top',
      wish('pedestal', [['top'], 'joined'], [['size', 'length'], inches(80)]),
      'top-refused',
    ],
    ['a parasol through the post', wish('octagon', [['topChoices', 'hole'], inches(2)]), 'hole-in-leg'],
    ['a round top that is not round', wish('pedestal', [['size', 'width'], inches(40)]), 'not-round'],
    ['tiles that do not fit', wish('tiled', [['size', 'length'], inches(40)]), 'tile-size'],
    ['hairpin legs of no such height', wish('hairpin', [['size', 'height'], inches(20)]), 'hairpin-height'],
    [
      'bought legs too short',
      wish('dining', [['choices', 'legs'], 'bought'], [['choices', 'boughtLeg'], '16']),
      'bought-leg',
    ],
    [
      'shelves with no air',
      wish('shelf-unit', [['choices', 'levels'], 12], [['size', 'height'], inches(30)]),
      'shelves-close',
    ],
    ['a case too shallow for drawers', wish('chest', [['size', 'width'], inches(8)]), 'case-shallow'],
    ['a panel larger than is sold', wish('splayed', [['size', 'length'], inches(90)]), 'panel-large'],
    [
      'an edging into the leaves',
      wish('extending', [['top'], 'edged-sheet'], [['size', 'width'], inches(30)], [['topChoices'], { edging: '1x3' }]),
      'edging-hits',
    ],
    ['a shelf through the floor', wish('shelf-coffee', [['choices', 'shelfHeight'], inches(2)]), 'shelf-low'],
    [
      'a found top smaller than its legs',
      wish(
        'dining',
        [['top'], 'found'],
        [['topChoices'], {}],
        [['size', 'length'], inches(10)],
        [['size', 'width'], inches(8)],
      ),
      'no-room-length',
    ],
    [
      'a shelf under an end table among its drawers',
      wish('end-table', [['choices', 'below'], 'ply shelf'], [['choices', 'shelfHeight'], inches(20)]),
      'shelf-high',
    ],
    ['a shelf among the aprons', wish('shelf-coffee', [['choices', 'shelfHeight'], inches(14)]), 'shelf-high'],
  ])('%s', (_, piece, name) => {
    const id = Object.hasOwn(FINDINGS, name) ? `p.${name}` : `p.shape-${name}`;
    const { findings, parts } = build(piece);
    expect(findings.map((finding) => finding.id)).toContain(id);
    expect(parts).toEqual([]);
    const finding = findings.find((one) => one.id === id)!;
    expect(plain(finding.because, 'in').length).toBeGreaterThan(20);
    // Every way out that is offered gets rid of this finding.
    expect(finding.remedies.length).toBeGreaterThan(0);
    for (const remedy of finding.remedies) {
      const mended = applyChanges({ ...newJob('j'), pieces: [piece] }, remedy.changes).pieces[0]!;
      expect(build(mended).findings.map((other) => other.id)).not.toContain(id);
    }
  });

  test('knees that touch the apron are told, and the way out gives them room', () => {
    const job: Job = {
      ...newJob('j'),
      pieces: [wish('dining', [['choices', 'apron'], '2x6'], [['size', 'height'], inches(28)])],
    };
    const plan = (of: Job) => planJob(of, { today: '2026-11-25', effort: 'quick' });
    const knees = plan(job).findings.find((finding) => finding.id === 'p.knees')!;
    expect(knees.numbers).toEqual({ kneesInches: 21 });
    for (const remedy of knees.remedies)
      expect(plan(applyChanges(job, remedy.changes)).findings.some((finding) => finding.id === 'p.knees')).toBe(false);
  });
});
