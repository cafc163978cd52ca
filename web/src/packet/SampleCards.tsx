import { type Plan, wholeInches } from '@sill/core';
import { Dim } from '../words/Dim';
import { TickBox } from './TickBox';
import './SampleCards.css';

type Treatment = Plan['pieces'][number]['finishing']['treatments'][number];

/** A card to stick on the back of one sample. */
export type SampleCard = {
  readonly piece: string;
  readonly recipe: Treatment['recipe'];
  readonly layers: readonly Treatment['sittings'][number][number][];
  readonly board: number | null;
  readonly length: number | null;
};

/** One card for each recipe that colours or coats, of each piece. */
export const sampleCards = ({ pieces, offcuts }: Plan): readonly SampleCard[] =>
  pieces.flatMap(({ piece, finishing }) => {
    const use = offcuts.find(({ jobs }) => jobs.some(({ kind, piece: of }) => kind === 'sample' && of === piece.id));
    const seen = new Set<string>();
    return [...finishing.treatments, ...finishing.tries].flatMap(({ recipe, sittings }): readonly SampleCard[] => {
      if (sittings.length === 0 || seen.has(recipe.id)) return [];
      seen.add(recipe.id);
      return [
        {
          piece: piece.name,
          recipe,
          layers: sittings.flat(),
          board: use?.board ?? null,
          length: use ? use.offcut.length : null,
        },
      ];
    });
  });

/** Millimetres that a card takes on paper. */
export const cardHeight = ({ layers }: SampleCard): number => 46 + 8 * layers.length;

/** Cards to cut out and stick on the backs of samples: what is on them, when it went on, and whether it won. */
export function SampleCards({ cards }: { readonly cards: readonly SampleCard[] }) {
  return cards.map(({ piece, recipe, layers, board, length }) => (
    <article key={`${piece} ${recipe.id}`} className="sample-card">
      <h2>
        {recipe.name} <small>{piece}</small>
      </h2>
      <p>
        {board !== null && length !== null ? (
          <>
            Offcut of board {board}, <Dim of={wholeInches(length)} mark />
          </>
        ) : (
          'Any scrap of the same wood'
        )}
        , sanded to {recipe.sandTo === 0 ? 'nothing' : recipe.sandTo}
        {recipe.wetted && ', wetted before the last grit'}
      </p>
      <table>
        <thead>
          <tr>
            <th>Put on</th>
            <th>Maker, can</th>
            <th>On at</th>
            <th>Wiped</th>
            <th>Dry</th>
          </tr>
        </thead>
        <tbody>
          {layers.map((layer, at) => (
            <tr key={at}>
              <th scope="row">
                {layer.product}
                {layer.mix.length > 0 &&
                  `, ${layer.mix.map(({ tone, parts }) => (layer.mix.length > 1 ? `${parts} ${tone}` : tone)).join(' + ')}`}
                {layer.of > 1 && ` ${layer.nth} of ${layer.of}`}
                {layer.wipe !== null && `, wipe after ${layer.wipe} min`}
              </th>
              <td />
              <td />
              <td>{layer.wipe === null && '–'}</td>
              <td />
            </tr>
          ))}
        </tbody>
      </table>
      <p>
        <TickBox /> too light <TickBox /> too dark <TickBox /> blotchy <TickBox /> this one, because
        ____________________
      </p>
    </article>
  ));
}
