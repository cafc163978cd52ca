import { css } from '@mui/material';

/** The list of parts and what stands beside it. */
export const partsStyles = css`
  .parts-columns {
    display: grid;
    grid-template-columns: minmax(0, 1fr) 280px;
    gap: 12px;
    align-items: start;
  }
  .parts-side {
    position: sticky;
    top: 0;
  }
  .facts {
    display: grid;
    grid-template-columns: auto 1fr;
    gap: 3px 10px;
    margin: 8px 0;
    & dt {
      color: var(--soft);
    }
    & dd {
      margin: 0;
    }
  }
  .by-hand {
    border: 0;
    border-top: 1px solid var(--line);
    margin: 10px 0 0;
    padding: 8px 0 0;
    & legend {
      float: left;
      width: 100%;
      color: var(--soft);
      margin-bottom: 6px;
    }
    & .sizes {
      clear: both;
    }
  }
  .changed {
    color: var(--ochre);
    font-weight: 600;
  }
  .parts-side .row {
    flex-wrap: wrap;
    gap: 6px;
  }
  @media (max-width: 899px) {
    .parts-columns {
      grid-template-columns: minmax(0, 1fr);
    }
    .parts-side {
      position: static;
    }
  }
`;
