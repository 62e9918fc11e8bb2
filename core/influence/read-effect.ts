import { freedoms, nodalForces } from '../model/freedoms';
import type { Model } from '../model/model';
import { fault, type Notice } from '../model/notice';
import { parseQuantity } from '../quantities/parse';
import { isStored, lineQuantities, pieceWidth, quantityTable } from '../results/quantities';
import { FREEDOMS, type Structure } from '../stiffness/structure';
import type { Component, Effect } from './effect';
import { unknown } from '../model/unknown';

const AXES = ['X', 'Y', 'Z'];

const AT_NODE = /^(.+)\.([a-z]{2})$/u;
const ON_MEMBER = /^(.+):([A-Za-z]+)@(.+)$/u;

interface Wrong {
  readonly code: string;
  readonly what: string;
  readonly expected: string;
  readonly remedy: string;
}
const refuse = (value: string, wrong: Wrong): Notice => fault({ ...wrong, path: 'effect', value });

/**
 * What an influence line is asked of, as it is written: `3.fy` is a reaction, `3.uy` a movement of node 3, `b:Mz@2.4m` what member b feels, or how it
 * deflects, 2.4 m from its start; `b:Mz@40%` at that part of its length. A fault where there is no such thing.
 */
export function readEffect(text: string, model: Model, s: Structure): Effect | Notice {
  const [, member, quantity, place] = ON_MEMBER.exec(text.trim()) ?? [];
  if (member !== undefined) return alongMember(text, { member, quantity: quantity!, place: place! }, s);
  const [, node, component] = AT_NODE.exec(text.trim()) ?? [];
  if (node !== undefined) return atNode(text, { node, component: component! }, model, s);
  return refuse(text, {
    code: 'unreadable-effect',
    what: `“${text}” does not say what the influence line is of`,
    expected: 'a node and a component, or a member, a quantity and a place',
    remedy: 'Write a reaction as 3.fy, a movement as 3.uy, what a member feels as b:Mz@2.4m',
  });
}

function atNode(text: string, asked: { node: string; component: string }, model: Model, s: Structure): Effect | Notice {
  const node = s.names.nodes.indexOf(asked.node);
  if (node < 0) return unknown('node', asked.node, s.names.nodes, { in: 'effect', as: text });
  const kind = nodalForces.some((force) => force === asked.component) ? 'reaction' : 'movement';
  const component = s.active.find((k) => (kind === 'reaction' ? nodalForces : freedoms)[k] === asked.component) as
    | Component
    | undefined;
  if (component === undefined)
    return refuse(text, {
      code: 'unknown-component',
      what: `“${asked.component}” is no component of a reaction or movement in ${model.space === 'plane' ? 'the plane' : 'space'}`,
      expected: s.active.map((k) => `${nodalForces[k]!}, ${freedoms[k]!}`).join(', '),
      remedy: `Write one of ${s.active.map((k) => nodalForces[k]!).join(', ')} for a reaction, ${s.active.map((k) => freedoms[k]!).join(', ')} for a movement`,
    });
  if (kind === 'movement') return { kind, node, component };
  if (!isHeld(s, node, component))
    return refuse(text, {
      code: 'no-reaction',
      what: `Nothing holds node ${asked.node} ${component < 3 ? 'along' : 'about'} ${AXES[component % 3]!}, so that there is no reaction`,
      expected: 'a component that the support holds',
      remedy: 'Support the node in this direction, or ask for another reaction',
    });
  return { kind, node, component };
}

/** Whether the support of a node has a part in a global component. */
export function isHeld({ restraints, supportRotations }: Structure, node: number, component: Component): boolean {
  const turn = supportRotations.get(node);
  const half = component < 3 ? 0 : 3;
  return [0, 1, 2].some((own) => {
    const share = turn ? turn[3 * own + component - half]! : own === component - half ? 1 : 0;
    return Math.abs(share) > 1e-12 && restraints[FREEDOMS * node + half + own]! > 0;
  });
}

function alongMember(text: string, asked: { member: string; quantity: string; place: string }, s: Structure): Effect | Notice {
  const member = s.names.members.indexOf(asked.member);
  if (member < 0) return unknown('member', asked.member, s.names.members, { in: 'effect', as: text });
  const there = lineQuantities.filter((one) => isStored(pieceWidth(s), one));
  const quantity = there.find((one) => one === asked.quantity);
  if (!quantity)
    return refuse(text, {
      code: 'unknown-quantity',
      what: `“${asked.quantity}” is nothing of which there is an influence line here`,
      expected: there.join(', '),
      remedy: `Write one of ${there.join(', ')}`,
    });
  const at = placeOn(asked.place, s.lengths[member]!);
  if (typeof at !== 'number')
    return refuse(text, {
      code: 'no-place',
      what: `“${asked.place}” is no place on member ${asked.member}: ${at.reason}`,
      expected: `0 to ${Number(s.lengths[member]!.toPrecision(6))} m`,
      remedy: 'Write how far it is from the start of the member, such as 2.4m or 40%',
    });
  return { kind: 'along', member, at, quantity };
}

/** A place on a member of this length, metres from its start: `2.4m`, `40%`; or why it is none. */
export function placeOn(text: string, length: number): number | { readonly reason: string } {
  const part = /^\s*(\d+(?:\.\d*)?|\.\d+)\s*%\s*$/u.exec(text);
  const read = part ? { ok: true as const, value: (Number(part[1]) / 100) * length } : parseQuantity(text, 'length', 'm');
  if (!read.ok) return { reason: read.reason };
  if (read.value < 0 || read.value > length * (1 + 1e-9))
    return { reason: `the member is ${Number(length.toPrecision(6))} m long` };
  return Math.min(read.value, length);
}

/** How an effect is written. */
export function writeEffect(effect: Effect, { names }: Structure): string {
  if (effect.kind === 'along') return `${names.members[effect.member]!}:${effect.quantity}@${Number(effect.at.toPrecision(12))}m`;
  return `${names.nodes[effect.node]!}.${(effect.kind === 'reaction' ? nodalForces : freedoms)[effect.component]!}`;
}

/** Of what kind a value of it is; per newton of load. */
export const dimensionOf = (effect: Effect): 'force' | 'moment' | 'length' | 'turn' => {
  if (effect.kind === 'along') return quantityTable[effect.quantity].dimension as 'force' | 'moment' | 'length';
  if (effect.kind === 'reaction') return effect.component < 3 ? 'force' : 'moment';
  return effect.component < 3 ? 'length' : 'turn';
};
