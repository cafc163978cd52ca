import fc from 'fast-check';
import { boxesFor } from '../buying';
import { seeded } from '../cutting';
import { applyChanges, DEFAULT_SHOP, finishedWith, KIT, newJob, type Piece, type Recipe } from '../job';
import { newPiece } from '../piece';
import { planJob } from '../plan';
import { SAMPLE_YARD } from '../stock';
import { plain } from '../words';
import {
  COATS,
  extentOf,
  finishingNeeds,
  gritsTo,
  layersOf,
  ouncesOf,
  patchesOf,
  proudOf,
  READY,
  recipeChanges,
  recipeFor,
  recipeOf,
  sandingMinutes,
  sittingsOf,
  takenOver,
  takesOf,
  touchedUp,
  treatmentsOf,
  triesTakes,
  UNPLANNED,
  waitOver,
  wins,
  type FinishPlan,
  type Treated,
} from './index';

const ready = (id: string): Recipe => recipeOf(newJob('j'), id)!;
const extent = (area: number, ends = 0, sheets = 0) => ({ area, ends, sheets });
const treated = (id: string, area: number, coats = ready(id).coats): Treated => {
  const treatment = { recipe: ready(id), coats, surfaces: ['top' as const] };
  return {
    ...treatment,
    patches: [],
    heads: 0,
    fits: [],
    extent: extent(area),
    sittings: sittingsOf(layersOf(treatment, 6)),
  };
};
const needsOf = (
  worked: readonly Treated[],
  copies = 1,
  kit: readonly (typeof KIT)[number][] = KIT.filter((one) => one !== 'brushes'),
) =>
  finishingNeeds(
    [{ piece: { ...newPiece('p', 'dining'), copies }, plan: { ...UNPLANNED, worked } satisfies FinishPlan }],
    { kit },
  ).map(({ kind, size, count }) => `${count} ${kind} ${size}`.trim());

describe('ladders', () => {
  test('no grit is skipped; sheets begin at 120', () => {
    expect(gritsTo(0)).toEqual([]);
    expect(gritsTo(150)).toEqual([80, 120, 150]);
    expect(gritsTo(220)).toEqual([80, 120, 150, 180, 220]);
    expect(gritsTo(180, 120)).toEqual([120, 150, 180]);
    expect(gritsTo(80, 120)).toEqual([80]);
  });

  test('minutes: two a square foot at 80, one for each finer grit, thrice that by hand', () => {
    // 10 sq ft to 150: 10 x (2 + 1 + 1) = 40; 2 of them by hand are 16 more.
    expect(sandingMinutes(150, extent(10), 0)).toBeCloseTo(40);
    expect(sandingMinutes(150, extent(10), 2)).toBeCloseTo(56);
    // All of sheets: 120 and 150 alone.
    expect(sandingMinutes(150, extent(10, 0, 10), 0)).toBeCloseTo(20);
  });
});

describe('layers and their waits', () => {
  const named = (id: string, hours = 16) =>
    layersOf({ recipe: ready(id), coats: ready(id).coats }, hours).map(
      ({ product, nth, of, between, hours: wait }) =>
        `${product} ${nth}/${of}${between ? ` sand ${between}` : ''}, ${wait} h`,
    );

  test('oil stain: conditioner, a day, then three coats sanded between', () => {
    expect(named('dark.wipeable')).toEqual([
      'conditioner 1/1, 0.25 h',
      'oil stain 1/1, 24 h',
      'oil polyurethane 1/3, 12 h',
      'oil polyurethane 2/3 sand 220, 12 h',
      'oil polyurethane 3/3 sand 220, 0 h',
    ]);
  });

  test('paint: primer, sanded, two coats', () => {
    expect(named('painted.wipeable')).toEqual([
      'primer 1/1, 2 h',
      'enamel 1/2 sand 220, 3 h',
      'enamel 2/2 sand 220, 0 h',
    ]);
  });

  test('oil under water waits two days, oil under oil one; a stain of water three hours', () => {
    expect(waitOver('oil stain', 'water polyurethane')).toBe(48);
    expect(waitOver('oil stain', 'oil polyurethane')).toBe(24);
    expect(waitOver('water stain', 'water polyurethane')).toBe(3);
  });

  test('a coat that sets longer than a day at the bench is sanded before the next: its window is past', () => {
    expect(named('natural.mended', 16).at(-1)).toBe('hard-wax oil 2/2, 0 h');
    expect(named('natural.mended', 6).at(-1)).toBe('hard-wax oil 2/2 sand 320, 0 h');
  });

  test('conditioner and stain are one sitting, and two coats of penetrating oil', () => {
    const count = (id: string) => sittingsOf(layersOf({ recipe: ready(id), coats: ready(id).coats }, 6)).length;
    expect(count('dark.wipeable')).toBe(4);
    expect(count('natural.oiled')).toBe(1);
    expect(count('natural.quick')).toBe(3);
  });

  test('every recoat of every recipe lies in its window or is sanded first', () => {
    for (const recipe of READY)
      for (const hours of [2, 6, 10, 16]) {
        const layers = layersOf({ recipe, coats: recipe.coats }, hours);
        layers.slice(1).forEach((layer, at) => {
          const under = layers[at]!;
          const late = under.hours >= hours;
          if (under.product === layer.product && under.window !== null && late)
            expect(layer.between).toBeGreaterThan(0);
        });
      }
  });
});

describe('quantities worked out by hand', () => {
  test('three coats of oil on 60 square feet, brushed: 1.1 x 60 / 125 x 32 ounces each', () => {
    const each = (1.1 * 60 * 32) / 125;
    const [first] = layersOf({ recipe: ready('natural.wipeable'), coats: 3 }, 6);
    expect(ouncesOf(first!, ready('natural.wipeable'), extent(60))).toBeCloseTo(each);
    // Six square feet of end grain drink twice on the first.
    expect(ouncesOf(first!, ready('natural.wipeable'), extent(60, 6))).toBeCloseTo((each * 66) / 60);
    // Sanded no finer than 120 the first takes 15 % more.
    expect(ouncesOf(first!, { ...ready('natural.wipeable'), sandTo: 120 }, extent(60))).toBeCloseTo(each * 1.15);
    // 50.7 ounces; discs at 12 square feet to 150 and 25 above, two sandings between coats.
    expect(needsOf([treated('natural.wipeable', 60)])).toEqual([
      '1 brush oil',
      '5 disc 80',
      '5 disc 120',
      '5 disc 150',
      '3 disc 180',
      '5 disc 220',
      '51 finish oil polyurethane',
      '1 paper 80',
      '1 paper 120',
      '1 paper 150',
      '1 paper 180',
    ]);
  });

  test('a spray loses four tenths, a rag one', () => {
    const [brush] = layersOf({ recipe: ready('natural.quick'), coats: 1 }, 6);
    expect(ouncesOf({ ...brush!, by: 'spray' }, ready('natural.quick'), extent(10))).toBeCloseTo((1.4 * 10 * 32) / 125);
  });

  test('a mix of two parts to one is two cans, two thirds and one', () => {
    const recipe: Recipe = {
      ...ready('dark.bare'),
      conditioner: false,
      colours: [
        {
          product: 'oil stain',
          mix: [
            { tone: 'dark brown', parts: 2 },
            { tone: 'honey', parts: 1 },
          ],
          leave: 10,
        },
      ],
    };
    const [stain] = layersOf({ recipe, coats: 0 }, 6);
    const ounces = ouncesOf(stain!, recipe, extent(45));
    const cans = takesOf(stain!, recipe, extent(45)).filter(({ kind }) => kind === 'stain');
    expect(cans.map(({ size, count }) => [size, count])).toEqual([
      ['oil stain dark brown', (ounces * 2) / 3],
      ['oil stain honey', ounces / 3],
    ]);
  });

  test('a wash is paint thinned by half', () => {
    const recipe = ready('washed.quick');
    const wash = layersOf({ recipe, coats: 3 }, 6).find(({ product }) => product === 'wash')!;
    const [can] = takesOf(wash, recipe, extent(50));
    expect(can).toMatchObject({ kind: 'finish', size: 'enamel white' });
    expect(can!.count).toBeCloseTo(ouncesOf(wash, recipe, extent(50)) / 2);
  });

  test('what is there is not bought; one brush does for all copies, cans are shared', () => {
    const all = needsOf([treated('natural.quick', 20)], 3, []);
    expect(all).toContain('1 brush water');
    expect(all).toContain(`${Math.ceil((3 * 3 * 1.1 * 20 * 32) / 125)} finish water polyurethane`);
    expect(needsOf([treated('natural.quick', 20)], 3, [...KIT]).some((row) => row.includes('brush'))).toBe(false);
  });

  test('cans: the cheapest that hold it, against trying all', () => {
    const cans = SAMPLE_YARD.hardware.filter(({ size }) => size === 'oil polyurethane');
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 300 }), (count) => {
        const need = { kind: 'finish' as const, size: 'oil polyurethane', count };
        const price = boxesFor(need, cans)!.reduce((sum, row) => sum + row.count * row.offer.price, 0);
        let least = Infinity;
        const [a, b, c] = cans;
        for (let i = 0; i * a!.count < count + a!.count; i++)
          for (let k = 0; k * b!.count < count + b!.count; k++)
            for (let l = 0; l * c!.count < count + c!.count; l++)
              if (i * a!.count + k * b!.count + l * c!.count >= count)
                least = Math.min(least, i * a!.price + k * b!.price + l * c!.price);
        expect(price).toBe(least);
      }),
      { numRuns: 25 },
    );
  });
});

describe('what knots, seams, samples and touching up take, by hand', () => {
  const painted = treated('painted.wipeable', 40);
  const piece = newPiece('p', 'dining');
  const kinds = (plan: Partial<FinishPlan>, finish: Partial<Piece['finish']>) =>
    finishingNeeds([{ piece: { ...piece, finish: { ...piece.finish, ...finish } }, plan: { ...UNPLANNED, ...plan } }], {
      kit: [],
    })
      .filter(({ kind }) => ['filler', 'thin-glue', 'caulk', 'stain'].includes(kind))
      .map(({ kind, size, count }) => `${count} ${kind} ${size}`.trim());

  test('filler: an ounce to 60 heads and to 40 square feet; thin glue one to 80, and filler for heads alone', () => {
    expect(kinds({ worked: [painted], heads: 90 }, {})).toEqual(['3 filler paintable']);
    expect(kinds({ worked: [painted], heads: 90 }, { cracks: 'thin glue' })).toEqual([
      '2 filler paintable',
      '1 thin-glue',
    ]);
    expect(kinds({ worked: [painted] }, { cracks: 'sawdust' })).toEqual([]);
  });

  test('caulk: an ounce to 8 feet of seams', () => {
    expect(kinds({ worked: [painted], seams: 60 }, { cracks: 'sawdust' })).toEqual(['8 caulk']);
    expect(kinds({ worked: [painted], seams: 0.2 }, { cracks: 'sawdust' })).toEqual([]);
  });

  test('a recipe that is only tried takes what half a square foot does, and nothing that is used again', () => {
    const dark = ready('dark.wipeable');
    const tried = { recipe: dark, coats: 3, sittings: sittingsOf(layersOf({ recipe: dark, coats: 3 }, 6)) };
    const takes = triesTakes({ ...UNPLANNED, tries: [tried] });
    const each = (1.1 * 0.5 * 32) / 125;
    expect(takes.map(({ kind, size }) => `${kind} ${size}`)).toEqual([
      'stain conditioner',
      'stain oil stain dark brown',
      'finish oil polyurethane',
    ]);
    expect(takes.map(({ count }) => count)).toEqual([each, each, 3 * each].map((count) => expect.closeTo(count)));
    expect(kinds({ worked: [treated('natural.wipeable', 20)], tries: [tried] }, { cracks: 'sawdust' })).toEqual([
      '1 stain conditioner',
      '1 stain oil stain dark brown',
    ]);
  });

  test('what is touched up is so much for each head on it', () => {
    expect(touchedUp({ ...painted, heads: 30 }).extent).toEqual({ area: expect.closeTo(0.3), ends: 0, sheets: 0 });
  });
});

describe('how proud the worst joint of a glued top comes out', () => {
  const joints = (count: number, by: 'glue' | 'pocket screws') => Array.from({ length: count }, () => ({ by }));
  const sixtyFourths = (count: number, by: 'glue' | 'pocket screws', planed = false) =>
    (64 * proudOf(joints(count, by), planed)) / 8128;

  test('of one joint by hand: boards within 1/64 and laid within 1/64, nine in ten', () => {
    // Root 3 by 1/64; of glue alone, within 1/32, root 6; planed to 1/128, root 1 1/2. To the next 1/64.
    expect(sixtyFourths(1, 'pocket screws')).toBe(Math.ceil(Math.sqrt(3)));
    expect(sixtyFourths(1, 'glue')).toBe(Math.ceil(Math.sqrt(6)));
    expect(sixtyFourths(1, 'pocket screws', true)).toBe(Math.ceil(Math.sqrt(1.5)));
    expect(proudOf([], false)).toBe(0);
  });

  test.each([
    [3, 'pocket screws', false],
    [7, 'glue', false],
    [12, 'pocket screws', true],
  ] as const)('%i joints by %s, planed %s: nine in ten of tops drawn at random lie within it', (count, by, planed) => {
    const random = seeded(7);
    const normal = () => Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());
    const [thick, slip] = [(planed ? 1 / 128 : 1 / 64) / 1.645, (by === 'glue' ? 1 / 32 : 1 / 64) / 1.645];
    const worst = Array.from({ length: 4000 }, () =>
      Math.max(...Array.from({ length: count }, () => Math.abs(thick * normal() - thick * normal() + slip * normal()))),
    ).sort((a, b) => a - b);
    const nine = worst[3600]! * 64;
    const told = sixtyFourths(count, by, planed);
    expect(told).toBeGreaterThan(nine - 0.1);
    expect(told - 1).toBeLessThan(nine + 0.1);
  });
});

describe('a recipe that was tried', () => {
  const base = newPiece('p', 'dining');
  const tried = { id: 'dark.wipeable', lost: false, why: '' };
  const piece: Piece = { ...base, finish: { ...finishedWith('natural.wipeable', 'grey.quick'), tries: [tried] } };
  const job = { ...newJob('j'), pieces: [piece] };

  test('wins over the one that surfaces take: they take it, and the other is kept with the reason', () => {
    const [now] = applyChanges(job, wins(piece, 'dark.wipeable', 'natural.wipeable', 'too pale')).pieces;
    expect(now!.finish.on.top).toEqual({ recipe: 'dark.wipeable', coats: null });
    expect(now!.finish.on.base).toEqual({ recipe: 'grey.quick', coats: null });
    expect(now!.finish.tries).toEqual([{ id: 'natural.wipeable', lost: true, why: 'too pale' }]);
  });

  test('that is changed is a copy, and the copy is tried', () => {
    const [now] = applyChanges(job, recipeChanges(job, piece, ready('dark.wipeable'), { coats: 2 })).pieces;
    expect(now!.finish.tries).toEqual([{ ...tried, id: 'own-1' }]);
  });
});

describe('who takes what', () => {
  const piece = newPiece('p', 'dining');
  const job = { ...newJob('j'), pieces: [piece], shop: DEFAULT_SHOP };

  test('surfaces of one recipe and as many coats are worked together; others apart', () => {
    const all: Piece = { ...piece, finish: finishedWith('natural.wipeable') };
    const names = ['top', 'edges', 'underside', 'base'] as const;
    expect(treatmentsOf(all, job, names).map(({ surfaces }) => surfaces)).toEqual([names]);
    const fewer: Piece = {
      ...all,
      finish: { ...all.finish, on: { ...all.finish.on, underside: { recipe: 'natural.wipeable', coats: 1 } } },
    };
    expect(treatmentsOf(fewer, job, names).map(({ surfaces, coats }) => `${surfaces.join(' ')} ${coats}`)).toEqual([
      'top edges base 3',
      'underside 1',
    ]);
  });

  test('parts of one role are treated by themselves, and told so; what is left of their surface is the rest', () => {
    const whole = finishedWith('natural.wipeable');
    const legs: Piece = {
      ...piece,
      finish: { ...whole, on: { ...whole.on, 'base/leg': { recipe: 'dark.wipeable', coats: 2 } } },
    };
    const plan = planJob({ ...job, pieces: [legs] }, { today: '2026-11-28', effort: 'quick' });
    const { finishing, steps, model } = plan.pieces[0]!;
    expect(finishing.treatments.map(({ surfaces, coats }) => `${surfaces.join(' ')} ${coats}`)).toEqual([
      'top edges underside base 3',
      'base/leg 2',
    ]);
    const open = patchesOf(model).patches.filter(({ surface, closed }) => surface === 'base' && !closed);
    const area = (own: boolean) => extentOf(open.filter(({ part }) => (part.role === 'leg') === own)).area;
    const told = new Map(finishing.surfaces.map(({ name, extent: { area: feet } }) => [name, feet]));
    expect(told.get('base/leg')).toBeCloseTo(area(true));
    expect(told.get('base')).toBeCloseTo(area(false));
    const words = steps.flatMap(({ actions }) => actions.map(({ text }) => plain(text, 'in'))).join(' ');
    expect(words).toContain('Sand the legs with 80, 120 and 150');
    expect(words).toContain('Sand the top, its edges, its underside and the rest of the base');
    expect(words).toContain('on the legs: brush it on thin');
  });

  test('a recipe that is ready is copied when it is changed; one of the job’s own is changed for all', () => {
    const all: Piece = { ...piece, finish: finishedWith('dark.wipeable') };
    const changes = recipeChanges(job, all, ready('dark.wipeable'), { coats: 4 });
    expect(changes[0]).toMatchObject({ piece: null, path: ['recipes', 'own-1'] });
    expect(changes.length).toBe(8);
    const own = { ...ready('dark.wipeable'), id: 'mine' };
    expect(recipeChanges({ recipes: [own] }, all, own, { coats: 4 })).toEqual([
      { piece: null, path: ['recipes', 'mine'], value: { ...own, coats: 4 } },
    ]);
  });

  test('recipes of another job are taken under ids of their own; what is alike is there already', () => {
    const own = { ...ready('dark.wipeable'), id: 'own-1', name: 'mine' };
    const other = { ...own, name: 'theirs', coats: 5 };
    const changes = takenOver({ recipes: [own] }, [other, { ...own, id: 'own-7' }, { ...other, coats: 6 }]);
    expect(changes.map(({ path, value }) => [path[1], (value as Recipe).coats])).toEqual([
      ['own-2', 5],
      ['own-3', 6],
    ]);
  });

  test('every wish has a recipe, each with its usual coats', () => {
    for (const recipe of READY) {
      expect(recipeOf(job, recipe.id)).toBe(recipe);
      if (recipe.coat !== 'none') expect(recipe.coats).toBe(COATS[recipe.coat].coats);
    }
    expect(recipeOf(job, recipeFor('dark', 'wipeable', true))?.colours.length).toBe(1);
    expect(recipeOf(job, 'gone')).toBeNull();
  });
});
