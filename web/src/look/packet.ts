import { css } from '@mui/material';

/** Paper: black and white safe, no fill that carries meaning, boxes to tick, 11 pt and up. */
const INK = '#000';

export const packetStyles = css`
  .packet {
    --sheet: #fff;
    --ink: ${INK};
    --soft: #333;
    --keel: ${INK};
    --chalk: ${INK};
    --wood-edge: ${INK};
    --wood-ink: ${INK};
    --sapwood: #fff;
    --sapwood-light: #fff;
    --sapwood-dark: #ececec;
    --grain: #fff;
    --fresh: #d4d4d4;
    --fresh-dark: #b4b4b4;
    --chalk-wash: #e8e8e8;
    --edge: #555;
    --line: #999;
    color: ${INK};
    padding: 0 0 40px;
  }
  .packet-tools {
    position: sticky;
    top: 0;
    z-index: 3;
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 14px;
    padding: 8px 18px;
    background: #2a3439;
    color: #fff;
    & .MuiButton-outlined,
    & .MuiToggleButton-root {
      color: #fff;
      border-color: #8b989f;
      text-transform: none;
    }
    & .MuiToggleButton-root.Mui-selected {
      background: #fff !important;
      color: #20272b !important;
    }
    & .MuiButton-contained {
      background: #fff;
      color: #20272b;
    }
  }
  .page {
    box-sizing: border-box;
    display: flex;
    flex-direction: column;
    width: 216mm;
    min-height: 279mm;
    margin: 18px auto;
    padding: 13mm;
    background: #fff;
    border: 1px solid #999;
    font-size: 15px;
    & > header {
      display: flex;
      justify-content: space-between;
      align-items: baseline;
      gap: 12px;
      border-bottom: 3px solid ${INK};
      margin-bottom: 8px;
      & p {
        margin: 0;
      }
    }
    & .page-body {
      flex: 1;
    }
    & > footer {
      display: flex;
      justify-content: space-between;
      gap: 16px;
      border-top: 1px solid ${INK};
      padding-top: 5px;
      font-size: 13px;
      & span:last-child {
        white-space: nowrap;
      }
    }
    & .board-row {
      grid-template-columns: 112px minmax(0, 1fr);
    }
    & .rip {
      opacity: 1;
    }
    & .role {
      fill: ${INK};
    }
    & .boards {
      gap: 6px;
    }
  }
  .labels {
    display: grid;
    grid-template-columns: repeat(3, minmax(0, 1fr));
    grid-auto-rows: 34mm;
    gap: 2mm;
  }
  .piece-label {
    border: 1px dashed #777;
    padding: 2mm 3mm;
    overflow: hidden;
    display: grid;
    grid-template: auto auto 1fr auto / 1fr auto;
    column-gap: 2mm;
    line-height: 1.25;
    & strong {
      font:
        600 26px 'Barlow Semi Condensed',
        sans-serif;
      line-height: 1;
    }
    & .board-of {
      text-align: right;
      font-weight: 700;
    }
    & p {
      grid-column: 1 / -1;
      margin: 0;
    }
    & .face-up {
      align-self: end;
      font-size: 13px;
    }
  }
  .packet[data-paper='a4'] .page {
    width: 210mm;
    min-height: 297mm;
  }
  .box {
    display: inline-block;
    width: 15px;
    height: 15px;
    border: 1.6px solid ${INK};
    margin: 0 4px 0 0;
    vertical-align: -2px;
    flex: none;
  }
  .print-table,
  .print-order {
    width: 100%;
    border-collapse: collapse;
    & th {
      text-align: left;
      font-weight: 700;
    }
    & td,
    & th {
      border-bottom: 1px solid #888;
      padding: 4px 8px 4px 0;
      vertical-align: top;
    }
    & + p {
      margin-top: 12px;
    }
  }
  .print-order th {
    font-size: 20px;
    white-space: nowrap;
    padding-right: 18px;
  }
  .print-order td {
    padding-top: 7px;
  }
  .print-step {
    break-inside: avoid;
    padding-bottom: 10px;
    margin-bottom: 10px;
    border-bottom: 1px solid #888;
    &:last-child {
      border: 0;
    }
    & h2 small {
      font-size: 14px;
      font-weight: 500;
    }
    & > div {
      display: grid;
      grid-template-columns: 66mm 1fr;
      gap: 6mm;
      align-items: start;
    }
    & .part-picture {
      max-height: 60mm;
    }
    & ol {
      list-style: none;
      padding: 0;
      margin: 4px 0;
    }
    & li {
      display: flex;
      gap: 6px;
      padding: 3px 0;
    }
    & p {
      margin: 2px 0;
    }
    & .caution {
      border-left: 4px solid ${INK};
    }
  }
  @media screen and (max-width: 899px) {
    .page,
    .packet[data-paper='a4'] .page {
      width: auto;
      min-height: 0;
      margin: 8px;
      padding: 12px;
    }
    .print-step > div {
      grid-template-columns: 1fr;
    }
    .page-body {
      overflow-x: auto;
    }
    .labels {
      grid-template-columns: minmax(0, 1fr);
    }
  }
  @media print {
    html,
    body,
    #root {
      height: auto;
    }
    body {
      background: #fff;
    }
    .packet-tools {
      display: none;
    }
    .packet {
      padding: 0;
    }
    .page,
    .packet[data-paper='a4'] .page {
      width: auto;
      margin: 0;
      padding: 0;
      border: 0;
      min-height: 252mm;
      break-after: page;
      break-inside: avoid;
    }
    .packet[data-paper='a4'] .page {
      min-height: 270mm;
    }
    .page:last-child {
      break-after: auto;
    }
  }
  .templates {
    & .template-page {
      background: white;
      color: black;
      width: 184mm;
      margin: 0 auto 8mm;
      padding: 2mm;
      break-after: page;
      & header {
        font-size: 13px;
        height: 8mm;
      }
    }
    & .template-line {
      fill: none;
      stroke: black;
    }
    & .template-mark {
      fill: none;
      stroke: black;
      stroke-width: 0.25;
    }
  }
`;
