import { settingName, settingWords, type Setup } from '@sill/core';
import { Words } from '../words/Words';

/** What a setting is called: a stop, a fence, a sheet, or marks on the boards. */
export const SetupName = ({ setup }: { readonly setup: Setup }) => <Words of={settingName(setup)} />;

/** What a setting is for, in a few words; briefly on the strip. */
export const SetupWords = ({ setup, brief = false }: { readonly setup: Setup; readonly brief?: boolean }) => (
  <Words of={settingWords(setup, brief)} />
);
