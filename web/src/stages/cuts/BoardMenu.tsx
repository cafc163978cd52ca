import { mdiDotsHorizontal } from '@mdi/js';
import { Divider, IconButton, ListSubheader, Menu, MenuItem } from '@mui/material';
import { useState } from 'react';
import { isSheet, type Board, type Lock, type Plan } from '@sill/core';
import { Icon } from '../../ui/Icon';
import { useLabel } from '../../words/labels';
import { useLocks } from './useLocks';
import './BoardMenu.css';

const STATES: readonly (readonly [Lock['state'], string])[] = [
  ['kept', 'Keep it as it is'],
  ['bought', 'It is bought, for these pieces'],
  ['cut', 'It is cut'],
  ['spoiled', 'It is spoiled: cut its pieces from another'],
];

/** What a person settles about a board; pieces of other boards of its material can be brought to it. */
export function BoardMenu({ board, plan }: { readonly board: Board; readonly plan: Plan }) {
  const label = useLabel();
  const { settle, free, bring } = useLocks();
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  const choose = (work: () => void) => () => {
    setAnchor(null);
    work();
  };
  const elsewhere =
    isSheet(board.material) || anchor === null
      ? []
      : plan.buying.boards
          .filter((other) => other.material === board.material && other !== board && other.lock?.state !== 'cut')
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
        {STATES.map(([state, words]) => (
          <MenuItem key={state} selected={board.lock?.state === state} onClick={choose(() => settle(board, state))}>
            {words}
          </MenuItem>
        ))}
        {board.lock && <MenuItem onClick={choose(() => free(board))}>Let it change again</MenuItem>}
        {elsewhere.length > 0 && <Divider />}
        {elsewhere.length > 0 && <ListSubheader>Bring a piece here</ListSubheader>}
        {elsewhere.slice(0, 40).map(({ piece, other }, at) => (
          <MenuItem key={at} onClick={choose(() => bring(piece, other, board))}>
            {label(piece.blank.part.id)} from board {other.number}
          </MenuItem>
        ))}
      </Menu>
    </>
  );
}
