import type { Mechanism } from '@rigid-beam/core/kinematics/mechanism';
import type { Notice } from '@rigid-beam/core/model/notice';
import type { Results } from '@rigid-beam/core/results/results';
import type { Subject } from '@rigid-beam/drawing/display-list';

type Found = Pick<Results, 'status' | 'notices'> | undefined;

/** What keeps a model from being solved, whether that is only what is not drawn yet, and what is worth a look. */
export interface Told {
  readonly hinders: readonly Notice[];
  readonly tone: 'attention' | 'fault';
  readonly warnings: readonly Notice[];
}

export function toldOf(results: Found): Told {
  const of = (severity: Notice['severity']): readonly Notice[] =>
    results?.notices.filter((notice) => notice.severity === severity) ?? [];
  const hinders = results && results.status !== 'solved' ? of('error') : [];
  return { hinders, tone: hinders.every(isOnlyMissing) ? 'attention' : 'fault', warnings: of('warning') };
}

/** Whether nothing but a structure is missing. */
export const isOnlyMissing = ({ code }: Pick<Notice, 'code'>): boolean => code === 'no-members' || code === 'no-support';

/** Stages in which one asks what holds the structure. */
const ABOUT_HOLDING = ['supports', 'results'];

/** What is free to move, but moved by no load, and therefore held still: told where one asks for it. */
export const heldStill = (results: Found, stage: string): readonly string[] =>
  results?.status === 'solved' && ABOUT_HOLDING.includes(stage)
    ? results.notices.filter(({ code, severity }) => code === 'mechanism' && severity === 'note').map(({ message }) => message)
    : [];

/** A motion that does harm, where it stands among all, and what moves in it. */
export interface Harm {
  readonly description: string;
  readonly place: number;
  readonly subjects: readonly Subject[];
}

/** Motions that keep a structure from standing: of each its nodes, or its members where no node moves. */
export const harmIn = (mechanisms: readonly Mechanism[]): readonly Harm[] =>
  mechanisms.flatMap(({ harmless, description, freedoms, members }, place): Harm[] => {
    if (harmless) return [];
    const nodes = [...new Set(freedoms.map(({ node }) => node))];
    const subjects = nodes.length > 0 ? nodes.map((id) => ({ kind: 'node', id }) as const) : members.map((id) => ({ kind: 'member', id }) as const); // oxfmt-ignore
    return [{ description, place, subjects }];
  });

/** A subject as a notice names it, as a thing on the sheet; nothing where it is none of them. */
export function subjectOf(words: string): readonly Subject[] {
  const [, kind, id] = /^(node|member|load) (.+)$/.exec(words) ?? [];
  return (kind === 'node' || kind === 'member' || kind === 'load') && id !== undefined ? [{ kind, id }] : [];
}
