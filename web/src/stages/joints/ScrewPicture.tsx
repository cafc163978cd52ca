import { inches, type Fastening, type Length } from '@sill/core';
import { DimSpan } from '../../words/Dim';
import './ScrewPicture.css';

const WIDTH = 184;
const HEIGHT = 120;
const MIDDLE = 58;

/**
 * One fastener cut along its own line, to scale: what it goes through, what it bites in, and what is left before the
 * far face.
 */
export function ScrewPicture({ fastening }: { readonly fastening: Fastening }) {
  const { shanks, drilled, into, by } = fastening;
  const shank = shanks[0];
  if (!shank) return null;
  const [first, second] = shank.through === drilled.id ? [drilled, into] : [into, drilled];
  const slope = by === 'pocket screws' ? (15 * Math.PI) / 180 : 0;
  const along = Math.cos(slope);
  const before = (shank.length - shank.bite) * along;
  const beyond = (shank.bite + Math.max(0, Math.min(shank.left, inches(1.5)))) * along;
  const shownBefore = Math.max(before + shank.behind * along, inches(0.5));
  const scale = Math.min((WIDTH - 36) / (shownBefore + beyond), 62 / Math.max(fastening.jig, inches(0.75)));
  const meet = 18 + shownBefore * scale;
  const thick = Math.min(62, Math.max(24, (by === 'pocket screws' ? fastening.jig : inches(1)) * scale));
  const rise = Math.tan(slope);
  const y = (x: number) => MIDDLE + (x - meet) * rise * (by === 'pocket screws' ? 1 : 0);
  const head = meet - before * scale;
  const tip = meet + shank.bite * along * scale;
  const far = meet + beyond * scale;
  const whole = shank.left <= inches(1.5);
  return (
    <svg
      className="screw-picture"
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      role="img"
      aria-label={`A fastener through ${first.tag} into ${second.tag}`}
    >
      <rect className="wood" x={18} y={MIDDLE - thick / 2} width={meet - 18} height={thick} />
      <path className="wood" d={`M${meet} 14 H${far} ${whole ? `V102` : `l-5 22 l8 22 l-8 22 l5 22`} H${meet} Z`} />
      {by === 'pocket screws' && (
        <path
          className="bore"
          d={`M${head - shank.behind * along * scale} ${y(head - shank.behind * along * scale)} L${head} ${y(head)}`}
        />
      )}
      <line className="shank" x1={head} y1={y(head)} x2={tip} y2={y(tip)} />
      <line className="head" x1={head} y1={y(head) - 6} x2={head} y2={y(head) + 6} />
      <text x={24} y={12}>
        {first.tag}
      </text>
      <text x={Math.min(meet + 4, WIDTH - 24)} y={12}>
        {second.tag}
      </text>
      <text x={meet} y={HEIGHT - 2} textAnchor="middle">
        bites <DimSpan of={toTape(shank.bite)} />
        {by !== 'bolts' && shank.left < inches(4) && (
          <>
            , leaves <DimSpan of={toTape(shank.left)} />
          </>
        )}
      </text>
    </svg>
  );
}

/** To the nearest 1/16 in below: what is left is never told as more than it is. */
const toTape = (length: number): Length => Math.max(0, Math.floor(length / inches(1 / 16)) * inches(1 / 16));
