import { first, type Part, plain, type Plan, printMaterial, wordsOf, workOn } from '@sill/core';
import { PartSheet } from '../drawing/PartSheet';
import { runs } from '../words/labels';
import { Dim, Text } from '../words/Dim';
import { Words } from '../words/Words';

/** Parts that are alike, with what is done to the first of them once it is sawn. */
export type PartBlock = { readonly parts: readonly Part[]; readonly facts: Plan['pieces'][number] };

const workOf = ({ parts, facts }: PartBlock) => workOn(facts.steps, first(parts).id);

/** Height of a part on paper, mm: its drawing, or the lines of what is done to it beside that. */
export const partHeight = (block: PartBlock): number => {
  const lines = workOf(block).reduce(
    (sum, one) => sum + Math.ceil(plain(wordsOf(one), 'in').length / 52) * 5.3 + 1.7,
    0,
  );
  return Math.max(62, lines) + 14;
};

/** One part drawn from its face and its edge, with every cut-out and hole that is told of it. */
export function PartByPart({ block, label }: { readonly block: PartBlock; readonly label: (id: string) => string }) {
  const { parts, facts } = block;
  const part = first(parts);
  return (
    <article className="print-step">
      <h2>
        {runs(parts.map(({ id }) => label(id)))} {part.name}{' '}
        <small>
          <Dim of={part.length} /> × <Dim of={part.width} /> × <Dim of={part.thickness} />,{' '}
          <Text of={printMaterial(part.material)} />
        </small>
      </h2>
      <div>
        <PartSheet part={part} />
        <ol>
          {workOf(block).map((operation) => (
            <li key={operation.id}>
              <span>
                <Words of={wordsOf(operation)} piece={facts.piece.id} />
              </span>
            </li>
          ))}
        </ol>
      </div>
    </article>
  );
}
