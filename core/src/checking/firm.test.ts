import { finishingTold, UNPLANNED } from '../finishing';
import { inches } from '../length';
import { applyChanges, newJob, set, type Finding, type Job, type Piece } from '../job';
import { helpsFor } from '../helps';
import { fastenings } from '../joinery';
import { first } from '../lists';
import { buildPiece, newPiece, topCandidates, type Choices } from '../piece';
import { planJob } from '../plan';
import { plain } from '../words';
import { judgedFor, OVERASKED } from '../strength';
import { isSought } from './sought';
import { woodNotes } from './wood';

type Size = readonly [number, number, number];
const OPTIONS = { today: '2026-11-28', effort: 'quick' } as const;
const jobOf = (start: string, choices: Choices = {}, size?: Size): Job => {
  const base = newPiece('p', start);
  const piece: Piece = { ...base, choices: { ...base.choices, ...choices } };
  const [length, width, height] = (size ?? []).map((side) => inches(side));
  return {
    ...newJob('j'),
    pieces: [size ? { ...piece, size: { length: length!, width: width!, height: height! } } : piece],
  };
};
/** What is said of the wood of a job's one piece, without boards, steps and days that nothing here asks for. */
function notesOf(job: Job): readonly Finding[] {
  const piece = first(job.pieces);
  const model = buildPiece(piece, first(topCandidates(piece)), job.shop, job.units);
  const made = fastenings(model.joints, model.parts, job.units, piece, job.shop);
  const finishing = finishingTold(UNPLANNED);
  return woodNotes({ piece, model, parts: model.parts, fastenings: made, steps: [], finishing }, job);
}
const JUDGED = ['sag', 'shelf-sag', 'sway', 'joint-gives'];
const called = (job: Job): readonly string[] =>
  notesOf(job).flatMap(({ kind, level }) => (JUDGED.includes(kind) && level !== 'good' ? [kind] : []));

/** Known to be sound: as they are usually built, and stands for years. */
const GOOD: readonly (readonly [name: string, start: string, choices?: Choices, size?: Size])[] = [
  ['dining table, 2x4 aprons on glued legs', 'dining'],
  ['dining table nine feet long', 'dining', {}, [110, 38, 29.5]],
  ['standing work table', 'standing'],
  ['work table on 2x6 aprons', 'standing', { apron: '2x6' }],
  ['desk', 'desk'],
  ['coffee table', 'coffee'],
  ['coffee table without a cross support', 'coffee', { crossSupports: 0 }],
  ['coffee table with a slatted shelf', 'shelf-coffee'],
  ['splayed legs with stretchers', 'splayed'],
  ['trestle with struts at foot and head, kickers', 'trestle'],
  ['the same without kickers', 'trestle', { kickers: false }],
  ['heavy trestle, bolted', 'heavy'],
  ['X frames with two stretchers', 'x-frame'],
  ['pedestal braced at foot and head', 'pedestal'],
  ['bench of 4 ft', 'bench'],
  ['end table with drawers', 'end-table'],
  ['extending table', 'extending'],
  ['cupboard with a back', 'cupboard'],
  ['drawer cart on legs in a frame', 'chest'],
  ['cupboard on bought legs with plates', 'cupboard', { stand: 'bought', standLeg: 'turned 8' }],
  ['bookcase of 24 in with a back', 'bookcase', {}, [24, 11.5, 60]],
  ['shelf unit on 2x4 rails', 'shelf-unit'],
  ['tiled table on 1x4 aprons', 'tiled'],
  ['desk with 1 in of overhang', 'desk', { overhangSides: inches(1) }],
  ['outdoor table of slats on three cross supports', 'outdoor'],
  [
    'trestle with gussets at foot and head instead of struts',
    'trestle',
    { gussets: 'both', struts: false, headStruts: false },
  ],
  ['folding legs with rails under the top', 'folding'],
  [
    'a high bench on 2x3 aprons, braced crosswise',
    'standing',
    { apron: '2x3', braces: 'all', overhangEnds: inches(6) },
    [72, 28, 42],
  ],
  ['octagon of 2x boards, its ring screwed, braced at foot and head', 'octagon'],
];

/** Known to fail, and what must be said of it. */
const BAD: readonly (readonly [name: string, kind: string, start: string, choices?: Choices, size?: Size])[] = [
  ['books on 45 in of 3/4 plywood', 'shelf-sag', 'bookcase', {}, [47, 11.5, 60]],
  ['a bookcase without a back', 'sway', 'bookcase', { back: 'open' }],
  ['a wide one in two columns without a back', 'sway', 'bookcase', { back: 'open', columns: 2 }, [47, 11.5, 72]],
  ['a cupboard without a back', 'sway', 'cupboard', { back: 'open' }],
  ['a drawer cart without a back', 'sway', 'chest', { back: 'open', stand: 'plinth' }],
  ['a pedestal whose head has no braces', 'joint-gives', 'pedestal', { braces: '4' }],
  ['the same under an octagon', 'joint-gives', 'octagon', { braces: '4' }],
  ['a trestle head on a post, nothing below it', 'joint-gives', 'trestle', { headStruts: false }],
  ['a trestle with no strut at all', 'joint-gives', 'trestle', { headStruts: false, struts: false, kickers: false }],
  ['a shelf unit on thin rails', 'sway', 'shelf-unit', { rails: '1x3' }],
  ['a taller one', 'sway', 'shelf-unit', { rails: '1x3' }, [48, 18, 84]],
  ['a shelf unit of two shelves, thin rails', 'sway', 'shelf-unit', { rails: '1x3', levels: 2 }],
  ['a heavy tiled top on 1x3 aprons', 'joint-gives', 'tiled', { apron: '1x3' }],
  ['a dining table on 1x3 aprons', 'joint-gives', 'dining', { apron: '1x3' }],
  ['a high bench on 2x3 aprons', 'sway', 'standing', { apron: '2x3' }, [72, 28, 42]],
  ['a high bench on 1x3 aprons', 'joint-gives', 'standing', { apron: '1x3' }, [72, 28, 42]],
  ['X frames with one stretcher', 'sway', 'x-frame', { spine: false }],
  ['slats of 1 in over 24 in', 'sag', 'outdoor', { crossSupports: 0 }],
  ['a bench of 6 ft on 1x3 aprons', 'sag', 'bench', { apron: '1x3' }, [72, 14, 18]],
  ['folding legs without rails, a long top', 'sway', 'folding', { rails: 'none' }, [72, 28, 28.5]],
  ['a bench of 8 ft', 'sag', 'bench', {}, [96, 14, 18]],
];

test.each(GOOD.map((one) => ({ one, name: one[0] })))('sound: $name', ({ one: [, start, choices, size] }) => {
  expect(called(jobOf(start, choices, size))).toEqual([]);
});

test.each(BAD.map((one) => ({ one, name: one[0] })))('not sound: $name', ({ one: [, kind, start, choices, size] }) => {
  expect(called(jobOf(start, choices, size))).toContain(kind);
});

test('not sound: case legs on one screw each into end grain, as they would be without their rails', () => {
  const piece = newPiece('p', 'chest');
  const { parts, model } = planJob(jobOf('chest'), OPTIONS).pieces[0]!;
  const isRail = (id: string) => /\.[RS]\d$/.test(id);
  const joints = model.joints
    .filter(({ drilled, into }) => !isRail(drilled) && !isRail(into))
    .map((joint) =>
      joint.kind === 'rest' ? { ...joint, kind: 'screws' as const, drilled: joint.into, into: joint.drilled } : joint,
    );
  const left = parts.filter(({ id }) => !isRail(id));
  const { weakest } = judgedFor(left, fastenings(joints, left, 'in'), piece);
  expect(weakest!.share).toBeGreaterThan(OVERASKED);
  expect(weakest!.hold.item.into.role).toBe('leg');
});

describe('what it must carry', () => {
  const asking = (start: string, top: number | null, shelf: number | null = null): Job => {
    const job = jobOf(start);
    return applyChanges(job, [set('p', ['carries', 'top'], top), set('p', ['carries', 'shelf'], shelf)]);
  };
  const because = (job: Job, kind: string) => {
    const found = notesOf(job).find((one) => one.kind === kind)!;
    return [found.level, plain(found.because, 'in')] as const;
  };

  test('a kiln of 180 lb on a coffee table is carried; a ton asks for another table, and ways out are tried', () => {
    expect(called(asking('coffee', 180))).toEqual([]);
    const heavy = asking('coffee', 2000);
    expect(called(heavy)).toContain('joint-gives');
    expect(because(heavy, 'joint-gives')[1]).toContain('2000 lb on its top, for years');
  });

  test('a shorter top is offered against sag where its slides are sold so long, and not where they are not', () => {
    const sagging = jobOf('extending', {}, [200, 34, 30]);
    const { boards } = sagging.yard;
    const longer = boards
      .filter(({ board }) => board === '1x2')
      .map((offer) => ({ ...offer, id: `${offer.id}-long`, length: inches(192) }));
    const lengths = (job: Job) =>
      planJob(job, OPTIONS)
        .findings.filter(({ kind }) => kind === 'sag')
        .flatMap(({ remedies }) => remedies.map(({ changes }) => changes.map(({ path }) => path.at(-1))));
    expect(lengths(sagging)).toEqual([]);
    expect(lengths({ ...sagging, yard: { ...sagging.yard, boards: [...boards, ...longer] } })).toEqual([['length']]);
  });

  test('large books at 40 lb a foot: the shelf that bore 25 sags, by 40 / 25 of it', () => {
    const bends = (job: Job) => notesOf(job).find(({ kind }) => kind === 'shelf-sag')!.numbers.sagInches!;
    const usual = bends(jobOf('bookcase'));
    expect(bends(asking('bookcase', null, 40)) / usual).toBeCloseTo(40 / 25, 6);
    expect(because(asking('bookcase', null, 40), 'shelf-sag')[1]).toMatch(/^40 lb a foot, for years/);
  });
});

describe('what it carries for years, and where', () => {
  const noted = (job: Job, kind: string) => notesOf(job).filter((one) => one.kind === kind);
  const carrying = (start: string, changes: Partial<Piece['carries']>, more: Partial<Piece> = {}): Job => {
    const job = jobOf(start);
    const [piece] = job.pieces;
    return { ...job, pieces: [{ ...piece!, ...more, carries: { ...piece!.carries, ...changes } }] };
  };

  test('a television in the middle bends a top more than the same weight all over it: 8 to 5 on one span', () => {
    const bends = (lies: 'spread' | 'middle') => noted(carrying('cupboard', { top: 150, lies }), 'sag')[0]!;
    const [heap, spread] = [bends('middle'), bends('spread')];
    expect(plain(heap.because, 'in')).toContain('150 lb where it bends most, for years');
    // P L^3 / 48 against 5 P L^3 / 384.
    expect(heap.numbers.sagInches! / spread.numbers.sagInches!).toBeCloseTo(8 / 5, 0);
    expect(heap.remedies.length).toBeGreaterThan(0);
  });

  test('drawers: 25 lb each are borne; 90 are too much for their slides, and so much less is said', () => {
    expect(noted(jobOf('chest'), 'hung')).toEqual([]);
    const job = carrying('chest', { drawer: 90 });
    const [over, ...more] = noted(job, 'hung');
    expect(more).toEqual([]);
    expect(over!.about).toHaveLength(4);
    expect(over!.numbers.asksPounds).toBeGreaterThan(90);
    const after = applyChanges(job, over!.remedies[0]!.changes);
    expect(after.pieces[0]!.carries.drawer).toBe(Math.floor(75 - over!.numbers.asksPounds! + 90));
    expect(noted(after, 'hung')).toEqual([]);
  });

  test('a leaf drawn out so far that its two 1x2 runners bend: by hand, and as far as they bear', () => {
    const drawn = (inchesOut: number): Job => {
      const job = jobOf('extending');
      const [piece] = job.pieces;
      const choices = { ...piece!.choices, travel: inches(inchesOut) };
      return { ...job, pieces: [{ ...piece!, size: { ...piece!.size, length: inches(96) }, choices }] };
    };
    expect(noted(drawn(12), 'hung')).toEqual([]);
    const [far] = noted(drawn(30), 'hung');
    // Two of 3/4 by 1 1/2 at 2,000 psi, the load 30 in out of the end of the top and the overhang before the apron.
    const bent = 2 * ((0.75 * 1.5 ** 2) / 6) * 2000;
    expect(far!.numbers.bearsPounds!).toBeLessThan(bent / 30);
    expect(far!.numbers.bearsPounds!).toBeGreaterThan(bent / 48);
    expect(far!.numbers.asksPounds!).toBeGreaterThan(50);
    expect(noted(applyChanges(drawn(30), far!.remedies[0]!.changes), 'hung')).toEqual([]);
  });

  test('a drop front: a low one is held by its stays, a high one is not, and doors are offered', () => {
    const dropped = (high: number): Job => {
      const job = jobOf('cupboard');
      const [piece] = job.pieces;
      const choices = { ...piece!.choices, front: 'drop front', shelves: 0 };
      return { ...job, pieces: [{ ...piece!, size: { ...piece!.size, height: inches(high) }, choices }] };
    };
    expect(noted(dropped(20), 'hung')).toEqual([]);
    const [high] = noted(dropped(44), 'hung');
    expect(high!.numbers.asksPounds!).toBeGreaterThan(high!.numbers.bearsPounds!);
    const doors = applyChanges(dropped(44), high!.remedies[0]!.changes);
    expect(doors.pieces[0]!.choices.front).toBe('doors');
  });

  test('filled drawers that stand open tip it sooner', () => {
    const tips = (drawer: number | null) =>
      planJob(carrying('end-table', { drawer }), OPTIONS).findings.find(({ kind }) => kind === 'anchor')?.numbers
        .tipsAtPounds ?? Infinity;
    expect(tips(30)).toBeLessThan(tips(null));
  });

  test('a stone of 500 lb over thin aprons: they dip by its weight, and thicker ones are found when asked for', () => {
    // 110 x 38 x 1 1/4 at 168 lb a cubic foot are 508 lb.
    const size = { length: inches(110), width: inches(38), height: inches(29.5) };
    const base = carrying('dining', {}, { top: 'bought', topChoices: { kind: 'stone' }, size });
    const job = applyChanges(base, [set('p', ['choices', 'apron'], '1x3')]);
    const [droops] = noted(job, 'rail-sag');
    expect(plain(droops!.because, 'in')).toContain('its own weight, for years');
    expect(droops!.numbers.sagInches).toBeGreaterThan(droops!.numbers.spanInches! / 12 / 32);
    const helps = helpsFor(job, planJob(job, OPTIONS), droops!.id, OPTIONS);
    expect(helps.length).toBeGreaterThan(0);
    for (const { changes } of helps) expect(noted(applyChanges(job, changes), 'rail-sag')).toEqual([]);
  });
});

describe('what would help', () => {
  test('is tried on the whole piece: taken, it ends the note and costs what it said', () => {
    const job = jobOf('pedestal', { braces: '4' });
    const plan = planJob(job, OPTIONS);
    const note = plan.findings.find(({ kind }) => kind === 'joint-gives')!;
    expect(isSought(note)).toBe(true);
    expect(plain(note.because, 'in')).toContain('nothing else holds there');
    const helps = helpsFor(job, plan, note.id, OPTIONS);
    expect(helps.map(({ label }) => plain(label, 'in'))).toContain('Diagonal braces: eight, foot and head');
    for (const { changes, adds } of helps) {
      const after = planJob(applyChanges(job, changes), OPTIONS);
      expect(after.findings.find(({ id }) => id === note.id)!.level).toBe('good');
      expect(after.list.total - plan.list.total).toBe(adds);
    }
  });

  test('of a note that is good, or is about something else, nothing is looked for', () => {
    const job = jobOf('desk');
    const plan = planJob(job, OPTIONS);
    expect(helpsFor(job, plan, 'p.joint-gives', OPTIONS)).toEqual([]);
    expect(helpsFor(job, plan, 'p.none', OPTIONS)).toEqual([]);
  });
});
