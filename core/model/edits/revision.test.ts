import { expect, test } from '@jest/globals';
import { mayRetrace, type RevisionKind } from './revision';

test.each<['undo' | 'redo', readonly RevisionKind[], boolean]>([
  ['undo', [], false],
  ['redo', [], false],
  ['undo', ['edit'], true],
  ['redo', ['edit'], false],
  ['undo', ['edit', 'undo'], false],
  ['redo', ['edit', 'undo'], true],
  ['redo', ['edit', 'edit', 'undo', 'undo', 'redo'], true],
  ['redo', ['edit', 'edit', 'undo', 'undo', 'redo', 'redo'], false],
  ['redo', ['edit', 'undo', 'edit'], false],
  ['undo', ['edit', 'edit', 'undo'], true],
])('%s after %j: %s', (kind, revisions, may) => expect(mayRetrace(kind, [...revisions].reverse())).toBe(may));
