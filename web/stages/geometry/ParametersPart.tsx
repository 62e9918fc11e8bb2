'use client';

import { showQuantity } from '@rigid-beam/core/quantities/show';
import { useEditor, useEditorState } from '../../editor/use-editor';
import { Button, Hint } from '../../ui/controls';
import { parametersPart as WORDS } from './words';

/** The parameters of the model with their values, and the way to where they are moved. */
export function ParametersPart() {
  const editor = useEditor();
  const parameters = useEditorState((state) => state.model.parameters ?? NONE);
  return (
    <>
      <Hint>
        {parameters.length === 0
          ? WORDS.none
          : parameters.map(({ id, value, unit = '' }) => `${id} = ${showQuantity(value, unit, 5)}`).join(', ')}
      </Hint>
      <Button onPress={() => editor.show({ drawer: 'parameters' })}>{parameters.length === 0 ? WORDS.give : WORDS.open}</Button>
    </>
  );
}

const NONE: readonly never[] = [];
