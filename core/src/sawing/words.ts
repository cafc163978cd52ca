import { first } from '../lists';
import { dim, listOf, say, strong, type Phrase } from '../words';
import { degreesText, several } from '../work';
import type { Setup } from './setup';

/** What a setting is called: a stop, a fence, a sheet, or marks on the boards. */
export function settingName({ kind, setting, parts, boards }: Setup): Phrase {
  switch (kind) {
    case 'guide':
      return parts.length > 0 ? say`Sheet ${first(boards)}` : say`Sheet`;
    case 'marks':
      return setting === 0 ? say`Rough` : say`Rough, ${dim(setting)} past`;
    case 'stop':
      return say`Stop ${dim(setting)}`;
    case 'fence':
      return say`Rip ${dim(setting)}`;
  }
}

/** `15°`, or `15° and 45°` where the ends differ. */
const anglesOf = ({ left, right }: NonNullable<Setup['ends']>): Phrase =>
  listOf([...new Set([left, right].map(degreesText))].map((text) => strong(text)));

/** How both edges come off: jointed and ripped, four passes in turn, or along a guide. */
export function edgesWords({ passes, jointed, tool }: Setup): Phrase {
  const [first, last] = [passes[0], passes.at(-1)];
  if (first === undefined || last === undefined) return say``;
  if (jointed) return say`one edge jointed, ${dim(first)} left; fence at ${dim(last)}`;
  if (passes.length > 2)
    return say`${strong(passes.length)} passes, one edge and the other in turn, fence at ${listOf(passes.map((one) => dim(one)))}`;
  return say`one edge off first, ${dim(first)} left; then ${dim(last)} from that edge, ${tool === null ? 'by the yard' : 'measured at both ends'}`;
}

/** What a setting is for, in a few words; briefly on the strip. */
export function settingWords(setup: Setup, brief = false): Phrase {
  const { kind, count, parts, gang, pieces, tool, when, runs, ends, setting } = setup;
  const names = [...new Set(parts.map(({ name }) => name))].map((name) => (pieces.length === 1 ? name : several(name)));
  const things = names.length > 2 && brief ? 'pieces' : names.join(' and ');
  if (kind === 'guide')
    return say`${count} ${count === 1 ? 'cut' : 'cuts'} ${tool === 'table saw' ? 'along the fence' : 'along a guide'}${brief ? '' : `: ${names.join(', ')}`}`;
  if (kind === 'marks') {
    const what = setting === 0 ? `: ${things}` : `: they are cut clean later`;
    return say`${count} ${count === 1 ? 'crosscut' : 'crosscuts'} by the marks${brief ? '' : what}`;
  }
  const together = gang > 1 ? (brief ? `, ${gang} at once` : `, up to ${gang} together`) : '';
  const sticks =
    kind === 'fence' && runs.length < pieces.length
      ? ` in ${runs.length} ${runs.length === 1 ? 'stick' : 'sticks'}`
      : '';
  const first = kind === 'fence' && !brief && setup.passes.length > 0 ? say`, ${edgesWords(setup)}` : say``;
  const early = when === 'before ripping' ? ', before ripping' : '';
  return say`${pieces.length} ${things}${kind === 'fence' && brief ? ', fence' : ''}${sticks}${first}${together}${early}${!brief && ends ? say`, saw at ${anglesOf(ends)}` : ''}${brief ? '' : `, ${tool ?? 'by the yard'}`}`;
}
