import { css } from '@mui/material';
import { DISPLAY } from './theme';

/** The list of jobs, and who else can open them. */
export const jobStyles = css`
  .jobs-page {
    max-width: 820px;
    margin: 0 auto;
    padding: 40px 20px;
    & h1 {
      font-size: 34px;
    }
  }
  .jobs {
    list-style: none;
    margin: 0 0 16px;
    padding: 0;
    & li {
      display: flex;
      align-items: center;
      gap: 8px;
      border-bottom: 1px solid var(--line);
      padding: 10px 0;
      & > :first-child {
        flex: 1;
      }
    }
    & a {
      text-decoration: none;
      color: var(--ink);
    }
    & strong {
      font: 600 19px ${DISPLAY};
      display: block;
      color: var(--chalk);
    }
  }
  .jobs-tools {
    display: flex;
    flex-wrap: wrap;
    gap: 10px;
    margin: 12px 0;
  }
  .problem {
    color: var(--keel);
  }
  .addresses {
    display: flex;
    flex-wrap: wrap;
    gap: 16px;
    margin-bottom: 16px;
    & > div {
      flex: 1 1 240px;
    }
    & img {
      border: 1px solid var(--line);
    }
  }
  .new-passphrase {
    display: flex;
    flex-wrap: wrap;
    align-items: start;
    gap: 10px;
    margin-top: 8px;
  }
`;
