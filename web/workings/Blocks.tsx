'use client';

import type { Formula, WorkingsBlock } from '@rigid-beam/core/workings/blocks';
import { numberWords } from '@rigid-beam/core/workings/number-words';
import type { Worked } from '@rigid-beam/core/workings/worked';
import { mathOf, type MathWay } from '@rigid-beam/drawing/workings/html-workings';
import styled from 'styled-components';
import { useEffect, useRef, type ReactNode } from 'react';
import type { Editor } from '../editor/editor';
import { useEditor, useEditorState } from '../editor/use-editor';
import { PlainButton } from '../ui/controls';
import { workings as WORDS } from './words';

const Wide = styled.div`
  overflow-x: auto;
  margin: 0.4rem 0;
  font-variant-numeric: tabular-nums;
  table {
    border-collapse: collapse;
  }
  th {
    padding: 0.1rem 0.45rem;
    font-weight: 600;
    color: var(--soft);
    text-align: right;
    white-space: nowrap;
  }
  td {
    padding: 0.1rem 0.45rem;
    border: 1px solid var(--rule);
    text-align: right;
    white-space: nowrap;
  }
  tbody {
    border-left: 2px solid var(--ink);
    border-right: 2px solid var(--ink);
  }
  &[data-kind='table'] {
    th,
    td {
      text-align: left;
    }
    tbody {
      border: 0;
    }
  }
  math {
    display: inline math;
  }
  mtable {
    border-left: 2px solid;
    border-right: 2px solid;
    padding: 0 0.2rem;
  }
`;

/** A formula in mathematical type; its TeX is our own. */
const Typeset = ({ tex, way }: Pick<Formula, 'tex'> & { readonly way: MathWay }) => (
  <span dangerouslySetInnerHTML={{ __html: mathOf(tex, way) }} />
);

interface BlockProps {
  readonly block: WorkingsBlock;
  readonly of: Worked;
}

/** A block of the workings; what stands for a member or a freedom leads to it on the sheet. */
export function Block({ block, of }: BlockProps) {
  const editor = useEditor();
  switch (block.is) {
    case 'text': {
      const { text, member, node } = block;
      if (node !== undefined)
        return (
          <h4>
            <PlainButton aria-label={WORDS.selectJoint(node)} onPress={() => editor.select([{ kind: 'node', id: node }])}>
              {text}
            </PlainButton>
          </h4>
        );
      if (member === undefined) return <p>{text}</p>;
      return (
        <MemberHead of={member}>
          <PlainButton aria-label={WORDS.selectMember(member)} onPress={() => editor.select([{ kind: 'member', id: member }])}>
            {text}
          </PlainButton>
        </MemberHead>
      );
    }
    case 'formula':
      return (
        <Wide>
          <Typeset tex={block.tex} way="displayed" />
        </Wide>
      );
    case 'table':
      return (
        <Wide data-kind="table">
          <table>
            <thead>
              <tr>
                {block.columns.map((one) => (
                  <th key={one} scope="col">
                    {one}
                  </th>
                ))}
              </tr>
            </thead>
            <tbody>
              {block.rows.map((row, i) => (
                <tr key={String(row[0])} {...lights(editor, block.freedoms?.[i])}>
                  {row.map((cell, j) => (
                    <td key={block.columns[j]}>{cell}</td>
                  ))}
                </tr>
              ))}
            </tbody>
          </table>
        </Wide>
      );
    case 'matrix':
      return (
        <Wide>
          <table>
            <thead>
              <tr>
                <th>
                  <Typeset tex={block.name.tex} way="in a line" />
                </th>
                {block.columns.map((one, j) => (
                  // Two loads may be called alike.
                  <th key={`${one} ${j}`} scope="col">
                    <Freedom label={one} of={of} />
                  </th>
                ))}
              </tr>
            </thead>
            <tbody>
              {block.values.map((row, i) => (
                <tr key={`${block.rows[i]!} ${i}`} {...lights(editor, NUMBER.test(block.rows[i]!) ? [block.rows[i]!] : NONE)}>
                  <th scope="row">
                    <Freedom label={block.rows[i]!} of={of} />
                  </th>
                  {row.map((one, j) => (
                    <td key={`${block.columns[j]!} ${j}`}>{numberWords(one, block.way)}</td>
                  ))}
                </tr>
              ))}
            </tbody>
          </table>
        </Wide>
      );
  }
}

const NUMBER = /^\d+$/;
const NONE: readonly string[] = [];

/** What lights the freedoms of a row on the sheet, by the pointer and by the keyboard. */
const lights = (editor: Editor, freedoms: readonly string[] = NONE) =>
  freedoms.length === 0
    ? {}
    : {
        onPointerEnter: () => editor.show({ lit: freedoms }),
        onPointerLeave: () => editor.show({ lit: NONE }),
        onFocus: () => editor.show({ lit: freedoms }),
        onBlur: () => editor.show({ lit: NONE }),
      };

/** What begins with a member; it is lit, and brought into sight, while the member is pointed at on the sheet. */
function MemberHead({ of, children }: { readonly of: string; readonly children: ReactNode }) {
  const isLit = useEditorState(({ litMember }) => litMember === of);
  const head = useRef<HTMLHeadingElement>(null);
  useEffect(() => {
    if (isLit) head.current?.scrollIntoView({ block: 'nearest' });
  }, [isLit]);
  return (
    <Head ref={head} data-lit={isLit || undefined}>
      {children}
    </Head>
  );
}

const Head = styled.h4`
  &[data-lit] {
    background: var(--hover);
    outline: 2px solid var(--hover);
  }
`;

/** The number of a freedom leads to its node; other labels are words. */
function Freedom({ label, of }: { readonly label: string; readonly of: Worked }) {
  const editor = useEditor();
  const freedom = NUMBER.test(label) ? of.numbered.all[Number(label) - 1] : undefined;
  if (!freedom) return label;
  const id = of.structure.names.nodes[freedom.node]!;
  return (
    <PlainButton aria-label={WORDS.selectNode(id, label)} onPress={() => editor.select([{ kind: 'node', id }])}>
      {label}
    </PlainButton>
  );
}
