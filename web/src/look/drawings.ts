import { css } from '@mui/material';
import { DISPLAY, TEXT } from './theme';

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
    & .fastened .glued {
      fill: none;
      stroke: var(--ochre);
      stroke-width: 1.6;
      stroke-dasharray: 1.5 3;
      stroke-linecap: round;
    }
    & .fastened .screw {
      stroke: var(--keel);
      stroke-width: 1.8;
      fill: none;
    }
    & .fastened .screw-head {
      fill: var(--keel);
      stroke: var(--sheet);
      stroke-width: 0.8;
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
