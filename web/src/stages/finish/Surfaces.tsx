import { Button } from '@mui/material';
import { useMemo, useState } from 'react';
import {
  expectedColour,
  extentOf,
  held,
  keyOf,
  patchesOf,
  type OpenFace,
  type Plan,
  READY,
  recipeOf,
  ROLES,
  set,
  splitOff,
  type Part,
  type Recipe,
  type SurfaceKey,
  type SurfaceName,
  SURFACES,
  surfaceOfKey,
  treatedKeys,
  type Vec,
} from '@sill/core';
import { useChange, useJob, usePiece } from '../../state/hooks';
import { NumberField } from '../../ui/NumberField';
import { Pick } from '../../ui/Pick';
import { NoteFor } from '../shared/NoteFor';
import { SurfacePicture } from '../../drawing/SurfacePicture';
import { USUAL_VIEW } from '../../drawing/iso';
import { ROLE_NAMES, SURFACE_NAMES, surfaceLabel } from './words';

type Facts = Plan['pieces'][number];
type Props = {
  readonly facts: Facts;
  readonly picked: SurfaceKey | null;
  readonly onPick: (surface: SurfaceKey) => void;
};

const FROM_BELOW = { turn: USUAL_VIEW.turn, down: -22 } as const;
const [BARE, AS_REST] = ['bare', 'rest'] as const;

const facing = (part: Part, normal: Vec): string => `${part.id} ${normal.map((one) => one.toFixed(1)).join()}`;

/** Patches of a piece that are seen, by surface; and which surface each face of a part is of: that of its largest. */
function useSurfaces({ model, piece: { finish } }: Facts) {
  return useMemo(() => {
    const open = patchesOf(model).patches.filter(({ closed }) => !closed);
    const largest = new Map<string, OpenFace>();
    const bySurface = new Map<SurfaceName, OpenFace[]>();
    for (const patch of [...open].sort((a, b) => a.area - b.area)) {
      largest.set(facing(patch.part, patch.normal), patch);
      bySurface.set(patch.surface, [...(bySurface.get(patch.surface) ?? []), patch]);
    }
    return {
      bySurface,
      surfaceOf: (part: Part, normal: Vec): SurfaceKey | null => {
        const patch = largest.get(facing(part, normal));
        return patch ? keyOf(finish, patch) : null;
      },
      woodOf: (key: SurfaceKey): Part['material'] =>
        held(bySurface, surfaceOfKey(key).surface).findLast((patch) => keyOf(finish, patch) === key)?.part.material ??
        'bought',
    };
  }, [model, finish]);
}

/** Square feet. */
const feet = (area: number): string => (area < 10 ? area.toFixed(1) : `${Math.round(area)}`);

/** The piece with its surfaces in the colours to expect, and which recipe each takes in how many coats. */
export function Surfaces({ facts, picked, onPick }: Props) {
  const job = useJob();
  const change = useChange();
  const { finishing } = facts;
  // As it is now: the plan comes after.
  const piece = usePiece() ?? facts.piece;
  const { surfaceOf, woodOf, bySurface } = useSurfaces(facts);
  const [opened, setOpened] = useState<readonly SurfaceName[]>([]);
  const parts = useMemo(() => facts.parts.filter(({ loose }) => !loose), [facts.parts]);
  const used = Object.values(piece.finish.on).map(({ recipe }) => recipe);
  const offered = [...job.recipes, ...READY.filter(({ id }) => used.includes(id) || id === 'natural.bare.rest')];
  const colours = Object.fromEntries(
    finishing.surfaces.flatMap(({ name }) => {
      const on = piece.finish.on[name];
      const recipe = on ? recipeOf(job, on.recipe) : null;
      return on && recipe
        ? [[name, expectedColour(woodOf(name), { recipe, coats: on.coats ?? recipe.coats })] as const]
        : [];
    }),
  ) as Partial<Record<SurfaceKey, string>>;
  const picture = { parts, surfaceOf, colours, picked, onPick };
  const rows = SURFACES.filter((surface) => bySurface.has(surface)).flatMap((surface) => {
    const patches = held(bySurface, surface);
    const roles = ROLES.filter((role) => patches.some(({ part }) => part.role === role));
    const split = roles.filter((role) => piece.finish.on[splitOff(surface, role)]);
    const isOpen = split.length > 0 || opened.includes(surface);
    return [
      { key: surface as SurfaceKey, patches, roles, isOpen },
      ...(isOpen
        ? roles.map((role) => ({
            key: splitOff(surface, role),
            patches: patches.filter(({ part }) => part.role === role),
            roles: [],
            isOpen,
          }))
        : []),
    ];
  });
  const together = (surface: SurfaceName) => {
    setOpened(opened.filter((one) => one !== surface));
    change(
      treatedKeys(piece.finish)
        .filter((key) => key.startsWith(`${surface}/`))
        .map((key) => set(piece.id, ['finish', 'on', key], undefined)),
    );
  };
  return (
    <section className="sheet finish-surfaces" aria-label="Surfaces">
      <div className="finish-pictures">
        <SurfacePicture {...picture} view={USUAL_VIEW} label="The piece from above, in its colours" />
        <SurfacePicture {...picture} view={FROM_BELOW} label="The piece from below, in its colours" />
        <p className="soft">Colours are an estimate: the sample decides.</p>
      </div>
      <table className="finish-table" aria-label="What each surface takes">
        <thead>
          <tr>
            <th>Surface</th>
            <th className="number">sq ft</th>
            <th>Takes</th>
            <th>Coats</th>
          </tr>
        </thead>
        <tbody>
          {rows.map(({ key, patches, roles, isOpen }) => {
            const { surface, role } = surfaceOfKey(key);
            return (
              <tr key={key} data-picked={key === picked} data-split={role !== null} onFocus={() => onPick(key)}>
                <th scope="row">
                  <Swatch colour={colours[key] ?? colours[surface] ?? null} />
                  {role === null ? SURFACE_NAMES[surface] : ROLE_NAMES[role]}{' '}
                  {key === 'underside' && <NoteFor kind="uneven" />}
                  {key === 'top' && <NoteFor kind="bare" />}
                  {roles.length > 1 && (
                    <Button
                      size="small"
                      variant="text"
                      aria-label={`${isOpen ? 'Join' : 'Split'} ${SURFACE_NAMES[surface]}`}
                      onClick={() => (isOpen ? together(surface) : setOpened([...opened, surface]))}
                    >
                      {isOpen ? 'Join' : 'Split'}
                    </Button>
                  )}
                </th>
                <td className="number">{feet(extentOf(patches).area)}</td>
                <Takes piece={piece} at={key} recipes={offered} />
              </tr>
            );
          })}
        </tbody>
      </table>
    </section>
  );
}

/** The recipe of a surface and how many coats: two cells. What is split off and says none takes that of the rest. */
function Takes({
  piece,
  at,
  recipes,
}: {
  readonly piece: Facts['piece'];
  readonly at: SurfaceKey;
  readonly recipes: readonly Recipe[];
}) {
  const job = useJob();
  const change = useChange();
  const on = piece.finish.on[at];
  const recipe = on ? recipeOf(job, on.recipe) : null;
  const isOfParts = surfaceOfKey(at).role !== null;
  const none = isOfParts ? ([AS_REST, 'as the rest'] as const) : ([BARE, 'as it is, not sanded'] as const);
  return (
    <>
      <td>
        <Pick
          quiet
          label={`${surfaceLabel(at)} takes`}
          value={recipe ? recipe.id : none[0]}
          options={[none, ...recipes.map(({ id, name }) => [id, name] as const)]}
          onChange={(id) =>
            change([set(piece.id, ['finish', 'on', at], id === none[0] ? undefined : { recipe: id, coats: null })])
          }
        />
      </td>
      <td className="finish-coats">
        {on && recipe && recipe.coat !== 'none' && (
          <NumberField
            label=""
            name={`Coats on ${surfaceLabel(at)}`}
            least={0}
            most={12}
            value={on.coats ?? recipe.coats}
            onChange={(coats) => change([set(piece.id, ['finish', 'on', at], { ...on, coats })])}
          />
        )}
      </td>
    </>
  );
}

/** A little of the colour to expect. */
function Swatch({ colour }: { readonly colour: string | null }) {
  return (
    <span
      className="swatch"
      aria-hidden
      ref={(element) => element?.style.setProperty('background', colour ?? 'transparent')}
    />
  );
}
