import { MenuItem, TextField } from '@mui/material';
import { useMemo } from 'react';
import {
  expectedColour,
  patchesOf,
  type Plan,
  READY,
  recipeOf,
  set,
  type Part,
  type SurfaceName,
  SURFACES,
  type Vec,
} from '@sill/core';
import { useChange, useJob } from '../../state/hooks';
import { NumberField } from '../../ui/NumberField';
import { NoteFor } from '../shared/NoteFor';
import { SurfacePicture } from '../../drawing/SurfacePicture';
import { USUAL_VIEW } from '../../drawing/iso';
import { SURFACE_NAMES } from './words';

type Facts = Plan['pieces'][number];
type Props = {
  readonly facts: Facts;
  readonly picked: SurfaceName | null;
  readonly onPick: (surface: SurfaceName) => void;
};

const FROM_BELOW = { turn: USUAL_VIEW.turn, down: -22 } as const;
const BARE = 'bare';

const keyOf = (part: Part, normal: Vec): string => `${part.id} ${normal.map((one) => one.toFixed(1)).join()}`;

/** Which surface each face of a part is of: the one that most of it belongs to. */
function useSurfaceOf({ model }: Facts) {
  return useMemo(() => {
    const found = new Map<string, { readonly surface: SurfaceName; readonly area: number }>();
    const material = new Map<SurfaceName, { readonly part: Part; readonly area: number }>();
    for (const { part, normal, surface, area, closed } of patchesOf(model).patches) {
      if (closed) continue;
      const key = keyOf(part, normal);
      if ((found.get(key)?.area ?? 0) < area) found.set(key, { surface, area });
      if ((material.get(surface)?.area ?? 0) < area) material.set(surface, { part, area });
    }
    return {
      surfaceOf: (part: Part, normal: Vec) => found.get(keyOf(part, normal))?.surface ?? null,
      woodOf: (surface: SurfaceName) => material.get(surface)?.part.material ?? 'bought',
    };
  }, [model]);
}

/** The piece with its surfaces in the colours to expect, and which recipe each takes in how many coats. */
export function Surfaces({ facts, picked, onPick }: Props) {
  const job = useJob();
  const change = useChange();
  const { piece, finishing } = facts;
  const { surfaceOf, woodOf } = useSurfaceOf(facts);
  const parts = useMemo(() => facts.parts.filter(({ loose }) => !loose), [facts.parts]);
  const used = SURFACES.flatMap((surface) => piece.finish.on[surface]?.recipe ?? []);
  const offered = [...job.recipes, ...READY.filter(({ id }) => used.includes(id) || id === 'natural.bare.rest')];
  const colours = Object.fromEntries(
    finishing.surfaces.flatMap(({ name }) => {
      const on = piece.finish.on[name];
      const recipe = on ? recipeOf(job, on.recipe) : null;
      return on && recipe
        ? [[name, expectedColour(woodOf(name), { recipe, coats: on.coats ?? recipe.coats })] as const]
        : [];
    }),
  ) as Partial<Record<SurfaceName, string>>;
  const picture = { parts, surfaceOf, colours, picked, onPick };
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
          {finishing.surfaces.map(({ name, extent }) => {
            const on = piece.finish.on[name];
            const recipe = on ? recipeOf(job, on.recipe) : null;
            return (
              <tr key={name} data-picked={name === picked} onFocus={() => onPick(name)}>
                <th scope="row">
                  <Swatch colour={colours[name] ?? null} />
                  {SURFACE_NAMES[name]} {name === 'underside' && <NoteFor kind="uneven" />}
                  {name === 'top' && <NoteFor kind="bare" />}
                </th>
                <td className="number">{extent.area < 10 ? extent.area.toFixed(1) : Math.round(extent.area)}</td>
                <td>
                  <TextField
                    select
                    size="small"
                    value={recipe ? recipe.id : BARE}
                    onChange={({ target }) =>
                      change([
                        set(
                          piece.id,
                          ['finish', 'on', name],
                          target.value === BARE ? undefined : { recipe: target.value, coats: null },
                        ),
                      ])
                    }
                    slotProps={{ htmlInput: { 'aria-label': `${SURFACE_NAMES[name]} takes` } }}
                    fullWidth
                  >
                    <MenuItem value={BARE}>as it is, not sanded</MenuItem>
                    {offered.map(({ id, name: words }) => (
                      <MenuItem key={id} value={id}>
                        {words}
                      </MenuItem>
                    ))}
                  </TextField>
                </td>
                <td className="finish-coats">
                  {on && recipe && recipe.coat !== 'none' && (
                    <NumberField
                      label=""
                      name={`Coats on ${SURFACE_NAMES[name]}`}
                      least={0}
                      most={12}
                      value={on.coats ?? recipe.coats}
                      onChange={(coats) => change([set(piece.id, ['finish', 'on', name], { ...on, coats })])}
                    />
                  )}
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
    </section>
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
