import { css } from '@mui/material';
import { DISPLAY } from './theme';

export const sillStyles = css`
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
  .sill .late,
  .sill-progress {
    animation: late 0s 0.3s both;
  }
  @keyframes late {
    from {
      visibility: hidden;
    }
  }
  .sill .proving .MuiButton-root {
    margin-left: 10px;
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

  @media (max-width: 899px) {
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
      & .proving:not([role='alert']),
      &:has([role='alert']) .next {
        display: none;
      }
      & [role='alert'] {
        margin: 0 8px;
        font-size: 14px;
        line-height: 1.2;
      }
      & [role='alert'] .MuiButton-root {
        margin: 0;
        padding: 2px 8px;
      }
    }
  }
`;
