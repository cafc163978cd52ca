import type { Setup } from '@sill/core';
import { Dim } from '../../words/Dim';

/** What a setting is called: a stop, a fence, a sheet, or marks on the boards. */
export function SetupName({ setup }: { readonly setup: Setup }) {
  if (setup.kind === 'guide') return <>{setup.parts.length > 0 ? `Sheet ${setup.boards[0]}` : 'Sheet'}</>;
  if (setup.kind === 'marks')
    return setup.setting === 0 ? (
      <>Rough</>
    ) : (
      <>
        Rough, <Dim of={setup.setting} /> past
      </>
    );
  return (
    <>
      {setup.kind === 'stop' ? 'Stop ' : 'Rip '}
      <Dim of={setup.setting} />
    </>
  );
}

/** `15°`, or `15° and 45°` where the ends differ. */
const angleText = ({ left, right }: NonNullable<Setup['ends']>): string =>
  [...new Set([left, right].map((angle) => `${Math.round(Math.abs(angle) * 2) / 2}°`))].join(' and ');

const WHEN: Readonly<Record<Setup['when'], string>> = {
  'as usual': '',
  'before ripping': ', before ripping',
  'after gluing': ', once glued',
};

/** What a setting is for, in a few words; briefly on the strip. */
export function SetupWords({ setup, brief = false }: { readonly setup: Setup; readonly brief?: boolean }) {
  const { kind, count, parts, gang, pieces, tool, when } = setup;
  const names = [...new Set(parts.map((part) => part.name))].map((name) => (pieces.length === 1 ? name : `${name}s`));
  const things = names.length > 2 && brief ? 'pieces' : names.join(' and ');
  if (kind === 'guide')
    return (
      <>
        {count} {count === 1 ? 'cut' : 'cuts'} {tool === 'table saw' ? 'along the fence' : 'along a guide'}
        {!brief && `: ${names.join(', ')}`}
      </>
    );
  if (kind === 'marks')
    return (
      <>
        {count} {count === 1 ? 'crosscut' : 'crosscuts'} by the marks
        {!brief && (setup.setting === 0 ? `: ${things}` : `: they are cut clean later`)}
      </>
    );
  const together = gang > 1 ? (brief ? `, ${gang} at once` : `, up to ${gang} together`) : '';
  const by = brief ? '' : `, ${tool ?? 'by the yard'}`;
  const sticks = kind === 'fence' && setup.runs.length < pieces.length && when !== 'after gluing';
  return (
    <>
      {pieces.length} {things}
      {kind === 'fence' && brief && ', fence'}
      {sticks && ` in ${setup.runs.length} ${setup.runs.length === 1 ? 'stick' : 'sticks'}`}
      {together}
      {WHEN[when]}
      {!brief && setup.ends ? `, saw at ${angleText(setup.ends)}` : ''}
      {by}
    </>
  );
}
