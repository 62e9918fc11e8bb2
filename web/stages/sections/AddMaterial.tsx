'use client';

import { freeName } from '@rigid-beam/core/model/edits/next-id';
import { materialOf, standardMaterials } from '@rigid-beam/core/materials/standard';
import { showQuantity } from '@rigid-beam/core/quantities/show';
import { useEditor, useModel } from '../../editor/use-editor';
import { Button, Select, Stack } from '../../ui/controls';
import { STOCK } from './words';

/** A material of a standard, or one of one's own. */
export function AddMaterial() {
  const editor = useEditor();
  const { materials } = useModel();
  const ids = materials.map(({ id }) => id);
  const add = (entry: { readonly id: string; readonly E: number }): void =>
    void editor.edit({ type: 'put', list: 'materials', entry: { ...entry, id: freeName(entry.id, ids) } });
  return (
    <Stack>
      <Select
        label={STOCK.standardMaterial}
        choices={[
          { id: '', text: STOCK.chooseMaterial },
          ...standardMaterials.map(({ id, group, E }) => ({ id, text: `${id} · ${group}, E ${showQuantity(E, 'GPa', 3)}` })),
        ]}
        value=""
        onChange={(id) => {
          const chosen = standardMaterials.find((one) => one.id === id);
          if (chosen) add(materialOf(chosen));
        }}
      />
      <Button onPress={() => add({ id: 'material', E: 11e9, ...{ density: 500 } })}>{STOCK.addMaterial}</Button>
    </Stack>
  );
}
