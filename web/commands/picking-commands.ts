import { axisCalled } from '@rigid-beam/core/quantities/axis-names';
import { displayOf } from '@rigid-beam/core/quantities/display';
import { senseOf } from './grammar';
import { grammar } from './words';
import type { Motion } from '@rigid-beam/core/model/edits/motion';
import { minus, type Point } from '@rigid-beam/core/model/point';
import type { SheetController } from '../sheet/controller';
import { BoxTool } from '../sheet/tools/box-tool';
import { PickTool } from '../sheet/tools/pick-tool';
import { chosenOf } from '../editor/chosen';
import { make, type Command } from './command';

import { readTurn, repeatOf, transformOf } from './motions';

/** Points are shown on the sheet, by the pointer, by arrow keys or typed; then the selection is carried. */
function pick(
  sheet: SheetController,
  asked: readonly string[],
  what: 'itself' | 'copy',
  motion: (points: readonly Point[]) => Motion,
): undefined {
  const { model, selection } = sheet.editor.state;
  const chosen = chosenOf(selection);
  sheet.take(
    new PickTool(sheet, asked, (points) => {
      const carried = motion(points);
      make(sheet, what === 'copy' ? repeatOf(chosen, carried) : transformOf(model, chosen, carried));
    }),
  );
  return undefined;
}

const WAY = ['Click where the way begins.', 'Click where it leads.'];
const way = ([from, to]: readonly Point[]): Motion => ({ kind: 'move', by: minus(to!, from!) });

export const pickingCommands: readonly Command[] = [
  { name: 'Move by two points', needs: 'nodes or members', inMenu: true, run: (sheet) => pick(sheet, WAY, 'itself', way) },
  { name: 'Copy by two points', needs: 'nodes or members', inMenu: true, run: (sheet) => pick(sheet, WAY, 'copy', way) },
  {
    name: 'Turn about a point',
    notation: 'degrees (about {X}, {Y} or {Z}, about {Z} unless told); then show the point that stays',
    needs: 'nodes or members',
    run: (sheet, text) => {
      const [, angle = '', letter] = /^(.*?)(?:\babout\b\s*(\w))?\s*$/i.exec(text) ?? [];
      const { model } = sheet.editor.state;
      const named = letter === undefined ? { key: 'z' as const } : axisCalled(displayOf(model), letter);
      if (!named) return grammar.isNoAxisWriteX(letter ?? '');
      const motion = readTurn(angle, [0, 0, 0], { axis: named.key, sign: senseOf(model, named.key) });
      if (typeof motion === 'string' || motion.kind !== 'turn') return typeof motion === 'string' ? motion : undefined;
      return pick(sheet, ['Click the point that stays where it is.'], 'itself', ([about]) => ({ ...motion, about: about! }));
    },
  },
  {
    name: 'Select by a box',
    run: (sheet) => {
      sheet.take(new BoxTool(sheet));
      return undefined;
    },
  },
];
