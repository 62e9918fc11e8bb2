import { readEffect, writeEffect } from '@rigid-beam/core/influence/read-effect';
import type { Component, Effect } from '@rigid-beam/core/influence/effect';
import { extremesOverMembers } from '@rigid-beam/core/results/extremes-over-members';
import { isDisplacement, isLine, type LineQuantity } from '@rigid-beam/core/results/quantities';
import { nodalAt } from '@rigid-beam/core/results/read';
import type { Solution } from '@rigid-beam/core/results/results';
import { responseOf } from '@rigid-beam/core/results/sums';
import { FREEDOMS } from '@rigid-beam/core/stiffness/structure';
import type { Subject } from '@rigid-beam/drawing/display-list';
import type { Editor } from '../editor/editor';
import { actingIndex, quantityOf } from '../editor/editor-state';
import { settledSolution } from '../editor/use-editor';
import { workings as WORDS } from './words';

/** Opens the chain behind a number: of what is selected where none is named. Why not, where there is none. */
export function trace(editor: Editor, text = ''): string | undefined {
  const { state } = editor;
  const solution = settledSolution(state);
  if (!solution) return WORDS.none;
  if (text.trim() !== '') {
    const read = readEffect(text, state.model, solution.structure);
    if (!('kind' in read)) return read.message;
    editor.show({ drawer: 'workings', traced: writeEffect(read, solution.structure) });
    return undefined;
  }
  const quantity = quantityOf(state);
  const force = isLine(quantity) && !isDisplacement(quantity) ? quantity : 'Mz';
  const effect = effectOf(state.selection[0], solution, actingIndex(state), force);
  if (!effect) return WORDS.selectNumber;
  editor.show({ drawer: 'workings', traced: writeEffect(effect, solution.structure) });
  return undefined;
}

/** What is asked of something that is selected: of a member its largest value, of a node its largest reaction, or its largest movement. */
function effectOf(subject: Subject | undefined, solution: Solution, outcome: number, quantity: LineQuantity): Effect | undefined {
  const { nodes, members } = solution.structure.names;
  if (subject?.kind === 'extreme') {
    const member = members.indexOf(subject.member);
    return member < 0 ? undefined : { kind: 'along', member, at: subject.x, quantity };
  }
  if (subject?.kind === 'member') {
    const member = members.indexOf(subject.id);
    const over = member < 0 ? undefined : extremesOverMembers(solution, outcome, quantity, [member]);
    if (!over) return undefined;
    const { x } = Math.abs(over.max.value) >= Math.abs(over.min.value) ? over.max : over.min;
    return { kind: 'along', member, at: x, quantity };
  }
  if (subject?.kind !== 'node' && subject?.kind !== 'reaction' && subject?.kind !== 'support') return undefined;
  const node = nodes.indexOf(subject.id);
  // An envelope has no one value of its own.
  if (node < 0 || !responseOf(solution, outcome)) return undefined;
  const largest = (key: 'reactions' | 'displacements'): Component | undefined => {
    const sizes = solution.structure.active.map(
      (k) => [Math.abs(nodalAt(solution, outcome, key, FREEDOMS * node + k)), k] as const,
    );
    const [size, component] = sizes.reduce((best, one) => (one[0] > best[0] ? one : best));
    return size > 0 ? (component as Component) : undefined;
  };
  const held = largest('reactions');
  if (held !== undefined) return { kind: 'reaction', node, component: held };
  const moved = largest('displacements');
  return moved === undefined ? undefined : { kind: 'movement', node, component: moved };
}

/** The key that asks where a number comes from: on the drawing of what is selected, on a figure of that. */
export const TRACE_KEY = 'w';
