import { css } from '@mui/material';
import { DISPLAY } from '../theme';

export const frameStyles = css`
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
  .frame {
    display: grid;
    height: 100dvh;
    grid-template: 52px 1fr 64px / 132px minmax(0, 1fr) 286px;
    grid-template-areas: 'head head head' 'stick stage margin' 'sill sill sill';
  }
  .frame > main {
    grid-area: stage;
    overflow: auto;
    padding: 18px 16px 24px 20px;
    outline: none;
  }

  .head {
    grid-area: head;
    display: flex;
    align-items: center;
    gap: 8px;
    padding: 0 12px 0 18px;
    background: var(--sheet);
    border-bottom: 1px solid var(--line);
    min-width: 0;
  }
  .job-name {
    font: 600 20px ${DISPLAY};
    color: var(--ink);
    text-decoration: none;
    white-space: nowrap;
    overflow: hidden;
    text-overflow: ellipsis;
    max-width: 240px;
    margin-right: 10px;
    &:hover {
      text-decoration: underline;
    }
  }
  .pieces {
    min-height: 34px !important;
    min-width: 0;
    & .MuiTab-root {
      min-height: 34px;
      min-width: 0;
      padding: 6px 12px;
      font-size: 15px;
      border-radius: 3px;
      color: var(--soft);
      white-space: nowrap;
    }
    & .Mui-selected {
      background: var(--chalk-wash);
      font-weight: 700;
    }
    & .MuiTabs-indicator {
      display: none;
    }
  }
  .add-piece {
    white-space: nowrap;
    flex: none;
  }
  .units,
  .print {
    white-space: nowrap;
    flex: none;
  }
  .saved {
    color: var(--soft);
    white-space: nowrap;
    overflow: hidden;
    text-overflow: ellipsis;
    &[data-state='offline'],
    &[data-state='refused'] {
      color: var(--keel);
      white-space: normal;
      line-height: 1.15;
      max-width: 250px;
      font-size: 14px;
    }
  }

  .stick {
    grid-area: stick;
    position: relative;
    background: linear-gradient(90deg, var(--stick-deep), var(--stick) 30%, var(--stick) 75%, var(--stick-deep));
    border-right: 1px solid var(--edge);
    overflow: hidden;
    &::after {
      content: '';
      position: absolute;
      inset: 0 0 0 auto;
      width: 15px;
      background:
        repeating-linear-gradient(var(--soft) 0 1px, transparent 1px 9px) right / 7px 100% no-repeat,
        repeating-linear-gradient(var(--soft) 0 1px, transparent 1px 72px) right / 15px 100% no-repeat;
      opacity: 0.55;
      pointer-events: none;
    }
    & ol {
      list-style: none;
      margin: 0;
      padding: 4px 0 0;
      height: 100%;
      display: flex;
      flex-direction: column;
    }
    & li {
      flex: 0 1 76px;
      min-height: 44px;
      position: relative;
    }
    & a {
      display: flex;
      align-items: center;
      height: 100%;
      color: var(--ink);
      text-decoration: none;
      font: 500 16px ${DISPLAY};
      outline-offset: -3px;
    }
    & .notch {
      width: 26px;
      height: 2px;
      background: var(--soft);
      margin-right: 12px;
      flex: none;
    }
    & [data-settled='true'] .notch {
      height: 6px;
      background: var(--moss);
    }
    & .stage {
      flex: 1;
    }
    & .count {
      margin-right: 20px;
      color: var(--ochre);
      font-size: 14px;
      &[data-stop='true'] {
        color: var(--keel);
      }
    }
    & a:hover .stage {
      text-decoration: underline;
    }
    & [data-here='true'] a {
      color: var(--keel);
      font-weight: 600;
    }
    & [data-here='true']::after {
      content: '';
      position: absolute;
      left: 0;
      right: 0;
      bottom: 14px;
      height: 2px;
      background: var(--keel);
    }
    & [data-here='true'] .notch {
      visibility: hidden;
    }
    & [data-here='true'] .count {
      margin-right: 12px;
    }
  }

  .margin {
    grid-area: margin;
    background: var(--sheet);
    border-left: 1px solid var(--line);
    padding: 14px 16px;
    overflow: auto;
    & > h2 {
      color: var(--soft);
      padding-bottom: 8px;
      border-bottom: 1px solid var(--line);
    }
    & ol {
      list-style: none;
      margin: 0;
      padding: 0;
    }
    & li {
      display: flex;
      gap: 11px;
      padding: 11px 0;
      border-bottom: 1px solid var(--line);
    }
    & h3 {
      font-size: 16px;
    }
    & p {
      margin: 0;
      line-height: 1.35;
    }
    & .last-word {
      padding-top: 12px;
      font-size: 14px;
    }
  }
  .remedy {
    font: inherit !important;
    text-align: left;
    vertical-align: baseline !important;
  }
  .note-mark {
    display: inline-grid;
    place-items: center;
    width: 22px;
    height: 22px;
    flex: none;
    border: 1.5px solid currentColor;
    border-radius: 50%;
    font: 600 13px ${DISPLAY};
    &[data-level='good'] {
      color: var(--moss);
    }
    &[data-level='care'] {
      color: var(--ochre);
    }
    &[data-level='stop'] {
      background: var(--keel);
      border-color: var(--keel);
      color: var(--sheet);
    }
  }

  .sill {
    grid-area: sill;
    position: relative;
    display: flex;
    align-items: stretch;
    background: var(--slate);
    color: var(--slate-ink);
    border-top: 4px solid #11181b;
    padding-right: 16px;
    gap: 0;
    min-width: 0;
    & .tallies {
      flex: 1;
      min-width: 0;
      display: flex;
      overflow-x: auto;
      scrollbar-width: none;
    }
    & .tally {
      flex: none;
      appearance: none;
      background: none;
      border: 0;
      border-right: 1px solid #54616a;
      color: inherit;
      text-align: left;
      padding: 6px 22px 4px 20px;
      cursor: pointer;
      position: relative;
      white-space: nowrap;
      outline-offset: -3px;
      &:hover {
        background: rgb(255 255 255 / 0.07);
      }
      &:focus-visible {
        outline-color: #fff;
      }
    }
    & .tally-name {
      display: block;
      font: 500 14px ${DISPLAY};
      color: var(--slate-soft);
    }
    & .tally-figure {
      font: 600 20px ${DISPLAY};
      line-height: 1.1;
      & small {
        font-size: 15px;
        font-weight: 500;
        color: var(--slate-soft);
      }
      & em {
        font-style: normal;
        font-size: 15px;
        color: #f2c46d;
        margin-left: 4px;
      }
    }
    & .bar {
      position: absolute;
      left: 20px;
      right: 22px;
      bottom: 3px;
      height: 4px;
      background: #54616a;
      & span {
        display: block;
        height: 100%;
        background: #e3a93c;
      }
      &[data-over='true'] span {
        background: #ff8a70;
      }
    }
    & .proving {
      align-self: center;
      color: var(--slate-soft);
      margin-right: 12px;
      white-space: nowrap;
    }
    & .MuiButton-root {
      align-self: center;
      color: var(--slate-ink);
      border-color: #8b989f;
      white-space: nowrap;
      &:focus-visible {
        outline-color: #fff;
      }
      &.Mui-disabled {
        color: #9aa6ac;
        border-color: #54616a;
      }
    }
    & [role='alert'] {
      align-self: center;
      margin: 0 16px;
    }
  }
  .sill-progress {
    position: absolute !important;
    inset: -4px 0 auto 0;
  }
  .explain {
    max-width: 380px;
    padding: 14px 16px;
    border: 1px solid var(--line);
  }
  .blank-page {
    padding: 60px 24px;
    max-width: 640px;
    margin: 0 auto;
  }
  .notes-button {
    position: absolute !important;
    right: 12px;
    z-index: 3;
  }
  .drawer {
    width: min(340px, 88vw);
    padding: 8px;
    height: 100%;
    & .margin {
      border: 0;
      padding: 8px;
    }
  }

  @media (max-width: 1179px) {
    .head .saved:not([data-state='offline'], [data-state='refused']) {
      display: none;
    }
    .add-piece {
      display: none !important;
    }
  }
  @media (max-width: 899px) {
    .frame {
      grid-template: 48px auto 1fr 58px / minmax(0, 1fr);
      grid-template-areas: 'head' 'stick' 'stage' 'sill';
    }
    .frame > main {
      padding: 12px 12px 28px;
    }
    .head {
      padding: 0 4px 0 12px;
      gap: 2px;
      & .units,
      & .print {
        display: none;
      }
    }
    .job-name {
      display: none;
    }
    .MuiTableCell-root.wide-only {
      display: none;
    }
    .stick {
      border-right: 0;
      border-bottom: 1px solid var(--edge);
      overflow-x: auto;
      scrollbar-width: none;
      &::after {
        inset: auto 0 0 0;
        width: auto;
        height: 10px;
        background: repeating-linear-gradient(90deg, var(--soft) 0 1px, transparent 1px 8px) bottom / 100% 6px no-repeat;
      }
      & ol {
        flex-direction: row;
        padding: 0;
      }
      & li {
        flex: 0 0 auto;
        min-height: 46px;
      }
      & a {
        padding: 2px 12px 8px;
        flex-direction: row;
        gap: 5px;
      }
      & .notch {
        position: absolute;
        top: 0;
        left: 18px;
        width: 3px;
        height: 10px;
        margin: 0;
      }
      & [data-settled='true'] .notch {
        width: 6px;
        height: 12px;
      }
      & .count,
      & [data-here='true'] .count {
        margin: 0;
        font-size: 13px;
      }
      & [data-here='true']::after {
        inset: 0 auto 0 4px;
        width: 2px;
        height: auto;
      }
    }
    .sill {
      padding-right: 8px;
      & .tally {
        padding: 5px 14px 4px 12px;
      }
      & .tally-figure {
        font-size: 18px;
        & small {
          font-size: 14px;
        }
      }
      & .bar {
        left: 12px;
        right: 14px;
      }
      & .next {
        margin-left: 8px;
        padding: 4px 9px;
        flex: none;
      }
      & .proving {
        display: none;
      }
    }
  }
`;
