import { css } from '@mui/material';
import { DISPLAY } from './theme';

export const baseStyles = css`
  html,
  body,
  #root {
    height: 100%;
  }
  body {
    background: var(--paper);
    color: var(--ink);
  }
  p {
    margin: 0 0 8px;
  }
  h1,
  h2,
  h3 {
    font-family: ${DISPLAY};
    font-weight: 600;
    margin: 0;
    line-height: 1.25;
  }
  h1 {
    font-size: 26px;
  }
  h2 {
    font-size: 17px;
  }
  h3 {
    font-size: 17px;
  }
  a {
    color: var(--chalk);
  }
  .frac {
    font-feature-settings: 'frac';
  }
  .set-frac {
    font-size: 0.72em;
    & > :first-of-type {
      vertical-align: 0.42em;
    }
    & > .slash {
      vertical-align: 0.12em;
      font-size: 1.2em;
      margin: 0 -0.06em;
    }
    & > :last-of-type {
      vertical-align: -0.06em;
    }
  }
  .small-figure {
    font-size: 0.72em;
  }
  .dim {
    white-space: nowrap;
  }
  .soft,
  .MuiTableCell-root.soft {
    color: var(--soft);
  }
  .grow {
    flex: 1;
  }
  .saves {
    color: var(--moss);
  }
  .over {
    color: var(--keel);
  }
  .tag,
  .MuiTableCell-root.tag-cell {
    font-family: ${DISPLAY};
    font-weight: 600;
  }
  .tag.marked {
    background: var(--chalk);
    color: var(--sheet);
    border-radius: 3px;
    box-shadow: 0 0 0 2px var(--chalk);
  }
  .skip {
    position: absolute;
    left: -999px;
    &:focus {
      left: 8px;
      top: 8px;
      z-index: 20;
      background: var(--sheet);
      padding: 8px;
    }
  }
`;
