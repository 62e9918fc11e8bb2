'use client';

import { Disclosure, DisclosurePanel, Heading, Button as AriaButton } from 'react-aria-components';
import styled from 'styled-components';
import { freeName } from '@rigid-beam/core/model/edits/next-id';
import type { Material } from '@rigid-beam/core/model/model';
import { useDisplay, useEditor, useModel } from '../session/use-editor';
import { Button, Columns, PanelSubtitle, Row, Stack } from '../ui/controls';
import { NameField } from '../ui/NameField';
import { QuantityField } from '../ui/QuantityField';
import { SectionEditor } from '../cards/SectionEditor';

const Fold = styled(Disclosure)`
  border: 1px solid var(--rule);
  border-radius: 3px;
  padding: 0.3rem 0.5rem;
  background: var(--paper);
`;

const FoldButton = styled(AriaButton)`
  width: 100%;
  padding: 0.15rem 0;
  border: 0;
  background: transparent;
  text-align: left;
  font-weight: 600;
  span {
    float: right;
    font-weight: 400;
    color: var(--soft);
  }
`;

/** Sections and materials of the model, each changed in place. */
export function SectionsBench() {
  const editor = useEditor();
  const model = useModel();
  const uses = (key: 'section' | 'material', id: string): number => model.members.filter((member) => member[key] === id).length;
  const names = (list: readonly { readonly id: string }[]): string[] => list.map(({ id }) => id);
  return (
    <Stack>
      <Row>
        <Button
          onPress={() =>
            editor.edit({
              type: 'put',
              list: 'sections',
              entry: { id: freeName('section', names(model.sections)), shape: { type: 'rectangle', h: 0.2, b: 0.1 } },
            })
          }
        >
          Add a section
        </Button>
        <Button
          onPress={() =>
            editor.edit({
              type: 'put',
              list: 'materials',
              entry: { id: freeName('material', names(model.materials)), E: 11e9, density: 500 },
            })
          }
        >
          Add a material
        </Button>
      </Row>
      <PanelSubtitle>Sections</PanelSubtitle>
      {model.sections.map((section) => (
        <Item key={section.id} name={section.id} uses={uses('section', section.id)} list="sections">
          <SectionEditor section={section} />
        </Item>
      ))}
      <PanelSubtitle>Materials</PanelSubtitle>
      {model.materials.map((material) => (
        <Item key={material.id} name={material.id} uses={uses('material', material.id)} list="materials">
          <MaterialEditor material={material} />
        </Item>
      ))}
    </Stack>
  );
}

function Item({
  name,
  uses,
  list,
  children,
}: {
  readonly name: string;
  readonly uses: number;
  readonly list: 'sections' | 'materials';
  readonly children: React.ReactNode;
}) {
  const editor = useEditor();
  return (
    <Fold>
      <Heading level={4}>
        <FoldButton slot="trigger">
          {name}
          <span>{uses === 1 ? '1 member' : `${uses} members`}</span>
        </FoldButton>
      </Heading>
      <DisclosurePanel>
        <Stack>
          {children}
          {uses === 0 && <Button onPress={() => editor.edit({ type: 'remove', list, keys: [name] })}>Remove {name}</Button>}
        </Stack>
      </DisclosurePanel>
    </Fold>
  );
}

function MaterialEditor({ material }: { readonly material: Material }) {
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
