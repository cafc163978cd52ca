import { inches } from '../../length';
import { applyChanges, DEFAULT_SHOP, newJob } from '../../job';
import { blankOf } from '../../milling';
import { planJob } from '../../plan';
import { sizesOf } from '../../stock';
import { boxOf } from '../index';
import { built } from '../../testing/built';
import { plain } from '../../words';

describe('a heavy trestle, 78 x 36 x 30 with 4 over at the sides', () => {
  test('of 4x6 laid flat: posts are what 28 1/2 leaves under two timbers of 3 1/2', () => {
    const { is } = built('heavy', { choices: { timber: '4x6' } });
    is('F1 F2 K1 K2', '28 x 5 1/2 x 3 1/2');
    is('P1 P2 P3 P4', '21 1/2 x 5 1/2 x 3 1/2');
    is('S1', '54 x 5 1/2 x 3 1/2');
  });

  test('of 6x6: posts of 17 1/2; feet without relief or corners off are cut for the stretcher alone', () => {
    const { is, part } = built('heavy', { choices: { timber: '6x6', relief: false, clip: 0 } });
    is('P1 P2 P3 P4', '17 1/2 x 5 1/2 x 5 1/2');
    expect(part('F1').cuts.map(({ kind, for: tag }) => [kind, tag])).toEqual([['lap', 'S1']]);
    expect(part('K1').cuts).toEqual([]);
  });

  test('the stretcher lies half in the feet: it is lapped where they are', () => {
    const { part } = built('heavy');
    const [foot, stretcher] = [boxOf(part('F1')), boxOf(part('S1'))];
    expect(stretcher.min[2]).toBe(Math.round(foot.max[2] / 2));
    expect(part('S1').cuts.map(({ for: tag }) => tag)).toEqual(['F1', 'F2']);
  });

  test('corners that leave under an inch of an end are refused, with the most that can come off', () => {
    const { stops, taking } = built('heavy', { choices: { clip: inches(3) } });
    expect(stops).toEqual([['The clipped corners leave no end', 'Clip 2 1/2']]);
    expect(taking('Clip 2 1/2').findings).toEqual([]);
  });
});

describe('a pedestal under a disc of 42, 29 1/2 high', () => {
  test.each([
    ['three 2x4', '21 x 3 1/2 x 4 1/2', 3],
    ['4x4', '21 x 3 1/2 x 3 1/2', 1],
    ['6x6', '21 x 5 1/2 x 5 1/2', 1],
  ])('on a post of %s: %s', (post, size, plies) => {
    const { is, part } = built('pedestal', { choices: { post } });
    // 28 under the top, two beams of 3 1/2 on edge.
    is('P1', size);
    expect(part('P1').plies).toBe(plies);
    // Half way over the middle of the beams.
    const [post1, beam] = [boxOf(part('P1')), boxOf(part('F1'))];
    expect(post1.min[0] + post1.max[0]).toBe(beam.min[0] + beam.max[0]);
  });

  test('beams end so far from the edge, on a quarter inch: 42 less twice 4 1/10', () => {
    const { is } = built('pedestal', { choices: { beams: '2x6', overhang: inches(4.1) } });
    is('F1 F2 K1 K2', '33 3/4 x 5 1/2 x 1 1/2');
    is('P1', '17 x 3 1/2 x 4 1/2');
  });

  test('four braces at the foot, or four more at the head: 12 out at 45 degrees is 16.97 along the long edge', () => {
    const [four, eight] = [
      built('pedestal', { choices: { braces: '4' } }),
      built('pedestal', { choices: { braces: '8' } }),
    ];
    expect(four.tags(/^D/)).toHaveLength(4);
    expect(eight.tags(/^D/)).toHaveLength(8);
    four.is('D1 D2 D3 D4', '16 31/32 x 2 1/2 x 1 1/2');
    expect(four.part('D1').ends).toEqual({ left: { mitre: -45, bevel: 0 }, right: { mitre: 45, bevel: 0 } });
  });
});

describe('a board-end bench, 48 x 14 x 18 with 2 and 3/4 over', () => {
  test('ends of one 1x12: 11 wide, what two aprons of 3/4 leave of 12 1/2; ripped from 11 1/4', () => {
    const { is, tags, part } = built('bench', { choices: { ends: '1x12' } });
    expect(tags(/^E/)).toEqual(['E1A', 'E2A']);
    is('E1A E2A', '16 1/2 x 11 x 3/4');
    // 44 between the outer ends, ends 2 in and 3/4 thick.
    is('S1', '38 1/2 x 3 1/2 x 1 1/2');
    expect(part('E1A').trimmedLater).toBe(false);
  });

  test('ends of two boards each: glued up first, the stretcher pocketed to both', () => {
    const { is, tags, joints, assemblies } = built('bench', { choices: { ends: '2x8', foot: false } });
    expect(tags(/^E/)).toEqual(['E1A', 'E1B', 'E2A', 'E2B']);
    is('E1A E1B E2A E2B', '16 1/2 x 5 1/2 x 1 1/2');
    is('S1', '37 x 3 1/2 x 1 1/2');
    const onto = joints.filter(({ drilled }) => drilled === 'p.S1').map(({ into }) => into);
    expect(onto).toEqual(['p.E1A', 'p.E1B', 'p.E2A', 'p.E2B']);
    expect(assemblies.find(({ id }) => id === 'base')!.from).toEqual(['end-1', 'end-2']);
  });

  test('an arch leaves two feet of 2 in, or keeps half an inch under the stretcher', () => {
    const arch = (stretcherHeight: number) => {
      const [cut] = built('bench', { choices: { stretcherHeight: inches(stretcherHeight), ends: '1x12' } }).part(
        'E1A',
      ).cuts;
      // A full circle between two points: half of how far apart they are.
      const [a, b] = cut!.outline;
      return Math.hypot(a![0] - b![0], a![1] - b![1]) / 2;
    };
    expect(arch(5)).toBe(inches(3.5));
    expect(arch(3)).toBe(inches(2.5));
  });

  test('a stretcher among the aprons is told, and where it goes', () => {
    const { stops, taking } = built('bench', { choices: { stretcherHeight: inches(12) } });
    expect(stops).toEqual([['The stretcher meets the aprons', 'Put it at 4 3/4']]);
    expect(taking('Put it at 4 3/4').findings).toEqual([]);
  });
});

describe('splayed legs', () => {
  test.each([
    ['none', []],
    ['ends', ['S1', 'S2']],
    ['h', ['S1', 'S2', 'S3']],
  ])('stretchers: %s', (stretchers, tags) => {
    const one = built('splayed', { choices: { stretchers } });
    expect(one.tags(/^S/)).toEqual(tags);
    // The end stretchers lean with the legs: 6 degrees across.
    if (tags.length > 0) expect(one.part('S1').ends.left.mitre).toBeCloseTo(6, 6);
    if (tags.length === 3)
      expect(one.part('S3').length).toBe(boxOf(one.part('S2')).min[0] - boxOf(one.part('S1')).max[0]);
  });

  test('an apron that leans out of its leg is refused, and a thinner one is not', () => {
    const { stops, taking } = built('splayed', { choices: { apron: '2x6', splayEnds: 15 } });
    expect(stops).toEqual([['The apron stands out of its leaning leg', 'Take a 1×3 apron']]);
    expect(taking('Take a 1×3 apron').findings).toEqual([]);
  });
});

describe('X frames, 66 x 34 with 8 and 4 over', () => {
  test('the stretcher runs between the frames: 50 less two legs; the spine between the cleats', () => {
    const thin = built('x-frame');
    thin.is('K1 K2', '26 x 3 1/2 x 1 1/2');
    thin.is('S1 N1', '47 x 3 1/2 x 1 1/2');
    // On legs of 3 1/2 the cleats of 1 1/2 stand on their middle: 1 in from their inner faces.
    const thick = built('x-frame', { choices: { legs: '4x4' } });
    thick.is('S1', '43 x 3 1/2 x 1 1/2');
    thick.is('N1', '45 x 3 1/2 x 1 1/2');
    expect(built('x-frame', { choices: { spine: false } }).tags(/^N/)).toEqual([]);
  });

  test('a top too narrow for them speaks of the overhangs alone: cleats have no legs beside them', () => {
    const { findings, taking } = built('x-frame', { size: [66, 14, 29.5] });
    expect(findings.map(({ because }) => plain(because, 'in'))).toEqual([
      'Two overhangs of 4 leave 6 of 14 between them. It needs 12.',
    ]);
    expect(taking('Make it 20 wide').findings.map(({ kind }) => kind)).not.toContain('unbuilt');
  });
});

describe('hairpin legs under 42 x 20 with 2 over', () => {
  test('battens from side to side of what stands on the legs', () => {
    const { is, tags } = built('hairpin', { choices: { battens: 3 } });
    expect(tags(/^C/)).toHaveLength(3);
    is('C1 C2 C3', '16 x 3 1/2 x 3/4');
  });

  test('more battens than have room, and legs of another height, each with a way out', () => {
    const many = built('hairpin', { choices: { battens: 9 } });
    // 38 less two plates of 4, in steps of 3 1/2 and 2.
    expect(many.stops).toEqual([['9 battens do not fit', 'Use 5']]);
    const high = built('hairpin', { choices: { height: '28' } });
    expect(high.stops).toEqual([
      ['The legs do not come in this height', '16 in legs: 17 1/2 high', '28 in legs: 29 1/2 high'],
    ]);
    for (const way of high.stops[0]!.slice(1)) expect(high.taking(way).findings).toEqual([]);
  });
});

describe('an extending table, 60 x 34', () => {
  test('worked by hand: leaves, runners, keeper and spacers by travel, overlap and clearance', () => {
    const { is } = built('extending', { choices: { travel: inches(20) } });
    // 27 between the spacers less two clearances of 1/16; 20 out and 3 kept.
    is('M1 M2', '26 7/8 x 23 x 23/32');
    // 20, the keeper's far face at 30 3/4, 3 past it, less the inch it begins in.
    is('U1 U2 U3 U4', '52 3/4 x 1 1/2 x 3/4');
    // An apron of 3 1/2 and the leaf with its clearances above it.
    is('N1', '25 1/2 x 4 11/32 x 1 1/2');
    is('Z1 Z2', '49 x 27/32 x 3/4');
    const loose = built('extending', {
      choices: { travel: inches(10), overlap: inches(4), clearance: inches(1 / 8) },
    });
    loose.is('M1 M2', '26 3/4 x 14 x 23/32');
    loose.is('U1 U2 U3 U4', '43 3/4 x 1 1/2 x 3/4');
    loose.is('Z1 Z2', '49 x 31/32 x 3/4');
  });

  test('runners pass through a notch in the end apron and a hole in the keeper, clear all round', () => {
    const { part, motions } = built('extending');
    const through = (tag: string) => part(tag).cuts.flatMap(({ for: runner }) => runner ?? []);
    expect(through('E1').sort()).toEqual(['U1', 'U2']);
    expect(through('E2').sort()).toEqual(['U3', 'U4']);
    expect(through('N1').sort()).toEqual(['U1', 'U2', 'U3', 'U4']);
    expect(motions.map(({ parts }) => parts.length)).toEqual([3, 3]);
  });
});

describe('a shelf unit and folding legs', () => {
  test('slats of a unit: between the posts below, over them at the top', () => {
    const { tags, is, part } = built('shelf-unit', { size: [36, 16, 48], choices: { levels: 3, shelves: '1x4' } });
    // 36 less two posts of 1 1/2 and two gaps of 1/2 is 32: 8 of 3 1/2 with half inches between.
    expect([tags(/^H1/).length, tags(/^H2/).length, tags(/^H3/).length]).toEqual([8, 8, 9]);
    is('R1 R6', '33 x 3 1/2 x 1 1/2');
    is('S1 S6', '11 x 3 1/2 x 1 1/2');
    const [first, final] = [boxOf(part('H3A')), boxOf(part('H3I'))];
    expect([first.min[0], final.max[0]]).toEqual([0, inches(36)]);
  });

  test('twelve shelves in 72 are too close: as many as go, or as high as it takes', () => {
    const { stops, taking } = built('shelf-unit', { choices: { levels: 12 } });
    expect(stops).toHaveLength(1);
    for (const way of stops[0]!.slice(1)) expect(taking(way).findings).toEqual([]);
  });

  test('without rails the cleats alone carry the top, and the legs fold as before', () => {
    const { tags, motions, bearers } = built('folding', { choices: { rails: 'none' } });
    expect(tags(/^R/)).toEqual([]);
    expect(bearers).toEqual(['p.C1', 'p.C2']);
    expect(motions).toHaveLength(2);
  });

  test('legs longer than half the top do not fold: longer or lower, and both build', () => {
    const { stops, taking } = built('folding', { size: [40, 28, 28.5], choices: { legs: '2x2' } });
    expect(stops).toEqual([['The legs are too long to fold under it', 'Make it 53 1/2 long', 'Make it 21 3/4 high']]);
    for (const way of stops[0]!.slice(1)) expect(taking(way).findings).toEqual([]);
  });
});

describe('legs of a 4x4 planed to 3 by 3', () => {
  const { is, part, piece } = built('dining', { choices: { legs: '3x3 planed' } });

  test('a quarter off each of two faces, the other two ripped; aprons as much longer', () => {
    is('L1 L2 L3 L4', '28 x 3 x 3');
    expect(part('L1').planed).toBe(inches(1 / 4));
    // Between overhangs of 10 and 2: 46 and 30 less two legs.
    is('A1 A2', '40 x 3 1/2 x 1 1/2');
    is('E1 E2', '24 x 3 1/2 x 1 1/2');
    const blank = blankOf(part('L1'), piece, DEFAULT_SHOP, sizesOf({}))!;
    expect(blank.plane).toEqual({ each: inches(1 / 4), to: inches(3) });
    expect(blank.rip).toMatchObject({ from: inches(3.5), to: inches(3) });
  });

  test('aprons keep the thickness they are sold in; without a planer legs of two 2x4 are a way out', () => {
    expect(part('A1').planed).toBe(0);
    const job = { ...newJob('j'), shop: { ...DEFAULT_SHOP, tools: [] as never[] }, pieces: [piece] };
    const note = planJob(job, { today: '2026-11-30', effort: 'quick' }).findings.find(({ title }) =>
      plain(title, 'in').startsWith('Nothing here planes'),
    );
    expect(note!.about).toEqual(['p.L1', 'p.L2', 'p.L3', 'p.L4']);
    expect(applyChanges(job, note!.remedies[0]!.changes).pieces[0]!.choices.legs).toBe('two 2x4');
  });
});
