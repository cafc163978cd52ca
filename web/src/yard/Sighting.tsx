import { LIMITS, type Length } from '@sill/core';
import { Dim } from '../words/Dim';
import './Sighting.css';

/** Each way a board strays, drawn as it is seen: from the edge, the face, the end. */
const WAYS = [
  ['crook', 'M3,30 Q40,8 77,30 L77,42 Q40,20 3,42 Z'],
  ['bow', 'M3,36 Q40,22 77,36 L77,40 Q40,26 3,40 Z'],
  ['twist', 'M3,16 L77,26 L77,42 L3,36 Z'],
  ['cup', 'M14,14 Q40,40 66,14 L66,28 Q40,54 14,28 Z'],
] as const;

type Props = {
  /** As measured on the board in hand; null where nothing is. */
  readonly found: Readonly<Record<(typeof WAYS)[number][0], Length>> | null;
};

/** The four things to look for along a board, with how far the board in hand strays. */
export function Sighting({ found }: Props) {
  return (
    <ul className="sighting" aria-label="How to sight a board">
      {WAYS.map(([name, path]) => (
        <li key={name}>
          <svg viewBox="0 0 80 50" aria-hidden>
            <path d={path} />
          </svg>
          <b>{name}</b>
          <span className="soft">
            {found ? (
              <Dim of={found[name]} mark />
            ) : (
              <>
                under <Dim of={LIMITS[name]} mark />
              </>
            )}
          </span>
        </li>
      ))}
    </ul>
  );
}
