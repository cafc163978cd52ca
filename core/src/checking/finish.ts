import { leftInCans } from '../buying';
import { COATS, keepsFor, recipeChanges, recipeOf, UNDER, waitOver, type Treatment } from '../finishing';
import { inches } from '../length';
import { note, set, surfaceOfKey, TOP_SURFACES, type Finding, type Job, type Piece, type SurfaceKey } from '../job';
import type { Part } from '../piece';
import { hardwareName, isBoard, isSheet, speciesOf, SPECIES } from '../stock';
import { dim, listOf, say, strong, tag, type Phrase } from '../words';
import type { Facts, PieceFacts } from './facts';

const named = (name: string): Phrase => say`“${name}”`;
const isColoured = ({ recipe }: Treatment): boolean => recipe.colours.length > 0;
const stains = ({ recipe }: Treatment): boolean => recipe.colours.some(({ product }) => product !== 'wash');

/** Parts of wood that a treatment is put on: of the top for its surfaces, all others for the rest. */
const partsUnder = ({ surfaces }: Treatment, parts: readonly Part[]): readonly Part[] =>
  parts.filter(({ role, material, loose }) => {
    if (loose || material === 'bought') return false;
    const isTop = role === 'top' || role === 'edging';
    return surfaces.some((key) => {
      const { surface, role: own } = surfaceOfKey(key);
      return TOP_SURFACES.includes(surface) === isTop && (own === null || own === role);
    });
  });

/** Recipes that are not there, or do nothing. */
function recipeNotes(piece: Piece, job: Job): readonly Finding[] {
  const on = Object.entries(piece.finish.on) as [SurfaceKey, { readonly recipe: string }][];
  const lost = on.flatMap(([key, { recipe }]) => (recipeOf(job, recipe) === null ? [key] : []));
  const used = on.map(([, { recipe }]) => recipe);
  const empty = [...new Set(used)].flatMap((id) => {
    const recipe = recipeOf(job, id);
    const isEmpty =
      recipe?.sandTo === 0 && recipe.colours.length === 0 && (recipe.coat === 'none' || recipe.coats === 0);
    return recipe && isEmpty ? [recipe] : [];
  });
  return [
    ...(lost.length === 0
      ? []
      : [
          note(piece.id, 'no-recipe', 'stop', 'finish', {
            title: say`A recipe is gone`,
            because: say`${lost.length === 1 ? 'A surface takes' : `${lost.length} surfaces take`} a recipe that is in this job no more: they stay bare.`,
            remedies: [
              {
                label: say`Only sand them`,
                changes: lost.map((surface) =>
                  set(piece.id, ['finish', 'on', surface], { recipe: 'natural.bare.rest', coats: null }),
                ),
              },
            ],
          }),
        ]),
    ...empty.map((recipe) =>
      note(piece.id, 'empty-recipe', 'care', 'finish', {
        which: recipe.id,
        title: say`${named(recipe.name)} does nothing`,
        because: say`It neither sands, colours nor coats. Leave the surface bare, or say what it is for.`,
        remedies: [
          {
            label: say`Sand to 150, three coats of oil polyurethane`,
            changes: recipeChanges(job, piece, recipe, { sandTo: 150, coat: 'oil polyurethane', coats: 3 }),
          },
        ],
      }),
    ),
  ];
}

const BLOTCHY: readonly string[] = [
  'spf',
  'pine',
  'white pine',
  'southern pine',
  'fir',
  'radiata',
  'redwood',
  'poplar',
];
const TAKES_NONE = /^(mdf|hardboard)/;
/** Finer than this little colour is taken. */
const FINE = 220;

/** What the wood does with a stain. */
function stainNotes({ piece, parts, finishing }: PieceFacts, job: Job): readonly Finding[] {
  return finishing.treatments.filter(stains).flatMap((treatment): readonly Finding[] => {
    const { recipe } = treatment;
    const under = partsUnder(treatment, parts);
    const dead = under.filter(({ material }) => TAKES_NONE.test(material));
    const blotchy = under.flatMap(({ material }) =>
      isBoard(material) && !isSheet(material) && BLOTCHY.includes(speciesOf(material))
        ? [SPECIES[speciesOf(material)].name]
        : [],
    );
    const oily = recipe.colours.find(({ product }) => product === 'oil stain');
    const last = recipe.colours.at(-1);
    const coat = recipe.coat !== 'none' && treatment.coats > 0 ? recipe.coat : null;
    return [
      ...(dead.length === 0
        ? []
        : [
            note(piece.id, 'no-stain', 'stop', 'finish', {
              which: recipe.id,
              about: dead.map(({ id }) => id),
              title: say`${listOf(dead.slice(0, 3).map((part) => tag(part.tag)))} ${dead.length === 1 ? 'takes' : 'take'} no stain`,
              because: say`Fibreboard has no grain: stain lies on it in patches. Paint covers it; so does a sheet with a face of wood.`,
              remedies: [
                {
                  label: say`Paint it`,
                  changes: recipeChanges(job, piece, recipe, {
                    colours: [],
                    conditioner: false,
                    coat: 'enamel',
                    coats: 2,
                    by: 'brush',
                  }),
                },
              ],
            }),
          ]),
      ...(oily && !recipe.conditioner && blotchy.length > 0
        ? [
            note(piece.id, 'blotches', 'care', 'finish', {
              which: recipe.id,
              title: say`Stain will blotch`,
              because: say`${[...new Set(blotchy)].join(', ')} takes oil stain unevenly: soft wood drinks, hard rings do not. Conditioner fifteen minutes before evens it; the colour comes out a shade lighter. Gel stain lies on top instead.`,
              remedies: [
                { label: say`Conditioner first`, changes: recipeChanges(job, piece, recipe, { conditioner: true }) },
              ],
            }),
          ]
        : []),
      ...(recipe.sandTo > FINE
        ? [
            note(piece.id, 'fine-stain', 'care', 'finish', {
              which: recipe.id,
              title: say`Sanded to ${recipe.sandTo} it takes little colour`,
              because: say`Every finer grit closes the wood. Under stain stop at 150 or 180, and sand the sample to the same.`,
              numbers: { grit: recipe.sandTo },
              remedies: [{ label: say`Stop at 180`, changes: recipeChanges(job, piece, recipe, { sandTo: 180 }) }],
            }),
          ]
        : []),
      ...(last && coat && UNDER[last.product].base === 'oil' && COATS[coat].base === 'water'
        ? [
            note(piece.id, 'oil-under', 'care', 'finish', {
              which: recipe.id,
              title: say`Oil stain under a coat of water: ${strong(waitOver(last.product, coat))} hours`,
              because: say`Until the oil is dry through, the coat beads up or peels. The steps wait for it. A stain of water is dry in three hours.`,
              numbers: { hours: waitOver(last.product, coat) },
              remedies: [
                {
                  label: say`A stain of water instead`,
                  changes: recipeChanges(job, piece, recipe, {
                    colours: recipe.colours.map((colour) => ({ ...colour, product: 'water stain' as const, leave: 3 })),
                    conditioner: false,
                    wetted: true,
                  }),
                },
              ],
            }),
          ]
        : []),
    ];
  });
}

const treatmentOf = (treatments: readonly Treatment[], surface: SurfaceKey): Treatment | undefined =>
  treatments.find(({ surfaces }) => surfaces.includes(surface));

const coatsOn = (treatment: Treatment | undefined): number =>
  treatment && treatment.recipe.coat !== 'none' ? treatment.coats : 0;

/** A top whose faces are coated unlike, colours that will not match, coats that the weather takes off, bare tops. */
function coatNotes({ piece, parts, finishing }: PieceFacts, job: Job): readonly Finding[] {
  const { treatments, surfaces } = finishing;
  const has = (surface: SurfaceKey) => surfaces.some(({ name }) => name === surface);
  const [top, under] = [treatmentOf(treatments, 'top'), treatmentOf(treatments, 'underside')];
  const isSolid = parts.some(
    ({ role, material }) => role === 'top' && material !== 'bought' && isBoard(material) && !isSheet(material),
  );
  const [above, below] = [coatsOn(top), coatsOn(under)];
  const upper = piece.finish.on.top;
  const found: Finding[] = [];
  if (has('top') && has('underside') && isSolid && above > 0 && (below === 0 || above - below > 2) && upper)
    found.push(
      note(piece.id, 'uneven', 'care', 'finish', {
        title: say`The top is coated ${strong(above)} times above, ${strong(below)} below`,
        because: say`The face that is coated less takes up and gives off water sooner: a wide top cups. Fewer coats below are usual; none is not enough.`,
        numbers: { above, below },
        remedies: [
          { label: say`The same below`, changes: [set(piece.id, ['finish', 'on', 'underside'], { ...upper })] },
        ],
      }),
    );
  const coloured = treatments.filter(isColoured);
  const unlike = coloured.find(({ recipe }) =>
    coloured.some(
      (other) =>
        JSON.stringify(other.recipe.colours) === JSON.stringify(recipe.colours) && other.recipe.sandTo < recipe.sandTo,
    ),
  );
  const coarse = unlike && coloured.find(({ recipe }) => recipe.sandTo < unlike.recipe.sandTo);
  if (unlike && coarse)
    found.push(
      note(piece.id, 'unlike', 'care', 'finish', {
        title: say`One colour on wood sanded to ${unlike.recipe.sandTo} and to ${coarse.recipe.sandTo}`,
        because: say`What is sanded coarser takes more of it and comes out darker. The same grit on both matches them.`,
        numbers: { fine: unlike.recipe.sandTo, coarse: coarse.recipe.sandTo },
        remedies: [
          {
            label: say`Sand both to ${unlike.recipe.sandTo}`,
            changes: recipeChanges(job, piece, coarse.recipe, { sandTo: unlike.recipe.sandTo }),
          },
        ],
      }),
    );
  const tender = piece.outside
    ? treatments.filter(({ recipe, coats }) => recipe.coat !== 'none' && coats > 0 && !COATS[recipe.coat].outdoors)
    : [];
  for (const { recipe } of tender)
    found.push(
      note(piece.id, 'indoor-coat', 'care', 'finish', {
        which: recipe.id,
        title: say`${recipe.coat} does not last outside`,
        because: say`Sun makes it brittle, water gets below it and it peels within a season or two. An exterior urethane is made for it; end grain at the feet takes a coat more.`,
        remedies: [
          {
            label: say`Exterior urethane`,
            changes: recipeChanges(job, piece, recipe, { coat: 'exterior urethane', coats: 3, by: 'brush' }),
          },
        ],
      }),
    );
  const isWet = piece.outside || ['dining', 'coffee', 'standing'].includes(piece.use);
  if (has('top') && isWet && top && above === 0)
    found.push(
      note(piece.id, 'bare', 'care', 'finish', {
        title: say`Nothing covers the top`,
        because: piece.outside
          ? say`Bare wood outside turns grey and splits.`
          : say`Bare wood keeps every ring and spill. Pick below how it should look and what it must bear.`,
        remedies: [
          {
            label: piece.outside ? say`Three coats of exterior urethane` : say`Three coats of oil polyurethane`,
            changes: TOP_SURFACES.filter(has).map((surface) =>
              set(piece.id, ['finish', 'on', surface], {
                recipe: piece.outside ? 'natural.outdoors' : 'natural.wipeable',
                coats: null,
              }),
            ),
          },
        ],
      }),
    );
  return found;
}

/** A top that is to be flattened in a planer which is not there, or too narrow for it. */
function planerNotes({ piece, finishing: { glued } }: PieceFacts, { shop }: Job): readonly Finding[] {
  if (!glued || piece.finish.flatten !== 'planer') return [];
  const isWide = glued.wide > PLANER_BED;
  if (shop.tools.includes('planer') && !isWide) return [];
  return [
    note(piece.id, 'no-planer', 'stop', 'finish', {
      title: isWide ? say`The top is wider than a planer` : say`There is no planer to flatten the top in`,
      because: isWide
        ? say`It is ${dim(glued.wide)} wide; bench-top planers take about ${dim(PLANER_BED)}. What levels it where it lies does as well, and takes less off.`
        : say`The list of tools in Shop has none. A sander with 60 levels a glued top too.`,
      numbers: { wide: glued.wide },
      remedies: [
        { label: say`Flatten it with the sander`, changes: [set(piece.id, ['finish', 'flatten'], 'sander')] },
        { label: say`With a belt sander`, changes: [set(piece.id, ['finish', 'flatten'], 'belt sander')] },
      ],
    }),
  ];
}
/** The widest that a bench-top planer takes. */
const PLANER_BED = inches(12.5);

/** What is done early as nothing reaches it later. */
function closedNotes({ piece, steps }: PieceFacts): readonly Finding[] {
  const early = steps.flatMap(({ operations }) => operations).filter(({ id }) => id.includes('.closing.'));
  const area = early.reduce((sum, one) => sum + (one.kind === 'sand' ? one.area : 0), 0);
  if (early.length === 0) return [];
  return [
    note(piece.id, 'closed-in', 'good', 'finish', {
      about: [...new Set(early.flatMap(({ on }) => on))],
      title: say`Some of it is finished before it is closed in`,
      because: say`Once it stands no sander, block or finger gets ${area > 0 ? say`to about ${strong(Math.max(1, Math.round(area)))} sq ft of it` : say`there`}: the steps sand and coat that first.`,
      numbers: { squareFeet: area },
    }),
  ];
}

/** A piece that is joined where it stays would be sanded and coated there too. */
function roomNotes({ piece, steps }: PieceFacts): readonly Finding[] {
  const there = steps.filter(
    ({ stays, operations }) => stays !== null && operations.some(({ kind }) => kind === 'sand' || kind === 'coat'),
  );
  if (piece.finish.when === 'site' || there.length === 0) return [];
  return [
    note(piece.id, 'in-the-room-finish', 'care', 'finish', {
      title: say`It would be sanded and coated in the room`,
      because: say`Whole it can not be carried there, and ${strong(there.length)} ${there.length === 1 ? 'step comes' : 'steps come'} after its last joint: dust and fumes where people live. Part by part it is done in the workshop.`,
      numbers: { steps: there.length },
      remedies: [{ label: say`Finish it part by part`, changes: [set(piece.id, ['finish', 'when'], 'parts')] }],
    }),
  ];
}

/** What is left in the cans. */
export function leftoverNotes(facts: Pick<Facts, 'list'>, job: Job): readonly Finding[] {
  const rows = leftInCans(facts, job).filter(({ kind }) => kind === 'stain' || kind === 'finish');
  if (rows.length === 0) return [];
  return [
    note(null, 'leftover', 'good', 'finish', {
      title: say`${rows.length === 1 ? 'One can' : `${rows.length} cans`} will not be empty`,
      because: say`${listOf(rows.map(({ kind, size, ounces }): Phrase => say`about ${strong(ounces)} fl oz of ${hardwareName(kind, size)}, good for ${strong(keepsFor(kind, size))} months`))}: lid tight, upside down, away from frost. Put it on the rack below, with its day: the next job uses it first.`,
      numbers: { ounces: rows.reduce((sum, { ounces }) => sum + ounces, 0) },
    }),
  ];
}

/** What is wrong with how a piece is finished, and what follows from it. */
export const finishNotes = (facts: PieceFacts, job: Job): readonly Finding[] =>
  facts.parts.length === 0
    ? []
    : [
        ...recipeNotes(facts.piece, job),
        ...stainNotes(facts, job),
        ...coatNotes(facts, job),
        ...planerNotes(facts, job),
        ...closedNotes(facts),
        ...roomNotes(facts),
      ];
