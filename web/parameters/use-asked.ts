import type { Model, Parameter } from '@rigid-beam/core/model/model';
import { parameterPlace } from '@rigid-beam/core/model/parameters/evaluate';
import { setting } from '@rigid-beam/core/model/parameters/set-parameters';
import { showQuantity } from '@rigid-beam/core/quantities/show';
import { useCallback, useMemo, useState } from 'react';
import { useEditor, useEditorState } from '../editor/use-editor';
import type { AskedParameter } from './AskedFields';
import { parameters as WORDS } from './words';

/** Those that no expression gives. */
const freeOf = ({ parameters = [], formulas = [] }: Model): readonly Parameter[] => {
  const given = new Set(formulas.map(({ of }) => of));
  return parameters.filter(({ id }) => !given.has(parameterPlace(id)));
};

/** What a study and a seek have in common: the model, what acts, the parameter that is chosen (the first where none is), the result, and the way to a value. */
export function useAsked() {
  const editor = useEditor();
  const model = useEditorState((state) => state.model);
  const outcome = useEditorState(
    ({ acting, model: { cases, combinations } }) => acting ?? (cases[0] ?? combinations[0])?.id ?? '',
  );
  const free = useMemo(() => freeOf(model), [model]);
  const [typed, setAsked] = useState<AskedParameter>();
  const [result, setResult] = useState('movement');
  const asked = useMemo(
    () => (free.some(({ id }) => id === typed?.name) ? typed! : free[0] && { name: free[0].id }),
    [free, typed],
  );
  const parameter = free.find(({ id }) => id === asked?.name);
  const go = useCallback(
    (one: Parameter, value: number): void =>
      void editor.edit(setting(editor.state.model, one, value), WORDS.set(one.id, showQuantity(value, one.unit ?? '', 6))),
    [editor],
  );
  return { model, outcome, free, asked, setAsked, parameter, result, setResult, go };
}
