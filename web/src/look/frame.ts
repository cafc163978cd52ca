import { css } from '@mui/material';
import { DISPLAY } from './theme';

export const frameStyles = css`
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
  }
`;
