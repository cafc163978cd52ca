import { first } from '../lists';
import { clampCount, type Shop } from '../job';
import { DRIVER_ROOM, roomBehind, standsFast, type Driver, type Fastening } from '../joinery';
import { solidOf, type Part } from '../piece';
import { blocks, times } from '../solid';
import type { Step } from './step';

/** One thing in which an order of steps does not work, in words. */
export type OrderFault = { readonly step: string | null; readonly why: string };

/**
 * What is wrong with an order of steps: joints made never or twice, or before both parts are there; parts that nothing
 * holds when they are put on, or that no straight way leads to; screws without room for any driver of the shop; more
 * clamps than there are. It follows the steps one by one and asks nothing of what planned them. Empty for an order that
 * works.
 */
export function faultsOfOrder(
  steps: readonly Step[],
  parts: readonly Part[],
  made: readonly Fastening[],
  shop: Shop,
): readonly OrderFault[] {
  const faults: OrderFault[] = [];
  const byId = new Map(parts.map((part) => [part.id, part]));
  const joints = new Map(made.map((item) => [item.joint.id, item]));
  /** What each part is one with by now. */
  const whole = new Map<string, readonly string[]>(parts.map(({ id }) => [id, [id]]));
  const madeIn = new Map<string, number>();
  const driverRoom = Math.min(...shop.drivers.map((driver: Driver) => DRIVER_ROOM[driver]));
  const clamps = clampCount(shop);
  for (const step of steps) {
    const say = (why: string) => faults.push({ step: step.id, why });
    if (step.clamps > clamps) say(`asks for ${step.clamps} clamps of ${clamps}`);
    const there = new Set<string>();
    const tag = (id: string) => byId.get(id)?.tag ?? id;
    const mine = step.makes.flatMap((id) => joints.get(id) ?? []);
    const done = new Set<string>();
    for (const id of step.makes) {
      madeIn.set(id, (madeIn.get(id) ?? 0) + 1);
      if (!joints.has(id)) say(`makes ${id}, which is no joint`);
    }
    step.puts.forEach(({ parts: body, way }, at) => {
      const one = whole.get(first(body)) ?? [];
      const strange = body.find((id) => !one.includes(id)) ?? one.find((id) => !body.includes(id));
      if (strange)
        say(`takes ${tag(first(body))} and ${tag(strange)} as one, or leaves one of them, and they are not so yet`);
      const placed = [...there].flatMap((id) => byId.get(id) ?? []);
      const coming = body.flatMap((id) => byId.get(id) ?? []);
      const bodySet = new Set(body);
      const closing = mine.filter(
        ({ drilled, into }) =>
          (bodySet.has(drilled.id) && there.has(into.id)) || (bodySet.has(into.id) && there.has(drilled.id)),
      );
      if (at > 0 && closing.length === 0) say(`puts ${tag(first(body))} where nothing holds it`);
      if (at > 0 && way === null) say(`${tag(first(body))} has no straight way in`);
      if (way !== null) {
        const stands = coming.flatMap((part) =>
          placed
            .filter((other) => blocks(solidOf(part), solidOf(other), times(way, -1)))
            .map((other) => `${part.tag} by ${other.tag}`),
        );
        if (stands.length > 0) say(`the way in is blocked: ${stands.slice(0, 3).join(', ')}`);
      }
      for (const id of body) there.add(id);
      const all = [...placed, ...coming];
      for (const item of closing) {
        done.add(item.joint.id);
        for (const shank of item.shanks) {
          if (!shank.driven) continue;
          const room = roomBehind(
            shank,
            all.filter((part) => part.id !== shank.through && standsFast(part)).map(solidOf),
          );
          if (room < driverRoom) {
            say(`${tag(item.drilled.id)} into ${tag(item.into.id)}: no room for a driver`);
            break;
          }
        }
      }
    });
    for (const item of mine)
      if (!done.has(item.joint.id))
        say(`${tag(item.drilled.id)} to ${tag(item.into.id)} is made before both are there`);
    const together = [...new Set([...there].flatMap((id) => whole.get(id) ?? []))];
    if (step.puts.length > 0) for (const id of together) whole.set(id, together);
  }
  for (const { joint } of made) {
    const count = madeIn.get(joint.id) ?? 0;
    if (count !== 1)
      faults.push({ step: null, why: `${joint.id} is made ${count === 0 ? 'in no step' : `in ${count} steps`}` });
  }
  return faults;
}
