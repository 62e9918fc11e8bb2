'use client';

import type { Material } from '@rigid-beam/core/model/model';
import { useDisplay, useEditor } from '../../session/use-editor';
import { Columns, Stack } from '../../ui/controls';
import { NameField } from '../../ui/NameField';
import { QuantityField } from '../../ui/QuantityField';

/** A material changed in place. */
export function MaterialEditor({ material }: { readonly material: Material }) {
  const editor = useEditor();
  const display = useDisplay();
  const put = (entry: Material): boolean =>
    editor.edit({ type: 'put', list: 'materials', entry: { ...entry }, key: material.id });
  const stiffness = display.stress === 'MPa' ? 'GPa' : display.stress;
  const change = (key: 'density' | 'alpha' | 'nu' | 'fy') => (value: number | undefined) => {
    const { [key]: _, ...rest } = material;
    put(value === undefined ? rest : { ...rest, [key]: value });
  };
  return (
    <Stack>
      <NameField label="Material" value={material.id} onCommit={(id) => put({ ...material, id })} />
      <Columns>
        <QuantityField
          label="E"
          value={material.E}
          dimension="stress"
          unit={stiffness}
          onCommit={(E) => E !== undefined && put({ ...material, E })}
        />
        <QuantityField
          label="Poisson’s ratio"
          value={material.nu}
          dimension="number"
          unit=""
          mayBeEmpty
          onCommit={change('nu')}
        />
        <QuantityField
          label="Density"
          value={material.density}
          dimension="density"
          unit="kg/m3"
          mayBeEmpty
          onCommit={change('density')}
        />
        <QuantityField
          label="Expansion"
          value={material.alpha}
          dimension="expansion"
          unit="1/K"
          mayBeEmpty
          onCommit={change('alpha')}
        />
        <QuantityField
          label="Yield stress"
          value={material.fy}
          dimension="stress"
          unit={display.stress}
          mayBeEmpty
          onCommit={change('fy')}
        />
      </Columns>
    </Stack>
  );
}
