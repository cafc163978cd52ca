import { mdiDotsHorizontal } from '@mdi/js';
import { Divider, IconButton, ListSubheader, Menu, MenuItem } from '@mui/material';
import { useState } from 'react';
import { boardsNow, found, isCutInto, isSheet, type Board, type Plan } from '@sill/core';
import { useHoldings } from '../../state/useLedger';
import { Icon } from '../../ui/Icon';
import { useLabel } from '../../words/labels';
import { FoundDialog } from './FoundDialog';
import { useBoards } from './useBoards';
import './BoardMenu.css';

/** What can be told or wished of a board as it stands. */
function useChoices(board: Board, find: () => void): readonly (readonly [string, () => void])[] {
  const { keep, free, buy, cut, spoil, takeBack, mistaken } = useBoards();
  const { state, kept, body } = board;
  const of = (may: boolean, words: string, work: (board: Board) => void) =>
    may ? [[words, () => work(board)] as const] : [];
  return [
    ...of(kept === null && !isCutInto(board), 'Keep it as it is', keep),
    ...of(kept !== null, 'Let it change again', free),
    ...of(state === 'to buy', 'It is bought, for these pieces', buy),
    ...of(state !== 'cut', 'It is cut', cut),
    ...of(body !== null && !isCutInto(board), 'It measures otherwise, or is bad in a place', find),
    ...of(true, 'It is spoiled: cut its pieces from another', spoil),
    ...of(state === 'bought', 'It is taken back to the yard', takeBack),
    ...of(state === 'bought', 'It is not bought after all', mistaken),
    ...of(isCutInto(board), 'It is not cut after all', mistaken),
  ];
}

/** Pieces of a board that is cut, by the body that each is. */
function usePieces({ state, body }: Board) {
  const { bodies } = useHoldings();
  if (state !== 'cut') return [];
  return [...bodies.values()].flatMap(({ id, from, piece, state: is }) =>
    from === body && piece && is === 'whole' ? [{ id, part: piece.part }] : [],
  );
}

/** What a person settles about a board; pieces of other boards of its material can be brought to it. */
export function BoardMenu({ board: { number }, plan }: { readonly board: Board; readonly plan: Plan }) {
  const label = useLabel();
  const holdings = useHoldings();
  const boards = boardsNow(plan.buying.boards, holdings);
  const board = found(boards, (one) => one.number === number);
  const { bring, spoilPiece } = useBoards();
  const [finding, setFinding] = useState(false);
  const choices = useChoices(board, () => setFinding(true));
  const body = board.body === null ? undefined : holdings.bodies.get(board.body);
  const pieces = usePieces(board);
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  const choose = (work: () => void) => () => {
    setAnchor(null);
    work();
  };
  const elsewhere =
    isSheet(board.material) || anchor === null || isCutInto(board)
      ? []
      : boards
          .filter((other) => other.material === board.material && other !== board && !isCutInto(other))
          .flatMap((other) => other.pieces.map((piece) => ({ piece, other })));
  return (
    <>
      <IconButton
        className="board-menu"
        size="small"
        aria-label={`Board ${board.number}: keep, bought, cut, spoiled`}
        aria-haspopup="menu"
        onClick={(event) => setAnchor(event.currentTarget)}
      >
        <Icon path={mdiDotsHorizontal} small />
      </IconButton>
      <Menu anchorEl={anchor} open={anchor !== null} onClose={() => setAnchor(null)}>
        {choices.map(([words, work]) => (
          <MenuItem key={words} onClick={choose(work)}>
            {words}
          </MenuItem>
        ))}
        {pieces.length + elsewhere.length > 0 && <Divider />}
        {pieces.map(({ id, part }) => (
          <MenuItem key={id} onClick={choose(() => spoilPiece(id))}>
            {label(part)} is spoiled: cut it anew
          </MenuItem>
        ))}
        {elsewhere.length > 0 && <ListSubheader>Bring a piece here</ListSubheader>}
        {elsewhere.slice(0, 40).map(({ piece, other }, at) => (
          <MenuItem key={at} onClick={choose(() => bring(piece, other, board))}>
            {label(piece.blank.part.id)} from board {other.number}
          </MenuItem>
        ))}
      </Menu>
      {finding && body && <FoundDialog body={body} onClose={() => setFinding(false)} />}
    </>
  );
}
