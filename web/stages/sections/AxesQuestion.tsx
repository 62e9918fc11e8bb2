'use client';

import { useCatalogue } from '../../editor/catalogue/use-catalogue';
import { useEditor, useModel } from '../../editor/use-editor';
import { Button, Hint, Row, Stack } from '../../ui/controls';
import { axesQuestion as WORDS } from './words';

/** Asked once, when the first standard shape suggests another way to call axes than the model has them; either answer is kept. */
export function AxesQuestion() {
  const editor = useEditor();
  const { sections, display } = useModel();
  const isAnswered = display?.up !== undefined || display?.strong !== undefined;
  const names = isAnswered ? [] : sections.flatMap(({ catalogue }) => catalogue ?? []);
  const catalogue = useCatalogue(names.length > 0 ? 'wanted' : 'not yet');
  const shape = names.map((name) => catalogue?.shapeCalled(name)).find((one) => one !== undefined);
  const called = shape && catalogue?.axesCalled(shape);
  if (!shape || !called) return null;
  const answer = (next: typeof called): void => void editor.edit({ type: 'set', settings: { display: { ...display, ...next } } });
  return (
    <Stack role="group" aria-label={WORDS.title}>
      <Hint>{WORDS.question(shape.family.standard, called.up, called.strong)}</Hint>
      <Row>
        <Button onPress={() => answer(called)}>{WORDS.take(called.up, called.strong)}</Button>
        <Button onPress={() => answer({ up: 'Y', strong: 'z' })}>{WORDS.take('Y', 'z')}</Button>
      </Row>
    </Stack>
  );
}
