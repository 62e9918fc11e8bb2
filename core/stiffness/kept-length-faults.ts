import { forceSenseOf } from '../model/behaviour';
import type { Model } from '../model/model';
import { fault, type Notice } from '../model/notice';

/** What is asked for beside members that keep their lengths, and is found with axial deformation only. */
const RUNS = [
  ['secondOrder', 'The second order'],
  ['buckling', 'Critical loads'],
  ['naturalModes', 'Natural modes'],
] as const;

const REMEDY = 'Count axial deformation, or leave the other out';

/** Where axial deformation is neglected: what cannot be found so. */
export function keptLengthFaults({ analysis, members, supports }: Model): Notice[] {
  if (analysis?.axialDeformation !== false) return [];
  const refused = (what: string, path: string, subjects: readonly string[] = []): Notice =>
    fault({ code: 'axial-deformation', path, value: undefined, what, expected: 'axial deformation that counts', remedy: REMEDY, subjects }); // oxfmt-ignore
  const oneWay = [
    ...members.flatMap((member) => (forceSenseOf(member) === 0 ? [] : [`member ${member.id}`])),
    ...supports.flatMap(({ node, oneWay: ways }) => (ways ? [`node ${node}`] : [])),
  ];
  return [
    ...RUNS.flatMap(([key, words]) =>
      analysis[key] ? [refused(`${words} cannot be found while axial deformation is neglected`, `analysis.${key}`)] : [],
    ),
    ...(oneWay.length > 0
      ? [
          refused(
            'Whether what acts one way lets go cannot be found while axial deformation is neglected',
            'analysis.axialDeformation',
            oneWay.slice(0, 20),
          ),
        ]
      : []),
  ];
}
