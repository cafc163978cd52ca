import { css } from '@mui/material';
import { DISPLAY } from './theme';

export const workStyles = css`
  .caution {
    border-left: 4px solid var(--ochre);
    padding: 4px 10px;
    margin: 0 0 4px;
    background: var(--sheet);
  }
  .setups {
    display: flex;
    gap: 8px;
    margin-bottom: 6px;
    padding: 2px 2px 8px;
    overflow-x: auto;
    scrollbar-width: thin;
  }
  .setup {
    flex: none;
    font: inherit;
    text-align: left;
    background: var(--sheet);
    color: var(--ink);
    border: 1px solid var(--edge);
    border-radius: 3px;
    padding: 5px 10px;
    cursor: pointer;
    & strong {
      display: block;
      font: 600 17px ${DISPLAY};
    }
    & > span {
      font-size: 14px;
      white-space: nowrap;
    }
    &[aria-pressed='true'] {
      border-color: var(--chalk);
      box-shadow: inset 0 -3px 0 var(--chalk);
      background: var(--chalk-wash);
    }
    &[data-done='true'] {
      color: var(--soft);
    }
  }
  .sheet-cuts {
    columns: 330px;
    margin: 0;
    padding: 0;
    list-style: none;
    font-size: 15px;
  }
  .offcuts {
    margin-top: 14px;
  }
  .offcuts ul {
    margin: 4px 0 0;
    padding: 0;
    list-style: none;
    & li {
      padding: 5px 0;
      border-top: 1px solid var(--line);
    }
  }
  .setup-block[data-done='true'] {
    background: none;
  }
  .tick {
    display: flex;
    gap: 12px;
    align-items: flex-start;
    cursor: pointer;
    & input {
      width: 20px;
      height: 20px;
      flex: none;
      margin: 1px 0 0;
      accent-color: var(--moss);
    }
  }
  .joint-group {
    display: grid;
    grid-template-columns: 132px minmax(0, 1fr) minmax(260px, 0.9fr);
    gap: 6px 18px;
    padding: 12px 0;
    align-items: center;
    border-top: 1px solid var(--line);
    & dl {
      display: grid;
      grid-template-columns: 104px minmax(0, 1fr);
      gap: 2px 10px;
      margin: 0;
    }
    & dt {
      color: var(--soft);
    }
    & dd {
      margin: 0;
    }
    &[data-short='true'] dd {
      color: var(--keel);
    }
  }
  .joint-pictures {
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(140px, 1fr));
    align-items: center;
    gap: 6px 14px;
  }
  .screw-picture {
    width: 100%;
    max-width: 190px;
    & .wood {
      fill: var(--sapwood);
      stroke: var(--ink);
      stroke-width: 1;
    }
    & .bore {
      stroke: var(--soft);
      stroke-width: 9;
      stroke-linecap: round;
      opacity: 0.35;
      fill: none;
    }
    & .shank {
      stroke: var(--keel);
      stroke-width: 3;
    }
    & .head {
      stroke: var(--keel);
      stroke-width: 4;
    }
    & text {
      font: 500 14px ${DISPLAY};
      fill: var(--ink);
    }
  }
  .ways-for {
    display: flex;
    flex-wrap: wrap;
    gap: 4px 20px;
  }
  .ways-scroll {
    overflow-x: auto;
  }
  .ways {
    border-collapse: collapse;
    width: 100%;
    & th,
    & td {
      text-align: left;
      vertical-align: top;
      padding: 8px 10px 8px 0;
      border-bottom: 1px solid var(--line);
    }
    & td:not(:nth-child(3)) {
      white-space: nowrap;
    }
    & tbody th {
      font-weight: 600;
      min-width: 210px;
      & small {
        display: block;
        font-weight: 400;
        font-size: 14px;
        color: var(--soft);
      }
      & small.bad {
        color: var(--keel);
      }
      & small.care {
        color: var(--ochre);
      }
    }
    & tr[data-now='true'] {
      background: color-mix(in srgb, var(--moss) 12%, transparent);
    }
    & tr[data-trouble='true'] td {
      color: var(--soft);
    }
  }
  @media (max-width: 599px) {
    .ways thead {
      display: none;
    }
    .ways tr {
      display: block;
      padding-bottom: 8px;
      border-bottom: 1px solid var(--line);
    }
    .ways tbody th,
    .ways td {
      border: 0;
      padding: 4px 14px 2px 0;
    }
    .ways tbody th {
      display: block;
    }
    .ways td {
      display: inline-block;
    }
  }
  .joint-pairs {
    display: flex;
    flex-wrap: wrap;
    gap: 2px 12px;
    margin: 0;
  }
  .pair {
    white-space: nowrap;
  }
  .step-bar {
    display: flex;
    gap: 3px;
    margin-bottom: 12px;
    & button {
      flex: 1 1 0;
      min-width: 22px;
      min-height: 24px;
      border: 0;
      border-radius: 2px;
      background: var(--line);
      color: var(--ink);
      font: 500 13px ${DISPLAY};
      cursor: pointer;
      padding: 2px 0;
    }
    & button[data-done='true'] {
      background: var(--moss);
      color: var(--sheet);
    }
    & button[aria-current='step'] {
      background: var(--chalk);
      color: var(--sheet);
    }
  }
  .step-columns {
    display: grid;
    grid-template-columns: minmax(0, 1.25fr) minmax(0, 1fr);
    gap: 16px;
    align-items: start;
  }
  .step-picture {
    margin: 0;
  }
  .step-title {
    font-size: 21px;
    padding-bottom: 8px;
    border-bottom: 1px solid var(--line);
  }
  .actions {
    list-style: none;
    padding: 0;
    margin: 0 0 8px;
    & li {
      padding: 9px 0;
      border-bottom: 1px solid var(--line);
    }
    & input:checked + span {
      color: var(--soft);
    }
  }
  .pick-up {
    margin: 10px 0;
    & p {
      margin: 4px 0 0;
    }
  }
  .measured {
    margin: 10px 0;
    & summary {
      cursor: pointer;
      font: 600 16px ${DISPLAY};
      min-height: 24px;
    }
  }
  .measured-row {
    display: flex;
    flex-wrap: wrap;
    gap: 10px;
    align-items: center;
    margin-top: 10px;
    & > .MuiTextField-root {
      width: 148px;
    }
    &.wide > .MuiTextField-root {
      width: 236px;
    }
  }
  .measured-line {
    margin: 4px 0 0;
  }
  .step-buttons {
    display: flex;
    gap: 8px;
    justify-content: flex-end;
  }
  .bench-mode {
    padding: 16px 20px;
    display: flex;
    flex-direction: column;
    gap: 10px;
    & header,
    & footer {
      display: flex;
      justify-content: space-between;
      align-items: center;
      gap: 12px;
    }
    & h1 {
      font-size: clamp(22px, 4vw, 34px);
    }
    & .bench-body {
      flex: 1;
      min-height: 0;
      display: grid;
      grid-template-columns: 1fr 1fr;
      gap: 24px;
      align-items: center;
    }
    & .bench-body[data-wide='true'] {
      grid-template-columns: minmax(0, 1fr);
      align-content: start;
      overflow-y: auto;
    }
    & h1 small {
      font-size: 0.7em;
    }
    & .bench-action {
      font-size: clamp(24px, 3.6vw, 40px);
      line-height: 1.3;
    }
    & footer .MuiButton-root {
      min-height: 64px;
      font-size: 22px;
      min-width: 34%;
    }
    & .part-picture {
      max-height: 60vh;
    }
  }
  @media (max-width: 899px) {
    .step-columns,
    .joint-group {
      grid-template-columns: minmax(0, 1fr);
    }
    .bench-mode .bench-body {
      grid-template-columns: 1fr;
    }
    .bench-mode .part-picture {
      max-height: 34vh;
    }
  }
`;
