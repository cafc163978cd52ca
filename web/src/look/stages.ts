import { css } from '@mui/material';

export const stageStyles = css`
  .stage-head {
    display: flex;
    align-items: center;
    flex-wrap: wrap;
    gap: 4px 14px;
    min-height: 36px;
    margin-bottom: 12px;
    & p {
      margin: 4px 0 0;
    }
    & .MuiToggleButton-root {
      text-transform: none;
      font-size: 15px;
      padding: 3px 12px;
      color: var(--ink);
      border-color: var(--edge);
      background: var(--sheet);
      &.Mui-selected,
      &.Mui-selected:hover {
        background: var(--slate);
        color: var(--slate-ink);
      }
    }
  }
  .sheet {
    background: var(--sheet);
    border: 1px solid var(--line);
    border-radius: 3px;
    padding: 14px;
  }
  .stack {
    display: flex;
    flex-direction: column;
    gap: 12px;
    min-width: 0;
  }
  .scroll {
    overflow-x: auto;
  }
  .form {
    display: flex;
    flex-direction: column;
    gap: 14px;
  }
  .row {
    display: flex;
    gap: 12px;
    align-items: center;
  }
  .sizes.two {
    margin-top: 10px;
    row-gap: 12px;
  }
  .job-line {
    display: grid;
    grid-template-columns: 1fr 240px;
    gap: 12px;
    margin-bottom: 12px;
  }
  .two-columns {
    display: grid;
    grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
    gap: 12px;
    align-items: start;
  }
  .grid-fields {
    display: grid;
    grid-template-columns: repeat(auto-fill, minmax(240px, 1fr));
    gap: 14px;
  }
  .sizes {
    border: 0;
    padding: 0;
    margin: 0;
    min-width: 0;
    display: grid;
    grid-template-columns: repeat(3, minmax(0, 1fr));
    gap: 6px;
    & legend {
      padding: 0 0 7px;
      color: var(--soft);
    }
    &.two {
      grid-template-columns: repeat(2, minmax(0, 1fr));
    }
    & .MuiInputBase-root {
      padding-right: 8px;
    }
    & .MuiInputBase-input {
      padding-left: 10px;
      padding-right: 0;
    }
    & .MuiInputAdornment-root p {
      margin: 0;
    }
  }
  .choices {
    display: flex;
    flex-direction: column;
    gap: 8px;
    min-width: 0;
    & > fieldset {
      border-bottom: 1px solid var(--line);
      padding-bottom: 9px;
    }
  }
  /* Labels stand on the upper edge of their fields. */
  fieldset > * + .grid-fields {
    margin-top: 14px;
  }
  .choice {
    border: 0;
    padding: 0;
    margin: 0;
    min-width: 0;
    & legend {
      padding: 0 0 4px;
      color: var(--soft);
    }
  }
  .chips {
    display: flex;
    flex-wrap: wrap;
    gap: 5px;
  }
  .chip {
    position: relative;
    & input {
      position: absolute;
      opacity: 0;
      inset: 0;
      margin: 0;
      cursor: pointer;
    }
    & > span {
      display: block;
      padding: 4px 10px;
      min-height: 32px;
      border: 1px solid var(--edge);
      border-radius: 3px;
      background: var(--sheet);
    }
    & input:checked + span {
      background: var(--chalk-wash);
      border-color: var(--chalk);
      box-shadow: inset 0 0 0 1px var(--chalk);
      color: var(--chalk);
      font-weight: 700;
    }
    & input:focus-visible + span {
      outline: 2px solid var(--chalk);
      outline-offset: 2px;
    }
    &[data-not='true'] span {
      text-decoration: line-through;
      color: var(--soft);
    }
  }
  .shape-columns {
    display: grid;
    grid-template-columns: 252px minmax(0, 1fr);
    gap: 18px;
    align-items: start;
  }
  .fit-list {
    padding-left: 0;
    list-style: none;
    margin: 4px 0 0;
    & li {
      padding: 4px 0;
    }
  }
  .fit {
    font-weight: 700;
    color: var(--ochre);
  }
  .empty {
    & h2 {
      font-size: 22px;
      margin-bottom: 4px;
    }
  }
  .cards {
    display: grid;
    grid-template-columns: repeat(auto-fill, minmax(190px, 1fr));
    gap: 12px;
    margin-top: 12px;
  }
  .card {
    display: flex;
    flex-direction: column;
    font: inherit;
    text-align: left;
    background: var(--sheet);
    color: var(--ink);
    border: 1px solid var(--edge);
    border-radius: 3px;
    padding: 10px 12px;
    cursor: pointer;
    &:hover {
      border-color: var(--chalk);
      background: var(--chalk-wash);
    }
  }
  .picture-room {
    display: block;
    aspect-ratio: 480 / 330;
  }
  .card:disabled {
    cursor: not-allowed;
    background: var(--paper);
    & svg {
      opacity: 0.45;
    }
  }
  .card[aria-pressed='true'] {
    border-color: var(--chalk);
    box-shadow: inset 0 0 0 1px var(--chalk);
  }
  .card .not {
    color: var(--ochre);
  }
  .choice-group {
    display: contents;
    & h2 {
      margin: 8px 0 0;
      font-size: 17px;
    }
  }
  .help {
    margin: 3px 0 0;
    font-size: 13.5px;
    line-height: 1.3;
    color: var(--soft);
  }
  .problems {
    padding-left: 18px;
    & li {
      margin: 4px 0;
    }
  }
  .table-tools {
    display: flex;
    gap: 12px;
    margin-bottom: 8px;
    align-items: center;
    & .MuiTextField-root {
      max-width: 240px;
    }
  }
  .data-table {
    & .MuiTableCell-root {
      white-space: nowrap;
      padding: 6px 7px;
    }
    & .MuiTableSortLabel-root:not(.Mui-active) .MuiTableSortLabel-icon {
      display: none;
    }
  }
  .scroll + .table-tools {
    margin: 10px 0 0;
  }
  .MuiTableRow-root.Mui-selected {
    background: var(--chalk-wash) !important;
  }
  .total td {
    font-weight: 700;
  }
  .top-options .MuiTableCell-root {
    white-space: nowrap;
    padding: 5px 7px;
  }
  .left-bar {
    display: inline-flex;
    align-items: center;
    gap: 6px;
    & rect {
      fill: var(--edge);
    }
  }
  .prices {
    & .row {
      margin-bottom: 10px;
      flex-wrap: wrap;
      & > * {
        flex: 1 1 180px;
      }
      & > .MuiButton-root {
        flex: 0 1 auto;
      }
    }
    & > .MuiToggleButtonGroup-root {
      margin-bottom: 16px;
      flex-wrap: wrap;
    }
    & td .MuiTextField-root {
      max-width: 260px;
      margin: 6px 0 2px;
    }
  }
  .both {
    width: 100%;
    border-collapse: collapse;
    & th,
    & td {
      text-align: left;
      padding: 4px 8px 4px 0;
      border-bottom: 1px solid var(--line);
      vertical-align: middle;
    }
    & label {
      display: flex;
      align-items: center;
      cursor: pointer;
    }
    & th .MuiButton-root {
      min-width: 0;
      margin-left: 8px;
      padding: 1px 8px;
    }
  }
  @media (max-width: 899px) {
    .two-columns,
    .shape-columns,
    .job-line {
      grid-template-columns: minmax(0, 1fr);
    }
    .shape-columns > .stack {
      order: -1;
    }
    .stage-head {
      padding-right: 84px;
    }
    .row {
      flex-wrap: wrap;
    }
    .chip > span {
      padding: 8px 12px;
      min-height: 40px;
    }
  }
`;
