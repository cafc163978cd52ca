import { css } from '@mui/material';

/** The chart of what an inch costs, and what would save most. */
export const costStyles = css`
  .stock-columns {
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(min(100%, 300px), 1fr));
    gap: 12px;
    align-items: start;
    & > .top-options {
      grid-column: span 1;
    }
  }
  .savings ul {
    list-style: none;
    margin: 6px 0 0;
    padding: 0;
    & li {
      display: flex;
      justify-content: space-between;
      align-items: center;
      gap: 10px;
      padding: 5px 0;
      border-bottom: 1px solid var(--line);
    }
    & .MuiButton-root {
      white-space: nowrap;
      font-weight: 700;
    }
  }
  .inch-chart {
    & .chart-head {
      display: flex;
      flex-wrap: wrap;
      align-items: center;
      gap: 4px 14px;
    }
    & h2 {
      margin: 0;
    }
    & .MuiToggleButton-root {
      text-transform: none;
      font-size: 15px;
      padding: 1px 10px;
    }
    & .chart-space {
      aspect-ratio: 560 / 172;
    }
    & .chart-foot {
      display: flex;
      flex-wrap: wrap;
      align-items: center;
      gap: 8px;
      min-height: 34px;
    }
  }
  .chart {
    width: 100%;
    display: block;
    touch-action: pan-y;
    cursor: ew-resize;
    & text {
      font-size: 14px;
      fill: var(--soft);
    }
    & .rule line {
      stroke: var(--line);
    }
    & .rule text {
      text-anchor: end;
    }
    & .tick text {
      text-anchor: middle;
    }
    & .axis,
    & .tick line {
      stroke: var(--edge);
    }
    & .steps {
      fill: none;
      stroke: var(--ink);
      stroke-width: 2;
    }
    & .limit line {
      stroke: var(--ochre);
      stroke-dasharray: 5 4;
    }
    & .limit text {
      fill: var(--ochre);
    }
    & .unbuildable {
      fill: var(--keel);
      opacity: 0.13;
    }
    & .target {
      fill: var(--keel);
    }
    & .cheaper {
      fill: var(--sheet);
      stroke: var(--moss);
      stroke-width: 2.5;
    }
    & .cursor line {
      stroke: var(--keel);
      stroke-width: 2;
    }
    & .cursor text {
      fill: var(--keel);
      font-weight: 700;
    }
  }
  .chart.still {
    cursor: default;
    & .out {
      stroke: var(--ochre);
      stroke-width: 2;
    }
  }
  .row.wrap {
    flex-wrap: wrap;
    & + .row.wrap {
      margin-top: 10px;
    }
  }
  .on-hand-photo {
    display: block;
    margin-top: 4px;
    width: 72px;
    height: 48px;
    object-fit: cover;
    border: 1px solid var(--line);
  }
  .add-row {
    margin-top: 12px;
    & > .MuiTextField-root {
      flex: 1 1 110px;
    }
    & > [role='alert'] {
      flex: 1 1 100%;
      margin: 0;
      color: var(--keel);
    }
  }
  .clamp-row {
    margin: 12px 0 8px;
    & > .MuiTextField-root {
      max-width: 200px;
    }
  }
  tr.group th {
    font-weight: 600;
    border-top: 2px solid var(--ink);
  }
  .price-columns {
    display: grid;
    grid-template-columns: minmax(0, 1fr) minmax(220px, 300px);
    gap: 12px;
    align-items: start;
    & > .sheet > .MuiTextField-root {
      margin: 12px 0 6px;
      width: 240px;
      display: flex;
    }
    & td .MuiTextField-root {
      width: 120px;
    }
  }
  .by-measure {
    white-space: nowrap;
    line-height: 1.3;
  }
  .quick-entry {
    align-items: flex-start;
    margin-bottom: 10px;
    & .MuiButton-root {
      margin-top: 2px;
    }
  }
  td.actions {
    white-space: nowrap;
    & .MuiButton-root + .MuiButton-root {
      margin-left: 6px;
    }
  }
  .milling {
    margin: 0 0 12px;
    padding-left: 20px;
    & li {
      margin-bottom: 4px;
    }
  }
  .price-history {
    position: sticky;
    top: 0;
  }
  .price-history h2 {
    margin: 0 0 6px;
  }
  button.plain {
    font: inherit;
    color: var(--chalk);
    background: none;
    border: 0;
    padding: 4px 0;
    cursor: pointer;
    text-align: left;
    text-decoration: underline;
  }
  @media (max-width: 899px) {
    .price-columns {
      grid-template-columns: minmax(0, 1fr);
    }
  }
`;
