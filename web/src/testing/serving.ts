import type { RouteName } from '@sill/core/contract';
import { Offline, Refused, type Ask } from '../platform/ask';

export type Kept = { readonly id: string; readonly revision: number; readonly value: unknown };

/** A server that keeps shops and the rack by revision, as the real one does. */
export function serving(kept: Partial<Record<'shops' | 'racks', Kept[]>>) {
  const told: { readonly name: RouteName; readonly body: { readonly revision: number; readonly value: unknown } }[] =
    [];
  const save = (of: Kept[], id: string, body: { revision: number; value: unknown }) => {
    const row = of.find((one) => one.id === id);
    if ((row?.revision ?? 0) !== body.revision)
      throw new Refused(409, 'stale', 'This was changed elsewhere since you opened it. Nothing was saved.', [], row);
    of.splice(row ? of.indexOf(row) : of.length, row ? 1 : 0, { id, revision: body.revision + 1, value: body.value });
    return { id, revision: body.revision + 1, savedAt: '' };
  };
  const ask = (async (name: RouteName, sent: { params?: { id?: string }; body?: never }) => {
    const { shops = [], racks = [] } = kept;
    const of = { shops, racks, saveShop: shops, saveRack: racks }[name as 'shops'];
    if (!of) throw new Offline('The server does not answer.');
    if (!name.startsWith('save')) return of.map((row) => ({ ...row, savedAt: '' }));
    told.push({ name, body: sent.body! });
    return save(of, sent.params!.id!, sent.body!);
  }) as unknown as Ask;
  return { ask, told };
}
