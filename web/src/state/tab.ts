import { newId } from './newId';

const ID = 'sill-tab';
const OPEN = 'sill-tab-open';

/** This tab's own id: the same after a reload, another one in a tab that was made from it. */
function ownId(): string {
  try {
    const known = sessionStorage.getItem(ID);
    // A duplicate is given a copy of the store of a tab that is still open.
    const id = known !== null && sessionStorage.getItem(OPEN) === null ? known : newId();
    sessionStorage.setItem(ID, id);
    const here = () => sessionStorage.setItem(OPEN, '1');
    here();
    window.addEventListener('pagehide', () => sessionStorage.removeItem(OPEN));
    window.addEventListener('pageshow', here);
    return id;
  } catch {
    return newId();
  }
}
export const TAB = ownId();

/** Which browser this is, as older saves name it. */
export const browserName = (): string => {
  const agent = globalThis.navigator?.userAgent ?? '';
  const kind = ['Firefox', 'Edg', 'Chrome', 'Safari'].find((name) => agent.includes(`${name}/`)) ?? '';
  const on = ['Android', 'iPhone', 'iPad', 'Windows', 'Mac OS', 'Linux'].find((name) => agent.includes(name)) ?? '';
  return [kind === 'Edg' ? 'Edge' : kind, on].filter((word) => word !== '').join(' on ');
};

type Word = { readonly ask: string } | { readonly here: string; readonly to: string };
/** Open tabs answer within this. */
const ANSWER_MS = 250;
const channel =
  typeof window === 'undefined' || !('BroadcastChannel' in globalThis) ? null : new BroadcastChannel('sill-tabs');
const heard = new Set<string>();
channel?.addEventListener('message', ({ data }: MessageEvent<Word>) => {
  if ('ask' in data) channel.postMessage({ here: TAB, to: data.ask } satisfies Word);
  else if (data.to === TAB) heard.add(data.here);
});

/** Ids of the other tabs that are open now. */
export async function openTabs(): Promise<ReadonlySet<string>> {
  heard.clear();
  channel?.postMessage({ ask: TAB } satisfies Word);
  await new Promise((done) => setTimeout(done, channel ? ANSWER_MS : 0));
  return new Set(heard);
}
