import { useEffect, useRef, useState } from 'react';
import {
  recipeFor,
  set,
  type Shade,
  SHADES,
  type Piece,
  surfaceOfKey,
  type SurfaceName,
  TOP_SURFACES,
  treatedKeys,
  type Wear,
  WEARS,
} from '@sill/core';
import { useChange } from '../../state/hooks';
import { Choice } from '../../ui/Choice';
import { Segmented } from '../../ui/Segmented';

type For = 'all' | 'top' | 'rest';
const FOR = [
  ['all', 'All of it'],
  ['top', 'The top'],
  ['rest', 'The rest'],
] as const;

const shades = Object.entries(SHADES) as [Shade, string][];
const wears = Object.entries(WEARS) as [Wear, string][];

/** What a recipe that is ready stands for; null for one of a person's own. */
function wishOf(id: string | undefined): { readonly shade: Shade; readonly wear: Wear } | null {
  const [shade, wear] = (id ?? '').split('.');
  const known = shades.some(([name]) => name === shade) && wears.some(([name]) => name === wear);
  return known ? { shade: shade as Shade, wear: wear as Wear } : null;
}

/** How it should look and what it must bear, said in a word each: recipes for all surfaces follow. */
export function Wish({ piece, surfaces }: { readonly piece: Piece; readonly surfaces: readonly SurfaceName[] }) {
  const change = useChange();
  const hasTop = surfaces.includes('top');
  const hasRest = surfaces.some((surface) => !TOP_SURFACES.includes(surface));
  const [asked, setWhat] = useState<For>('all');
  const what = hasTop && hasRest ? asked : 'all';
  const isFor = (surface: SurfaceName) => what === 'all' || (what === 'top') === TOP_SURFACES.includes(surface);
  const leading = surfaces.find((surface) => isFor(surface) && surface !== 'inside' && surface !== 'back');
  const id = leading && piece.finish.on[leading]?.recipe;
  const now = wishOf(id);
  // What was clicked last counts, also before the page has caught up with it.
  const last = useRef(now);
  useEffect(() => {
    last.current = wishOf(id);
  }, [id, what, piece.id]);
  const wish = (shade: Shade, wear: Wear) => {
    last.current = { shade, wear };
    // What was split off its surface takes what all of that takes.
    const split = treatedKeys(piece.finish).filter((key) => {
      const { surface, role } = surfaceOfKey(key);
      return role !== null && isFor(surface);
    });
    change([
      ...split.map((key) => set(piece.id, ['finish', 'on', key], undefined)),
      ...surfaces.filter(isFor).map((surface) => {
        // What lies inside smells of oil for months: it is only sanded, but where rain comes in.
        const isBare = surface === 'inside' && wear !== 'outdoors';
        const recipe = isBare
          ? recipeFor('natural', 'bare', true)
          : recipeFor(shade, wear, !TOP_SURFACES.includes(surface));
        return set(piece.id, ['finish', 'on', surface], { recipe, coats: null });
      }),
    ]);
  };
  const wearNow = (): Wear => (last.current && last.current.wear !== 'bare' ? last.current.wear : 'wipeable');
  return (
    <section className="sheet finish-wish" aria-label="What should it be">
      <div className="finish-wish-head">
        <h2>What should it be?</h2>
        {hasTop && hasRest && <Segmented label="Of what" value={what} options={FOR} onChange={setWhat} />}
      </div>
      <Choice<Shade | ''>
        label="It looks"
        value={now?.shade ?? ''}
        options={shades.map(([value, label]) => ({ value, label }))}
        onChange={(shade) => shade !== '' && wish(shade, wearNow())}
      />
      <Choice<Wear | ''>
        label="It bears"
        value={now?.wear ?? ''}
        options={wears.map(([value, label]) => ({ value, label }))}
        onChange={(wear) => wear !== '' && wish(last.current?.shade ?? 'natural', wear)}
      />
    </section>
  );
}
