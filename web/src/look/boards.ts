import { css } from '@mui/material';
import { DISPLAY, ROLE_TONE } from './theme';

/** Boards and sheets as they are cut. */
export const boardStyles = css`
  .boards {
    display: flex;
    flex-direction: column;
    gap: 4px;
  }
  .unseen {
    display: block;
    width: 1px;
  }
  .board-row {
    display: grid;
    grid-template-columns: 140px minmax(0, 1fr);
    align-items: end;
  }
  .board-name {
    display: flex;
    gap: 8px;
    align-items: center;
    padding-bottom: 8px;
    & strong {
      font: 600 17px ${DISPLAY};
      min-width: 18px;
    }
    & span {
      flex: 1;
    }
    & b {
      display: block;
      font: 600 15px ${DISPLAY};
      white-space: nowrap;
    }
    & small {
      white-space: nowrap;
      color: var(--soft);
      font-size: 14px;
      line-height: 1;
    }
  }
  .sheet-row .board-name b {
    white-space: normal;
  }
  .sheet-sizes {
    grid-column: 2;
    display: flex;
    flex-wrap: wrap;
    gap: 2px 18px;
    margin: 0 0 8px;
    & b {
      font: 600 15px ${DISPLAY};
    }
  }
  .board-menu {
    margin: 0 -6px;
    padding: 2px;
  }
  .drop-place {
    min-width: 0;
    border-radius: 3px;
    &[data-over='true'] {
      outline: 2px solid var(--chalk);
      outline-offset: -2px;
    }
  }
  .dragged-piece {
    display: inline-block;
    padding: 4px 10px;
    border: 1px solid var(--wood-edge);
    border-radius: 3px;
    background: var(--sapwood);
    color: var(--wood-ink);
    font: 600 15px ${DISPLAY};
    cursor: grabbing;
  }
  .end-section {
    flex: none;
    width: 22px;
    height: 40px;
    & rect {
      fill: var(--sapwood);
      stroke: var(--wood-edge);
    }
    & path {
      fill: none;
      stroke: var(--wood-edge);
      opacity: 0.7;
    }
  }
  .drawing {
    min-width: 0;
  }
  .boards[data-zoomed='true'] .drawing {
    overflow-x: auto;
    scrollbar-width: thin;
  }
  .boards[data-zoomed='true'] .board {
    width: auto;
    max-width: none;
  }
  .tape-line {
    grid-column: 2;
    margin: -4px 0 8px;
    font-size: 14px;
    color: var(--soft);
    & > span {
      display: block;
    }
    & .tape-mark {
      white-space: nowrap;
      margin-left: 10px;
      color: var(--ink);
      font-size: 15px;
      & small {
        display: inline-block;
        min-width: 17px;
        text-align: center;
        border: 1px solid var(--keel);
        border-radius: 9px;
        color: var(--keel);
        font: 600 12px ${DISPLAY};
      }
    }
  }
  .board {
    display: block;
    width: 100%;
    height: auto;
    & .outline {
      fill: var(--sheet);
      stroke: var(--wood-edge);
      stroke-dasharray: 4 3;
    }
    & .waste {
      fill: var(--grain);
      stroke: none;
    }
    & .wood {
      fill: var(--sapwood);
      stroke: var(--wood-edge);
    }
    & .grain {
      fill: none;
      stroke: var(--grain);
    }
    & .rip {
      stroke: var(--wood-ink);
      stroke-dasharray: 5 3;
      opacity: 0.7;
    }
    ${Object.entries(ROLE_TONE)
      .map(([role, tone]) => `& .role-${role} { fill: ${tone}; }`)
      .join('\n')}
    & .piece text {
      fill: var(--wood-ink);
    }
    & .piece-tag {
      font-family: ${DISPLAY};
      font-weight: 600;
    }
    & .piece-length {
      text-anchor: end;
    }
    & .store-cut {
      stroke: var(--chalk);
      stroke-width: 4;
      stroke-dasharray: 6 4;
    }
    & .keep {
      text-anchor: middle;
      fill: var(--soft);
      font-size: 14px;
    }
    & .cut :is(line, path) {
      fill: none;
      stroke: var(--keel);
      stroke-width: 1.5;
    }
    & .cut circle {
      fill: var(--sheet);
      stroke: var(--keel);
    }
    & .cut text {
      fill: var(--keel);
      text-anchor: middle;
      font: 600 12px ${DISPLAY};
    }
    & .dimmed {
      opacity: 0.32;
    }
    & .marked .wood {
      fill: var(--fresh);
      stroke: var(--chalk);
      stroke-width: 2;
    }
  }
  @media (max-width: 599px) {
    .board-row {
      grid-template-columns: minmax(0, 1fr);
    }
    .sheet-sizes,
    .tape-line {
      grid-column: 1;
    }
    .board-name {
      padding: 6px 0 0;
      & span {
        flex: none;
      }
      & small {
        display: none;
      }
    }
  }
`;
