import { css } from '@mui/material';
import { DISPLAY } from './theme';

/** At the yard: one column, for a thumb. */
export const yardStyles = css`
  .yard-page {
    max-width: 560px;
    min-height: 100dvh;
    margin: 0 auto;
    padding: 0 14px 86px;
    & > header {
      display: flex;
      align-items: center;
      gap: 12px;
      padding: 8px 0;
      & h1 {
        font-size: 21px;
        flex: 1;
        margin: 0;
      }
    }
    & h2 {
      margin: 14px 0 4px;
    }
  }
  .yard-stop {
    padding-top: 10px;
    border-top: 2px solid var(--ink);
  }
  .yard-list {
    list-style: none;
    margin: 0;
    padding: 0;
  }
  .yard-line {
    display: flex;
    align-items: center;
    justify-content: space-between;
    gap: 10px;
    min-height: 52px;
    border-bottom: 1px solid var(--line);
    & > button {
      flex: 1;
      min-height: 52px;
      background: none;
      border: 0;
      padding: 4px 0;
      font: inherit;
      color: inherit;
      text-align: left;
      cursor: pointer;
    }
    & b {
      font: 600 18px ${DISPLAY};
      display: block;
    }
    & strong {
      font: 600 18px ${DISPLAY};
      white-space: nowrap;
    }
    & .tick b {
      display: inline;
    }
    &.done b {
      text-decoration: line-through;
      color: var(--moss);
    }
  }
  .yard-active {
    background: var(--sheet);
    border: 1px solid var(--line);
    border-radius: 3px;
    margin: 8px -6px;
    padding: 10px 12px 12px;
    & p {
      margin: 6px 0;
    }
  }
  .yard-head {
    display: flex;
    align-items: baseline;
    gap: 10px;
    & h2 {
      font-size: 25px;
      margin: 0;
    }
    & strong {
      margin-left: auto;
      font: 600 20px ${DISPLAY};
    }
  }
  .yard-missing {
    list-style: none;
    margin: 0;
    padding: 0;
    & > li {
      padding: 8px 0;
      border-bottom: 1px solid var(--line);
    }
  }
  .sighting {
    display: grid;
    grid-template-columns: repeat(4, 1fr);
    gap: 6px;
    list-style: none;
    margin: 6px 0;
    padding: 0;
    text-align: center;
    & svg {
      width: 100%;
      max-width: 84px;
    }
    & path {
      fill: var(--sapwood);
      stroke: var(--wood-edge);
      stroke-width: 1.5;
    }
    & b,
    & > li > span {
      display: block;
      line-height: 1.3;
      white-space: nowrap;
    }
  }
  .yard-strip {
    position: relative;
    height: 30px;
    background: var(--sapwood-dark);
    border: 1px solid var(--wood-edge);
    & > span {
      position: absolute;
      top: 0;
      bottom: 0;
      display: flex;
      align-items: center;
      justify-content: center;
      overflow: hidden;
      white-space: nowrap;
      background: var(--sapwood);
      color: var(--wood-ink);
      border: 2px solid var(--chalk);
    }
  }
  .meter {
    display: flex;
    align-items: center;
    gap: 14px;
    border: 1px solid var(--line);
    padding: 8px 10px;
    & b {
      font: 600 22px ${DISPLAY};
      white-space: nowrap;
      color: var(--moss);
    }
    &.stretch b {
      color: var(--ochre);
    }
    &.reject b {
      color: var(--keel);
    }
  }
  .yard-buttons,
  .yard-stretch {
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(76px, 1fr));
    gap: 8px;
    margin-top: 8px;
    & .MuiButton-root {
      min-height: 56px;
      font-size: 17px;
      line-height: 1.2;
    }
    & .care {
      color: var(--ochre);
      border-color: var(--ochre);
    }
    & .stop {
      color: var(--keel);
      border-color: var(--keel);
    }
  }
  .yard-stretch {
    grid-template-columns: 1fr 1fr;
  }
  .yard-sill {
    position: fixed;
    left: 0;
    right: 0;
    bottom: 0;
    display: flex;
    justify-content: space-around;
    gap: 18px;
    padding: 9px 14px;
    background: var(--slate);
    color: var(--slate-ink);
    & small {
      display: block;
      color: var(--slate-soft);
      font-size: 14px;
    }
    & b {
      font: 600 19px ${DISPLAY};
      white-space: nowrap;
    }
  }
`;
