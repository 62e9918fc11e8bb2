'use client';

import type { Material } from '@rigid-beam/core/model/model';
import { unitOf } from '@rigid-beam/core/quantities/display';
import { useDisplay, useEditor } from '../../editor/use-editor';
import { Columns, Stack } from '../../ui/controls';
import { NameField } from '../../ui/NameField';
import { placeText } from '@rigid-beam/core/model/parameters/place';
import { QuantityField } from '../../ui/QuantityField';
import { materialEditor as WORDS } from './words';

/** What a material may have besides E; some are in the units of the project. */
const MORE = [
  { key: 'nu', label: WORDS.poissonsRatio, dimension: 'number', unit: '' },
  { key: 'density', label: WORDS.density, dimension: 'density', unit: undefined },
  { key: 'alpha', label: WORDS.expansion, dimension: 'expansion', unit: '1/K' },
  { key: 'fy', label: WORDS.yieldStress, dimension: 'stress', unit: undefined },
] as const;

/** A material changed in place. */
export function MaterialEditor({ material }: { readonly material: Material }) {
  const editor = useEditor();
  const display = useDisplay();
  const put = (entry: Material): boolean =>
    editor.edit({ type: 'put', list: 'materials', entry: { ...entry }, key: material.id });
  const stiffness = display.stress === 'MPa' ? 'GPa' : display.stress;
  const change = (key: (typeof MORE)[number]['key']) => (value: number | undefined) => {
    const { [key]: _, ...rest } = material;
    put(value === undefined ? rest : { ...rest, [key]: value });
  };
  return (
    <Stack>
      <NameField label={WORDS.material} value={material.id} onCommit={(id) => put({ ...material, id })} />
      <Columns>
        <QuantityField
          label="E"
          value={material.E}
          dimension="stress"
          unit={stiffness}
          place={placeText('materials', material.id, 'E')}
          onCommit={(E) => E !== undefined && put({ ...material, E })}
        />
        {MORE.map(({ key, label, dimension, unit }) => (
          <QuantityField
            key={key}
            label={label}
            value={material[key]}
            dimension={dimension}
            unit={unit ?? unitOf(dimension, display)}
            place={placeText('materials', material.id, key)}
            mayBeEmpty
            onCommit={change(key)}
          />
        ))}
      </Columns>
    </Stack>
  );
}
