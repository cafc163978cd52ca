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
    & polygon {
      stroke: var(--wood-edge);
      stroke-width: 1;
      stroke-linejoin: round;
    }
    & .face-top {
      fill: var(--sapwood-light);
    }
    & .face-left {
      fill: var(--sapwood);
    }
    & .face-right {
      fill: var(--sapwood-dark);
    }
    & .new polygon {
      stroke: var(--chalk);
      stroke-width: 1.6;
    }
    & .new .face-top {
      fill: var(--chalk-wash);
    }
    & .new .face-left {
      fill: var(--fresh);
    }
    & .new .face-right {
      fill: var(--fresh-dark);
    }
    & .later polygon {
      fill: none;
      stroke: var(--soft);
      stroke-dasharray: 4 4;
      opacity: 0.75;
    }
    & .marked polygon {
      stroke: var(--chalk);
      stroke-width: 2.4;
    }
    & .marked .face-top,
    & .marked .face-left {
      fill: var(--fresh);
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
    & .model-foot {
      display: flex;
      align-items: center;
      gap: 12px;
      & .soft:first-of-type {
        flex: 1;
      }
      & .MuiSlider-root {
        width: 120px;
        margin-right: 8px;
      }
    }
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
    grid-template-columns: 108px minmax(0, 1fr);
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
      color: var(--soft);
      font-size: 14px;
      line-height: 1;
    }
  }
  .end-section {
    width: 40px;
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
  .board {
    display: block;
    width: 100%;
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
    & .keep {
      text-anchor: middle;
      fill: var(--soft);
      font-size: 14px;
    }
    & .cut line {
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
