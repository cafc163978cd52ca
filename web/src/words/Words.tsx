import type { Phrase } from '@sill/core';
import { Dim, Text } from './Dim';
import { PartTag } from './PartTag';

/** Sets a phrase of the core: lengths in the reader's units, tags that mark their part, strong numbers. */
export function Words({ of, piece = null }: { readonly of: Phrase; readonly piece?: string | null }) {
  return (
    <>
      {of.map((bit, at) => {
        if (typeof bit === 'string') return <Text key={at} of={bit} />;
        if ('dim' in bit) return <Dim key={at} of={bit.dim} />;
        if ('about' in bit) return <Dim key={at} of={bit.about} about />;
        if ('tag' in bit) return <PartTag key={at} id={piece === null ? null : `${piece}.${bit.tag}`} tag={bit.tag} />;
        return (
          <strong key={at}>
            <Text of={bit.strong} />
          </strong>
        );
      })}
    </>
  );
}
