import { inches } from '../length';
import { DEFAULT_SHOP } from '../job';
import { buildPiece, newPiece, STARTS, topCandidates } from '../piece';
import { norm, sub } from '../solid';
import { fastenings } from './index';

test.each(STARTS.map(({ id }) => id))(
  '%s: two pockets of one joint leave wood between them, or one is left out',
  (id) => {
    const piece = newPiece('t', id);
    const { parts, joints } = buildPiece(piece, topCandidates(piece)[0]!, DEFAULT_SHOP, 'in');
    const near = fastenings(joints, parts, 'in', piece)
      .filter(({ by, troubles }) => by === 'pocket screws' && troubles.length === 0)
      .flatMap(({ joint, shanks }) =>
        shanks.flatMap((one, at) =>
          shanks
            .slice(at + 1)
            .map((other) => norm(sub(one.from, other.from)))
            .filter((apart) => apart < inches(3 / 4) - 1)
            .map((apart) => `${joint.id} ${apart / inches(1)}`),
        ),
      );
    expect(near).toEqual([]);
  },
);
