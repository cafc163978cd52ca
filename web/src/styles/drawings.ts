import { css } from '@mui/material';
import { DISPLAY, ROLE_TONE, TEXT } from '../theme';

export const drawingStyles = css`
  svg text {
    font-family: ${TEXT};
    font-size: 15px;
    fill: var(--ink);
  }
  .part-picture {
    display: block;
    width: 100%;
    max-height: 400px;
    & .face {
      stroke-width: 0.7;
      stroke-linejoin: round;
    }
    & .edge {
      fill: none;
      stroke: var(--wood-edge);
      stroke-width: 1;
      stroke-linecap: round;
    }
    & .face-top {
      fill: var(--sapwood-light);
      stroke: var(--sapwood-light);
    }
    & .face-left {
      fill: var(--sapwood);
      stroke: var(--sapwood);
    }
    & .face-right {
      fill: var(--sapwood-dark);
      stroke: var(--sapwood-dark);
    }
    & .new .edge {
      stroke: var(--chalk);
      stroke-width: 1.5;
    }
    & .new .face-top {
      fill: var(--chalk-wash);
      stroke: var(--chalk-wash);
    }
    & .new .face-left {
      fill: var(--fresh);
      stroke: var(--fresh);
    }
    & .new .face-right {
      fill: var(--fresh-dark);
      stroke: var(--fresh-dark);
    }
    & .later {
      fill: none;
      stroke: var(--soft);
      stroke-dasharray: 4 4;
      opacity: 0.75;
    }
    & .marked .edge {
      stroke: var(--chalk);
      stroke-width: 2.2;
    }
    & .marked .face-top,
    & .marked .face-left {
      fill: var(--fresh);
      stroke: var(--fresh);
    }
  }
  .part-sheet {
    display: block;
    width: 100%;
    & .sheet-line {
      fill: none;
      stroke: var(--ink);
      stroke-width: 1.2;
    }
    & .sheet-line.outline {
      fill: var(--sapwood-light);
    }
    & .sheet-line.through {
      fill: var(--sheet);
    }
    & .sheet-line.pocket {
      fill: var(--sapwood-dark);
      stroke-dasharray: 7 2 2 2;
    }
    & .sheet-line.hidden,
    & .sheet-line.far-edge {
      stroke-dasharray: 4 3;
      stroke-width: 1;
    }
  }
  .tag-flag {
    & line {
      stroke: var(--ink);
      stroke-width: 1;
    }
    & circle {
      fill: var(--ink);
    }
    & rect {
      fill: var(--sheet);
      stroke: var(--edge);
    }
    & text {
      font-family: ${DISPLAY};
      font-weight: 600;
      text-anchor: middle;
    }
    &.new rect {
      stroke: var(--chalk);
    }
    &.new text {
      fill: var(--chalk);
    }
  }
  .dimension {
    & line {
      stroke: var(--keel);
      stroke-width: 1.4;
    }
    & circle {
      fill: var(--keel);
    }
    & rect {
      fill: var(--sheet);
    }
    & text {
      fill: var(--keel);
      text-anchor: middle;
    }
    &.plain text {
      fill: var(--ink);
    }
  }
  .model {
    & .model-space {
      position: relative;
      overflow: hidden;
      height: 372px;
    }
    & .model-space:focus-visible {
      outline: 2px solid var(--chalk);
      outline-offset: 2px;
    }
    & .model-foot {
      display: flex;
      flex-wrap: wrap;
      align-items: center;
      gap: 8px 10px;
      & .MuiToggleButton-root {
        padding: 3px 9px;
        text-transform: none;
      }
      & .grow {
        flex: 1;
      }
    }
    & .share {
      display: flex;
      align-items: center;
      gap: 8px;
      & .MuiSlider-root {
        width: 84px;
      }
    }
    & .picked {
      position: absolute;
      left: 8px;
      bottom: 6px;
      margin: 0;
      padding: 2px 8px;
      background: var(--sheet);
      border: 1px solid var(--edge);
      border-radius: 3px;
    }
  }
  .model-tag {
    position: absolute;
    top: 0;
    left: 0;
    font: 600 14px ${DISPLAY};
    color: var(--ink);
    background: var(--sheet);
    border: 1px solid var(--edge);
    border-radius: 3px;
    padding: 0 4px;
    pointer-events: none;
  }
  .model-dim {
    position: absolute;
    top: 0;
    left: 0;
    color: var(--keel);
    background: var(--sheet);
    padding: 0 6px;
    font-size: 16px;
    white-space: nowrap;
    pointer-events: none;
  }
  .seat-plan {
    width: 100%;
    & .top-view {
      fill: var(--sapwood);
      stroke: var(--wood-edge);
    }
    & .leg-view {
      fill: none;
      stroke: var(--wood-edge);
      stroke-dasharray: 3 3;
    }
    & .place rect {
      fill: var(--sheet);
      fill-opacity: 0.65;
      stroke: var(--chalk);
      rx: 3px;
    }
    & .top-view ~ .dimension text {
      fill: var(--ink);
    }
  }
  .boards {
    display: flex;
    flex-direction: column;
    gap: 4px;
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
  .pocket-picture {
    width: 100%;
    max-width: 300px;
    & .wood {
      fill: var(--sapwood);
      stroke: var(--wood-edge);
    }
    & .pocket ellipse {
      fill: var(--wood-ink);
    }
    & .pocket line {
      stroke: var(--keel);
      stroke-width: 1.5;
    }
    & .clip {
      fill: var(--slate);
      stroke: var(--wood-edge);
    }
    & .picture-words {
      text-anchor: middle;
      font-size: 14px;
    }
  }
`;
