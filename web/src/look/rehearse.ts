/** The rehearsal: the model alone, the stick turned flat beneath it, one sentence. */
export const rehearseStyles = `
  .rehearse {
    padding: 10px 20px 12px;
    display: flex;
    flex-direction: column;
    gap: 4px;
    & header,
    & footer {
      display: flex;
      justify-content: space-between;
      align-items: center;
      gap: 12px;
    }
    & h1 {
      font-size: 24px;
    }
    & .rehearsal-good {
      color: var(--moss);
    }
    & .rehearsal-stop {
      color: var(--keel);
    }
    & .rehearse-model {
      flex: 1;
      min-height: 0;
      position: relative;
      background: var(--sheet);
      border: 1px solid var(--line);
      border-radius: 3px;
      & > div,
      & canvas {
        position: absolute !important;
        inset: 0;
      }
      & .part-picture {
        height: 100%;
        width: 100%;
      }
    }
    & .rehearse-says {
      min-height: 122px;
      max-height: 30vh;
      overflow-y: auto;
      padding-top: 6px;
      & h2 {
        font-size: 17px;
        color: var(--chalk);
      }
      & p {
        font-size: 18px;
        line-height: 1.4;
      }
    }
    & .flat-stick {
      position: relative;
      flex: 1;
      height: 34px;
      & input {
        position: absolute;
        inset: 0;
        width: 100%;
        height: 34px;
        margin: 0;
        appearance: none;
        background: linear-gradient(#ecdcb9, #ecdcb9) center / 100% 22px no-repeat;
        border: 0;
      }
      & input::-webkit-slider-thumb {
        appearance: none;
        width: 4px;
        height: 34px;
        background: var(--keel);
        border-radius: 0;
      }
      & input::-moz-range-thumb {
        width: 4px;
        height: 34px;
        background: var(--keel);
        border: 0;
        border-radius: 0;
      }
    }
    & .flat-notches {
      position: absolute;
      inset: 6px 0 6px;
      z-index: 1;
      pointer-events: none;
      & i {
        position: absolute;
        top: 0;
        width: 2px;
        height: 9px;
        background: #5f5233;
      }
      & i[data-done='true'] {
        background: var(--moss);
        width: 4px;
      }
    }
    & .rehearse-count {
      min-width: 74px;
      text-align: right;
      font-variant-numeric: tabular-nums;
    }
  }
  @media (max-width: 899px) {
    .rehearse {
      padding: 8px 12px;
      & .rehearse-says {
        max-height: 34vh;
        & p {
          font-size: 16px;
        }
      }
      & footer {
        flex-wrap: wrap;
        & .flat-stick {
          order: -1;
          flex: 1 0 100%;
        }
        & .MuiButton-root {
          min-height: 48px;
        }
        & .rehearse-count {
          display: none;
        }
        & .MuiButton-root {
          padding-inline: 12px;
          flex: 1 0 auto;
        }
      }
    }
  }
`;
